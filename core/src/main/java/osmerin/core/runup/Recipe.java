package osmerin.core.runup;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A recipe as typed, and what it says.
 *
 * @param rows as typed, rows without anything in them left out
 * @param steps that were read; where a row has a fault its step is missing
 * @param faults by the place of the row from 0, what to do about it
 */
public record Recipe(List<RecipeRow> rows, List<RunUpStep> steps, Map<Integer, String> faults) {
  /** Longer names are refused. */
  public static final int LONGEST_NAME = 80;

  /** More steps are refused. */
  public static final int MOST_STEPS = 60;

  /** A step takes at most so many working days, and lies as far from the publish day. */
  public static final int MOST_DAYS = 500;

  private static final Pattern DAYS = Pattern.compile("(\\d{1,4})\\s*(?:working )?(?:days?|d)?");

  /** Whether there is nothing to mend. */
  public boolean isSound() {
    return faults.isEmpty();
  }

  /**
   * Reads the rows of a recipe.
   *
   * @param roles that a step may name; empty for any
   */
  public static Recipe read(List<RecipeRow> typed, Set<StepRole> roles) {
    return new Reading(typed.stream().filter(RecipeRow::isAnything).toList(), roles).recipe();
  }

  /** Reads row after row, since what a step may wait for stands before it. */
  private static final class Reading {
    private final List<RecipeRow> rows;
    private final List<String> names;
    private final Set<StepRole> roles;
    private final Map<Integer, RunUpStep> steps = new LinkedHashMap<>();
    private final Map<Integer, String> faults = new LinkedHashMap<>();
    private final List<String> keys;
    private final Set<Completion> completions = EnumSet.noneOf(Completion.class);

    Reading(List<RecipeRow> rows, Set<StepRole> roles) {
      this.rows = rows;
      this.roles = roles;
      this.names = rows.stream().map(RecipeRow::name).toList();
      this.keys = keys(rows);
    }

    Recipe recipe() {
      for (int i = 0; i < rows.size(); i++) {
        try {
          steps.put(i, step(i));
        } catch (RecipeFault fault) {
          faults.put(i, fault.getMessage());
        }
      }
      return new Recipe(rows, List.copyOf(steps.values()), faults);
    }

    private RunUpStep step(int at) {
      RecipeRow row = rows.get(at);
      if (at >= MOST_STEPS) {
        throw new RecipeFault("A recipe has at most %s steps.".formatted(MOST_STEPS));
      }
      String name = name(row);
      StepRole role = role(row);
      double hours = hours(row.hours());
      int days = days(row.days());
      When when = When.read(row.when());
      List<String> after = after(at, when);
      boolean followUp =
          when.afterPublishing()
              || when.offset() != null && when.offset() > 0
              || after.stream().anyMatch(this::isFollowUp);
      requireSide(when, followUp);
      if (row.completedBy() != Completion.HAND && !completions.add(row.completedBy())) {
        throw new RecipeFault(
            "Another step is completed by “%s” already.".formatted(row.completedBy().label()));
      }
      return new RunUpStep(
          keys.get(at), name, role, hours, days, after, when.offset(), followUp, row.completedBy());
    }

    private static String name(RecipeRow row) {
      String name = row.name().strip().replaceAll("\\s+", " ");
      if (name.isEmpty()) {
        throw new RecipeFault("Give the step a name.");
      }
      if (name.length() > LONGEST_NAME) {
        throw new RecipeFault(
            "A name has at most %s characters; this one has %s."
                .formatted(LONGEST_NAME, name.length()));
      }
      return name;
    }

    private StepRole role(RecipeRow row) {
      StepRole role;
      try {
        role = StepRole.valueOf(row.role());
      } catch (IllegalArgumentException e) {
        throw new RecipeFault("Say which role does it.");
      }
      if (!roles.isEmpty() && !roles.contains(role)) {
        throw new RecipeFault("This site has no role “%s”; add it first.".formatted(role));
      }
      return role;
    }

    private List<String> after(int at, When when) {
      Set<String> after = new LinkedHashSet<>();
      for (String reference : when.waitsFor()) {
        Integer other = StepReference.find(reference, names);
        if (other == null) {
          throw new RecipeFault(
              "“%s” names no single step. Type a step's name or its number.".formatted(reference));
        }
        if (other == at) {
          throw new RecipeFault("A step can't wait for itself.");
        }
        if (other > at) {
          throw new RecipeFault(
              "It waits for “%s”, which stands below it. Move one of them."
                  .formatted(names.get(other).strip()));
        }
        after.add(keys.get(other));
      }
      return List.copyOf(after);
    }

    private boolean isFollowUp(String key) {
      return steps.values().stream().anyMatch(s -> s.key().equals(key) && s.followUp());
    }

    private static void requireSide(When when, boolean followUp) {
      Integer offset = when.offset();
      if (offset == null) {
        return;
      }
      if (Math.abs(offset) > MOST_DAYS) {
        throw new RecipeFault(
            "At most %s days lie between a step and the publish day.".formatted(MOST_DAYS));
      }
      if (followUp && offset <= 0) {
        throw new RecipeFault(
            "It waits for a step after publishing, so it can't be due on or before that day.");
      }
    }
  }

  /** A row keeps its key; a new one gets one made of its name. */
  private static List<String> keys(List<RecipeRow> rows) {
    Set<String> taken = new HashSet<>();
    rows.forEach(row -> taken.add(row.key()));
    Set<String> given = new HashSet<>();
    Map<String, Integer> numbers = new HashMap<>();
    List<String> keys = new ArrayList<>();
    for (RecipeRow row : rows) {
      String key = row.key();
      if (key.isEmpty() || !given.add(key)) {
        key = fresh(row.name(), taken, numbers);
        taken.add(key);
        given.add(key);
      }
      keys.add(key);
    }
    return keys;
  }

  /**
   * @param numbers the last number that was added to a name, so that equal names are counted once
   */
  private static String fresh(String name, Set<String> taken, Map<String, Integer> numbers) {
    String words =
        name.strip().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String stem = words.isEmpty() ? "step" : words.substring(0, Math.min(40, words.length()));
    String key = stem;
    while (taken.contains(key)) {
      key = stem + "-" + numbers.merge(stem, 2, (last, two) -> last + 1);
    }
    return key;
  }

  /** Hours of work; none typed is none known, 0. */
  private static double hours(String typed) {
    return typed.isBlank()
        ? 0
        : HoursText.read(typed).orElseThrow(() -> new RecipeFault(HoursText.HINT));
  }

  /** Working days; none typed is one. */
  private static int days(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    if (text.isEmpty()) {
      return 1;
    }
    if (text.equals("same day")) {
      return 0;
    }
    Matcher matcher = DAYS.matcher(text);
    if (!matcher.matches() || Integer.parseInt(matcher.group(1)) > MOST_DAYS) {
      throw new RecipeFault(
          "Days are a whole number up to %s, or “same day”.".formatted(MOST_DAYS));
    }
    return Integer.parseInt(matcher.group(1));
  }

  static boolean isDays(String part) {
    return part.equals("same day") || part.matches("\\d{1,4} (?:working )?days?");
  }
}
