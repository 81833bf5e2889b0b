package osmerin.formats.runup;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.Completion;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepProgress;
import osmerin.core.runup.StepRole;
import tools.jackson.databind.JsonNode;

/**
 * A step of a file.
 *
 * @param place in the file, from 0
 * @param person null for the site's calendar
 */
record FileStep(int place, RunUpStep step, @Nullable String person, StepProgress progress) {
  private static final int TEN_YEARS = 3_660;

  String id() {
    return step.key();
  }

  /**
   * The steps of a file, each after those it waits for, otherwise in the order of the file.
   *
   * @throws osmerin.formats.text.UnreadableFileException when one is malformed, waits for one that
   *     is not there, or some wait for each other
   */
  static List<FileStep> sorted(JsonPart file, LocalDate today) {
    if (!file.node().path("steps").isArray()) {
      throw file.fault("“steps” is not a list");
    }
    List<JsonPart> parts = new ArrayList<>();
    Map<String, Integer> places = new HashMap<>();
    for (JsonNode node : file.list("steps")) {
      JsonPart unnamed = new JsonPart(node, "step " + (parts.size() + 1));
      if (!node.isObject()) {
        throw unnamed.fault("is not an object");
      }
      String id = unnamed.text("id");
      if (places.put(id, parts.size()) != null) {
        throw file.fault("Two steps have the id “" + id + "”.");
      }
      parts.add(new JsonPart(node, "step " + id));
    }
    List<FileStep> sorted = new ArrayList<>();
    Set<String> followUps = new HashSet<>();
    for (int place : order(parts, places)) {
      FileStep step = read(place, parts.get(place), followUps, today);
      if (step.step().followUp()) {
        followUps.add(step.id());
      }
      sorted.add(step);
    }
    return sorted;
  }

  /** Places, each after those of the steps it waits for. */
  private static List<Integer> order(List<JsonPart> parts, Map<String, Integer> places) {
    int[] waitsFor = new int[parts.size()];
    Map<Integer, List<Integer>> followers = new HashMap<>();
    for (int place = 0; place < parts.size(); place++) {
      for (String before : Set.copyOf(parts.get(place).texts("after"))) {
        Integer its = places.get(before);
        if (its == null) {
          throw parts.get(place).fault("there is no step “" + before + "” to wait for");
        }
        followers.computeIfAbsent(its, p -> new ArrayList<>()).add(place);
        waitsFor[place]++;
      }
    }
    PriorityQueue<Integer> free = new PriorityQueue<>();
    for (int place = 0; place < waitsFor.length; place++) {
      if (waitsFor[place] == 0) {
        free.add(place);
      }
    }
    List<Integer> order = new ArrayList<>();
    while (!free.isEmpty()) {
      int place = free.remove();
      order.add(place);
      for (int follower : followers.getOrDefault(place, List.of())) {
        if (--waitsFor[follower] == 0) {
          free.add(follower);
        }
      }
    }
    if (order.size() < parts.size()) {
      throw parts.get(inCircle(waitsFor)).fault("it waits, by way of others, for itself");
    }
    return order;
  }

  private static int inCircle(int[] waitsFor) {
    int place = 0;
    while (waitsFor[place] == 0) {
      place++;
    }
    return place;
  }

  private static FileStep read(int place, JsonPart part, Set<String> followUps, LocalDate today) {
    int days = part.whole("days");
    if (days < 0) {
      throw part.fault("“days” is below 0");
    }
    if (days > TEN_YEARS) {
      throw part.fault("“days” is more than ten years");
    }
    Integer left = part.wholeOrNull("daysLeft");
    if (left != null && (left < 0 || left > days)) {
      throw part.fault("“daysLeft” is not between 0 and " + days);
    }
    LocalDate done = part.dateOrNull("done");
    if (done != null && done.isAfter(today)) {
      throw part.fault("it was done on " + done + ", which is after today");
    }
    List<String> after = part.texts("after").stream().distinct().toList();
    Integer offset = part.wholeOrNull("offset");
    if (offset != null && Math.abs((long) offset) > TEN_YEARS) {
      throw part.fault("“offset” is more than ten years");
    }
    boolean afterFollowUp = after.stream().anyMatch(followUps::contains);
    if (afterFollowUp && offset != null && offset <= 0) {
      throw part.fault("it waits for a follow-up, so its offset cannot be " + offset);
    }
    boolean followUp = afterFollowUp || offset != null && offset > 0;
    String id = part.text("id");
    RunUpStep step =
        new RunUpStep(id, id, StepRole.WRITER, 0, days, after, offset, followUp, Completion.HAND);
    LocalDate pinned = part.dateOrNull("pinned");
    return new FileStep(
        place,
        step,
        part.has("person") ? part.text("person") : null,
        done == null ? StepProgress.open(pinned, left) : StepProgress.doneOn(done, null));
  }
}
