package osmerin.app.types;

import osmerin.app.platform.web.RefusedException;
import osmerin.app.steps.RecipeForm;

/** A type as a form sends it. */
record TypeForm(String name, String cushion, RecipeForm recipe, int seen) {
  private static final int LONGEST_NAME = 60;
  private static final int MOST_CUSHION = 30;

  /**
   * The name without space around it.
   *
   * @throws RefusedException when it is empty or too long
   */
  static String name(String typed) {
    String name = typed.strip().replaceAll("\\s+", " ");
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw new RefusedException(
          "A type has a name of at most %s characters.".formatted(LONGEST_NAME));
    }
    return name;
  }

  /**
   * The cushion in working days.
   *
   * @throws RefusedException when it is no small whole number
   */
  int cushionDays() {
    String text = cushion.strip();
    if (!text.matches("\\d{1,2}") || Integer.parseInt(text) > MOST_CUSHION) {
      throw new RefusedException(
          "The cushion is a whole number of working days, 0 to %s.".formatted(MOST_CUSHION));
    }
    return Integer.parseInt(text);
  }
}
