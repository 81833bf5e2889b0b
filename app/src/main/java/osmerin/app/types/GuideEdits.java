package osmerin.app.types;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StepGuide;
import osmerin.app.runups.StepGuides;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.RunUpStep;

/** Writes how the steps of a type are done; whoever works on the site may. */
@Service
public class GuideEdits implements Reversal {
  private static final String GUIDE = "How we do it";

  private final StepGuides guides;
  private final ArticleTypeService types;
  private final History history;

  GuideEdits(StepGuides guides, ArticleTypeService types, History history) {
    this.guides = guides;
    this.types = types;
    this.history = history;
  }

  /** A step of a type of the site. */
  RunUpStep step(SiteContext context, long typeId, String key) {
    return types
        .find(context.siteId(), typeId)
        .flatMap(type -> types.steps(typeId).stream().filter(s -> s.key().equals(key)).findFirst())
        .orElseThrow(() -> new NotFoundException("step", key));
  }

  Optional<StepGuide> guide(long typeId, String key) {
    return Optional.ofNullable(guides.of(typeId).get(key));
  }

  /**
   * Writes one; an empty text takes it away.
   *
   * @param seen the version that was changed, 0 for none
   */
  @Transactional
  public void write(SiteContext context, long typeId, String key, String typed, int seen) {
    context.require(Right.WORK);
    RunUpStep step = step(context, typeId, key);
    String text = typed.strip();
    if (text.length() > StepGuide.LONGEST) {
      throw new RefusedException(
          "The text has at most %s characters; this one has %s."
              .formatted(StepGuide.LONGEST, text.length()));
    }
    StepGuide before = guide(typeId, key).orElse(null);
    String was = before == null ? null : before.text();
    String is = text.isEmpty() ? null : text;
    if (Objects.equals(was, is)) {
      return;
    }
    if (!put(context, typeId, key, text, seen)) {
      int now = before == null ? 0 : before.version();
      throw new ConflictException(
          new ConflictException.Field("“" + step.name() + "”", GUIDE),
          was,
          text,
          history.lastBy(context, Thing.STEP_GUIDE, thing(typeId, key), GUIDE),
          Map.of("seen", String.valueOf(now)));
    }
    history.note(
        context,
        Right.WORK,
        "How we do “%s” (%s) was changed.".formatted(step.name(), typeName(context, typeId)),
        Change.of(Thing.STEP_GUIDE, thing(typeId, key), GUIDE, was, is));
  }

  private String typeName(SiteContext context, long typeId) {
    return types.find(context.siteId(), typeId).orElseThrow().name().toLowerCase(Locale.ROOT);
  }

  private boolean put(
      SiteContext context, long typeId, String key, @Nullable String text, int seen) {
    String written = text == null ? "" : text;
    return guides.write(context, typeId, key, written, seen);
  }

  private static String thing(long typeId, String key) {
    return typeId + " " + key;
  }

  @Override
  public Thing thing() {
    return Thing.STEP_GUIDE;
  }

  @Override
  public void reverse(SiteContext context, String thing, List<Change> changes) {
    int gap = thing.indexOf(' ');
    long typeId = Long.parseLong(thing.substring(0, gap));
    String key = thing.substring(gap + 1);
    for (Change change : changes) {
      StepGuide now = guide(typeId, key).orElse(null);
      boolean stands = Objects.equals(now == null ? null : now.text(), change.to());
      int version = now == null ? 0 : now.version();
      if (!stands || !put(context, typeId, key, change.from(), version)) {
        throw new RefusedException("The text has been changed since.");
      }
    }
  }
}
