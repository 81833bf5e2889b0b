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
  /** Nothing we read. */
  OTHER("not read");

  private final String label;

  Column(String label) {
    this.label = label;
  }

  /** The name people see. */
  public String label() {
    return label;
  }
}
