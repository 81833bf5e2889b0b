package osmerin.app.notices;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.Paging;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What a person was told. */
@Controller
@RequestMapping("/{site}/notices")
class NoticeController {
  private static final int PAGE = 50;

  private final Notices notices;

  NoticeController(Notices notices) {
    this.notices = notices;
  }

  @GetMapping
  @Needs(Right.READ)
  String notices(SiteContext site, @RequestParam(defaultValue = "1") int page, Model model) {
    Paging paging = new Paging(page, PAGE, notices.count(site.personId()));
    model.addAttribute("notices", notices.of(site.personId(), paging.offset(), PAGE));
    model.addAttribute("unread", notices.countUnread(site.personId()));
    model.addAttribute("paging", paging);
    return "notices/notices";
  }

  @GetMapping("/{id}")
  @Needs(Right.READ)
  String open(SiteContext site, @PathVariable long id) {
    return "redirect:" + notices.open(site.personId(), id).path();
  }

  @PostMapping("/read")
  @Needs(Right.READ)
  String readAll(SiteContext site) {
    notices.readAll(site.personId());
    return "redirect:" + site.base() + "/notices";
  }
}
