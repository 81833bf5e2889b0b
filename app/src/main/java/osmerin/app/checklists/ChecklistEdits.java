package osmerin.app.checklists;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.checklist.ChecklistItem;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/** What stands on the checklist of a type, and whether checklists hold publishing up. */
@Service
public class ChecklistEdits implements Reversal {
  private static final String CHECKLIST = "Checklist";
  private static final String GATES = "Checklists";
  private static final int MOST_ITEMS = 40;

  private final ChecklistMapper checklists;
  private final ArticleTypeService types;
  private final StepRoles roles;
  private final History history;

  ChecklistEdits(
      ChecklistMapper checklists, ArticleTypeService types, StepRoles roles, History history) {
    this.checklists = checklists;
    this.types = types;
    this.roles = roles;
    this.history = history;
  }

  /** A type of the site. */
  ArticleType type(SiteContext context, long id) {
    return types.known(context.siteId(), id);
  }

  /** What stands on the checklist of a type. */
  List<ChecklistItem> items(SiteContext context, long typeId) {
    return checklists.items(type(context, typeId).id());
  }

  /**
   * Sets the checklist of a type.
   *
   * @param own what Osmerin looks up itself
   * @param byHand what people tick, a line each; a role of the site after a comma at its end
   * @param seen {@linkplain #seen what the person saw}, so that nobody's change is lost
   */
  @Transactional
  public void set(SiteContext context, long typeId, Set<OwnCheck> own, String byHand, String seen) {
    context.require(Right.MANAGE);
    ArticleType type = type(context, typeId);
    List<ChecklistItem> wanted = read(context, own, byHand);
    List<ChecklistItem> before = checklists.items(typeId);
    if (wanted.equals(before)) {
      return;
    }
    if (!seen(before).equals(seen)) {
      throw new RefusedException(
          "%s changed this checklist just now. It has: %s. Save again to replace that."
              .formatted(
                  history.lastBy(context, Thing.CHECKLIST, typeId, CHECKLIST),
                  before.isEmpty() ? "nothing" : words(before)));
    }
    put(typeId, wanted);
    history.note(
        context,
        Right.MANAGE,
        "The checklist for a %s has %s."
            .formatted(type.name().toLowerCase(Locale.ROOT), Counted.of(wanted.size(), "item")),
        Change.of(Thing.CHECKLIST, typeId, CHECKLIST, words(before), words(wanted))
            .keeping(new KeptChecklist(before), new KeptChecklist(wanted)));
  }

  /** Names a checklist as it stands, on every node the same. */
  public static String seen(List<ChecklistItem> items) {
    String all =
        items.stream().map(i -> i.key() + " " + i.text() + " " + i.role()).toList().toString();
    return UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8)).toString();
  }

  private List<ChecklistItem> read(SiteContext context, Set<OwnCheck> own, String byHand) {
    List<ChecklistItem> items =
        Arrays.stream(OwnCheck.values())
            .filter(own::contains)
            .map(ChecklistItem::of)
            .collect(Collectors.toCollection(ArrayList::new));
    Set<StepRole> known = roles.set(context.siteId());
    byHand.lines().map(String::strip).filter(l -> !l.isEmpty()).forEach(l -> add(items, l, known));
    if (items.size() > MOST_ITEMS) {
      throw new RefusedException("A checklist has at most %s items.".formatted(MOST_ITEMS));
    }
    return items;
  }

  private static void add(List<ChecklistItem> items, String line, Set<StepRole> known) {
    ChecklistItem item = item(line, known);
    if (item.text().length() > ChecklistItem.LONGEST) {
      throw new RefusedException(
          "“%s …” is longer than %s characters."
              .formatted(item.text().substring(0, 30), ChecklistItem.LONGEST));
    }
    if (items.stream().anyMatch(other -> other.key().equals(item.key()))) {
      throw new RefusedException("“%s” is listed twice.".formatted(item.text()));
    }
    items.add(item);
  }

  private static ChecklistItem item(String line, Set<StepRole> known) {
    int comma = line.lastIndexOf(',');
    String last = comma < 0 ? "" : line.substring(comma + 1).strip();
    boolean hasRole =
        !last.isEmpty() && last.length() <= StepRole.LONGEST && known.contains(new StepRole(last));
    return hasRole
        ? ChecklistItem.byHand(line.substring(0, comma).strip(), new StepRole(last))
        : ChecklistItem.byHand(line, null);
  }

  /** What people tick, as it was typed. */
  static String typed(List<ChecklistItem> items) {
    return items.stream()
        .filter(item -> item.own() == null)
        .map(item -> item.text() + (item.role() == null ? "" : ", " + item.role()))
        .collect(Collectors.joining("\n"));
  }

  private static @Nullable String words(List<ChecklistItem> items) {
    return items.isEmpty()
        ? null
        : items.stream().map(ChecklistItem::text).collect(Collectors.joining("; "));
  }

  private void put(long typeId, List<ChecklistItem> items) {
    checklists.removeItems(typeId);
    if (!items.isEmpty()) {
      checklists.insertItems(typeId, items);
    }
  }

  /** Says whether checklists hold publishing up on this site, or are only reminded of. */
  @Transactional
  public void setGates(SiteContext context, boolean gates) {
    context.require(Right.MANAGE);
    Boolean before = checklists.gates(context.siteId());
    if (Objects.equals(before, gates)) {
      return;
    }
    checklists.setGates(context.siteId(), gates);
    history.note(
        context,
        Right.MANAGE,
        gates ? "Checklists hold publishing up." : "Checklists only remind.",
        Change.of(Thing.CHECKLIST, "site", GATES, words(before), words(gates))
            .keeping(before, gates));
  }

  private static @Nullable String words(@Nullable Boolean gates) {
    return gates == null ? null : gates ? "hold publishing up" : "remind";
  }

  @Override
  public Thing thing() {
    return Thing.CHECKLIST;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      boolean done =
          change.field().equals(GATES) ? putGates(context, change) : putItems(context, key, change);
      if (!done) {
        throw new RefusedException("The checklist has been changed since.");
      }
    }
  }

  private boolean putGates(SiteContext context, Change change) {
    Boolean now = checklists.gates(context.siteId());
    if (!Objects.equals(now == null ? null : now.toString(), change.to())) {
      return false;
    }
    checklists.setGates(
        context.siteId(), change.from() == null ? null : Boolean.valueOf(change.from()));
    return true;
  }

  private boolean putItems(SiteContext context, String key, Change change) {
    long typeId = type(context, Long.parseLong(key)).id();
    if (!checklists.items(typeId).equals(change.to(KeptChecklist.class).items())) {
      return false;
    }
    put(typeId, change.from(KeptChecklist.class).items());
    return true;
  }
}
