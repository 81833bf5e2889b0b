package osmerin.app.types;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StepGuides;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.RecipeForm;
import osmerin.app.steps.RecipePage;
import osmerin.app.team.TeamService;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefPart;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/** Setup → Types: the types of the site, and the recipe of one. */
@Controller
@RequestMapping("/{site}/setup/types")
class TypeController {
  private final ArticleTypeService types;
  private final StepRoles roles;
  private final StepGuides guides;
  private final TypeEdits edits;
  private final UsualEdits usual;
  private final TeamService team;

  TypeController(
      ArticleTypeService types,
      StepRoles roles,
      StepGuides guides,
      TypeEdits edits,
      UsualEdits usual,
      TeamService team) {
    this.team = team;
    this.guides = guides;
    this.types = types;
    this.roles = roles;
    this.edits = edits;
    this.usual = usual;
  }

  @GetMapping
  @Needs(Right.MANAGE)
  String types(SiteContext site, Model model) {
    model.addAttribute("newTypes", types.list(site.siteId(), Kind.NEW));
    model.addAttribute("depths", types.list(site.siteId(), Kind.REFRESH));
    model.addAttribute("stepRoles", roles.list(site.siteId()));
    model.addAttribute("shipped", StepRole.SHIPPED);
    return "types/types";
  }

  /** Adds a type that was typed, a step a line. */
  @PostMapping
  @Needs(Right.MANAGE)
  String add(
      SiteContext site,
      @RequestParam String name,
      @RequestParam Kind kind,
      @RequestParam(defaultValue = "") String recipe,
      Reply reply) {
    Set<StepRole> known = roles.set(site.siteId());
    Recipe read = Recipe.read(RecipeText.rows(recipe, known, List.of()), known);
    try {
      if (!read.isSound()) {
        throw new RefusedException(firstFault(read));
      }
      long id = edits.add(site, kind, name, read.steps());
      reply.say("“" + name.strip() + "” is added.");
      return "redirect:" + site.base() + "/setup/types/" + id;
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typedName", name);
      reply.with("typedKind", kind);
      reply.with("typedRecipe", recipe);
      return types(site, reply.model());
    }
  }

  private static String firstFault(Recipe recipe) {
    Map.Entry<Integer, String> first = recipe.faults().entrySet().iterator().next();
    return "Step %s: %s".formatted(first.getKey() + 1, first.getValue());
  }

  @GetMapping("/{id}")
  @Needs(Right.MANAGE)
  String type(SiteContext site, @PathVariable long id, Model model) {
    ArticleType type = edits.get(site, id);
    TypeForm form =
        new TypeForm(
            type.name(),
            String.valueOf(type.cushion()),
            RecipeForm.of(types.steps(id)),
            type.version());
    return page(site, type, form, Map.of(), model);
  }

  private String page(
      SiteContext site, ArticleType type, TypeForm form, Map<Integer, String> faults, Model model) {
    List<RunUpStep> kept = types.steps(type.id());
    Recipe read = RecipePage.show(model, form.recipe(), faults, known(site, kept));
    model.addAttribute("type", type);
    model.addAttribute("briefNeeds", BriefNeed.values());
    model.addAttribute("signers", List.of(Role.EDITOR, Role.STRATEGIST, Role.OWNER));
    model.addAttribute("briefParts", BriefPart.values());
    model.addAttribute("guides", guides.of(type.id()));
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("usually", types.people(site.siteId(), type.id()));
    model.addAttribute("form", form);
    model.addAttribute("text", RecipeText.of(read.isSound() ? read.steps() : kept));
    return "types/type";
  }

  /** What is sent to {@link #change}. */
  record ChangeForm(
      @RequestParam String title,
      @RequestParam String cushion,
      @RequestParam int seen,
      @RequestParam(required = false) @Nullable Boolean follow) {}

