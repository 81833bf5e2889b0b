package osmerin.app.grouping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupPages;
import osmerin.app.groups.GroupPages.Member;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.FoundResearch;
import osmerin.app.topics.TopicEdits;
import osmerin.app.topics.TopicRow;
import osmerin.app.topics.TopicService;
import osmerin.core.article.Kind;
import osmerin.core.group.Cohesion.Doubt;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

class GroupEditsTest extends ApplicationTest {
  private static final String TRAPS = "t.example/1 t.example/2 t.example/3 t.example/4";
  private static final String BREAD = "b.example/1 b.example/2 b.example/3 b.example/4";
  private static final String SMOKE = "s.example/1 s.example/2 s.example/3 s.example/4";
  private static final String FILE =
      """
      keyword,volume,difficulty,urls
      eel trap,900,20,%1$s
      catch eels,300,30,%1$s
      eel net,100,10,%1$s
      rye bread,400,30,%2$s
      bake rye,200,30,%2$s
      smoked eel,50,60,%3$s
      """
          .formatted(TRAPS, BREAD, SMOKE);

  @Autowired private ImportService imports;
  @Autowired private GroupService groupService;
  @Autowired private GroupLists groupLists;
  @Autowired private TopicService topicService;
  @Autowired private SiteKeywords siteKeywords;
  @Autowired private GroupPages pages;
  @Autowired private GroupEdits edits;
  @Autowired private GroupMarks marks;
  @Autowired private TopicEdits topics;
  @Autowired private FullRunService runs;
  @Autowired private ArticleService articles;
  @Autowired private History history;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void threeGroups() {
    site = emptySite();
    bring(FILE);
  }

