package osmerin.app.meaning;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.meaning.VectorMapper.VectorRow;
import osmerin.app.work.Progress;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.RememberedMeaning;
import osmerin.core.text.Language;
import osmerin.meaning.SentenceModel;

/**
 * What texts mean. The vector of a text is computed once and kept in a transaction of its own, so
 * that work which is stopped or breaks off need not compute it again.
 */
@Component
public class Meanings {
  private final VectorMapper vectors;
  private final TransactionTemplate apart;
  private final @Nullable Meaning meaning;

  Meanings(
      VectorMapper vectors,
      PlatformTransactionManager transactions,
      @Value("${osmerin.meaning:true}") boolean shipped) {
    this.vectors = vectors;
    apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    meaning = shipped ? new Kept(new SentenceModel()) : null;
  }

  /**
   * For one piece of work; null where words have to do.
   *
   * @param progress is told how many texts are done, and may stop the work
   */
  public @Nullable Meaning watched(Progress progress) {
    return meaning == null
        ? null
        : new RememberedMeaning(
            meaning, (done, all) -> progress.at("Comparing what keywords mean", done, all));
  }

  /** For work that nobody watches; null where words have to do. */
  public @Nullable Meaning unwatched() {
    return meaning;
  }

  /** A meaning whose vectors are kept, some at a time. */
  private final class Kept implements Meaning {
    /** A statement takes only so many values. */
    private static final int AT_ONCE = 1_000;

    private final Meaning model;

    Kept(Meaning model) {
      this.model = model;
    }

    @Override
    public String model() {
      return model.model();
    }

    @Override
    public boolean knows(Language language) {
      return model.knows(language);
    }

    @Override
    public Map<String, float[]> vectors(Collection<String> texts) {
      List<String> all = List.copyOf(texts);
      Map<String, float[]> known = new HashMap<>();
      for (int from = 0; from < all.size(); from += AT_ONCE) {
        known.putAll(some(all.subList(from, Math.min(all.size(), from + AT_ONCE))));
      }
      return known;
    }

    private Map<String, float[]> some(List<String> texts) {
      Map<String, float[]> known = new HashMap<>();
      vectors.vectors(model(), texts).forEach(row -> known.put(row.text(), numbers(row.vector())));
      List<String> missing = new ArrayList<>(texts);
      missing.removeIf(known::containsKey);
      if (!missing.isEmpty()) {
        Map<String, float[]> fresh = model.vectors(missing);
        known.putAll(fresh);
        List<VectorRow> rows = new ArrayList<>();
        fresh.forEach((text, vector) -> rows.add(new VectorRow(text, bytes(vector))));
        apart.executeWithoutResult(open -> vectors.keep(model(), rows));
      }
      return known;
    }
  }

  private static byte[] bytes(float[] vector) {
    ByteBuffer bytes = ByteBuffer.allocate(vector.length * Float.BYTES);
    bytes.asFloatBuffer().put(vector);
    return bytes.array();
  }

  private static float[] numbers(byte[] bytes) {
    float[] vector = new float[bytes.length / Float.BYTES];
    ByteBuffer.wrap(bytes).asFloatBuffer().get(vector);
    return vector;
  }
}
