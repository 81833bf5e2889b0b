package osmerin.app.frame;

import java.util.Optional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;
import osmerin.app.articles.StandingWords;
import osmerin.app.platform.web.In;
import osmerin.app.site.SiteService;

/**
 * Gives every template its words for dates, numbers and standings, and the frame, which is gathered
 * only when a page shows it.
 */
@ControllerAdvice
class FrameAdvice {
  private final FrameService frames;
  private final SiteService sites;

  FrameAdvice(FrameService frames, SiteService sites) {
    this.frames = frames;
    this.sites = sites;
  }

  @ModelAttribute
  void addFrame(Model model) {
    model.addAttribute("in", new In());
    model.addAttribute("standing", new StandingWords());
    model.addAttribute(
        "frame",
        new LazyContextVariable<Optional<Frame>>() {
          @Override
          protected Optional<Frame> loadValue() {
            return sites.current().map(frames::frame);
          }
        });
  }
}
