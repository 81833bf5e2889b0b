package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class EvidenceChangeTest {
  private static EvidenceChange.State state(
      List<String> addresses, List<String> terms, List<String> headings) {
    List<RankingPage> pages =
        addresses.stream().map(a -> new RankingPage(a, "Page " + a, List.of(), List.of())).toList();
    List<Term> used = terms.stream().map(t -> new Term(t, 2, 1, 2, 1)).toList();
    List<PagesSay.Heading> shared =
        headings.stream().map(h -> new PagesSay.Heading(h, 2, 0.5)).toList();
    PagesSay.Heading single = new PagesSay.Heading("Of one page only", 1, 0.9);
    return new EvidenceChange.State(
        new Evidence(pages, Optional.empty(), used),
        new PagesSay(
            Stream.concat(shared.stream(), Stream.of(single)).toList(), List.of(), List.of()));
  }

  @Test
  void newAndGonePagesTermsAndHeadingsAreTold() {
    EvidenceChange change =
        EvidenceChange.between(
            state(
                List.of("https://a.example/", "saved.html"),
                List.of("comb", "wax"),
                List.of("Costs")),
            state(
                List.of("https://b.example/", "saved.html"),
                List.of("wax", "smoke"),
                List.of("When")));
    assertThat(change.newPages())
        .extracting(RankingPage::address)
        .containsExactly("https://b.example/");
    assertThat(change.gonePages())
        .extracting(RankingPage::address)
        .containsExactly("https://a.example/");
    assertThat(change.newTerms()).containsExactly("smoke");
    assertThat(change.goneTerms()).containsExactly("comb");
    assertThat(change.newHeadings()).containsExactly("When");
    assertThat(change.goneHeadings()).containsExactly("Costs");
    assertThat(change.isNothing()).isFalse();
  }

  @Test
  void anAddressInOtherSpellingIsTheSamePage() {
    EvidenceChange.State before =
        state(List.of("http://www.a.example/x/"), List.of("Comb"), List.of());
    EvidenceChange.State now =
        state(List.of("https://a.example/x?utm_source=y"), List.of("comb"), List.of());
    assertThat(EvidenceChange.between(before, now).isNothing()).isTrue();
    assertThat(EvidenceChange.between(before, before).isNothing()).isTrue();
  }
}
