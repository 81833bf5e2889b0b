package osmerin.core.text;

import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.brief.HeadlinePattern;
import osmerin.core.brief.Outline;
import osmerin.core.brief.TitleCheck;
import osmerin.core.checklist.ChecklistItem;
import osmerin.core.checklist.Looked;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.draft.DraftBrief;
import osmerin.core.draft.DraftCheck;
import osmerin.core.draft.DraftDocument;
import osmerin.core.evidence.WordRange;
import osmerin.core.intent.IntentReader;
import osmerin.core.keyword.ExcludeList;
import osmerin.core.keyword.NormalForm;
import osmerin.core.keyword.NumberPattern;
import osmerin.core.keyword.PageAddress;
import osmerin.core.runup.Completion;
import osmerin.core.runup.HoursText;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeRow;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.StepRole;
import osmerin.core.support.NastyTexts;
import osmerin.core.workday.DayAfterText;
import osmerin.core.workday.DayText;

/** Whatever reads text takes little time for 40 kB of any. */
class NastyTextTest {
  /** Most take a tenth of it; the machine of the tests compiles lightly and is shared. */
  private static final Duration MOST = Duration.ofMillis(400);

  private static final LocalDate TODAY = LocalDate.of(2026, 12, 2);
  private static final Set<StepRole> ROLES = Set.copyOf(StepRole.SHIPPED);

  private static Map<String, Consumer<String>> readers() {
    Map<String, Consumer<String>> readers = new LinkedHashMap<>();
    readers.put("day", text -> DayText.read(text, TODAY));
    readers.put("day after another", DayAfterText::read);
    readers.put("hours", HoursText::read);
    readers.put(
        "recipe", text -> Recipe.read(RecipeText.rows(text, ROLES, List.of()), ROLES).isSound());
    readers.put("step", text -> Recipe.read(List.of(row(text), row(text)), ROLES).isSound());
    readers.put("role", StepRole::valueOf);
    readers.put("normal form", NormalForm::of);
    readers.put("number pattern", text -> NumberPattern.of(List.of(text)));
    readers.put("page", PageAddress::of);
    readers.put("intent", text -> new IntentReader().read(text, null));
    readers.put("excluded", text -> new ExcludeList(List.of()).excludes(text));
    readers.put("reference", ReferenceNumber::read);
    readers.put("word range", text -> WordRange.read(text, text));
    readers.put("title", text -> TitleCheck.of(text, "a b"));
    readers.put("headline", text -> HeadlinePattern.of(text, "a b"));
    readers.put("checklist item", text -> ChecklistItem.byHand(text, null));
    readers.put("words", Words::of);
    readers.put("stems", text -> new Stems().subject(text));
    readers.put("phrase", text -> new PhraseMatch(text, new Stems()).in(text));
    readers.put("language", text -> LanguageGuess.from(List.of(text), Language.ENGLISH).of(text));
    readers.put("draft", NastyTextTest::check);
    return readers;
  }

  private static RecipeRow row(String text) {
    return new RecipeRow("", text, "writer", text, text, text, Completion.HAND);
  }

  /** A draft whose text, title, description and addresses are all of it. */
  private static void check(String text) {
    DraftDocument draft =
        new DraftDocument(
            List.of(new DraftDocument.Heading(1, text, 1), new DraftDocument.Text(text, 2)),
            Optional.of(text),
            List.of(new DraftDocument.Picture(text, text, 3)),
            List.of(new DraftDocument.Link(text, text, 4)));
    DraftBrief brief =
        new DraftBrief(
            text, "a b", List.of("c d"), Optional.empty(), new Outline(List.of()), List.of());
    DraftCheck check = DraftCheck.of(draft, brief);
    Looked looked = new Looked(draft, check, text, text);
    for (OwnCheck own : OwnCheck.values()) {
      own.look(looked);
    }
  }

  @ParameterizedTest
  @MethodSource("osmerin.core.support.NastyTexts#names")
  void everyReaderTakesLittleTime(String name) {
    NastyTexts.read(readers(), Set.of(IllegalArgumentException.class), name, MOST);
  }
}
