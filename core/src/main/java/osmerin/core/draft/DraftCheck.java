package osmerin.core.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import osmerin.core.brief.Outline;
import osmerin.core.draft.CheckResult.Check;
import osmerin.core.draft.CheckResult.Place;
import osmerin.core.draft.DraftDocument.Heading;
import osmerin.core.evidence.Phrases;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Counted;
import osmerin.core.text.PhraseMatch;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

/**
 * Holds a draft against its brief.
 *
 * @param words words of the draft
 * @param results in the order of {@link Check}
 * @param terms in the order of the evidence
 */
public record DraftCheck(int words, List<CheckResult> results, List<TermUse> terms) {
  private static final int OPENING_WORDS = 100;

  /** A draft within this share of the range's ends is nearly long enough. */
  private static final double NEARLY = 0.8;

  public DraftCheck {
    results = List.copyOf(results);
    terms = List.copyOf(terms);
  }

  /** Checks that are met. */
  public long met() {
    return results.stream().filter(r -> r.verdict() == Verdict.MET).count();
  }

  /** Checks that apply. */
  public long applying() {
    return results.stream().filter(r -> r.verdict() != Verdict.DOES_NOT_APPLY).count();
  }

  /** Terms within their range. */
  public long termsInRange() {
    return terms.stream().filter(t -> t.standing() == TermUse.Standing.IN_RANGE).count();
  }

  /** Checks. */
  public static DraftCheck of(DraftDocument draft, DraftBrief brief) {
    return new Worker(draft, brief).check();
  }

  private static final class Worker {
    private final Stems stems = new Stems();
    private final DraftDocument draft;
    private final DraftBrief brief;
    private final int words;

    Worker(DraftDocument draft, DraftBrief brief) {
      this.draft = draft;
      this.brief = brief;
      this.words = draft.words();
    }

    DraftCheck check() {
      return new DraftCheck(
          words,
          List.of(length(), title(), opening(), heading(), secondary(), outline(), headingOrder()),
          terms());
    }

    private CheckResult length() {
      if (brief.length().isEmpty()) {
        return CheckResult.of(Check.LENGTH, Verdict.DOES_NOT_APPLY, words + " words, no range set");
      }
      WordRange range = brief.length().get();
      String figure =
          String.format(Locale.ROOT, "%,d of %,d–%,d words", words, range.low(), range.high());
      boolean near = words >= range.low() * NEARLY && words <= range.high() / NEARLY;
      Verdict verdict =
          range.contains(words) ? Verdict.MET : near ? Verdict.PARTLY : Verdict.NOT_MET;
      return CheckResult.of(Check.LENGTH, verdict, figure);
    }

    private CheckResult title() {
      return keyword(Check.KEYWORD_IN_TITLE, List.of(draft.title().orElse(brief.title())), "title");
    }

    private CheckResult opening() {
      String opening = draft.opening(OPENING_WORDS);
      return keyword(Check.KEYWORD_IN_OPENING, List.of(opening), "first 100 words");
    }

    private CheckResult heading() {
      return keyword(
          Check.KEYWORD_IN_HEADING, sections().stream().map(Heading::text).toList(), "headings");
    }

    /** The headings, without the title: what every check counts as headings. */
    private List<Heading> sections() {
      return draft.headings().stream().filter(h -> h.level() > 1).toList();
    }

    /** One counts as used where its words stand together, or apart in one paragraph. */
    private CheckResult secondary() {
      List<String> wanted = brief.secondaryKeywords();
      if (wanted.isEmpty()) {
        return CheckResult.of(
            Check.SECONDARY_KEYWORDS, Verdict.DOES_NOT_APPLY, "none in the brief");
      }
      List<Place> missing =
          wanted.stream()
              .filter(keyword -> !isUsed(new PhraseMatch(keyword, stems)))
              .map(keyword -> new Place(0, keyword))
              .toList();
      int used = wanted.size() - missing.size();
      Verdict verdict =
          missing.isEmpty() ? Verdict.MET : used > 0 ? Verdict.PARTLY : Verdict.NOT_MET;
      return new CheckResult(
          Check.SECONDARY_KEYWORDS, verdict, used + " of " + wanted.size() + " used", missing);
    }

    private boolean isUsed(PhraseMatch keyword) {
      return draft.blocks().stream().anyMatch(block -> keyword.in(block.text()) != Verdict.NOT_MET);
    }

