package osmerin.formats.runup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;
import tools.jackson.databind.JsonNode;

/**
 * A part of a JSON document that says what is wrong with a field of it, and where.
 *
 * @param place as people find it: "step draft"; empty for the whole document
 */
record JsonPart(JsonNode node, String place) {
  private static final List<String> DAYS = List.of("MON", "TUE", "WED", "THU", "FRI", "SAT", "SUN");

  UnreadableFileException fault(String what) {
    return new UnreadableFileException(Fault.BROKEN, place.isEmpty() ? what : place + ": " + what);
  }

  boolean has(String name) {
    return node.hasNonNull(name);
  }

  String text(String name) {
    JsonNode value = node.path(name);
    if (!value.isString() || value.asString().isBlank()) {
      throw fault("“" + name + "” is not a text");
    }
    return value.asString();
  }

  int whole(String name) {
    JsonNode value = node.path(name);
    if (!value.isIntegralNumber() || !value.canConvertToInt()) {
      throw fault("“" + name + "” is not a whole number");
    }
    return value.asInt();
  }

  @Nullable Integer wholeOrNull(String name) {
    return has(name) ? (Integer) whole(name) : null;
  }

  LocalDate date(String name) {
    return date(name, node.path(name));
  }

  @Nullable LocalDate dateOrNull(String name) {
    return has(name) ? date(name) : null;
  }

  private LocalDate date(String name, JsonNode value) {
    try {
      LocalDate date = LocalDate.parse(value.isString() ? value.asString() : "");
      if (date.getYear() < 1 || date.getYear() > 9999) {
        throw fault("“" + name + "”: " + value.asString() + " is not in the years 1 to 9999");
      }
      return date;
    } catch (DateTimeParseException e) {
      throw fault("“" + name + "” is not a date like 2026-11-27: " + value);
    }
  }

  /** Each element of a list; none when it is missing. */
  List<JsonNode> list(String name) {
    JsonNode value = node.path(name);
    if (value.isMissingNode() || value.isNull()) {
      return List.of();
    }
    if (!value.isArray()) {
      throw fault("“" + name + "” is not a list");
    }
    List<JsonNode> elements = new ArrayList<>();
    value.forEach(elements::add);
    return elements;
  }

  List<LocalDate> dates(String name) {
    return list(name).stream().map(value -> date(name, value)).toList();
  }

  List<String> texts(String name) {
    return list(name).stream()
        .map(
            value -> {
              if (!value.isString()) {
                throw fault("“" + name + "” contains something that is not a text: " + value);
              }
              return value.asString();
            })
        .toList();
  }

  /** Working days of a week. */
  Set<DayOfWeek> week(String name) {
    Set<DayOfWeek> week = EnumSet.noneOf(DayOfWeek.class);
    for (String day : texts(name)) {
      int number = DAYS.indexOf(day);
      if (number < 0) {
        throw fault("“" + name + "”: " + day + " is none of " + String.join(", ", DAYS));
      }
      week.add(DayOfWeek.of(number + 1));
    }
    if (week.isEmpty()) {
      throw fault("“" + name + "” has no working day");
    }
    return week;
  }

  /** From a day to a day, both included. */
  List<LocalDate[]> spans(String name) {
    return list(name).stream().map(value -> span(name, value)).toList();
  }

  private LocalDate[] span(String name, JsonNode value) {
    if (!value.isArray() || value.size() != 2) {
      throw fault("“" + name + "” contains something that is not a pair of dates: " + value);
    }
    LocalDate[] span = {date(name, value.get(0)), date(name, value.get(1))};
    if (span[1].isBefore(span[0])) {
      throw fault("“" + name + "” ends before it begins: " + Arrays.toString(span));
    }
    return span;
  }
}
