package osmerin.app.demo;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Random;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.imports.ImportService;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.site.Role;

/** Sprocket Fen: a smaller blog, about touring by bicycle in flat country. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class SprocketFen {
  static final String WRITES = "Ravi Lindqvist";

  private static final Map<String, Role> ROLES =
      Map.of(
          "Anselm Mura", Role.OWNER, DemoArticles.STRATEGIST, Role.STRATEGIST, WRITES, Role.EDITOR);

  private final DemoPeople people;
  private final ImportService imports;
  private final MonthService months;
  private final DemoRecipes recipes;
  private final DemoStages stages;
  private final FenArticles articles;
  private final DemoMapper ageing;

  SprocketFen(
      DemoPeople people,
      ImportService imports,
      MonthService months,
      DemoRecipes recipes,
      DemoStages stages,
      FenArticles articles,
      DemoMapper ageing) {
    this.articles = articles;
    this.recipes = recipes;
    this.stages = stages;
    this.people = people;
    this.imports = imports;
    this.months = months;
    this.ageing = ageing;
  }

  void load(Instant loadedSince) {
    DemoSite site = people.found("Sprocket Fen", "SF", ROLES, new Random(11), loadedSince);
    imports.importFile(
        site.as(DemoArticles.STRATEGIST),
        "sprocketfen-keywords.csv",
        DemoResearch.cyclingCsv().getBytes(StandardCharsets.UTF_8));
    ageing.ageImports(loadedSince, loadedSince.minus(Duration.ofDays(740)));
    articles.add(site);
    recipes.addType(site, "Route", "route.txt", "rider");
    stages.ofSprocketFen(site);
    months.setTargets(
        site.as(DemoArticles.STRATEGIST), site.month().month(), null, new Targets(2, 1));
  }
}
