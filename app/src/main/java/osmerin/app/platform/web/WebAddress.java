package osmerin.app.platform.web;

import osmerin.core.text.Shortened;

/** Addresses of pages that people type. */
public final class WebAddress {
  private static final int LONGEST = 2_000;

  private WebAddress() {}

  /**
   * The address without space around it.
   *
   * @throws RefusedException when it is none of a page
   */
  public static String checked(String typed) {
    String address = typed.strip();
    if (address.length() > LONGEST || !address.matches("https?://[^\\s/]\\S*+")) {
      throw new RefusedException(
          "“%s” is not the address of a page. It begins with https:// or http://."
              .formatted(Shortened.of(address)));
    }
    return address;
  }
}
