package osmerin.app.runups;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.core.runup.StepRole;

/** The step roles of a site, apart from rights. */
@Service
public class StepRoles {
  private final StepRoleMapper roles;

  StepRoles(StepRoleMapper roles) {
    this.roles = roles;
  }

  /** In their order, the shipped ones first. */
  public List<StepRole> list(long siteId) {
    return roles.list(siteId);
  }

  /** As a set, to look one up. */
  public Set<StepRole> set(long siteId) {
    return new LinkedHashSet<>(list(siteId));
  }

  void shipTo(long siteId) {
    StepRole.SHIPPED.forEach(role -> roles.insert(siteId, role));
  }

  /** False when the site has it. */
  @Transactional
  public boolean add(long siteId, StepRole role) {
    return roles.insert(siteId, role) == 1;
  }

  /** False when it is gone, or the new name is taken; articles and types keep the role. */
  @Transactional
  public boolean rename(long siteId, StepRole from, StepRole to) {
    if (roles.list(siteId).contains(to) || roles.rename(siteId, from, to) == 0) {
      return false;
    }
    roles.renameInTypes(siteId, from, to);
    roles.renameInSteps(siteId, from, to);
    roles.renameInArticles(siteId, from, to);
    roles.renameInChecklists(siteId, from, to);
    roles.renameInStages(siteId, from, to);
    return true;
  }

  /** False when a type, an article or somebody has it. */
  @Transactional
  public boolean remove(long siteId, StepRole role) {
    return !roles.isUsed(siteId, role) && roles.remove(siteId, role) == 1;
  }
}
