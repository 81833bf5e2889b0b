package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;

class OutlineMergeTest {
  private static Section section(String id, String heading) {
    return new Section(id, heading, 0, "", null);
  }

  private static Outline outline(String... ids) {
    List<Section> sections = new ArrayList<>();
    for (String id : ids) {
      sections.add(section(id.toLowerCase(java.util.Locale.ROOT), id));
    }
    return new Outline(sections);
  }

  @Test
  void whatEachDidAloneStands() {
    Outline base = outline("a", "b", "c");
    Outline mine =
        new Outline(
            List.of(
                section("a", "A!"), section("b", "b"), section("c", "c"), section("x", "mine")));
    Outline theirs =
        new Outline(
            List.of(
                section("y", "theirs"), section("a", "a"), new Section("b", "b", 1, "note", 90)));
    assertThat(OutlineMerge.of(base, mine, theirs).orElseThrow().sections())
        .containsExactly(
            section("y", "theirs"),
            section("a", "A!"),
            new Section("b", "b", 1, "note", 90),
            section("x", "mine"));
  }

  @Test
  void theSameHeadingChangedTwiceIsForAPersonToSettle() {
    assertThat(OutlineMerge.of(outline("a"), rename("mine"), rename("theirs"))).isEmpty();
    assertThat(OutlineMerge.of(outline("a"), rename("same"), rename("same")))
        .contains(rename("same"));
  }

  private static Outline rename(String heading) {
    return new Outline(List.of(section("a", heading)));
  }

  @Test
  void aSectionThatOneRemovedAndTheOtherChangedStays() {
    assertThat(
            OutlineMerge.of(
                outline("a", "b"),
                outline("b"),
                new Outline(List.of(section("a", "kept"), section("b", "b")))))
        .contains(new Outline(List.of(section("a", "kept"), section("b", "b"))));
  }

  @Test
  void oneWhoChangedNothingTakesWhatTheOtherDidAndNoWordOfEitherIsLost() {
    Random random = new Random(4);
    for (int run = 0; run < 4_000; run++) {
      Outline base = random(random, outline());
      Outline mine = random(random, base);
      Outline theirs = random(random, base);
      assertThat(OutlineMerge.of(base, base, theirs)).contains(theirs);
      assertThat(OutlineMerge.of(base, mine, base)).contains(mine);
      OutlineMerge.of(base, mine, theirs)
          .ifPresent(
              both -> {
                List<String> headings = both.sections().stream().map(Section::heading).toList();
                assertThat(headings)
                    .containsAll(added(base, mine))
                    .containsAll(added(base, theirs));
                assertThat(both.sections().stream().map(Section::id)).doesNotHaveDuplicates();
              });
    }
  }

  private static List<String> added(Outline base, Outline now) {
    List<String> before = base.sections().stream().map(Section::heading).toList();
    return now.sections().stream().map(Section::heading).filter(h -> !before.contains(h)).toList();
  }

  /** All on one level: how deep a section may stand follows from its neighbours. */
  private static Outline random(Random random, Outline from) {
    List<Section> sections = new ArrayList<>(from.sections());
    for (int change = random.nextInt(4); change > 0; change--) {
      int at = sections.isEmpty() ? 0 : random.nextInt(sections.size());
      switch (sections.isEmpty() ? 0 : random.nextInt(4)) {
        case 0 ->
            sections.add(
                at, section("n" + random.nextInt(100_000), "new " + random.nextInt(100_000)));
        case 1 -> sections.remove(at);
        case 2 -> sections.set(at, section(sections.get(at).id(), "re" + random.nextInt(100_000)));
        default -> Collections.swap(sections, at, random.nextInt(sections.size()));
      }
    }
    return new Outline(sections);
  }
}
