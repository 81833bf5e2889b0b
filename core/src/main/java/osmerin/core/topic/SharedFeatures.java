package osmerin.core.topic;

/** What one group shares with every other, and which those are: room that a thread uses again. */
final class SharedFeatures {
  double[] words = {};
  double[] sites = {};

  /** What the one group weighs by each of the commonest words and sites. */
  double[] commonWords = {};

  double[] commonSites = {};

  private boolean[] isTouched = {};
  int[] groups = {};
  int size;

  SharedFeatures of(int count, int words, int sites) {
    commonWords = commonWords.length < words ? new double[words] : commonWords;
    commonSites = commonSites.length < sites ? new double[sites] : commonSites;
    if (groups.length < count) {
      this.words = new double[count];
      this.sites = new double[count];
      isTouched = new boolean[count];
      groups = new int[count];
    }
    return this;
  }

  void touch(int group) {
    if (!isTouched[group]) {
      isTouched[group] = true;
      groups[size++] = group;
    }
  }

  void clear() {
    for (int k = 0; k < size; k++) {
      words[groups[k]] = 0;
      sites[groups[k]] = 0;
      isTouched[groups[k]] = false;
    }
    size = 0;
  }
}
