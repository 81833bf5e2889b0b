package osmerin.app.grouping;

import org.jspecify.annotations.Nullable;
import osmerin.app.grouping.Rearranging.Place;

/** Where a keyword is. */
public record PlaceRow(
    long keywordId, String text, @Nullable Long groupId, boolean pinned, boolean excluded) {
  Place place() {
    return new Place(groupId, pinned, excluded);
  }
}
