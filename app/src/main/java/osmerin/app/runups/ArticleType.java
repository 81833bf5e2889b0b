package osmerin.app.runups;

import osmerin.core.article.Kind;

/**
 * An article type, or for {@link Kind#REFRESH} a refresh depth.
 *
 * @param hours of its run-up
 * @param writingHours of the writing among them
 * @param version counts its changes
 * @param open rounds in work that have it
 */
public record ArticleType(
    long id,
    String name,
    Kind kind,
    int cushion,
    double hours,
    double writingHours,
    int steps,
    int version,
    int open) {}
