package osmerin.core.brief;

import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.Term;
import osmerin.core.text.PhraseMatch;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

/**
 * A working title held against the titles that rank and against its own outline.
 *
 * @param differs not met when a ranking title has the same words, partly when it has nearly the
 *     same; does not apply when nothing ranks or the title is empty
 * @param alike the ranking title that is most like it, null when none is
 * @param promise whether the outline has as many sections at the top as the title promises; does
 *     not apply when it promises none
 * @param promised the number it promises, 0 for none
 * @param capitals whether it shouts
 * @param terms of the evidence that stand in it
 */
public record TitleAmong(
    Verdict differs,
    @Nullable String alike,
    Verdict promise,
    int promised,
    boolean capitals,
    List<String> terms) {
  /** From this part of shared stems on two titles are nearly the same. */
  private static final double NEARLY = 0.75;

  /** "7 mistakes", "The 12 best"; not "2026", "5 %", "3 kg" or "3.1 Soil". */
  private static final Pattern PROMISES =
      Pattern.compile("(?:^|:\\s|\\b[Tt]he |\\b[Tt]op )(\\d{1,2})\\s+(?=\\p{L}{3})");

  private static final Pattern SHOUTED = Pattern.compile("\\b\\p{Lu}{4,}\\b");

  public TitleAmong {
    terms = List.copyOf(terms);
  }

  /** Holds a title against the titles that rank, the terms they share, and the outline. */
  public static TitleAmong of(
      String title, List<String> ranking, List<Term> terms, Outline outline) {
    String text = title.strip();
    Stems stems = new Stems();
    Set<String> its = stems.subject(text);
    String alike = null;
    double most = 0;
    for (String other : text.isEmpty() ? List.<String>of() : ranking) {
      double likeness = likeness(its, stems.subject(other));
      if (likeness > most) {
        most = likeness;
        alike = other;
      }
    }
    Verdict differs = text.isEmpty() || ranking.isEmpty() ? Verdict.DOES_NOT_APPLY : verdict(most);
    int promised = promised(text);
    return new TitleAmong(
        differs,
        most >= NEARLY ? alike : null,
        promised == 0
            ? Verdict.DOES_NOT_APPLY
            : sections(outline) >= promised ? Verdict.MET : Verdict.NOT_MET,
        promised,
        shouts(text),
        terms.stream()
            .map(Term::phrase)
            .filter(phrase -> new PhraseMatch(phrase, stems).in(text) == Verdict.MET)
            .toList());
  }

  private static double likeness(Set<String> one, Set<String> other) {
    long both = one.stream().filter(other::contains).count();
    long either = one.size() + other.size() - both;
    return either == 0 ? 0 : (double) both / either;
  }

  private static Verdict verdict(double likeness) {
    if (likeness >= 1) {
      return Verdict.NOT_MET;
    }
    return likeness >= NEARLY ? Verdict.PARTLY : Verdict.MET;
  }

  private static int promised(String title) {
    Matcher promises = PROMISES.matcher(title);
    return promises.find() ? Integer.parseInt(promises.group(1)) : 0;
  }

  private static long sections(Outline outline) {
    return outline.sections().stream().filter(section -> section.depth() == 0).count();
  }

  /** One shouted word may be a name; two, or one alone, are not. */
  private static boolean shouts(String title) {
    long shouted = SHOUTED.matcher(title).results().count();
    return shouted > 1 || shouted == 1 && title.split("\\s+").length == 1;
  }
}
