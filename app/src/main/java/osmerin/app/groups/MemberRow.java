package osmerin.app.groups;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Volume;

/** A keyword in its group, and why it is there. */
public record MemberRow(
    long id,
    String text,
    @Nullable Long volume,
    @Nullable Long volumeLow,
    @Nullable Long volumeHigh,
    @Nullable Integer difficulty,
    String basis,
    int pages,
    int sharedWithPrimary,
    List<String> nearest,
    List<Integer> nearestShared,
    List<String> sharedWords,
    @Nullable Double nearPrimary,
    List<Float> nearestNear,
    boolean pinned) {
  public @Nullable Volume searches() {
    return Volume.of(volume, volumeLow, volumeHigh);
  }
}
