package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.PagesSay;

class OutlineProposalTest {
  private static final PagesSay BEES =
      new PagesSay(
          List.of(
              new PagesSay.Heading("Winter feeding", 4, 0.7),
              new PagesSay.Heading("Choosing a hive", 3, 0.1),
              new PagesSay.Heading("Swarming", 2, 0.4),
              new PagesSay.Heading("My own bees", 1, 0.2)),
          List.of("Which hive suits beginners?", "When to stop feeding?", "Do bees sleep?"),
          List.of());

  private static List<String> headings(Outline outline) {
    return outline.sections().stream().map(Section::heading).toList();
  }

  @Test
  void anEmptyOutlineGetsWhatSeveralPagesHaveInTheirOrderWithTheirQuestions() {
    Outline proposed = OutlineProposal.of(Outline.NONE, BEES, null);
    assertThat(headings(proposed)).containsExactly("Choosing a hive", "Swarming", "Winter feeding");
    assertThat(proposed.sections().get(0).note()).isEqualTo("Which hive suits beginners?");
    assertThat(proposed.sections().get(1).note()).isEmpty();
    assertThat(proposed.sections().get(2).note()).isEqualTo("When to stop feeding?");
  }

  @Test
  void whatIsThereKeepsItsPlaceAndTheOthersComeBeforeAndAfter() {
    Outline typed =
        new Outline(
            List.of(
                new Section("Why I keep bees", 0, "mine"),
                new Section("Swarming!", 0, "as typed"),
                new Section("The signs", 1, "")));
    assertThat(headings(OutlineProposal.of(typed, BEES, null)))
        .containsExactly(
            "Why I keep bees", "Choosing a hive", "Swarming!", "The signs", "Winter feeding");
  }

  @Test
  void nothingIsProposedOfNothing() {
    Outline typed = new Outline(List.of(new Section("Why I keep bees", 0, "mine")));
    assertThat(OutlineProposal.of(typed, PagesSay.NOTHING, null)).isEqualTo(typed);
    assertThat(OutlineProposal.of(Outline.NONE, PagesSay.NOTHING, null)).isEqualTo(Outline.NONE);
  }

  @Test
  void aPersonsWordsAreNeverChangedAndProposingTwiceAddsNothing() {
    Random random = new Random(18);
    for (int run = 0; run < 3_000; run++) {
      Outline outline = typed(random);
      PagesSay say = random(random);
      Outline proposed = OutlineProposal.of(outline, say, null);
      List<Section> kept = new ArrayList<>(proposed.sections());
      kept.removeIf(section -> !section.note().startsWith("note "));
      assertThat(kept).isEqualTo(outline.sections());
      List<Section> added = new ArrayList<>(proposed.sections());
      added.removeAll(outline.sections());
      assertThat(added).hasSizeLessThanOrEqualTo(OutlineProposal.MOST_ADDED);
      assertThat(added).allMatch(section -> section.depth() == 0);
      assertThat(new HashSet<>(headings(new Outline(added)))).hasSameSizeAs(added);
      if (say.headings().size() <= OutlineProposal.MOST_ADDED) {
        assertThat(OutlineProposal.of(proposed, say, null)).isEqualTo(proposed);
      }
    }
  }

  private static Outline typed(Random random) {
    List<Section> typed = new ArrayList<>();
    for (int i = 0; i < random.nextInt(8); i++) {
      typed.add(new Section("word" + random.nextInt(12), random.nextInt(3), "note " + i));
    }
    return new Outline(typed);
  }

  private static PagesSay random(Random random) {
    List<PagesSay.Heading> headings = new ArrayList<>();
    List<String> questions = new ArrayList<>();
    for (int i = 0; i < random.nextInt(14); i++) {
      headings.add(
          new PagesSay.Heading(
              "word" + random.nextInt(20), random.nextInt(4), random.nextDouble()));
      questions.add("What of word" + random.nextInt(20) + "?");
    }
    return new PagesSay(headings, questions, List.of());
  }

  @Test
  void aFullOutlineStaysAsItIs() {
    List<Section> full = new ArrayList<>();
    for (int i = 0; i < Outline.MOST_SECTIONS - 1; i++) {
      full.add(new Section("Section " + i, 0, ""));
    }
    assertThat(OutlineProposal.of(new Outline(full), BEES, null).sections())
        .hasSize(Outline.MOST_SECTIONS);
  }

  @Test
  void aShortArticleGetsFewSectionsAndAskingAgainAddsNone() {
    Random random = new Random(11);
    for (int round = 0; round < 2_000; round++) {
      PagesSay say = random(random);
      Outline typed = typed(random);
      int target = random.nextInt(3_000);
      Outline proposed = OutlineProposal.of(typed, say, target);
      int most = Math.max(3, target / OutlineProposal.FEWEST_WORDS);
      assertThat(proposed.sections().size())
          .isLessThanOrEqualTo(Math.max(typed.sections().size(), most));
      if (proposed.sections().size() == most) {
        assertThat(OutlineProposal.of(proposed, say, target)).isEqualTo(proposed);
      }
    }
  }
}
