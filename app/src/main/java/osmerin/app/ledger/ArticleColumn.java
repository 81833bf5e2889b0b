package osmerin.app.ledger;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
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

  private static final Set<ArticleColumn> FIGURES = EnumSet.of(SEARCHES, CHANCE, VISITS, WORDS);

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

  /** Whether it shows figures. */
  public boolean isFigure() {
    return FIGURES.contains(this);
  }

  /** As it stands in the address. */
  public String key() {
    return Columns.key(this);
  }
}
