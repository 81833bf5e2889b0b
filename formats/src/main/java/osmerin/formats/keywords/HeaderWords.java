package osmerin.formats.keywords;

import java.util.Locale;
import java.util.regex.Pattern;

/** How headers name columns; the first that matches in this order. */
enum HeaderWords {
  DIFFICULTY(
      Column.DIFFICULTY,
      "kd|kd ?%|keyword difficulty.*|difficulty.*|seo difficulty|competition index|how hard"),
  COST_PER_CLICK(Column.COST_PER_CLICK, "cpc.*|cost per click.*|avg\\.? cpc.*|top of page bid.*"),
  INTENT(Column.INTENT, "intents?|search intents?|keyword intents?|user intent|main intent"),
  POSITION(
      Column.POSITION,
      "pos\\.?|(current |organic |serp |page |search )?(position|rank)|ranking|place|#"),
  RANKING_PAGES(
      Column.RANKING_PAGES,
      "urls?|pages?|links?|address(es)?|landing pages?|results?|serp.*"
          + "|(ranking|top|result|competing|competitor) (page|url|address|result|link)(s|es)?"
          + "|top (10|ten|20|twenty)( .*)?"
          + "|(#|(url|result|position|pos|rank|page|serp|top|place|link) ?#?)?(1?\\d|20)( url)?"),
  VOLUME(
      Column.VOLUME,
      "volume.*|search volume.*|sv|searches.*|avg\\.? (monthly )?searches.*|average (monthly )?searches"
          + "|(monthly|global|local) (searches|search volume|volume)|avg\\.? search volume|demand"),
  KEYWORD(
      Column.KEYWORD,
      "(seed |search |target )?keywords?|key ?phrases?|(top |search )?quer(y|ies)|search terms?"
          + "|search phrases?|phrases?|keyword ?text|terms?");

  private final Column column;
  private final Pattern words;

  HeaderWords(Column column, String words) {
    this.column = column;
    this.words = Pattern.compile(words);
  }

  /** What a header's field names; {@link Column#OTHER} when it names nothing we know. */
  static Column column(String field) {
    String name = field.strip().toLowerCase(Locale.ROOT).replace('_', ' ').replaceAll("\\s+", " ");
    for (HeaderWords words : values()) {
      if (words.words.matcher(name).matches()) {
        return words.column;
      }
    }
    return Column.OTHER;
  }
}
