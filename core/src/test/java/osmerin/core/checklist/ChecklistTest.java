package osmerin.core.checklist;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.brief.Outline;
import osmerin.core.draft.DraftBrief;
import osmerin.core.draft.DraftCheck;
import osmerin.core.draft.DraftDocument;
import osmerin.core.draft.DraftDocument.Block;
import osmerin.core.draft.DraftDocument.Heading;
import osmerin.core.draft.DraftDocument.Link;
import osmerin.core.draft.DraftDocument.Picture;
import osmerin.core.draft.DraftDocument.Text;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.StepRole;

class ChecklistTest {
  private static final List<Block> BLOCKS =
      List.of(
          new Heading(1, "How eels find their way at night", 1),
          new Text("They travel far.", 3),
          new Heading(2, "The moon", 5),
          new Text("word ".repeat(100).strip(), 7));

  private static DraftDocument draft(String description, List<Picture> pictures, Link... links) {
    return new DraftDocument(
        BLOCKS, Optional.ofNullable(description), pictures, Arrays.asList(links));
  }

  private static Looked looked(DraftDocument draft, Optional<WordRange> length) {
    DraftBrief brief = new DraftBrief("Eels", "", List.of(), length, Outline.NONE, List.of());
    DraftCheck check = DraftCheck.of(draft, brief);
    return new Looked(draft, check, draft.title().orElse(""), "https://www.loam.example/blog");
  }

  private static OwnCheck.Found look(OwnCheck own, DraftDocument draft) {
    return own.look(looked(draft, Optional.empty()));
  }

  private static DraftDocument links(String... addresses) {
    Link[] links = Arrays.stream(addresses).map(a -> new Link("there", a, 3)).toArray(Link[]::new);
    return draft(null, List.of(), links);
  }

  @Test
  void a_title_that_would_be_cut_off_or_is_missing_is_open() {
    assertThat(look(OwnCheck.TITLE, draft(null, List.of())).met()).isTrue();
    DraftDocument wide = new DraftDocument(List.of(new Heading(1, "Wide words ".repeat(9), 1)));
    assertThat(look(OwnCheck.TITLE, wide).met()).isFalse();
    assertThat(look(OwnCheck.TITLE, wide).said()).contains("of 580 pixels");
    assertThat(look(OwnCheck.TITLE, new DraftDocument(List.of())).met()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"69,false", "70,true", "160,true", "161,false"})
  void a_description_has_70_to_160_characters(int characters, boolean met) {
    DraftDocument draft = draft("d".repeat(characters), List.of());
    assertThat(look(OwnCheck.DESCRIPTION, draft).met()).isEqualTo(met);
    assertThat(look(OwnCheck.DESCRIPTION, draft).said()).contains(characters + " characters");
    assertThat(look(OwnCheck.DESCRIPTION, draft(null, List.of())).met()).isFalse();
  }

  @Test
  void headings_that_jump_or_are_missing_are_open() {
    assertThat(look(OwnCheck.HEADINGS, draft(null, List.of())).met()).isTrue();
    DraftDocument jumps =
        new DraftDocument(List.of(new Heading(1, "Eels", 1), new Heading(3, "The moon", 2)));
    assertThat(look(OwnCheck.HEADINGS, jumps).met()).isFalse();
    assertThat(look(OwnCheck.HEADINGS, jumps).said()).contains("“The moon” jumps");
    assertThat(look(OwnCheck.HEADINGS, new DraftDocument(List.of())).met()).isFalse();
  }

  @Test
  void every_picture_has_alternative_text_and_there_is_one() {
    assertThat(look(OwnCheck.PICTURES, draft(null, List.of())).said()).isEqualTo("no picture");
    List<Picture> bare = List.of(new Picture("An eel", "eel.jpg", 4), new Picture(" ", "b.jpg", 9));
    assertThat(look(OwnCheck.PICTURES, draft(null, bare)).met()).isFalse();
    assertThat(look(OwnCheck.PICTURES, draft(null, bare)).said()).contains("line 9");
    assertThat(look(OwnCheck.PICTURES, draft(null, bare.subList(0, 1))).met()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/eels",
        "eels.html",
        "https://loam.example/eels",
        "http://www.loam.example",
        "//loam.example/x",
        "HTTPS://LOAM.example/eels"
      })
  void a_link_without_a_host_or_with_the_sites_is_its_own(String address) {
    assertThat(look(OwnCheck.LINKS, links(address)).met()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "https://other.example/loam.example",
        "mailto:a@loam.example",
        "https://loam.example.evil/"
      })
  void other_links_are_none_of_its_own(String address) {
    assertThat(look(OwnCheck.LINKS, links(address)).met()).isFalse();
    assertThat(look(OwnCheck.LINKS, links(address)).said()).contains("0 to pages of the site");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "#", "https://", "javascript:alert(1)", "htt p://x", "mailto:nobody"})
  void a_link_that_leads_nowhere_is_named(String address) {
    OwnCheck.Found found = look(OwnCheck.LINKS, links("/eels", address));
    assertThat(found.met()).isFalse();
    assertThat(found.said()).isEqualTo("broken: “there”, line 3");
  }

  @Test
  void the_length_is_near_its_target_or_there_is_none() {
    DraftDocument draft = draft(null, List.of());
    assertThat(OwnCheck.LENGTH.look(looked(draft, Optional.empty())).met()).isTrue();
    assertThat(near(draft, 90, 120)).isTrue();
    assertThat(near(draft, 120, 150)).isTrue();
    assertThat(near(draft, 400, 500)).isFalse();
  }

  private static boolean near(DraftDocument draft, int low, int high) {
    return OwnCheck.LENGTH.look(looked(draft, Optional.of(WordRange.of(low, high)))).met();
  }

  @Test
  void what_people_tick_counts_by_its_words_and_the_rest_by_what_is_seen() {
    ChecklistItem names = ChecklistItem.byHand("Names are right", StepRole.EDITOR);
    ChecklistItem rights = ChecklistItem.byHand("Rights are cleared", null);
    List<ChecklistItem> items = List.of(ChecklistItem.of(OwnCheck.PICTURES), names, rights);
    Set<String> ticked = Set.of(names.key(), "pictures", "gone");

    Checklist list = Checklist.of(items, ticked, looked(draft(null, List.of()), Optional.empty()));

    assertThat(list.open())
        .extracting(line -> line.item().text())
        .containsExactly(OwnCheck.PICTURES.label(), "Rights are cleared");
  }

  @Test
  void the_same_words_are_the_same_thing() {
    String key = ChecklistItem.byHand("Names & figures: right?", null).key();
    assertThat(key).isEqualTo(ChecklistItem.byHand("names, figures — right", null).key());
    assertThat(key).isNotEqualTo(ChecklistItem.byHand("Names are right", null).key());
    assertThat(ChecklistItem.byHand("Pictures", null).key())
        .isNotEqualTo(ChecklistItem.of(OwnCheck.PICTURES).key());
  }
}
