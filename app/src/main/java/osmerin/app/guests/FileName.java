package osmerin.app.guests;

/** The name of a file that a stranger sent, as it is shown and stored. */
final class FileName {
  private static final int LONGEST = 120;

  private FileName() {}

  /**
   * The last part of a path without what cannot be seen, what turns the direction of writing, and
   * what a file system takes for its own.
   */
  static String shown(String sent) {
    String last = sent.substring(Math.max(sent.lastIndexOf('/'), sent.lastIndexOf('\\')) + 1);
    String plain = last.replaceAll("[\\p{C}\\p{Zl}\\p{Zp}\"<>|:*?]", "").strip();
    String named = plain.isEmpty() || plain.startsWith(".") ? "file" + plain : plain;
    if (named.length() <= LONGEST) {
      return named;
    }
    int dot = named.lastIndexOf('.');
    String ending = dot > 0 && named.length() - dot <= 10 ? named.substring(dot) : "";
    return named.substring(0, LONGEST - ending.length()) + ending;
  }
}
