package osmerin.core.text;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Words of many things, numbered by their spelling, with how many of the things have each. Sums
 * over numbers in ascending order do not depend on the order in which words were met.
 */
public final class WordNumbers {
  private final Map<String, Integer> numbers;
  private final int[] frequency;

  /**
   * Numbers the words.
   *
   * @param words of each thing, each once
   */
  public WordNumbers(List<? extends Collection<String>> words) {
    Map<String, Integer> counts = new HashMap<>();
    words.forEach(its -> its.forEach(word -> counts.merge(word, 1, Integer::sum)));
    String[] spellings = counts.keySet().toArray(String[]::new);
    Arrays.sort(spellings);
    frequency = Arrays.stream(spellings).mapToInt(counts::get).toArray();
    numbers = counts;
    Arrays.setAll(frequency, i -> counts.put(spellings[i], i));
  }

  public int size() {
    return frequency.length;
  }

  /** The numbers of words that are among those numbered, ascending. */
  public int[] of(Collection<String> words) {
    return words.stream().mapToInt(numbers::get).sorted().toArray();
  }

  /** How many things have a word that is among those numbered. */
  public int frequency(String word) {
    return frequency[numbers.get(word)];
  }

  /** How many things have the word of this number. */
  public int frequency(int number) {
    return frequency[number];
  }
}
