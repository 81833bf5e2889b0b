package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.Term;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

class TitleIdeasTest {
  private static final PagesSay ASKS =
      new PagesSay(
          List.of(), List.of("Do bees sleep?", "When does winter feeding begin?"), List.of());

  private static TitleIdeas.Source source(String keyword, Language language, PageKind kind) {
    return new TitleIdeas.Source(
        keyword,
        language,
        new Evidence(
            List.of(),
            Optional.empty(),
            List.of(new Term("winter feeding", 5, 1, 2, 3), new Term("fondant", 4, 1, 2, 3))),
        ASKS,
        List.of(kind),
        4);
  }

  @Test
  void theSitesOwnPatternsComeFirstAndQuestionsThatHaveTheKeywordLast() {
    List<String> ideas =
        TitleIdeas.of(
            source("winter feeding", Language.ENGLISH, PageKind.HOW_TO),
            List.of(new HeadlinePattern("[keyword] in [number] steps")),
            List.of());
    assertThat(ideas.get(0)).isEqualTo("Winter feeding in 4 steps");
    assertThat(ideas)
        .contains("When does winter feeding begin?", "Winter feeding: do bees sleep?")
        .doesNotContain("Do bees sleep?");
    assertThat(ideas).noneMatch(title -> title.contains("fondant"));
  }

  @Test
  void aKeywordOfAnotherLanguageGetsNoEnglishPattern() {
    TitleIdeas.Source asked = source("bienen füttern", Language.GERMAN, PageKind.HOW_TO);
    assertThat(TitleIdeas.of(asked, List.of(), List.of()))
        .containsExactly("Bienen füttern: Do bees sleep?");
    assertThat(
            TitleIdeas.of(
                source("bienen füttern", Language.GERMAN, PageKind.HOW_TO),
                List.of(new HeadlinePattern("[keyword]: was wir anders machen")),
                List.of()))
        .startsWith("Bienen füttern: was wir anders machen");
  }

  @Test
  void whatMostPagesTreatStandsBehindTheKeyword() {
    List<PagesSay.Heading> headings =
        List.of(
            new PagesSay.Heading("Step by step", 9, 0.1),
            new PagesSay.Heading("Fondant on top", 6, 0.5),
            new PagesSay.Heading("What of fondant?", 6, 0.5),
            new PagesSay.Heading("Winter feeding", 5, 0.7),
            new PagesSay.Heading("Feeding in spring", 4, 0.2),
            new PagesSay.Heading("Hives for winter feeding", 4, 0.2));
    assertThat(TitleIdeas.of(saying(headings, List.of()), List.of(), List.of()))
        .contains("Bee hives: fondant on top and winter feeding")
        .noneMatch(title -> title.contains("tep by step"));
  }

  @Test
  void headingsInCapitalsAndNamesAreNotHalfLowered() {
    List<PagesSay.Heading> headings =
        List.of(
            new PagesSay.Heading("Fondant On Top", 6, 0.5),
            new PagesSay.Heading("Winter Feeding", 5, 0.7));
    assertThat(
            TitleIdeas.of(
                saying(headings, List.of("Is DDT a danger?", "When do I begin?")),
                List.of(),
                List.of()))
        .contains("Bee hives: Fondant On Top and Winter Feeding", "Bee hives: Is DDT a danger?");
  }

  private static TitleIdeas.Source saying(List<PagesSay.Heading> headings, List<String> questions) {
    TitleIdeas.Source plain = source("bee hives", Language.ENGLISH, PageKind.HOW_TO);
    return new TitleIdeas.Source(
        plain.keyword(),
        plain.language(),
        plain.evidence(),
        new PagesSay(headings, questions, List.of()),
        plain.kinds(),
        0);
  }

  @Test
  void withoutAKeywordThereAreNone() {
    assertThat(TitleIdeas.of(source(" ", Language.ENGLISH, PageKind.LIST), List.of(), List.of()))
        .isEmpty();
  }

  @Test
  void nothingIsTooWideOrSaidTwiceWhateverTheKeyword() {
    Random random = new Random(3);
    Stems stems = new Stems();
    String[] words = {"how", "to", "buy", "best", "hive", "winter", "feeding", "vs", "smoker"};
    for (int run = 0; run < 1_000; run++) {
      StringBuilder keyword = new StringBuilder("bee");
      for (int i = random.nextInt(6); i > 0; i--) {
        keyword.append(' ').append(words[random.nextInt(words.length)]);
      }
      PageKind kind = PageKind.values()[random.nextInt(PageKind.values().length)];
      TitleIdeas.Source source = source(keyword.toString(), Language.ENGLISH, kind);
      List<String> first = TitleIdeas.of(source, List.of(), List.of());
      List<String> all = new ArrayList<>(first);
      all.addAll(TitleIdeas.of(source, List.of(), first));
      assertThat(first).hasSizeLessThanOrEqualTo(TitleIdeas.MOST);
      assertThat(all.stream().map(stems::subject)).doesNotHaveDuplicates();
      assertThat(all)
          .extracting(title -> TitleCheck.of(title, source.keyword()))
          .allMatch(check -> check.pixels() <= TitleCheck.MOST_PIXELS)
          .noneMatch(check -> check.intent() == Verdict.NOT_MET);
    }
  }

  @Test
  void aTypeIsProposedByWhatRanksElseByTheIntent() {
    List<String> types = List.of("Post", "How-to guide", "Side-by-side comparison");
    List<PageKind> guides = List.of(PageKind.HOW_TO, PageKind.SHOP, PageKind.SHOP);
    assertThat(TypeProposal.of(types, guides, SearchIntent.COMMERCIAL)).isEqualTo(1);
    assertThat(TypeProposal.of(types, List.of(), SearchIntent.COMMERCIAL)).isEqualTo(2);
    assertThat(TypeProposal.of(types, List.of(PageKind.LIST), SearchIntent.INFORMATIONAL)).isZero();
    assertThat(TypeProposal.of(List.of("Beitrag"), guides, SearchIntent.COMMERCIAL)).isZero();
  }
}
