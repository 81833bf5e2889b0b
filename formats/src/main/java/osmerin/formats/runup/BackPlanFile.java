package osmerin.formats.runup;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepProgress;
import osmerin.core.workday.WorkCalendar;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * A back-plan's question and answer as JSON.
 *
 * <p>In: publish, today, workingDays, holidays, cushion, people by name with workingDays and
 * absences, and steps with id, days, daysLeft, after, offset, person, done and pinned. Out: state,
 * earliestPublish, decides, conflicts, and the dates of each step in the order of the file.
 */
public final class BackPlanFile {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(SerializationFeature.INDENT_OUTPUT)
          .build();

  /** Absences count so many years around the days that are asked for; nobody plans further. */
  private static final int YEARS_AROUND = 25;

  private final JsonPart file;
  private final LocalDate publish;
  private final LocalDate today;
  private final WorkCalendar site;
  private final Map<String, WorkCalendar> people = new HashMap<>();
  private final List<FileStep> steps;

  private BackPlanFile(JsonNode root) {
    file = new JsonPart(root, "");
    if (!root.isObject()) {
      throw file.fault("The file contains no JSON object.");
    }
    publish = file.date("publish");
    today = file.date("today");
    site = new WorkCalendar(file.week("workingDays"), Set.copyOf(file.dates("holidays")));
    readPeople();
    steps = FileStep.sorted(file, today);
    steps.forEach(this::requirePerson);
  }

  /**
   * Plans what a file asks for.
   *
   * @return the answer, as JSON
   * @throws UnreadableFileException when the file is malformed or contradicts itself; the message
   *     names the fault
   */
  public static String answer(byte[] bytes) {
    try {
      BackPlanFile question = new BackPlanFile(JSON.readTree(bytes));
      return JSON.writeValueAsString(question.answer());
    } catch (JacksonException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The file is not JSON: " + e.getOriginalMessage());
    }
  }

  private void readPeople() {
    if (!file.has("people")) {
      return;
    }
    JsonNode all = file.node().path("people");
    if (!all.isObject()) {
      throw file.fault("“people” is not an object");
    }
    for (Map.Entry<String, JsonNode> person : all.properties()) {
      people.put(
          person.getKey(), calendar(new JsonPart(person.getValue(), "person " + person.getKey())));
    }
  }

  private WorkCalendar calendar(JsonPart person) {
    if (!person.node().isObject()) {
      throw person.fault("is not an object");
    }
    WorkCalendar own =
        person.has("workingDays")
            ? new WorkCalendar(person.week("workingDays"), site.daysOff())
            : site;
    Set<LocalDate> away = new HashSet<>();
    LocalDate first = (today.isBefore(publish) ? today : publish).minusYears(YEARS_AROUND);
    LocalDate last = (today.isBefore(publish) ? publish : today).plusYears(YEARS_AROUND);
    for (LocalDate[] span : person.spans("absences")) {
      LocalDate from = span[0].isBefore(first) ? first : span[0];
      LocalDate to = span[1].isAfter(last) ? last : span[1];
      if (!to.isBefore(from)) {
        from.datesUntil(to.plusDays(1)).forEach(away::add);
      }
    }
    return own.without(away);
  }

  private void requirePerson(FileStep step) {
    if (step.person() != null && !people.containsKey(step.person())) {
      throw file.fault("step %s: there is no person “%s”".formatted(step.id(), step.person()));
    }
  }

  private Map<String, Object> answer() {
    int cushion = file.has("cushion") ? file.whole("cushion") : 0;
    if (cushion < 0) {
      throw file.fault("“cushion” is below 0");
    }
    RunUp runUp = new RunUp("the file", cushion, steps.stream().map(FileStep::step).toList());
    Map<String, FileStep> byId =
        steps.stream().collect(Collectors.toMap(FileStep::id, Function.identity()));
    Map<String, StepProgress> progress = new HashMap<>();
    steps.forEach(step -> progress.put(step.id(), step.progress()));
    try {
      return answer(
          BackPlan.of(
              new BackPlan.Request(
                  runUp, publish, today, site, s -> calendarOf(byId.get(s.key())), progress)));
    } catch (IllegalStateException e) {
      throw file.fault(e.getMessage());
    }
  }

  private WorkCalendar calendarOf(FileStep step) {
    return step.person() == null ? site : people.get(step.person());
  }

  private Map<String, Object> answer(BackPlan plan) {
    Map<String, PlannedStep> planned =
        plan.steps().stream().collect(Collectors.toMap(s -> s.step().key(), Function.identity()));
    Set<String> deciding = plan.deciding().stream().map(RunUpStep::key).collect(Collectors.toSet());
    List<FileStep> inOrder = new ArrayList<>(steps);
    inOrder.sort(java.util.Comparator.comparingInt(FileStep::place));
    Map<String, Object> answer = new LinkedHashMap<>();
    answer.put("state", plan.course().name().toLowerCase(Locale.ROOT));
    answer.put("earliestPublish", plan.earliestPublishDate().toString());
    answer.put("decides", inOrder.stream().map(FileStep::id).filter(deciding::contains).toList());
    answer.put(
        "conflicts",
        inOrder.stream().map(FileStep::id).filter(id -> planned.get(id).pinConflict()).toList());
    answer.put("steps", inOrder.stream().map(step -> dates(planned.get(step.id()))).toList());
    return answer;
  }

  private static Map<String, Object> dates(PlannedStep step) {
    Map<String, Object> dates = new LinkedHashMap<>();
    dates.put("id", step.step().key());
    dates.put("earliestStart", text(step.earliestStart()));
    dates.put("earliestEnd", text(step.earliestEnd()));
    dates.put("latestStart", text(step.latestStart()));
    dates.put("latestEnd", text(step.latestEnd()));
    dates.put("due", step.done() ? null : text(step.due()));
    dates.put("slack", step.slack());
    return dates;
  }

  private static @Nullable String text(@Nullable LocalDate date) {
    return date == null ? null : date.toString();
  }
}
