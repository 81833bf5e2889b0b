package osmerin.app.starts;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefJson;
import osmerin.app.briefs.BriefService;
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
public class BriefTemplates {
  static final int LONGEST_NAME = 80;

  private final TemplateMapper templates;
  private final BriefService briefs;
  private final ArticleService articles;

  BriefTemplates(TemplateMapper templates, BriefService briefs, ArticleService articles) {
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
    TemplateMapper.Row row =
        new TemplateMapper.Row(0, ofType ? round.typeId() : null, name, BriefJson.write(content));
    if (templates.insert(context.siteId(), row, context.personId()) == 0) {
      throw new RefusedException("There is a template “%s” already.".formatted(name));
    }
  }

  /** Fills what is empty in a brief from a template. */
  @Transactional
  public void start(SiteContext context, Round round, long id) {
    TemplateMapper.Row row =
        templates
            .find(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("template", id));
    fill(context, round, BriefJson.read(row.content()));
  }

  /** Fills what is empty in a brief from that of another article. */
  @Transactional
  public void startFrom(SiteContext context, Round round, int number) {
    fill(context, round, briefs.get(context, articles.get(context, number)).content());
  }

  private void fill(SiteContext context, Round round, BriefContent other) {
    briefs.change(context, round, now -> now.filledFrom(other));
  }

  @Transactional
  public void remove(SiteContext context, long id) {
    context.require(Right.EDIT);
    templates.remove(context.siteId(), id);
  }
}
