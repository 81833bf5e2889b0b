package osmerin.app.platform.web;

import java.beans.PropertyEditorSupport;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Reads a number of an address; what is none counts as nothing. */
public final class LenientNumber<N extends Number> extends PropertyEditorSupport {
  private final Function<String, N> parse;

  public LenientNumber(Function<String, N> parse) {
    this.parse = parse;
  }

  @Override
  public void setAsText(@Nullable String text) {
    try {
      setValue(text == null || text.isBlank() ? null : parse.apply(text.strip()));
    } catch (NumberFormatException e) {
      setValue(null);
    }
  }
}
