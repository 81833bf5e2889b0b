package osmerin.bench;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;

/**
 * B-cubed precision and recall of a partition against labels (A. Bagga and B. Baldwin, "Algorithms
 * for scoring coreference chains", 1998).
 */
record BCubed(double precision, double recall) {
  double f1() {
    return 2 * precision * recall / (precision + recall);
  }

  /** Groups of normal forms, against the label of each. */
  static BCubed of(Collection<? extends Collection<String>> groups, Map<String, Integer> labels) {
    Map<Integer, Integer> sizes = new HashMap<>();
    labels.values().forEach(label -> sizes.merge(label, 1, Integer::sum));
    double precision = 0;
    double recall = 0;
    for (Collection<String> group : groups) {
      Map<Integer, Integer> counts = new HashMap<>();
      group.forEach(normal -> counts.merge(labels.get(normal), 1, Integer::sum));
      for (Map.Entry<Integer, Integer> same : counts.entrySet()) {
        double squared = (double) same.getValue() * same.getValue();
        precision += squared / group.size();
        recall += squared / sizes.get(same.getKey());
      }
    }
    return new BCubed(precision / labels.size(), recall / labels.size());
  }
}
