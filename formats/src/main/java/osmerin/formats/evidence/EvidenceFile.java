package osmerin.formats.evidence;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.Quartiles;
import osmerin.core.evidence.ReadPage;
import osmerin.core.evidence.Term;
import osmerin.core.meaning.Meaning;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Evidence as JSON: pages (file, kind, reason, words, kept_share), words (low, median, high), terms
 * (term, pages, low and high for every 1,000 words), headings (text, pages, place), questions, and
 * points (text, sources with page and sentence).
 */
public final class EvidenceFile {
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private EvidenceFile() {}

  /**
   * The file of the pages.
   *
   * @param primary the keyword they rank for, null when nobody said
   * @param pages at least one, each with text
   * @param meaning by which headings, questions and points are gathered beside their words, null
   *     for words alone
   */
  public static String of(
      List<ReadPage> pages, @Nullable String primary, @Nullable Meaning meaning) {
    Map<String, Object> file = new LinkedHashMap<>();
    if (primary != null) {
      file.put("primary", primary);
    }
    file.put("pages", pages.stream().map(EvidenceFile::page).toList());
    file.put("words", words(pages));
    Evidence evidence = Evidence.of(pages.stream().map(ReadPage::ranking).toList(), List.of());
    file.put("terms", evidence.terms().stream().map(EvidenceFile::term).toList());
    PagesSay say = PagesSay.of(pages, primary == null ? List.of() : List.of(primary), meaning);
    file.put("headings", say.headings().stream().map(EvidenceFile::heading).toList());
    file.put("questions", say.questions());
    file.put("points", say.points().stream().map(EvidenceFile::point).toList());
    return JSON.writeValueAsString(file);
  }

  private static Map<String, Object> page(ReadPage page) {
    PageKind.Read kind = PageKind.of(page);
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("file", page.name());
    fields.put("kind", kind.kind().label());
    fields.put("reason", kind.reason());
    fields.put("words", page.keptWords());
    fields.put("kept_share", rounded(page.keptShare(), 1_000));
    return fields;
  }

  private static Map<String, Object> words(List<ReadPage> pages) {
    Quartiles words = Quartiles.of(pages.stream().mapToDouble(ReadPage::keptWords).toArray());
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("low", rounded(words.lower(), 100));
    fields.put("median", rounded(words.median(), 100));
    fields.put("high", rounded(words.upper(), 100));
    return fields;
  }

  private static Map<String, Object> term(Term term) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("term", term.phrase());
    fields.put("pages", term.pages());
    fields.put("low", rounded(term.low(), 1_000));
    fields.put("high", rounded(term.high(), 1_000));
    return fields;
  }

  private static Map<String, Object> heading(PagesSay.Heading heading) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("text", heading.text());
    fields.put("pages", heading.pages());
    fields.put("place", rounded(heading.place(), 1_000));
    return fields;
  }

  private static Map<String, Object> point(PagesSay.Point point) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("text", point.text());
    fields.put("sources", point.sources().stream().map(EvidenceFile::source).toList());
    return fields;
  }

  private static Map<String, Object> source(PagesSay.Source source) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("page", source.page());
    fields.put("sentence", source.sentence());
    return fields;
  }

  private static double rounded(double value, int parts) {
    return Math.round(value * parts) / (double) parts;
  }
}
