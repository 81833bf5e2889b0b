package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.BriefLack.Place;
import osmerin.core.brief.BriefLack.Written;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.WordRange;

class BriefLackTest {
  private static final List<String> QUESTIONS =
      List.of("When do you stop feeding bees?", "Why do bees swarm?");

  private static Written brief(Section... sections) {
    return new Written(
        "Bees",
        "bees",
        "Beginners",
        "The tide",
        Optional.of(new WordRange(1, 2, 3)),
        new Outline(List.of(sections)));
  }

  @Test
  void anEmptyBriefLacksEverythingInItsOrder() {
    Written empty = new Written("", " ", "", "", Optional.empty(), Outline.NONE);
    assertThat(BriefLack.of(empty, QUESTIONS))
        .extracting(BriefLack::place)
        .containsExactly(Place.values());
    assertThat(BriefLack.of(empty, QUESTIONS).get(5).words()).isEqualTo("an outline");
  }

  @Test
  void aQuestionBelongsIntoSomeSectionByItsHeadingOrItsNote() {
    assertThat(BriefLack.of(brief(new Section("Winter", 0, "")), QUESTIONS))
        .containsExactly(new BriefLack(Place.OUTLINE, "sections for 2 questions"));
    assertThat(
            BriefLack.of(brief(new Section("Winter", 0, "when to stop feeding bees")), QUESTIONS))
        .containsExactly(new BriefLack(Place.OUTLINE, "sections for 1 question"));
    assertThat(
            BriefLack.of(
                brief(
                    new Section("Why bees swarm", 0, ""), new Section("Stop feeding bees", 1, "")),
                QUESTIONS))
        .isEmpty();
    assertThat(BriefLack.of(brief(new Section("Winter", 0, "")), List.of())).isEmpty();
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
      List<BriefLack> lacks = BriefLack.of(brief(sections.toArray(Section[]::new)), questions);
      Collections.shuffle(sections, random);
      Collections.shuffle(questions, random);
      assertThat(BriefLack.of(brief(sections.toArray(Section[]::new)), questions)).isEqualTo(lacks);
    }
  }
}