    private CheckResult keyword(Check check, List<String> texts, String where) {
      if (brief.primaryKeyword().isBlank()) {
        return CheckResult.of(check, Verdict.DOES_NOT_APPLY, "no primary keyword");
      }
      PhraseMatch match = new PhraseMatch(brief.primaryKeyword(), stems);
      Verdict best = Verdict.NOT_MET;
      for (String text : texts) {
        Verdict verdict = match.in(text);
        best = verdict.ordinal() < best.ordinal() ? verdict : best;
      }
      String figure =
          switch (best) {
            case MET -> "“" + brief.primaryKeyword() + "” is there";
            case PARTLY -> "its words are there, apart";
            case NOT_MET, DOES_NOT_APPLY -> "not in the " + where;
          };
      return CheckResult.of(check, best, figure);
    }

    private CheckResult outline() {
      List<Outline.Section> sections = brief.outline().sections();
      if (sections.isEmpty()) {
        return CheckResult.of(Check.OUTLINE, Verdict.DOES_NOT_APPLY, "no outline in the brief");
      }
      List<Set<String>> headings = sections().stream().map(h -> stems.subject(h.text())).toList();
      List<Place> missing = new ArrayList<>();
      for (Outline.Section section : sections) {
        if (headings.stream().noneMatch(h -> sameSection(stems.subject(section.heading()), h))) {
          missing.add(new Place(0, section.heading()));
        }
      }
      int present = sections.size() - missing.size();
      Verdict verdict =
          missing.isEmpty() ? Verdict.MET : present > 0 ? Verdict.PARTLY : Verdict.NOT_MET;
      String figure = present + " of " + sections.size() + " sections";
      return new CheckResult(Check.OUTLINE, verdict, figure, missing);
    }

    /** A heading is a section's when it has at least 60 % of the section's subject words. */
    private static boolean sameSection(Set<String> section, Set<String> heading) {
      Set<String> both = new HashSet<>(section);
      both.retainAll(heading);
      return both.size() >= 0.6 * section.size();
    }

    private CheckResult headingOrder() {
      List<Heading> headings = draft.headings();
      if (headings.isEmpty()) {
        return CheckResult.of(Check.HEADING_ORDER, Verdict.DOES_NOT_APPLY, "no headings yet");
      }
      List<Place> faults = new ArrayList<>();
      int before = 1;
      boolean titled = false;
      for (Heading heading : headings) {
        Optional<String> fault = fault(heading, before, titled);
        fault.ifPresent(what -> faults.add(new Place(heading.line(), what)));
        titled |= heading.level() == 1;
        before = heading.level();
      }
      Verdict verdict = faults.isEmpty() ? Verdict.MET : Verdict.NOT_MET;
      String figure =
          faults.isEmpty()
              ? Counted.of(sections().size(), "heading") + ", in order"
              : Counted.of(faults.size(), "fault");
      return new CheckResult(Check.HEADING_ORDER, verdict, figure, faults);
    }

    private static Optional<String> fault(Heading heading, int before, boolean titled) {
      if (heading.level() == 1 && titled) {
        return Optional.of("a second title: “" + heading.text() + "”");
      }
      if (heading.level() > before + 1) {
        return Optional.of(
            "“%s” jumps from level %s to %s".formatted(heading.text(), before, heading.level()));
      }
      return Optional.empty();
    }

    /** Of what is no phrase as evidence has them now, such as terms that were drawn earlier. */
    private int usesAsWritten(String term) {
      PhraseMatch match = new PhraseMatch(term, stems);
      return draft.blocks().stream().mapToInt(block -> match.uses(stems.all(block.text()))).sum();
    }

    /** Ranges are for the length to be written, so that they hold still while somebody types. */
    private List<TermUse> terms() {
      int length = Math.max(words, brief.length().map(WordRange::target).orElse(words));
      Phrases phrases = new Phrases(stems);
      Map<String, Integer> uses = new HashMap<>();
      for (DraftDocument.Block block : draft.blocks()) {
        phrases.in(block.text()).forEach(phrase -> uses.merge(phrase.key(), 1, Integer::sum));
      }
      return brief.terms().stream()
          .map(
              term ->
                  new TermUse(
                      term,
                      phrases
                          .key(term.phrase())
                          .map(key -> uses.getOrDefault(key, 0))
                          .orElseGet(() -> usesAsWritten(term.phrase())),
                      term.fewest(length),
                      term.most(length)))
          .toList();
    }
  }
}
