package osmerin.formats.keywords;

/** What a column of a keyword file holds. */
public enum Column {
  KEYWORD("Keyword"),
  VOLUME("Search volume"),
  DIFFICULTY("Difficulty"),
  COST_PER_CLICK("Cost per click"),
  INTENT("Intent"),
  RANKING_PAGES("Ranking pages"),
  /** Of the one ranking page of the row: the file has a row for each page. */
  POSITION("Position of the page"),
  /** Where the site's own page stands for the keyword. */
  OWN_POSITION("Own position"),
  /** The site's own page that ranks for the keyword. */
  OWN_PAGE("Own page"),
  /** Nothing we read. */
  OTHER("not read");

  private final String label;

  Column(String label) {
    this.label = label;
  }

  /** Whether a name alone does not make it one: its values have to be such. */
  boolean needsItsValues() {
    return this == KEYWORD
        || this == POSITION
        || this == OWN_POSITION
        || this == OWN_PAGE
        || this == RANKING_PAGES;
  }

  /** The name people see. */
  public String label() {
    return label;
  }
}
