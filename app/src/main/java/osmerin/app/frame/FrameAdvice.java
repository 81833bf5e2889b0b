package osmerin.app.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.HandlerMapping;
import org.thymeleaf.context.LazyContextVariable;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.StandingWords;
import osmerin.app.runups.StageList;
import osmerin.app.site.SiteService;
import osmerin.core.article.Stages;

/**
 * Gives every template its words for dates, numbers and standings, and the stages of the site and
 * the frame, which are gathered only when a page shows them.
 */
@ControllerAdvice
class FrameAdvice {
  private final FrameService frames;
  private final SiteService sites;
  private final StageList stages;

  FrameAdvice(FrameService frames, SiteService sites, StageList stages) {
    this.stages = stages;
    this.frames = frames;
    this.sites = sites;
  }

  @ModelAttribute
  void addFrame(Model model, HttpServletRequest request) {
    YearMonth open = openMonth(request);
    model.addAttribute("in", new In());
    model.addAttribute("standing", new StandingWords());
    model.addAttribute(
        "stages",
        new LazyContextVariable<Stages>() {
          @Override
          protected Stages loadValue() {
            return stages.of(sites.current().orElseThrow().siteId());
          }
        });
    model.addAttribute(
        "frame",
        new LazyContextVariable<Optional<Frame>>() {
          @Override
          protected Optional<Frame> loadValue() {
            return sites.current().map(site -> frames.frame(site, open));
          }
        });
  }

  /** The month that the page is about; null when it is about none. */
  private static @Nullable YearMonth openMonth(HttpServletRequest request) {
    Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    Object month = variables instanceof Map<?, ?> map ? map.get("month") : null;
    try {
      return month == null ? null : YearMonth.parse(month.toString());
    } catch (DateTimeParseException e) {
      return null;
    }
  }
}
