package osmerin.app.meaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.support.ApplicationTest;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Language;

/** Vectors are computed once and kept, whatever becomes of the work that needed them. */
class MeaningsTest extends ApplicationTest {
  @Autowired private Meanings meanings;
  @Autowired private VectorMapper vectors;
  @Autowired private PlatformTransactionManager transactions;

  @Test
  void whatIsKeptIsWhatWasComputed() {
    Map<String, float[]> first = meaning().vectors(List.of("bait a lobster pot", "mend a net"));
    Map<String, float[]> again = meaning().vectors(List.of("mend a net", "bait a lobster pot"));
    assertThat(kept(List.of("bait a lobster pot", "mend a net"))).isEqualTo(2);
    first.forEach((text, vector) -> assertThat(again.get(text)).isEqualTo(vector));
  }

  @Test
  void workThatBreaksOffComputesNothingTwice() {
    assertThatThrownBy(
            () ->
                new TransactionTemplate(transactions)
                    .executeWithoutResult(
                        open -> {
                          meaning().vectors(List.of("splice a rope"));
                          throw new IllegalStateException("broke off");
                        }))
        .hasMessage("broke off");
    assertThat(kept(List.of("splice a rope"))).isEqualTo(1);
  }

  @Test
  void manyAreReadAndKeptInPortions() {
    List<String> many = IntStream.range(0, 2_300).mapToObj(i -> "knot " + i).toList();
    assertThat(meaning().vectors(many)).hasSize(many.size());
    assertThat(kept(many.subList(0, 1_000)) + kept(many.subList(1_000, many.size())))
        .isEqualTo(many.size());
  }

  @Test
  void whoWatchesHearsHowFarItIsAndMayStop() {
    List<String> texts = IntStream.range(0, 600).mapToObj(i -> "hook " + i).toList();
    List<Long> done = new ArrayList<>();
    Objects.requireNonNull(meanings.watched((step, part, total) -> done.add(part))).vectors(texts);
    assertThat(done).isSorted().endsWith(600L).hasSizeGreaterThan(1);
    Meaning stopped =
        meanings.watched(
            (step, part, total) -> {
              throw new CancellationException("enough");
            });
    List<String> others = List.of("rod", "reel");
    assertThatThrownBy(() -> Objects.requireNonNull(stopped).vectors(others)).hasMessage("enough");
    assertThat(kept(others)).isEqualTo(2);
  }

  @Test
  void withoutTheModelThereIsNoMeaning() {
    Meanings without = new Meanings(vectors, transactions, false);
    assertThat(without.unwatched()).isNull();
    assertThat(without.watched((step, part, total) -> {})).isNull();
    assertThat(meaning().knows(Language.ENGLISH)).isTrue();
  }

  private Meaning meaning() {
    return Objects.requireNonNull(meanings.unwatched());
  }

  private int kept(List<String> texts) {
    return vectors.vectors(meaning().model(), texts).size();
  }
}
