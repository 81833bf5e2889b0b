package osmerin.app.articles;

import osmerin.core.article.Kind;

/** An article type, or for {@link Kind#REFRESH} a refresh depth. */
public record ArticleType(long id, String name, Kind kind, int cushion, double hours) {}
