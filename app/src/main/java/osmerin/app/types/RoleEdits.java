package osmerin.app.types;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.StepRole;

/** Adds, renames and removes the step roles of a site; the shipped ones stay as they are. */
@Service
public class RoleEdits implements Reversal {
  private static final String ADDED = "Role added";
  private static final String REMOVED = "Role removed";
  private static final String RENAMED = "Role renamed";

  private final StepRoles roles;
  private final History history;

  RoleEdits(StepRoles roles, History history) {
    this.roles = roles;
    this.history = history;
  }

  /** Adds a role. */
  @Transactional
  public StepRole add(SiteContext context, String name) {
    context.require(Right.MANAGE);
    StepRole role = role(name);
    if (!roles.add(context.siteId(), role)) {
      throw new RefusedException("This site has the role “%s” already.".formatted(role));
    }
    note(context, "The step role “%s” was added.".formatted(role), ADDED, null, role.name());
    return role;
  }

  /** Gives a role another name everywhere. */
  @Transactional
  public void rename(SiteContext context, String from, String to) {
    context.require(Right.MANAGE);
    StepRole was = own(from);
    StepRole role = role(to);
    if (!roles.rename(context.siteId(), was, role)) {
      throw new RefusedException("This site has the role “%s” already.".formatted(role));
    }
    String sentence = "The step role “%s” was renamed to “%s”.".formatted(was, role);
    note(context, sentence, RENAMED, was.name(), role.name());
  }

  /** Removes a role that no type, article or person has. */
  @Transactional
  public void remove(SiteContext context, String name) {
    context.require(Right.MANAGE);
    StepRole role = own(name);
    if (!roles.remove(context.siteId(), role)) {
      throw new RefusedException(
          "Types or open articles have steps for “%s”. Give those to another role first."
              .formatted(role));
    }
    note(context, "The step role “%s” was removed.".formatted(role), REMOVED, role.name(), null);
  }

  private void note(
      SiteContext context,
      String sentence,
      String field,
      @Nullable String before,
      @Nullable String after) {
    history.note(
        context,
        Right.MANAGE,
        sentence,
        Change.of(Thing.STEP_ROLES, context.siteId(), field, before, after));
  }

  private static StepRole own(String name) {
    StepRole role = role(name);
    if (StepRole.SHIPPED.contains(role)) {
      throw new RefusedException("Every site has the role “%s”.".formatted(role));
    }
    return role;
  }

  private static StepRole role(String name) {
    try {
      return StepRole.valueOf(name);
    } catch (IllegalArgumentException e) {
      throw new RefusedException(e.getMessage());
    }
  }

  @Override
  public Thing thing() {
    return Thing.STEP_ROLES;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      if (!putBack(context.siteId(), change)) {
        throw new RefusedException("As things stand that role can't be put back.");
      }
    }
  }

  private boolean putBack(long siteId, Change change) {
    if (change.from() != null && change.to() != null) {
      return roles.rename(siteId, role(change.to()), role(change.from()));
    }
    return change.from() != null
        ? roles.add(siteId, role(change.from()))
        : roles.remove(siteId, role(change.to()));
  }
}
