package osmerin.app.runups;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.site.SiteContext;

/** How the steps of the types are done here. */
@Service
public class StepGuides {
  private final StepGuideMapper guides;

  StepGuides(StepGuideMapper guides) {
    this.guides = guides;
  }

  /** Of a type, by the keys of its steps; steps without one are not there. */
  public Map<String, StepGuide> of(long typeId) {
    return guides.of(typeId).stream()
        .collect(Collectors.toMap(StepGuide::key, Function.identity()));
  }

  /**
   * Writes one; an empty text takes it away.
   *
   * @param seen the version that was seen, 0 for none
   * @return false when somebody was faster
   */
  @Transactional
  public boolean write(SiteContext context, long typeId, String key, String text, int seen) {
    StepGuide now = of(typeId).get(key);
    if ((now == null ? 0 : now.version()) != seen) {
      return false;
    }
    if (text.isEmpty()) {
      guides.remove(typeId, key);
      return true;
    }
    return guides.write(
            new StepGuideMapper.Written(
                typeId, key, text, context.today(), context.personId(), seen))
        == 1;
  }
}
