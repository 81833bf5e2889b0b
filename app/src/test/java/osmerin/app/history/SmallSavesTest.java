package osmerin.app.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.app.site.Right;

class SmallSavesTest {
  private static final Instant NINE = Instant.parse("2026-05-04T09:00:00Z");
  private final List<Entry> done = new ArrayList<>();

  @Test
  void savesOfOneSittingAreOneLine() {
    save(1, 0, 4);
    save(1, 10, 4);
    save(1, 65, 4);
    assertThat(gathered()).hasSize(1);
    assertThat(gathered().get(0).sentence()).startsWith("Version 3 ");
    assertThat(gathered().get(0).earlier())
        .extracting(Entry::sentence)
        .containsExactly("Version 2 of the draft of X-4.", "Version 1 of the draft of X-4.");
    assertThat(gathered().get(0).since()).isEqualTo(NINE);
  }

  @Test
  void anotherPersonAnotherArticleAndAnotherSittingAreLinesOfTheirOwn() {
    save(1, 0, 4);
    save(2, 10, 4);
    save(2, 20, 5);
    save(2, 81, 5);
    assertThat(gathered()).hasSize(4).allMatch(e -> e.earlier().isEmpty());
  }

  @Test
  void whatIsUndoneOrUndoesIsNeverHiddenAndWhatStandsBetweenParts() {
    save(1, 0, 4);
    add(1, 5, 4, "The draft of X-4 moved.", null, null);
    save(1, 10, 4);
    add(1, 12, 4, "Version 4 of the draft of X-4.", null, 90L);
    add(1, 14, 4, "Version 4 of the draft of X-4.", 80L, null);
    assertThat(gathered()).hasSize(5);
  }

  private void save(long person, int minutes, int article) {
    String sentence = "Version %d of the draft of X-%d.".formatted(done.size() + 1, article);
    add(person, minutes, article, sentence, null, null);
  }

  private void add(
      long person,
      int minutes,
      int article,
      String sentence,
      @Nullable Long undoes,
      @Nullable Long undoneBy) {
    Instant at = NINE.plus(Duration.ofMinutes(minutes));
    Change change = Change.of(Thing.ARTICLE, article, "Draft", "a", "b");
    done.add(
        new Entry(
            done.size(),
            person,
            "P",
            at,
            sentence,
            Right.WORK,
            undoes,
            undoneBy,
            false,
            List.of(change),
            List.of()));
  }

  private List<Entry> gathered() {
    List<Entry> latestFirst = new ArrayList<>(done);
    Collections.reverse(latestFirst);
    return SmallSaves.gathered(latestFirst);
  }
}
