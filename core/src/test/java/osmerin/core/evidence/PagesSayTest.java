package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import osmerin.core.evidence.PageBlock.Kind;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Language;

class PagesSayTest {
  private static ReadPage page(String name, String... lines) {
    List<PageBlock> blocks = new ArrayList<>();
    for (String line : lines) {
      boolean heading = line.startsWith("# ");
      String text = heading ? line.substring(2) : line;
      blocks.add(new PageBlock(heading ? Kind.HEADING : Kind.PARAGRAPH, text, null));
    }
    return new ReadPage(name, name, blocks, PageSigns.NONE);
  }

  private static final List<ReadPage> HIVES =
      List.of(
          page(
              "one",
              "# When to harvest honey",
              "Harvest once four fifths of the comb is capped with wax. Bees hate the smoke.",
              "# How much honey does a hive give?",
              "A strong hive gives about fifteen kilos of honey in a good summer."),
          page(
              "two",
              "An opening that nobody else has, about the colour of boots.",
              "# Harvesting the honey: when?",
              "Take the frames when four fifths of the comb have been capped with wax.",
              "Is it worth it?",
              "In a good summer about fifteen kilos of honey come from one strong hive."),
          page("three", "# Boots", "Rubber boots keep the feet dry while you stand in wet grass."));

  @Test
  void headingsOfOneMeaningAreGatheredWithTheirPlace() {
    PagesSay say = PagesSay.of(HIVES);
    PagesSay.Heading first = say.headings().get(0);
    assertThat(first.pages()).isEqualTo(2);
    assertThat(first.text().toLowerCase()).contains("honey");
    assertThat(first.place()).isBetween(0.0, 0.4);
    assertThat(say.headings()).extracting(PagesSay.Heading::text).contains("Boots");
  }

  @Test
  void questionsAreHeadingsAndSentencesThatAsk() {
    assertThat(PagesSay.of(HIVES).questions())
        .contains("How much honey does a hive give?", "Is it worth it?")
        .doesNotContain("Boots");
  }

  @Test
  void aSubjectIsNoQuestionAndTheTitleNoHeading() {
    ReadPage page =
        page("Bees in winter", "# Bees in winter", "# What it costs", "# Why do they cluster");
    PagesSay say = PagesSay.of(List.of(page));
    assertThat(say.questions()).containsExactly("Why do they cluster");
    assertThat(say.headings())
        .extracting(PagesSay.Heading::text)
        .containsExactly("What it costs", "Why do they cluster");
  }

  @Test
  void theNumberOfAHeadingIsNoPartOfWhatItSays() {
    PagesSay say =
        PagesSay.of(
            List.of(
                page("one", "# Step 3: Flour, water, salt", "# 2. Baking"),
                page("two", "# 4) Flour, water, salt", "# 10 loaves", "# 3.")));
    assertThat(say.headings())
        .extracting(PagesSay.Heading::text)
        .containsExactlyInAnyOrder("Flour, water, salt", "Baking", "10 loaves", "3.");
    assertThat(say.headings().get(0).pages()).isEqualTo(2);
  }

  /** Nears two sentences that share no word, and knows English only. */
  private static final Meaning MEANT =
      new Meaning() {
        @Override
        public String model() {
          return "by letters";
        }

        @Override
        public boolean knows(Language language) {
          return language == Language.ENGLISH;
        }

        @Override
        public Map<String, float[]> vectors(Collection<String> texts) {
          return texts.stream().distinct().collect(Collectors.toMap(t -> t, t -> vector(t)));
        }

        private float[] vector(String text) {
          boolean frost = text.contains("frost") || text.contains("icy");
          return frost ? new float[] {1, 0} : new float[] {0, 1};
        }
      };

  @Test
  void whatMeansTheSameIsOnePointThoughNoWordIsShared() {
    List<ReadPage> pages =
        List.of(
            page("one", "Hard frost kills tender shoots within one single night outdoors."),
            page("two", "Icy temperatures destroy young growth before the icy sun is up."));
    assertThat(PagesSay.of(pages).points()).isEmpty();
    assertThat(PagesSay.of(pages, List.of(), MEANT).points()).hasSize(1);
  }

  @Test
  void aLanguageThatIsNotKnownIsGatheredByWords() {
    List<ReadPage> pages =
        List.of(
            page("eins", "Harter frost tötet die zarten Triebe und das in nur einer Nacht."),
            page("zwei", "Bei icy Wetter erfriert der junge Wuchs und die Sonne ist nicht da."));
    assertThat(PagesSay.of(pages, List.of(), MEANT)).isEqualTo(PagesSay.of(pages));
  }

  @Test
  void aPointIsWhatSeveralPagesSayWithTheSentencesThatSayIt() {
    List<PagesSay.Point> points = PagesSay.of(HIVES).points();
    assertThat(points).hasSize(2);
    assertThat(points)
        .anySatisfy(
            point ->
                assertThat(point.sources())
                    .containsExactly(new PagesSay.Source("one", 2), new PagesSay.Source("two", 3)))
        .anySatisfy(
            point ->
                assertThat(point.sources())
                    .containsExactly(new PagesSay.Source("one", 5), new PagesSay.Source("two", 5)));
  }

  @Test
  void whatOnePageSaysTwiceIsNoPoint() {
    ReadPage twice =
        page(
            "one",
            "Harvest once four fifths of the comb is capped with wax.",
            "Harvest when four fifths of the comb have been capped with wax.");
    assertThat(PagesSay.of(List.of(twice)).points()).isEmpty();
    assertThat(PagesSay.of(List.of()).points()).isEmpty();
  }

  /** No gathering has two sentences of a page, yet a point stands once. */
  @Test
  void whatPagesSayTwiceStandsOnce() {
    String one = "Harvest once four fifths of the comb is capped with wax.";
    String other = "Harvest when four fifths of the comb have been capped with wax.";
    PagesSay say =
        PagesSay.of(
            List.of(
                page("one", one, other, "What do you think?"),
                page("two", one, other, "What do you think?"),
                page("three", other, one, "What do you think?")));
    assertThat(say.points())
        .singleElement()
        .satisfies(point -> assertThat(point.sources()).hasSize(6))
        .satisfies(point -> assertThat(point.sayers()).isEqualTo(3));
    assertThat(say.questions()).containsExactly("What do you think?");
  }

  @Test
  void theOrderOfThePagesChangesNoPoint() {
    List<ReadPage> turned = new ArrayList<>(HIVES);
    java.util.Collections.reverse(turned);
    assertThat(PagesSay.of(turned).points())
        .extracting(PagesSay.Point::text)
        .containsExactlyInAnyOrderElementsOf(
            PagesSay.of(HIVES).points().stream().map(PagesSay.Point::text).toList());
  }

  @Test
  void sentencesCountFromOneAndAHeadingIsOne() {
    assertThat(HIVES.get(0).sentences())
        .extracting(ReadPage.Sentence::number)
        .containsExactly(1, 2, 3, 4, 5);
    assertThat(Sentences.of("Fire at approx. 1,060 °C, i.e. cone 04. Then wait."))
        .containsExactly("Fire at approx. 1,060 °C, i.e. cone 04.", "Then wait.");
    assertThat(Sentences.of(" ")).isEmpty();
  }
}
