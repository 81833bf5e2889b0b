package osmerin.core.linkage;

import java.util.Arrays;
import java.util.stream.IntStream;

/** Sets of numbers as ascending arrays, and which set holds what. */
public final class Numbered {
  private Numbered() {}

  /**
   * For each number the sets that hold it, ascending.
   *
   * @param sets each ascending, of numbers below {@code numbers}
   */
  public static int[][] turned(int[][] sets, int numbers) {
    int[] count = new int[numbers];
    for (int[] set : sets) {
      for (int number : set) {
        count[number]++;
      }
    }
    int[][] result = new int[numbers][];
    Arrays.setAll(result, number -> new int[count[number]]);
    Arrays.fill(count, 0);
    for (int at = 0; at < sets.length; at++) {
      for (int number : sets[at]) {
        result[number][count[number]++] = at;
      }
    }
    return result;
  }

  /** For each number the places where it stands. */
  public static int[][] turned(int[] placed, int numbers) {
    return turned(
        IntStream.of(placed).mapToObj(number -> new int[] {number}).toArray(int[][]::new), numbers);
  }

  /** How many numbers both hold. */
  public static int common(int[] a, int[] b) {
    int common = 0;
    for (int i = 0, j = 0; i < a.length && j < b.length; ) {
      int left = a[i];
      int right = b[j];
      common += left == right ? 1 : 0;
      i += left <= right ? 1 : 0;
      j += right <= left ? 1 : 0;
    }
    return common;
  }

  /** What either holds. */
  public static int[] union(int[] a, int[] b) {
    int[] union = new int[a.length + b.length];
    int n = 0;
    for (int i = 0, j = 0; i < a.length || j < b.length; ) {
      int next = j == b.length || i < a.length && a[i] <= b[j] ? a[i] : b[j];
      i += i < a.length && a[i] == next ? 1 : 0;
      j += j < b.length && b[j] == next ? 1 : 0;
      union[n++] = next;
    }
    return Arrays.copyOf(union, n);
  }

  /**
   * The first of the set that a number is in, each pointing to an earlier one; paths are cut short.
   */
  public static int first(int[] parent, int number) {
    int root = number;
    while (parent[root] != root) {
      root = parent[root];
    }
    for (int at = number; parent[at] != root; ) {
      int next = parent[at];
      parent[at] = root;
      at = next;
    }
    return root;
  }
}
