package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.BriefLack.Place;
import osmerin.core.brief.Outline.Section;

class BriefLackTest {
  private static final List<String> QUESTIONS =
      List.of("When do you stop feeding bees?", "Why do bees swarm?");
  private static final Set<BriefPart> LENGTH = EnumSet.of(BriefPart.LENGTH);

  private static BriefContent brief(Section... sections) {
    return BriefContent.NONE
        .withTitle("Bees")
        .withPrimary("bees")
        .withText(BriefPart.READER, "Beginners")
        .withOutline(new Outline(List.of(sections)));
  }

  private static List<BriefLack> lacks(BriefContent brief, List<String> questions) {
    return BriefLack.of(brief, EnumSet.of(BriefPart.READER), LENGTH, questions);
  }

  @Test
  void anEmptyBriefLacksWhatIsOnInItsOrder() {
    assertThat(BriefLack.of(BriefContent.NONE, BriefPart.SHIPPED, Set.of(), QUESTIONS))
        .extracting(BriefLack::words)
        .containsExactly(
            "a working title",
            "a primary keyword",
            "an outline",
            "the reader",
            "the angle",
            "points nobody else makes",
            "the length",
            "links");
    assertThat(BriefLack.of(BriefContent.NONE, Set.of(), Set.of(), QUESTIONS))
        .extracting(BriefLack::place)
        .containsExactly(Place.TITLE, Place.KEYWORD, Place.OUTLINE);
  }

  @Test
  void whatIsDrawnFromElsewhereIsNotLacking() {
    assertThat(BriefLack.of(brief(new Section("Winter", 0, "")), LENGTH, LENGTH, List.of()))
        .isEmpty();
    assertThat(
            BriefLack.of(
                brief(new Section("Winter", 0, "")),
                EnumSet.of(BriefPart.TERMS, BriefPart.DEADLINE, BriefPart.NOTES),
                Set.of(),
                List.of()))
        .isEmpty();
  }

  @Test
  void aQuestionBelongsIntoSomeSectionByItsHeadingOrItsNote() {
    assertThat(lacks(brief(new Section("Winter", 0, "")), QUESTIONS))
        .containsExactly(new BriefLack(Place.OUTLINE, null, "sections for 2 questions"));
    assertThat(lacks(brief(new Section("Winter", 0, "when to stop feeding bees")), QUESTIONS))
        .containsExactly(new BriefLack(Place.OUTLINE, null, "sections for 1 question"));
    assertThat(
            lacks(
                brief(
                    new Section("Why bees swarm", 0, ""), new Section("Stop feeding bees", 1, "")),
                QUESTIONS))
        .isEmpty();
  }

  @Test
  void theOrderOfSectionsAndQuestionsDoesNotMatter() {
    Random random = new Random(6);
    for (int run = 0; run < 500; run++) {
      List<Section> sections = new ArrayList<>();
      List<String> questions = new ArrayList<>();
      for (int i = 0; i < 1 + random.nextInt(6); i++) {
        sections.add(new Section("word" + random.nextInt(9), 0, "of word" + random.nextInt(9)));
        questions.add("Why word" + random.nextInt(9) + " and word" + random.nextInt(9) + "?");
      }
      List<BriefLack> lacks = lacks(brief(sections.toArray(Section[]::new)), questions);
      Collections.shuffle(sections, random);
      Collections.shuffle(questions, random);
      assertThat(lacks(brief(sections.toArray(Section[]::new)), questions)).isEqualTo(lacks);
    }
  }
}
