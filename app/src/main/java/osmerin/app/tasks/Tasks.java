package osmerin.app.tasks;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.runup.HoursText;

/** Tasks without an article: one's own are added by everybody who works, others' by editors. */
@Service
public class Tasks implements Reversal {
  private static final String DONE = "Done";
  private static final String REMOVED = "Removed";

  private final TaskMapper tasks;
  private final TeamService team;
  private final History history;
  private final Notices notices;

  Tasks(TaskMapper tasks, TeamService team, History history, Notices notices) {
    this.tasks = tasks;
    this.team = team;
    this.history = history;
    this.notices = notices;
  }

  /** What is on the person's desk, the earliest due first. */
  public List<Task> open(SiteContext context) {
    return tasks.open(context.siteId(), context.personId());
  }

  /**
   * Puts a task on a desk.
   *
   * @param typedHours "1.5", or nothing
   * @param day null for today
   */
  @Transactional
  public void add(
      SiteContext context,
      String typedName,
      long personId,
      String typedHours,
      @Nullable LocalDate day) {
    require(context, personId);
    team.get(context, personId);
    String name = typedName.strip().replaceAll("\\s+", " ");
    if (name.isEmpty() || name.length() > Task.LONGEST_NAME) {
      throw new RefusedException(
          "Say in at most %s characters what is to be done.".formatted(Task.LONGEST_NAME));
    }
    LocalDate due = day == null ? context.today() : day;
    long id = tasks.insert(context.siteId(), name, personId, hours(typedHours), due);
    history.note(
        context,
        Right.WORK,
        "The task “%s”, due %s, was added.".formatted(name, In.day(due)),
        Change.of(Thing.TASK, id, REMOVED, "not there", "added").keeping(true, false));
    if (personId != context.personId()) {
      String text = "“%s” is yours, by %s.".formatted(name, In.day(due));
      notices.tell(context, List.of(personId), NoticeKind.NAMED, text, context.base() + "/desk");
    }
  }

  private static void require(SiteContext context, long personId) {
    context.require(personId == context.personId() ? Right.WORK : Right.EDIT);
  }

  private static double hours(String typed) {
    return typed.isBlank()
        ? 0
        : HoursText.read(typed).orElseThrow(() -> new RefusedException(HoursText.HINT));
  }

  private Task get(SiteContext context, long id) {
    Task task =
        tasks.find(context.siteId(), id).orElseThrow(() -> new NotFoundException("task", id));
    require(context, task.personId());
    return task;
  }

  /** Ticks a task off, or takes the tick away. */
  @Transactional
  public void tick(SiteContext context, long id, boolean done) {
    Task task = get(context, id);
    LocalDate to = done ? context.today() : null;
    if ((task.doneOn() != null) == done || tasks.setDone(id, task.doneOn(), to) == 0) {
      return;
    }
    String sentence = done ? "The task “%s” is done." : "The task “%s” is open again.";
    history.note(
        context,
        Right.WORK,
        sentence.formatted(task.name()),
        Change.of(Thing.TASK, id, DONE, done ? "open" : "done", done ? "done" : "open")
            .keeping(task.doneOn(), to));
  }

  /** Takes a task off its desk. */
  @Transactional
  public void remove(SiteContext context, long id) {
    Task task = get(context, id);
    tasks.setRemoved(context.siteId(), id, true);
    history.note(
        context,
        Right.WORK,
        "The task “%s” was removed.".formatted(task.name()),
        Change.of(Thing.TASK, id, REMOVED, "there", "removed").keeping(false, true));
  }

  @Override
  public Thing thing() {
    return Thing.TASK;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long id = Long.parseLong(key);
    for (Change change : changes) {
      int count =
          change.field().equals(DONE)
              ? tasks.setDone(id, date(change.to()), date(change.from()))
              : tasks.setRemoved(context.siteId(), id, Objects.equals(change.from(), "true"));
      if (count == 0) {
        throw new RefusedException("That task has been changed since.");
      }
    }
  }

  private static @Nullable LocalDate date(@Nullable String value) {
    return value == null ? null : LocalDate.parse(value);
  }
}
