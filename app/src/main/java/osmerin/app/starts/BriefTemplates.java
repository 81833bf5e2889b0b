package osmerin.app.starts;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefJson;
import osmerin.app.briefs.BriefService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefContent;

/**
 * Templates of briefs, and briefs that others start from. What somebody wrote already always stays;
 * titles and keywords are each article's own.
 */
@Service
public class BriefTemplates implements Reversal {
  static final int LONGEST_NAME = 80;

  private final TemplateMapper templates;
  private final BriefService briefs;
  private final ArticleService articles;
  private final History history;

  BriefTemplates(
      TemplateMapper templates, BriefService briefs, ArticleService articles, History history) {
    this.history = history;
    this.templates = templates;
    this.briefs = briefs;
    this.articles = articles;
  }

  /** A template with what it brings. */
  public record Shown(long id, String name, boolean ofType, BriefContent content) {}

  /** Those for a round: of its type, then of any. */
  public List<Shown> of(SiteContext context, Round round) {
    return templates.of(context.siteId(), round.typeId()).stream()
        .map(
            row ->
                new Shown(
                    row.id(), row.name(), row.typeId() != null, BriefJson.read(row.content())))
        .toList();
  }

  /**
   * Keeps a brief as a template.
   *
   * @param ofType whether only for articles of its type
   */
  @Transactional
  public void keep(SiteContext context, Round round, String typed, boolean ofType) {
    WorkRights.requireWork(context, round);
    String name = typed.strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw new RefusedException(
          "A template has a name of 1 to %s letters.".formatted(LONGEST_NAME));
    }
    BriefContent content = BriefContent.NONE.filledFrom(briefs.get(context, round).content());
    KeptTemplate template =
        new KeptTemplate(ofType ? round.typeId() : null, name, BriefJson.write(content));
    insert(context, template);
    history.note(
        context,
        Right.WORK,
        "The brief of %s was kept as the template “%s”.".formatted(round.reference(), name),
        Change.of(Thing.BRIEF_TEMPLATES, context.siteId(), field(name), null, "kept")
            .keeping(null, template));
  }

  private void insert(SiteContext context, KeptTemplate template) {
    TemplateMapper.Row row =
        new TemplateMapper.Row(0, template.typeId(), template.name(), template.content());
    if (templates.insert(context.siteId(), row, context.personId()) == 0) {
      throw new RefusedException("There is a template “%s” already.".formatted(template.name()));
    }
  }

  /** Fills what is empty in a brief from a template. */
  @Transactional
  public void start(SiteContext context, Round round, long id) {
    fill(context, round, BriefJson.read(get(context, id).content()));
  }

  private TemplateMapper.Row get(SiteContext context, long id) {
    return templates
        .find(context.siteId(), id)
        .orElseThrow(() -> new NotFoundException("template", id));
  }

  /** Fills what is empty in a brief from that of another article. */
  @Transactional
  public void startFrom(SiteContext context, Round round, int number) {
    fill(context, round, briefs.get(context, articles.get(context, number)).content());
  }

  private void fill(SiteContext context, Round round, BriefContent other) {
    briefs.change(context, round, now -> now.filledFrom(other));
  }

  /** Takes a template away; briefs that used it stay as they are. */
  @Transactional
  public void remove(SiteContext context, long id) {
    context.require(Right.EDIT);
    TemplateMapper.Row row = get(context, id);
    templates.remove(context.siteId(), id);
    history.note(
        context,
        Right.EDIT,
        "The template “%s” was removed.".formatted(row.name()),
        Change.of(Thing.BRIEF_TEMPLATES, context.siteId(), field(row.name()), "kept", null)
            .keeping(new KeptTemplate(row.typeId(), row.name(), row.content()), null));
  }

  /** Each on its own, so that one is undone whatever was done to others since. */
  private static String field(String name) {
    return "Template “%s”".formatted(name);
  }

  @Override
  public Thing thing() {
    return Thing.BRIEF_TEMPLATES;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      KeptTemplate there = change.to(KeptTemplate.class);
      KeptTemplate back = change.from(KeptTemplate.class);
      if (there != null && templates.removeNamed(context.siteId(), there) == 0) {
        throw new RefusedException("There is no template “%s” any more.".formatted(there.name()));
      }
      if (back != null) {
        insert(context, back);
      }
    }
  }
}
