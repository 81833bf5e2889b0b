package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.OutlineMerge;
import osmerin.core.evidence.WordRange;
import tools.jackson.core.JacksonException;

/**
 * A field of a brief: how it reads, and how its value is sent, kept in history and put back.
 *
 * @param name as people see it
 * @param inWords for people, empty for nothing
 * @param value as it is kept, null for none
 * @param with another value in it
 */
record BriefField(
    String name,
    Function<BriefContent, String> inWords,
    Function<BriefContent, @Nullable String> value,
    BiFunction<BriefContent, @Nullable String, BriefContent> with) {
  static final String OUTLINE = "Outline";
  static final String WORDS = "Words";
  private static final String PARTS = "Parts";
  private static final String TITLES = "Other titles";

  static final List<BriefField> ALL = all();

  private static List<BriefField> all() {
    List<BriefField> all = new ArrayList<>();
    all.add(line("Working title", BriefContent::workingTitle, BriefContent::withTitle));
    all.add(lines(TITLES, BriefContent::titles, BriefContent::withTitles));
    all.add(line("Primary keyword", BriefContent::primaryKeyword, BriefContent::withPrimary));
    all.add(lines("Secondary keywords", BriefContent::secondary, BriefContent::withSecondary));
    all.add(
        new BriefField(
            WORDS,
            b -> b.words().map(w -> w.low() + "–" + w.high()).orElse(""),
            b -> b.words().map(w -> w.low() + " " + w.high()).orElse(null),
            (b, v) -> b.withWords(range(v))));
    all.add(
        new BriefField(
            OUTLINE,
            b -> inWords(b.outline()),
            b -> BriefJson.write(b.outline()),
            (b, v) -> b.withOutline(outline(v))));
    for (BriefPart part : BriefPart.values()) {
      all.add(text(part.label(), b -> b.text(part), (b, v) -> b.withText(part, v)));
    }
    all.add(
        new BriefField(
            PARTS,
            b -> b.parts().map(BriefField::labels).orElse(""),
            b -> b.parts().map(BriefPart::names).orElse(null),
            (b, v) -> b.withParts(Optional.ofNullable(v).map(BriefPart::named))));
    return List.copyOf(all);
  }

  private static BriefField text(
      String name,
      Function<BriefContent, String> value,
      BiFunction<BriefContent, String, BriefContent> with) {
    return new BriefField(name, value, value::apply, (b, v) -> with.apply(b, v == null ? "" : v));
  }

  /** A text of one line, without space around it. */
  private static BriefField line(
      String name,
      Function<BriefContent, String> value,
      BiFunction<BriefContent, String, BriefContent> with) {
    return text(name, value, (b, v) -> with.apply(b, v.strip().replaceAll("\\s+", " ")));
  }

  private static BriefField lines(
      String name,
      Function<BriefContent, List<String>> value,
      BiFunction<BriefContent, List<String>, BriefContent> with) {
    return new BriefField(
        name,
        b -> String.join(", ", value.apply(b)),
        b -> String.join("\n", value.apply(b)),
        (b, v) -> with.apply(b, v == null ? List.of() : filled(v)));
  }

  private static List<String> filled(String text) {
    return text.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
  }

  /** Both ends as they are typed, with a space between. */
  private static Optional<WordRange> range(@Nullable String value) {
    String[] ends = value == null || value.isBlank() ? new String[0] : value.split(" ", 2);
    try {
      return ends.length == 0
          ? Optional.empty()
          : WordRange.read(ends[0], ends.length == 1 ? "" : ends[1]);
    } catch (IllegalArgumentException e) {
      throw new RefusedException(e.getMessage());
    }
  }

  private static String labels(Set<BriefPart> parts) {
    return parts.stream().map(BriefPart::label).collect(Collectors.joining(", "));
  }

  /**
   * The field of that name.
   *
   * @throws IllegalArgumentException when there is none
   */
  static BriefField get(String name) {
    return ALL.stream()
        .filter(field -> field.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("a brief has no field " + name));
  }

  /**
   * Whether somebody types a field of that name; parts and other titles have forms of their own.
   */
  static boolean isTyped(String name) {
    return ALL.stream()
        .map(BriefField::name)
        .filter(field -> !field.equals(PARTS) && !field.equals(TITLES))
        .anyMatch(name::equals);
  }

  String words(BriefContent brief) {
    return inWords.apply(brief);
  }

  /** As it is kept and sent; empty for nothing. */
  String sent(BriefContent brief) {
    String kept = value.apply(brief);
    return kept == null ? "" : kept;
  }

  /**
   * Brings a change of this field into a brief that others change too. Where the length changes,
   * the words of the sections change with it.
   *
   * @param seen the value that was changed
   * @param wanted what it was changed to
   * @return empty when somebody else changed it to something that does not go together
   */
  Optional<BriefContent> merged(BriefContent now, String seen, String wanted) {
    if (sent(now).equals(seen)) {
      return Optional.of(
          name.equals(WORDS) ? now.ofLength(range(wanted)) : with.apply(now, wanted));
    }
    if (name.equals(OUTLINE)) {
      return OutlineMerge.of(outline(seen), outline(wanted), now.outline()).map(now::withOutline);
    }
    return sent(now).equals(wanted) ? Optional.of(now) : Optional.empty();
  }

  private static Outline outline(@Nullable String value) {
    try {
      return value == null || value.isBlank() ? Outline.NONE : BriefJson.outline(value);
    } catch (IllegalArgumentException | JacksonException e) {
      throw new RefusedException("The outline could not be read: " + e.getMessage());
    }
  }

  static List<BriefDifference> differences(BriefContent before, BriefContent after) {
    return ALL.stream()
        .filter(field -> !field.words(before).equals(field.words(after)))
        .map(field -> new BriefDifference(field.name(), field.words(before), field.words(after)))
        .toList();
  }

  private static String inWords(Outline outline) {
    return outline.sections().stream()
        .map(
            s ->
                "– ".repeat(s.depth())
                    + s.heading()
                    + (s.words() == null ? "" : " (" + s.words() + ")")
                    + (s.note().isEmpty() ? "" : ": " + s.note()))
        .collect(Collectors.joining("\n"));
  }
}
