package osmerin.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Average linkage of vectors as its definition says, looked at after every twentieth join. */
final class PlainLinkage {
  private static final int LOOK = 20;

  private final List<List<String>> clusters = new ArrayList<>();
  private final double[][] cosine;

  PlainLinkage(List<String> texts, Map<String, float[]> vectors) {
    cosine = new double[texts.size()][texts.size()];
    for (int i = 0; i < cosine.length; i++) {
      clusters.add(List.of(texts.get(i)));
      for (int j = 0; j < cosine.length; j++) {
        float[] a = vectors.get(texts.get(i));
        float[] b = vectors.get(texts.get(j));
        for (int k = 0; k < a.length; k++) {
          cosine[i][j] += a[k] * b[k];
        }
      }
    }
  }

  List<Collection<List<String>>> cuts() {
    List<Collection<List<String>>> cuts = new ArrayList<>();
    for (int joins = 0; joins < cosine.length - 1; joins++) {
      if (joins % LOOK == 0) {
        cuts.add(clusters.stream().filter(its -> !its.isEmpty()).toList());
      }
      joinNearest();
    }
    return cuts;
  }

  private void joinNearest() {
    int into = -1;
    int from = -1;
    for (int i = 0; i < cosine.length; i++) {
      for (int j = i + 1; !clusters.get(i).isEmpty() && j < cosine.length; j++) {
        boolean nearer = into < 0 || cosine[i][j] > cosine[into][from];
        if (!clusters.get(j).isEmpty() && nearer) {
          into = i;
          from = j;
        }
      }
    }
    int a = clusters.get(into).size();
    int b = clusters.get(from).size();
    for (int k = 0; k < cosine.length; k++) {
      cosine[into][k] = (a * cosine[into][k] + b * cosine[from][k]) / (a + b);
      cosine[k][into] = cosine[into][k];
    }
    List<String> both = new ArrayList<>(clusters.get(into));
    both.addAll(clusters.get(from));
    clusters.set(into, both);
    clusters.set(from, List.of());
  }
}
