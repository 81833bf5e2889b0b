package osmerin.app.stages;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.article.Handoff;
import osmerin.core.article.Phase;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.StepRole;

/**
 * A stage as it is sent.
 *
 * @param role empty for nobody, or "person" and an id for one person on every article
 * @param due working days, empty for as planned
 * @param ticks name of a step, empty for none
 * @param adds lines of a recipe, empty for none
 * @param comesBy name of a step, empty for none
 */
public record StageForm(
    String name,
    Phase phase,
    @Nullable String role,
    @Nullable String due,
    @Nullable String ticks,
    @Nullable String adds,
    @Nullable String comesBy) {
  private static final int LONGEST = 2_000;

  /** What happens on entering it, as far as it can be read. */
  Handoff handoff(Set<StepRole> known, Set<Long> people) {
    Long person = person(people);
    StepRole next =
        text(role).isEmpty() || person != null
            ? null
            : known.stream()
                .filter(r -> r.name().equals(text(role)))
                .findFirst()
                .orElseThrow(
                    () ->
                        new RefusedException(
                            "This site has no step role “%s”.".formatted(text(role))));
    if (text(ticks).length() > LONGEST
        || text(comesBy).length() > LONGEST
        || text(adds).length() > LONGEST) {
      throw new RefusedException("That is too long: at most %s letters.".formatted(LONGEST));
    }
    return new Handoff(
        next,
        person,
        days(next != null || person != null),
        text(ticks),
        steps(known),
        text(comesBy));
  }

  private @Nullable Long person(Set<Long> people) {
    if (!text(role).matches("person \\d{1,18}")) {
      return null;
    }
    Long person = Long.valueOf(text(role).substring("person ".length()));
    if (!people.contains(person)) {
      throw new RefusedException("That person is not on this site.");
    }
    return person;
  }

  private @Nullable Integer days(boolean isSomebodysTurn) {
    if (text(due).isEmpty()) {
      return null;
    }
    if (!text(due).matches("\\d{1,3}") || Integer.parseInt(text(due)) > 200) {
      throw new RefusedException(
          "“%s” is not a number of working days. Type one from 0 to 200.".formatted(text(due)));
    }
    if (!isSomebodysTurn) {
      throw new RefusedException("Say whose turn it is, so that a step of theirs can be due.");
    }
    return Integer.valueOf(text(due));
  }

  private String steps(Set<StepRole> known) {
    Recipe recipe = Recipe.read(RecipeText.rows(text(adds), known, java.util.List.of()), known);
    if (!recipe.isSound()) {
      var fault = recipe.faults().entrySet().iterator().next();
      throw new RefusedException(
          "Step %s that is added: %s".formatted(fault.getKey() + 1, fault.getValue()));
    }
    return text(adds);
  }

  private static String text(@Nullable String typed) {
    return typed == null ? "" : typed.strip();
  }
}
