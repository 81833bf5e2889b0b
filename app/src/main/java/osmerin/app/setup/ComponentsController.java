package osmerin.app.setup;

import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Every fragment in its states, for who makes pages: with the demo and in tests only. */
@Controller
@ConditionalOnExpression("${osmerin.demo:false} or ${osmerin.components:false}")
class ComponentsController {
  @GetMapping("/{site}/setup/components")
  @Needs(Right.MANAGE)
  String components(SiteContext site, Model model) {
    Components.addTo(model, site.today());
    return "setup/components";
  }
}
