package osmerin.app.imports;

import java.util.List;
import org.springframework.stereotype.Component;
import osmerin.app.history.Change;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.imports.ImportMapper.UsedGroup;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.text.Counted;

/**
 * Takes an import back: what it added goes, what it changed has the figures of before, and groups
 * that are empty then go too. It stands in the way when a later import holds keywords of it, or
 * when an article answers a group that it alone brought.
 */
@Component
class ImportUndo implements Reversal {
  static final String IMPORT = "Import";

  private final SiteKeywords siteKeywords;
  private final ImportMapper imports;
  private final ImportPlacing placing;

  ImportUndo(SiteKeywords siteKeywords, ImportMapper imports, ImportPlacing placing) {
    this.siteKeywords = siteKeywords;
    this.imports = imports;
    this.placing = placing;
  }

  @Override
  public Thing thing() {
    return Thing.IMPORT;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long id = Long.parseLong(key);
    if (changes.get(0).from() != null) {
      throw new RefusedException("The file of an undone import is not kept. Import it again.");
    }
    long siteId = context.siteId();
    siteKeywords.lock(siteId);
    refuseIfBuiltOn(context, id);
    if (imports.markUndone(siteId, id) == 0) {
      throw new RefusedException("That import has already been undone.");
    }
    imports.putBefore(id);
    imports.removeAdded(siteId, id);
    placing.placeLeft(context, siteKeywords.all(siteId));
  }

  private void refuseIfBuiltOn(SiteContext context, long id) {
    imports
        .findLater(id)
        .ifPresent(
            later -> {
              throw new RefusedException(
                  "%s of %s contains %s of it. Undo that import first."
                      .formatted(
                          later.fileName(),
                          In.moment(later.at(), context.site().zoneId()),
                          Counted.of(later.keywords(), "keyword")));
            });
    List<UsedGroup> used = imports.usedGroups(context.siteId(), id);
    if (!used.isEmpty()) {
      UsedGroup first = used.get(0);
      throw new RefusedException(
          "%s answers “%s”, a group that this import brought. Archive the article first."
              .formatted(
                  new ReferenceNumber(context.site().prefix(), first.number()), first.name()));
    }
  }
}
