package osmerin.core.brief;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import osmerin.core.evidence.WordRange;

/**
 * What a brief says.
 *
 * @param workingTitle the title that was picked, empty for none yet
 * @param titles other candidates, kept for later use
 * @param secondary keywords besides the primary one
 * @param words the range that was set by hand; when empty that of the evidence holds
 * @param texts what is written in its parts; empty ones are left out
 * @param parts those that are on, when they are not those of the article's type
 */
public record BriefContent(
    String workingTitle,
    List<String> titles,
    String primaryKeyword,
    List<String> secondary,
    Optional<WordRange> words,
    Outline outline,
    Map<BriefPart, String> texts,
    Optional<Set<BriefPart>> parts) {
  public static final BriefContent NONE =
      new BriefContent(
          "", List.of(), "", List.of(), Optional.empty(), Outline.NONE, Map.of(), Optional.empty());

  /** Candidates beside the working title. */
  public static final int MOST_TITLES = 30;

  public BriefContent {
    titles = List.copyOf(titles);
    secondary = List.copyOf(secondary);
    Map<BriefPart, String> filled = new EnumMap<>(BriefPart.class);
    texts.forEach(
        (part, text) -> {
          if (!text.isBlank()) {
            filled.put(part, text);
          }
        });
    texts = Collections.unmodifiableMap(filled);
    parts = parts.map(on -> Collections.unmodifiableSet(new TreeSet<>(on)));
  }

  /** What is written in a part, empty for nothing. */
  public String text(BriefPart part) {
    return texts.getOrDefault(part, "");
  }

  /** The parts that a page shows: those that are on, and any that has a text. */
  public Set<BriefPart> shown(Set<BriefPart> ofType) {
    Set<BriefPart> shown = EnumSet.noneOf(BriefPart.class);
    shown.addAll(parts.orElse(ofType));
    shown.addAll(texts.keySet());
    return shown;
  }

  /** With a title picked; the one that was picked before stays a candidate. */
  public BriefContent pick(String title) {
    List<String> others = new ArrayList<>(titles);
    int at = others.indexOf(title);
    if (at >= 0) {
      others.remove(at);
    }
    if (!workingTitle.isBlank() && !workingTitle.equals(title) && !others.contains(workingTitle)) {
      others.add(Math.max(0, at), workingTitle);
    }
    return withTitle(title).withTitles(others);
  }

  public BriefContent withTitle(String title) {
    return new BriefContent(title, titles, primaryKeyword, secondary, words, outline, texts, parts);
  }

  public BriefContent withTitles(List<String> candidates) {
    return new BriefContent(
        workingTitle, candidates, primaryKeyword, secondary, words, outline, texts, parts);
  }

  public BriefContent withPrimary(String keyword) {
    return new BriefContent(workingTitle, titles, keyword, secondary, words, outline, texts, parts);
  }

  public BriefContent withSecondary(List<String> keywords) {
    return new BriefContent(
        workingTitle, titles, primaryKeyword, keywords, words, outline, texts, parts);
  }

  public BriefContent withWords(Optional<WordRange> range) {
    return new BriefContent(
        workingTitle, titles, primaryKeyword, secondary, range, outline, texts, parts);
  }

  /** With another length: the words of the sections keep their shares and add up to its target. */
  public BriefContent ofLength(Optional<WordRange> range) {
    return withWords(range)
        .withOutline(range.map(its -> WordBudget.scaled(outline, its.target())).orElse(outline));
  }

  public BriefContent withOutline(Outline sections) {
    return new BriefContent(
        workingTitle, titles, primaryKeyword, secondary, words, sections, texts, parts);
  }

  public BriefContent withText(BriefPart part, String text) {
    Map<BriefPart, String> changed = new EnumMap<>(BriefPart.class);
    changed.putAll(texts);
    changed.put(part, text);
    return withTexts(changed);
  }

  public BriefContent withTexts(Map<BriefPart, String> written) {
    return new BriefContent(
        workingTitle, titles, primaryKeyword, secondary, words, outline, written, parts);
  }

  public BriefContent withParts(Optional<Set<BriefPart>> on) {
    return new BriefContent(
        workingTitle, titles, primaryKeyword, secondary, words, outline, texts, on);
  }

  /**
   * Filled up from another brief or a template: what is empty here is taken from there, and what
   * somebody wrote stays. Titles and keywords are each article's own.
   */
  public BriefContent filledFrom(BriefContent other) {
    Map<BriefPart, String> both = new EnumMap<>(BriefPart.class);
    both.putAll(other.texts);
    both.putAll(texts);
    return withOutline(outline.isEmpty() ? other.outline : outline)
        .withWords(words.or(other::words))
        .withTexts(both)
        .withParts(parts.or(other::parts));
  }
}
