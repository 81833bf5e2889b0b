package osmerin.app.brand;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.text.Counted;

/** The brand sheets of sites: read by whoever writes, changed with history. */
@Service
public class BrandSheets implements Reversal {
  static final int LONGEST = 5_000;

  private final BrandMapper sheets;
  private final History history;

  BrandSheets(BrandMapper sheets, History history) {
    this.sheets = sheets;
    this.history = history;
  }

  public BrandSheet get(SiteContext context) {
    Map<BrandPart, String> texts = new EnumMap<>(BrandPart.class);
    sheets.of(context.siteId()).forEach(row -> texts.put(row.part(), row.text()));
    return new BrandSheet(texts);
  }

  /**
   * Changes the parts that were changed; what somebody else changed in other parts stays.
   *
   * @param seen the parts as the person saw them
   * @param wanted as they are to be
   * @throws RefusedException when somebody else changed the same part, or one is too long
   */
  @Transactional
  public void change(
      SiteContext context, Map<BrandPart, String> seen, Map<BrandPart, String> wanted) {
    context.require(Right.EDIT);
    sheets.lock(context.siteId());
    BrandSheet now = get(context);
    List<Change> changes = new ArrayList<>();
    for (BrandPart part : BrandPart.values()) {
      String before = text(seen, part);
      String after = text(wanted, part);
      if (before.equals(after) || now.text(part).equals(after)) {
        continue;
      }
      if (after.length() > LONGEST) {
        throw new RefusedException(
            "“%s” has more than %s characters.".formatted(part.label(), Counted.of(LONGEST)));
      }
      if (!now.text(part).equals(before)) {
        throw new RefusedException(
            "Somebody else changed “%s” to: %s".formatted(part.label(), now.text(part)));
      }
      put(context, part, after);
      changes.add(Change.of(Thing.BRAND, context.siteId(), part.label(), before, after));
    }
    history.note(context, Right.EDIT, "The brand sheet was changed.", changes);
  }

  private static String text(Map<BrandPart, String> texts, BrandPart part) {
    return texts.getOrDefault(part, "").replace("\r\n", "\n").strip();
  }

  private void put(SiteContext context, BrandPart part, String text) {
    if (text.isEmpty()) {
      sheets.remove(context.siteId(), part);
    } else {
      sheets.put(context.siteId(), part, text);
    }
  }

  @Override
  public Thing thing() {
    return Thing.BRAND;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    sheets.lock(context.siteId());
    for (Change change : changes) {
      BrandPart part = part(change.field());
      if (!get(context).text(part).equals(Objects.requireNonNullElse(change.to(), ""))) {
        throw new RefusedException("“%s” has been changed since.".formatted(part.label()));
      }
      put(context, part, Objects.requireNonNullElse(change.from(), ""));
    }
  }

  private static BrandPart part(String label) {
    for (BrandPart part : BrandPart.values()) {
      if (part.label().equals(label)) {
        return part;
      }
    }
    throw new IllegalArgumentException("a brand sheet has no part " + label);
  }
}
