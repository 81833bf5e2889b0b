package osmerin.app.briefs;

/**
 * A field in which two briefs differ, in words.
 *
 * @param before what one says, empty for nothing
 * @param after what the other says
 */
public record BriefDifference(String field, String before, String after) {}
