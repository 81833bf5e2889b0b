package osmerin.meaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import osmerin.core.text.Language;

class SentenceModelTest {
  private static final List<String> TEXTS =
      List.of(
          "how to get rid of aphids",
          "kill greenfly on roses",
          "train timetable",
          "éclair recipe",
          "x",
          "a very long phrase that goes on and on about a wooden boat and never comes to an end");

  private final SentenceModel model = new SentenceModel();

  @Test
  void textsAreCutAsTheModelWasTrained() throws IOException {
    WordPieces pieces = WordPieces.shipped("all-minilm-l6-v2-q-tokenizer.json");
    assertThat(pieces.of("Hello, world")).containsExactly(101, 7592, 1010, 2088, 102);
    assertThat(pieces.of("éclair")).isEqualTo(pieces.of("eclair"));
    assertThat(pieces.of("word ".repeat(500))).hasSizeLessThanOrEqualTo(128).endsWith(102);
  }

  @Test
  void vectorsAreOneLongAndTheSameWhateverIsAskedBeside() {
    Map<String, float[]> together = model.vectors(TEXTS);
    List<String> shuffled = new ArrayList<>(TEXTS);
    Collections.shuffle(shuffled, new Random(3));
    Map<String, float[]> again = model.vectors(shuffled);
    for (String text : TEXTS) {
      assertThat(product(together.get(text), together.get(text))).isCloseTo(1, within(1e-5));
      assertThat(again.get(text)).isEqualTo(together.get(text));
      assertThat(model.vectors(List.of(text)).get(text)).isEqualTo(together.get(text));
    }
  }

  /**
   * Met when an import and evidence were computed side by side: the threads that all share waited
   * for a lock of whoever waited for vectors, and those waited for these threads.
   */
  @Test
  void vectorsComeThoughTheCommonThreadsWaitForWhoeverAsks() throws Exception {
    model.vectors(TEXTS);
    CountDownLatch waiting = new CountDownLatch(1);
    int common = ForkJoinPool.commonPool().getParallelism();
    for (int i = 0; i < common; i++) {
      ForkJoinPool.commonPool().execute(() -> until(waiting));
    }
    ExecutorService askers = Executors.newFixedThreadPool(6);
    try {
      List<Future<Map<String, float[]>>> answers = new ArrayList<>();
      for (int asker = 0; asker < 6; asker++) {
        List<String> texts = IntStream.range(0, 60).mapToObj(i -> "text number " + i).toList();
        answers.add(askers.submit(() -> model.vectors(texts)));
      }
      for (Future<Map<String, float[]>> answer : answers) {
        assertThat(answer.get(60, TimeUnit.SECONDS)).hasSize(60);
      }
    } finally {
      waiting.countDown();
      askers.shutdownNow();
    }
  }

  private static void until(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Test
  void whatMeansTheSameIsNearerThanWhatDoesNot() {
    Map<String, float[]> vectors = model.vectors(TEXTS);
    float[] aphids = vectors.get(TEXTS.get(0));
    assertThat(product(aphids, vectors.get(TEXTS.get(1))))
        .isGreaterThan(product(aphids, vectors.get(TEXTS.get(2))) + 0.2);
  }

  @Test
  void itKnowsEnglishOnly() {
    assertThat(model.knows(Language.ENGLISH)).isTrue();
    assertThat(model.knows(Language.GERMAN)).isFalse();
  }

  private static double product(float[] a, float[] b) {
    double sum = 0;
    for (int k = 0; k < a.length; k++) {
      sum += a[k] * b[k];
    }
    return sum;
  }
}
