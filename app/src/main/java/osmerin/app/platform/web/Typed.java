package osmerin.app.platform.web;

import org.jspecify.annotations.Nullable;

/** Reads what people typed into an address or a field that may hold anything. */
public final class Typed {
  private Typed() {}

  /** The whole number that was typed; null when it is none. */
  public static @Nullable Long number(@Nullable String typed) {
    return typed != null && typed.strip().matches("\\d{1,12}") ? Long.valueOf(typed.strip()) : null;
  }
}
