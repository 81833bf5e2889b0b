package osmerin.app.rounds;

import osmerin.core.article.ReferenceNumber;
import osmerin.core.article.Stage;
import osmerin.core.coverage.Coverage;

/** An article that answers a keyword group; {@code live} once a round of it went live. */
public record GroupArticle(
    long groupId, String prefix, int number, String title, Stage stage, boolean live) {
  public Coverage.Answer answer() {
    return new Coverage.Answer(stage.phase(), live);
  }

  public String reference() {
    return new ReferenceNumber(prefix, number).toString();
  }
}
