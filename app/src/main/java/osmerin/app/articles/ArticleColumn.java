package osmerin.app.articles;

import java.util.List;
import osmerin.app.views.Columns;

/** What the articles ledger can show beside number and title. */
public enum ArticleColumn {
  TYPE("Type", true),
  STAGE("Stage", true),
  PUBLISH("Publish", true),
  WRITER("Writer", true),
  SLACK("Slack", false),
  NEXT("Next step", false),
  STRATEGIST("Strategist", false),
  EDITOR("Editor", false),
  TOPIC("Topic", false),
  GROUP("Keyword group", false),
  KEYWORD("Primary keyword", false),
  SEARCHES("Searches a month", false),
  CHANCE("Chance", false),
  VISITS("Expected visits", false),
  WORDS("Word target", false);

  /** Those shown when nobody chose. */
  static final List<ArticleColumn> SHIPPED = List.of(TYPE, STAGE, PUBLISH, WRITER, SLACK);

  private final String label;
  private final boolean sortable;

  ArticleColumn(String label, boolean sortable) {
    this.label = label;
    this.sortable = sortable;
  }

  public String label() {
    return label;
  }

  /** Whether the ledger can be sorted by it. */
  public boolean isSortable() {
    return sortable;
  }

  /** As it stands in the address. */
  public String key() {
    return Columns.key(this);
  }
}
