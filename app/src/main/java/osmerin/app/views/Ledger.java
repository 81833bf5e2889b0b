package osmerin.app.views;

/** The ledgers that are kept in views. */
public enum Ledger {
  KEYWORDS("/research/keywords", "fold=yes", "keywords"),
  ARTICLES("/articles", "sort=-number", "articles");

  private final String path;
  private final String everything;
  private final String things;

  Ledger(String path, String everything, String things) {
    this.path = path;
    this.everything = everything;
    this.things = things;
  }

  /** Its address within a site. */
  public String path() {
    return path;
  }

  /** The part of the address after the "?" that shows everything. */
  String everything() {
    return everything;
  }

  /** What stands in it. */
  String things() {
    return things;
  }
}
