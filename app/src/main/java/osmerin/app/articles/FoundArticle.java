package osmerin.app.articles;

import osmerin.core.article.ReferenceNumber;
import osmerin.core.article.Stage;

/** An article that was found by name or number. */
public record FoundArticle(String prefix, int number, String title, Stage stage) {
  public String reference() {
    return new ReferenceNumber(prefix, number).toString();
  }
}