  /** Saves a type; where open articles have it, asks first whether they follow. */
  @PostMapping("/{id}")
  @Needs(Right.MANAGE)
  String change(
      SiteContext site,
      @PathVariable long id,
      @RequestParam MultiValueMap<String, String> fields,
      ChangeForm sent,
      Reply reply) {
    ArticleType type = edits.get(site, id);
    TypeForm form =
        new TypeForm(sent.title(), sent.cushion(), RecipeForm.sent(fields), sent.seen());
    Recipe read = read(site, type, form);
    try {
      if (!read.isSound()) {
        throw new RefusedException("The recipe is not saved yet: " + firstFault(read));
      }
      RunUp wanted = new RunUp(TypeForm.name(sent.title()), form.cushionDays(), read.steps());
      if (sent.follow() == null && isAsked(site, type, wanted, reply.model())) {
        return page(site, type, form, Map.of(), reply.model());
      }
      int following =
          edits.change(site, id, wanted, Boolean.TRUE.equals(sent.follow()), sent.seen());
      reply.say(said(following));
      return "redirect:" + site.base() + "/setup/types/" + id;
    } catch (RefusedException e) {
      reply.refuse(e);
      return page(site, type, form, read.faults(), reply.model());
    }
  }

  private Recipe read(SiteContext site, ArticleType type, TypeForm form) {
    return Recipe.read(form.recipe().recipe(), known(site, types.steps(type.id())));
  }

  /** The site's roles, and those that a recipe still has. */
  private Set<StepRole> known(SiteContext site, List<RunUpStep> kept) {
    Set<StepRole> known = roles.set(site.siteId());
    kept.forEach(step -> known.add(step.role()));
    return known;
  }

  /** Shows what would follow; false when nothing would. */
  private boolean isAsked(SiteContext site, ArticleType type, RunUp wanted, Model model) {
    List<Follower> followers = edits.preview(site, type, wanted.cushion(), wanted.steps());
    if (followers.stream().allMatch(f -> f.after() != null && f.changes().isEmpty())) {
      return false;
    }
    model.addAttribute("followers", followers);
    model.addAttribute("following", followers.stream().filter(Follower::isChanged).count());
    return true;
  }

  private static String said(int following) {
    return following == 0
        ? "The type is saved. New articles have its recipe."
        : "The type is saved; " + Counted.of(following, "open article") + " followed.";
  }

  /** Who usually does a role's steps. */
  @PostMapping("/{id}/people")
  @Needs(Right.MANAGE)
  String person(
      SiteContext site,
      @PathVariable long id,
      @RequestParam StepRole role,
      @RequestParam(required = false) @Nullable Long person,
      Reply reply) {
    usual.setPerson(site, id, role, person);
    reply.say("New articles of this type name them.");
    return "redirect:" + site.base() + "/setup/types/" + id;
  }

  /** How long its articles usually are. */
  @PostMapping("/{id}/words")
  @Needs(Right.MANAGE)
  String words(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String low,
      @RequestParam(defaultValue = "") String high,
      Reply reply) {
    usual.setWords(site, id, low, high);
    reply.say("The usual length is set. It applies when neither brief nor evidence gives one.");
    return "redirect:" + site.base() + "/setup/types/" + id;
  }

  /** Which links its articles usually have. */
  @PostMapping("/{id}/links")
  @Needs(Right.MANAGE)
  String links(
      SiteContext site,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String names,
      Reply reply) {
    usual.setLinkNames(site, id, names);
    reply.say("Every article of this type shows these links, to be filled in.");
    return "redirect:" + site.base() + "/setup/types/" + id;
  }

  /** What is sent to {@link #typed}. */
  record TypedForm(
      @RequestParam String text,
      @RequestParam String title,
      @RequestParam String cushion,
      @RequestParam int seen) {}

  /** Puts typed lines into the rows; nothing is saved yet. */
  @PostMapping("/{id}/typed")
  @Needs(Right.MANAGE)
  String typed(SiteContext site, @PathVariable long id, TypedForm form, Model model) {
    ArticleType type = edits.get(site, id);
    List<RunUpStep> before = types.steps(id);
    RecipeForm rows =
        RecipeForm.ofRows(RecipeText.rows(form.text(), roles.set(site.siteId()), before));
    model.addAttribute("unsaved", true);
    return page(
        site, type, new TypeForm(form.title(), form.cushion(), rows, form.seen()), Map.of(), model);
  }

  @PostMapping("/{id}/copy")
  @Needs(Right.MANAGE)
  String copy(SiteContext site, @PathVariable long id, Reply reply) {
    long copy = edits.copy(site, id);
    reply.say("This is the copy. Give it a name of its own.");
    return "redirect:" + site.base() + "/setup/types/" + copy;
  }

  @PostMapping("/{id}/retire")
  @Needs(Right.MANAGE)
  String retire(SiteContext site, @PathVariable long id, Reply reply) {
    edits.retire(site, id);
    reply.say("The type is retired. Articles that have it keep it.");
    return "redirect:" + site.base() + "/setup/types";
  }
}