  private void bring(String file) {
    imports.importFile(site, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aKeywordMovesWithItsDemandAndTheMoveIsKeptAtTheNextImport() {
    edits.move(site, List.of(keyword("eel net")), group("rye bread"));
    assertThat(row("rye bread").searches()).isEqualTo(700);
    assertThat(row("eel trap").searches()).isEqualTo(1_200);
    assertThat(row("eel trap").keywords()).isEqualTo(2);
    bring(FILE + "new eel net,10,,%s\n".formatted(TRAPS));
    assertThat(members("rye bread")).contains("eel net");
    assertThat(members("eel trap")).containsExactly("eel trap", "catch eels", "new eel net");
  }

  @Test
  void aMergeJoinsDemandAndArticlesFollow() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Smoke", type, group("smoked eel"), Map.of(), null));
    edits.merge(site, List.of(group("smoked eel"), group("rye bread")), group("eel trap"));
    assertThat(groups().keySet()).containsExactly("eel trap");
    assertThat(row("eel trap").searches()).isEqualTo(1_950);
    assertThat(answers("eel trap")).containsExactly("Smoke");
    undo.undoLatest(site);
    assertThat(groups().keySet()).containsExactly("eel trap", "rye bread", "smoked eel");
    assertThat(answers("smoked eel")).containsExactly("Smoke");
    assertThat(answers("eel trap")).isEmpty();
  }

  @Test
  void aSplitStandsAfterAFullRun() {
    Map<String, List<String>> before = groups();
    edits.split(site, List.of(keyword("catch eels"), keyword("eel net")));
    assertThat(members("catch eels")).containsExactly("catch eels", "eel net");
    assertThat(row("catch eels").topicId()).isEqualTo(row("eel trap").topicId());
    Map<String, List<String>> split = groups();
    assertThat(runs.preview(site, 3, Mode.LOOSE, 43).moves()).isEmpty();
    bring(FILE);
    assertThat(groups()).isEqualTo(split);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(groups()).isEqualTo(before);
  }

  @Test
  void aGroupComesApartAsProposed() {
    edits.merge(site, List.of(group("rye bread")), group("eel trap"));
    assertThat(edits.proposal(site, group("eel trap")).parts()).hasSize(2);
    assertThatThrownBy(() -> edits.splitAsProposed(site, group("eel trap"), 3))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("2 parts");
    edits.splitAsProposed(site, group("eel trap"), 2);
    assertThat(members("rye bread")).containsExactly("rye bread", "bake rye");
    assertThat(members("eel trap")).containsExactly("eel trap", "catch eels", "eel net");
  }

  @Test
  void whatIsTakenOutWaitsThroughImportsAndRuns() {
    edits.takeOut(site, List.of(keyword("eel net")));
    edits.dissolve(site, List.of(group("rye bread")));
    bring(FILE);
    runs.apply(site, 3, Mode.LOOSE, 43, runs.preview(site, 3, Mode.LOOSE, 43).seal());
    assertThat(groups().keySet()).containsExactly("eel trap", "smoked eel");
    assertThat(waiting()).containsExactlyInAnyOrder("eel net", "rye bread", "bake rye");
  }

  @Test
  void aLaterKeywordThatFitsNowhereAndHasNoPagesWaits() {
    bring("keyword,volume\nthimble,70\neel trap plan,30\n");
    assertThat(waiting()).containsExactly("thimble");
    assertThat(members("eel trap")).contains("eel trap plan");
    edits.split(site, List.of(keyword("thimble")));
    assertThat(groups()).containsKey("thimble");
    undo.undoLatest(site);
    assertThat(waiting()).containsExactly("thimble");
  }

  @Test
  void aLockedGroupIsLeftAlone() {
    marks.lock(site, List.of(group("eel trap")), true);
    bring("keyword,volume,urls\ntrap eels,70,%s\n".formatted(TRAPS));
    assertThat(members("eel trap")).doesNotContain("trap eels");
    assertThatThrownBy(() -> edits.move(site, List.of(keyword("eel net")), group("rye bread")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("locked");
    undo.undoLatest(site);
    undo.undoLatest(site);
    edits.move(site, List.of(keyword("eel net")), group("rye bread"));
  }

  @Test
  void aGroupThatAnArticleAnswersKeepsAKeyword() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Smoke", type, group("smoked eel"), Map.of(), null));
    assertThatThrownBy(() -> edits.dissolve(site, List.of(group("smoked eel"))))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("smoked eel");
    assertThat(groups()).containsKey("smoked eel");
  }

  @Test
  void nameIntentTopicAndPillarOutliveImportsAndCanBeTakenBack() {
    long trap = group("eel trap");
    marks.rename(site, trap, "Traps for eels", "eel trap");
    marks.setIntent(site, List.of(trap), SearchIntent.TRANSACTIONAL, FunnelStage.DECISION);
    marks.toTopic(site, List.of(trap, group("smoked eel")), "Eels");
    TopicRow eels = topic("Eels");
    topics.choosePillar(site, eels.id(), group("smoked eel"));
    topics.rename(site, eels.id(), "All of eels", "Eels");
    bring(FILE + "eel trap shop,5000,,%s\n".formatted(TRAPS));
    assertThat(row("Traps for eels").intent()).isEqualTo(SearchIntent.TRANSACTIONAL);
    assertThat(row("Traps for eels").funnelStage()).isEqualTo(FunnelStage.DECISION);
    assertThat(topic("All of eels").pillar()).isEqualTo("smoked eel");
    assertThat(row("Traps for eels").topic()).isEqualTo("All of eels");
    for (int i = 0; i < 6; i++) {
      undo.undoLatest(site);
    }
    assertThat(row("eel trap").intent()).isEqualTo(SearchIntent.INFORMATIONAL);
    assertThat(topicService.topicNames(site))
        .extracting(TopicRow::name)
        .doesNotContain("All of eels");
  }

  @Test
  void aNameThatSomebodyChangedMeanwhileIsShownBesideOnesOwn() {
    long trap = group("eel trap");
    marks.rename(site, trap, "Traps", "eel trap");
    assertThatThrownBy(() -> marks.rename(site, trap, "Eel traps", "eel trap"))
        .isInstanceOf(ConflictException.class);
    assertThatThrownBy(() -> marks.rename(site, trap, "  ", "Traps"))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void thereAreFiveLeadTopicsAtMost() {
    for (int i = 0; i < 6; i++) {
      bring(
          "keyword,volume,urls\nalone%1$d,5,f%1$d.example/1 f%1$d.example/2 f%1$d.example/3 f%1$d.example/4 f%1$d.example/5\n"
              .formatted(i));
      marks.toTopic(site, List.of(group("alone" + i)), "Topic " + i);
    }
    for (int i = 0; i < 5; i++) {
      topics.focus(site, topic("Topic " + i).id(), true);
    }
    assertThatThrownBy(() -> topics.focus(site, topic("Topic 5").id(), true))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("5 lead topics");
    undo.undoLatest(site);
    topics.focus(site, topic("Topic 5").id(), true);
    assertThat(topic("Topic 5").focusAt()).isNotNull();
  }

  @Test
  void aFullRunDoesWhatItShowedAndIsOneUndo() {
    Map<String, List<String>> before = groups();
    bring("keyword,volume,urls\nrye bread,400,%1$s\nbake rye,200,%1$s\n".formatted(TRAPS));
    RunPreview preview = runs.preview(site, 3, Mode.LOOSE, 43);
    assertThat(preview.now()).isEqualTo(3);
    assertThat(preview.groups()).isEqualTo(2);
    assertThat(preview.ended()).isEqualTo(1);
    assertThat(preview.moves())
        .extracting(RunPreview.Move::keyword)
        .containsExactly("rye bread", "bake rye");
    assertThatThrownBy(() -> runs.apply(site, 3, Mode.LOOSE, 43, "0-0"))
        .isInstanceOf(RefusedException.class);
    runs.apply(site, 3, Mode.LOOSE, 43, preview.seal());
    assertThat(members("eel trap")).contains("rye bread", "bake rye");
    assertThat(groups()).hasSize(2);
    assertThat(runs.preview(site, 3, Mode.LOOSE, 43).moves()).isEmpty();
    undo.undoLatest(site);
    assertThat(groups()).isEqualTo(before);
  }

  @Test
  void settingsHoldForLaterImportsWithoutMovingAnything() {
    runs.choose(site, 5, Mode.STRICT, 43);
    String others =
        TRAPS.replace("t.example/3", "n.example/1").replace("t.example/4", "n.example/2");
    bring("keyword,volume,urls\nnight fyke,70,%s n.example/3\n".formatted(others));
    assertThat(groups()).hasSize(4);
    assertThat(runs.settings(site).minShared()).isEqualTo(5);
    assertThatThrownBy(() -> runs.choose(site, 11, Mode.LOOSE, 43))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void aFullRunLeavesTheNameWithTheGroupItWasGivenTo() {
    marks.rename(site, group("eel trap"), "Traps", "eel trap");
    bring("keyword,volume,urls\neel trap,900,%1$s\n".formatted(BREAD));
    assertThat(runs.preview(site, 3, Mode.LOOSE, 43).ended()).isLessThan(2);
    runs.apply(site, 3, Mode.LOOSE, 43, runs.preview(site, 3, Mode.LOOSE, 43).seal());
    assertThat(members("Traps")).contains("eel trap");
  }

  @Test
  void anEditCannotBeTakenBackOnceItsKeywordsMovedOn() {
    edits.move(site, List.of(keyword("eel net")), group("rye bread"));
    long first = history.entries(site, Asked.ALL, 0, 1).get(0).id();
    edits.move(site, List.of(keyword("eel net")), group("smoked eel"));
    assertThatThrownBy(() -> undo.undo(site, first))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("eel net");
    undo.undoLatest(site);
    undo.undo(site, first);
    assertThat(members("eel trap")).contains("eel net");
  }

  @Test
  void whatIsNotThereOrNotOnesOwnIsRefused() {
    SiteContext other = emptySite();
    long foreign = keyword("eel net");
    long theirs = group("rye bread");
    assertThatThrownBy(() -> edits.move(other, List.of(foreign), theirs))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> edits.takeOut(other, List.of(foreign)))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> edits.move(site, List.of(), theirs))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Mark");
    assertThatThrownBy(() -> edits.move(site, List.of(keyword("rye bread")), theirs))
        .hasMessageContaining("already");
    assertThatThrownBy(() -> groupService.named(site, "no such group"))
        .hasMessageContaining("no such group");
    SiteContext editor = new SiteContext(site.site(), site.person(), Role.EDITOR, site.today());
    assertThatThrownBy(() -> edits.move(editor, List.of(foreign), theirs))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void aGroupsHistorySaysHowManyKeywordsItHad() {
    edits.move(site, List.of(keyword("eel net")), group("rye bread"));
    assertThat(
            history.entries(site, Asked.of(Thing.GROUP, group("rye bread")), 0, 5).get(0).changes())
        .anySatisfy(
            change -> {
              assertThat(change.before()).isEqualTo("2 keywords");
              assertThat(change.after()).isEqualTo("3 keywords");
            });
  }

  @Test
  void aBriefGetsTheKeywordsBySearchesHoweverDoubtful() {
    edits.move(site, List.of(keyword("smoked eel")), group("eel trap"));
    assertThat(groupService.keywords(site, group("eel trap")).secondary())
        .containsExactly("catch eels", "eel net", "smoked eel");
  }

  @Test
  void aGroupWithoutKeywordsIsShownWithoutAndAnswersNothing() {
    long bread = group("rye bread");
    edits.merge(site, List.of(bread), group("eel trap"));
    assertThat(pages.page(site, bread).members()).isEmpty();
    assertThatThrownBy(() -> groupService.keywords(site, bread))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("rye bread");
    assertThatThrownBy(() -> edits.merge(site, List.of(bread), group("smoked eel")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("no keywords");
  }

  @Test
  void aTopicThatIsLeftByAllItsGroupsIsOutOfSight() {
    marks.toTopic(site, List.of(group("eel trap")), "Eels");
    marks.toTopic(site, List.of(group("eel trap")), "Traps");
    assertThat(topicService.topicNames(site)).extracting(TopicRow::name).doesNotContain("Eels");
    assertThat(topicService.find(site, "Eels", 5))
        .noneMatch(found -> found.kind() == FoundResearch.Kind.TOPIC);
    undo.undoLatest(site);
    assertThat(topic("Eels").pillar()).isEqualTo("eel trap");
  }

  @Test
  void doubtfulMembersStandBehindThePrimaryKeyword() {
    edits.move(site, List.of(keyword("smoked eel")), group("eel trap"));
    List<Member> members = pages.page(site, group("eel trap")).members();
    assertThat(members.get(0).row().text()).isEqualTo("eel trap");
    assertThat(members.get(1).row().text()).isEqualTo("smoked eel");
    assertThat(members.get(1).doubt()).isEqualTo(Doubt.FEW_PAGES);
    assertThat(pages.why(site, keyword("eel trap"), keyword("catch eels")).shared().pages())
        .hasSize(4);
  }

  /** Whatever is done, an import after it moves nothing, and undo after undo leads back. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void handEditsSurviveAnyImportAndAllCanBeTakenBack(long seed) {
    Random random = new Random(seed);
    Map<String, List<String>> start = groups();
    int done = 0;
    for (int i = 0; i < 12; i++) {
      try {
        editAtRandom(random);
        done++;
      } catch (RefusedException e) {
        continue;
      }
    }
    Map<String, List<String>> edited = groups();
    bring(FILE);
    assertThat(groups()).isEqualTo(edited);
    for (int i = 0; i <= done; i++) {
      undo.undoLatest(site);
    }
    assertThat(groups()).isEqualTo(start);
    assertThat(waiting()).isEmpty();
  }

  private void editAtRandom(Random random) {
    List<Long> keywords = new ArrayList<>(keywords().values());
    List<Long> groups =
        groupLists.ofTopic(site, null).stream().map(Group::row).toList().stream()
            .map(GroupRow::id)
            .toList();
    long keyword = keywords.get(random.nextInt(keywords.size()));
    long other = keywords.get(random.nextInt(keywords.size()));
    if (groups.isEmpty()) {
      edits.split(site, List.of(keyword, other));
      return;
    }
    long group = groups.get(random.nextInt(groups.size()));
    switch (random.nextInt(6)) {
      case 0 -> edits.move(site, List.of(keyword, other), group);
      case 1 -> edits.split(site, List.of(keyword, other));
      case 2 -> edits.takeOut(site, List.of(keyword));
      case 3 -> edits.merge(site, List.of(group), groups.get(random.nextInt(groups.size())));
      case 4 -> edits.dissolve(site, List.of(group));
      default -> marks.toTopic(site, List.of(group), "Topic " + random.nextInt(3));
    }
  }

  private Map<String, Long> keywords() {
    Map<String, Long> ids = new TreeMap<>();
    siteKeywords.all(site.siteId()).forEach(k -> ids.put(k.keyword().text(), k.id()));
    return ids;
  }

  private long keyword(String text) {
    return keywords().get(text);
  }

  private GroupRow row(String name) {
    return groupLists.ofTopic(site, null).stream().map(Group::row).toList().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no group " + name + " in " + groups().keySet()));
  }

  private long group(String name) {
    return row(name).id();
  }

  private TopicRow topic(String name) {
    return topicService.topicNames(site).stream()
        .filter(t -> t.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private List<String> members(String name) {
    return members(group(name));
  }

  private List<String> members(long id) {
    GroupService.GroupKeywords keywords = groupService.keywords(site, id);
    List<String> members = new java.util.ArrayList<>(List.of(keywords.primary()));
    members.addAll(keywords.secondary());
    return members;
  }

  private Map<String, List<String>> groups() {
    Map<String, List<String>> groups = new TreeMap<>();
    groupLists.ofTopic(site, null).stream()
        .map(Group::row)
        .toList()
        .forEach(g -> groups.put(g.name(), members(g.id())));
    return groups;
  }

  private List<String> answers(String name) {
    return articles.byGroup(site.siteId()).getOrDefault(group(name), List.of()).stream()
        .map(GroupArticle::title)
        .toList();
  }

  private List<String> waiting() {
    return siteKeywords.all(site.siteId()).stream()
        .filter(k -> k.groupId() == null)
        .map(k -> k.keyword().text())
        .toList();
  }
}
