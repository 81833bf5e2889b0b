package osmerin.app.demo;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** How Marlpit works: its types and stages, steps of one article, who is away and who is asked. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitWays {
  private static final String SCHEDULE = "A firing schedule you can repeat";

  private final DemoRecipes recipes;
  private final DemoSteps steps;
  private final DemoGuests guests;
  private final DemoStages stages;

  MarlpitWays(DemoRecipes recipes, DemoSteps steps, DemoGuests guests, DemoStages stages) {
    this.recipes = recipes;
    this.steps = steps;
    this.guests = guests;
    this.stages = stages;
  }

  void add(DemoSite in) {
    recipes.addType(
        in, "Kiln visit", "kiln-visit.txt", "illustrator", "second reader", "technician");
    recipes.writeHowWeEdit(in);
    steps.addOwnSteps(in, SCHEDULE);
    steps.addSecondWriter(in, SCHEDULE);
    recipes.addAbsences(in);
    recipes.addChecklist(in);
    steps.addFollower(in, "Casting slip in a kitchen bucket", SCHEDULE);
    steps.hold(in, "A potter's back", "the answer of a physiotherapist");
    guests.ask(in, SCHEDULE);
    stages.ofMarlpit(in);
  }
}
