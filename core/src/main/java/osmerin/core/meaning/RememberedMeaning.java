package osmerin.core.meaning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import osmerin.core.text.Language;

/** Computes the vector of each text once, some at a time, and tells how far it is. */
public final class RememberedMeaning implements Meaning {
  private static final int AT_ONCE = 256;

  private final Meaning meaning;
  private final Progress progress;
  private final Map<String, float[]> known = new HashMap<>();

  /** Told how many of the texts that were asked for last are done. */
  public interface Progress {
    void texts(int done, int all);
  }

  public RememberedMeaning(Meaning meaning, Progress progress) {
    this.meaning = meaning;
    this.progress = progress;
  }

  @Override
  public String model() {
    return meaning.model();
  }

  @Override
  public boolean knows(Language language) {
    return meaning.knows(language);
  }

  @Override
  public synchronized Map<String, float[]> vectors(Collection<String> texts) {
    List<String> missing = new ArrayList<>(texts);
    missing.removeIf(known::containsKey);
    for (int from = 0; from < missing.size(); from += AT_ONCE) {
      int to = Math.min(missing.size(), from + AT_ONCE);
      known.putAll(meaning.vectors(missing.subList(from, to)));
      progress.texts(to, missing.size());
    }
    Map<String, float[]> vectors = new HashMap<>();
    texts.forEach(text -> vectors.put(text, known.get(text)));
    return vectors;
  }
}
