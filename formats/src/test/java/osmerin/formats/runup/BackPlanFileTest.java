package osmerin.formats.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.formats.text.UnreadableFileException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class BackPlanFileTest {
  private static final JsonMapper JSON = JsonMapper.shared();
  private static final String WEEK = "\"MON\",\"TUE\",\"WED\",\"THU\",\"FRI\"";

  @Test
  void stepsInAnyOrderAreWorkedBackFromThePublishDay() {
    JsonNode answer =
        answer(
            "2026-06-12",
            "2026-06-01",
            """
            {"id":"proof","days":0,"after":["draft"],"offset":-1},
            {"id":"draft","days":3,"after":["brief"]},
            {"id":"brief","days":1},
            {"id":"tell","days":1,"after":["proof"],"offset":2},
            {"id":"count","days":0,"after":["tell"]}
            """);
    assertThat(answer.get("state").asString()).isEqualTo("on_course");
    assertThat(ids(answer.get("steps")))
        .containsExactly("proof", "draft", "brief", "tell", "count");
    assertThat(step(answer, "proof", "latestEnd")).isEqualTo("2026-06-11");
    assertThat(step(answer, "draft", "latestEnd")).isEqualTo("2026-06-11");
    assertThat(step(answer, "draft", "latestStart")).isEqualTo("2026-06-09");
    assertThat(step(answer, "brief", "latestEnd")).isEqualTo("2026-06-08");
    assertThat(step(answer, "brief", "due")).isEqualTo("2026-06-04");
    assertThat(step(answer, "draft", "earliestEnd")).isEqualTo("2026-06-04");
    assertThat(step(answer, "proof", "earliestStart")).isEqualTo("2026-06-04");
    assertThat(step(answer, "tell", "latestEnd")).isEqualTo("2026-06-16");
    assertThat(step(answer, "tell", "due")).isEqualTo("2026-06-16");
    assertThat(step(answer, "count", "earliestEnd")).isEqualTo("2026-06-15");
    assertThat(answer.get("earliestPublish").asString()).isEqualTo("2026-06-05");
    assertThat(texts(answer.get("decides"))).containsExactly("proof", "draft", "brief");
  }

  @Test
  void peopleHaveWeeksAndAbsencesOfTheirOwnAndDoneStepsHoldNothingUp() {
    String people =
        "\"people\":{\"Ana\":{\"workingDays\":[\"SAT\",\"SUN\"]},"
            + "\"Bo\":{\"absences\":[[\"2026-06-02\",\"2026-06-09\"]]}},";
    JsonNode answer =
        read(
            "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"cushion\":1,\"holidays\":[\"2026-06-10\"],"
                + people
                + "\"workingDays\":["
                + WEEK
                + "],\"steps\":[{\"id\":\"a\",\"days\":1,\"person\":\"Ana\",\"done\":\"2026-05-30\"},"
                + "{\"id\":\"b\",\"days\":2,\"after\":[\"a\"],\"person\":\"Bo\",\"pinned\":\"2026-06-10\"},"
                + "{\"id\":\"c\",\"days\":4,\"daysLeft\":1,\"person\":\"Ana\",\"offset\":0}]}");
    assertThat(answer.at("/steps/0/earliestEnd").isNull()).isTrue();
    assertThat(answer.at("/steps/0/slack").isNull()).isTrue();
    // Bo works on the 1st and then on the 11th; the 10th is a holiday.
    assertThat(step(answer, "b", "earliestEnd")).isEqualTo("2026-06-11");
    assertThat(step(answer, "b", "due")).isEqualTo("2026-06-01");
    assertThat(texts(answer.get("conflicts"))).containsExactly("b");
    assertThat(step(answer, "c", "earliestEnd")).isEqualTo("2026-06-06");
    assertThat(step(answer, "c", "latestEnd")).isEqualTo("2026-06-07");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      quoteCharacter = '`',
      value = {
        "{\"id\":\"a\",\"days\":1},{\"id\":\"a\",\"days\":1} ~ Two steps have the id “a”",
        "{\"id\":\"a\",\"days\":1,\"after\":[\"b\"]} ~ no step “b”",
        "{\"id\":\"a\",\"days\":1,\"person\":\"Nobody\"} ~ no person “Nobody”",
        "{\"id\":\"a\",\"days\":1,\"after\":[\"a\"]} ~ for itself",
        "{\"id\":\"a\",\"days\":1,\"after\":[\"b\"]},{\"id\":\"b\",\"days\":1,\"after\":[\"a\"]} ~ for itself",
        "{\"id\":\"a\",\"days\":1,\"offset\":1},{\"id\":\"b\",\"days\":1,\"after\":[\"a\"],\"offset\":0} ~ follow-up",
        "{\"id\":\"a\",\"days\":-1} ~ below 0",
        "{\"id\":\"a\",\"days\":1.5} ~ not a whole number",
        "{\"id\":\"a\"} ~ not a whole number",
        "{\"id\":\"a\",\"days\":2,\"daysLeft\":3} ~ not between 0 and 2",
        "{\"id\":\"a\",\"days\":2,\"daysLeft\":-1} ~ not between 0 and 2",
        "{\"id\":\"a\",\"days\":1,\"done\":\"2026-06-02\"} ~ after today",
        "{\"id\":\"a\",\"days\":1,\"done\":\"2026-6-1\"} ~ not a date",
        "{\"id\":\"a\",\"days\":1,\"pinned\":\"soon\"} ~ not a date",
        "{\"days\":1} ~ “id” is not a text",
        "7 ~ is not an object",
      })
  void whatIsWrongWithAStepIsNamed(String steps, String words) {
    assertThatThrownBy(() -> answer("2026-06-12", "2026-06-01", steps))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining(words);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      quoteCharacter = '`',
      value = {
        "{ ~ is not JSON",
        "[] ~ no JSON object",
        "{\"today\":\"2026-06-01\"} ~ “publish” is not a date",
        "{\"publish\":\"2026-06-31\"} ~ “publish” is not a date",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[]} ~ no working day",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[\"Mon\"]} ~ none of MON",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[\"MON\"]} ~ “steps” is not a list",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[\"MON\"],\"people\":{\"A\":{\"absences\":[[\"2026-06-02\",\"2026-06-01\"]]}},\"steps\":[]} ~ ends before it begins",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[\"MON\"],\"people\":{\"A\":{\"absences\":[[\"2020-01-01\",\"2046-01-01\"]]}},\"steps\":[{\"id\":\"a\",\"days\":1,\"person\":\"A\"}]} ~ within ten years",
        "{\"publish\":\"2026-06-12\",\"today\":\"2026-06-01\",\"workingDays\":[\"MON\"],\"cushion\":-1,\"steps\":[]} ~ below 0",
      })
  void whatIsWrongWithAFileIsNamed(String file, String words) {
    assertThatThrownBy(() -> read(file))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining(words);
  }

  @Test
  void theOrderOfStepsDecidesNothingButTheOrderOfTheAnswer() {
    List<String> steps =
        new ArrayList<>(
            List.of(
                "{\"id\":\"a\",\"days\":2}",
                "{\"id\":\"b\",\"days\":1,\"after\":[\"a\"]}",
                "{\"id\":\"c\",\"days\":0,\"after\":[\"a\",\"b\"]}",
                "{\"id\":\"d\",\"days\":3,\"offset\":-2}",
                "{\"id\":\"e\",\"days\":1,\"after\":[\"c\",\"d\"],\"offset\":3}"));
    JsonNode first = answer("2026-06-12", "2026-06-01", String.join(",", steps));
    Random random = new Random(1);
    for (int i = 0; i < 50; i++) {
      Collections.shuffle(steps, random);
      JsonNode again = answer("2026-06-12", "2026-06-01", String.join(",", steps));
      assertThat(again.get("state")).isEqualTo(first.get("state"));
      assertThat(texts(again.get("decides")))
          .containsExactlyInAnyOrderElementsOf(texts(first.get("decides")));
      for (String id : ids(first.get("steps"))) {
        assertThat(named(again, id)).isEqualTo(named(first, id));
      }
    }
  }

  @Test
  void threeThousandStepsInARowTakeNoTimeWorthNaming() {
    StringBuilder steps = new StringBuilder("{\"id\":\"s0\",\"days\":1}");
    for (int i = 1; i < 3_000; i++) {
      steps.append(",{\"id\":\"s%d\",\"days\":1,\"after\":[\"s%d\"]}".formatted(i, i - 1));
    }
    JsonNode answer = answer("2026-06-12", "2026-06-01", steps.toString());
    assertThat(answer.get("state").asString()).isEqualTo("impossible");
    assertThat(answer.get("steps").size()).isEqualTo(3_000);
  }

  private static JsonNode answer(String publish, String today, String steps) {
    return read(
        "{\"publish\":\"%s\",\"today\":\"%s\",\"cushion\":2,\"workingDays\":[%s],\"steps\":[%s]}"
            .formatted(publish, today, WEEK, steps));
  }

  private static JsonNode read(String file) {
    return JSON.readTree(BackPlanFile.answer(file.getBytes(StandardCharsets.UTF_8)));
  }

  private static JsonNode named(JsonNode answer, String id) {
    for (JsonNode step : answer.get("steps")) {
      if (step.get("id").asString().equals(id)) {
        return step;
      }
    }
    throw new IllegalStateException("no step " + id);
  }

  private static String step(JsonNode answer, String id, String field) {
    return named(answer, id).get(field).asString();
  }

  private static List<String> ids(JsonNode steps) {
    List<String> ids = new ArrayList<>();
    steps.forEach(step -> ids.add(step.get("id").asString()));
    return ids;
  }

  private static List<String> texts(JsonNode list) {
    List<String> texts = new ArrayList<>();
    list.forEach(text -> texts.add(text.asString()));
    return texts;
  }
}
