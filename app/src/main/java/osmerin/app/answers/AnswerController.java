package osmerin.app.answers;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;

/** Choosing the keyword group of an article on its page. */
@Controller
@RequestMapping("/{site}/articles/{number}/group")
class AnswerController {
  private final Answers answers;
  private final GroupService groups;

  AnswerController(Answers answers, GroupService groups) {
    this.answers = answers;
    this.groups = groups;
  }

  /**
   * What is sent to {@link #choose}.
   *
   * @param seen the group that the person saw
   * @param none whether it is to answer none
   */
  record ChooseForm(
      @RequestParam(required = false) @Nullable Long seen,
      @RequestParam(required = false) @Nullable Long group,
      @RequestParam(defaultValue = "") String value,
      @RequestParam(defaultValue = "false") boolean none,
      @RequestParam(defaultValue = "false") boolean anyway) {}

  /** Chooses a group, by its id or by its name. */
  @PostMapping
  @Needs(Right.COMMISSION)
  String choose(
      SiteContext site, @PathVariable ReferenceNumber number, ChooseForm form, Reply reply) {
    Long byName =
        form.none() || form.group() != null
            ? form.group()
            : Long.valueOf(groups.named(site, form.value()));
    answers.say(site, number.number(), form.seen(), form.none() ? null : byName, form.anyway());
    reply.say(number + (form.none() ? " answers no group now." : " has its keyword group now."));
    return back(site, number);
  }

  /** Makes a group of typed keywords, and chooses it. */
  @PostMapping("/typed")
  @Needs(Right.IMPORT)
  String type(
      SiteContext site,
      @PathVariable ReferenceNumber number,
      @RequestParam(required = false) @Nullable Long seen,
      @RequestParam(defaultValue = "") String keywords,
      Reply reply) {
    answers.sayTyped(site, number.number(), seen, keywords);
    reply.say("A group is made of the keywords; " + number + " answers it.");
    return back(site, number);
  }

  private static String back(SiteContext site, ReferenceNumber number) {
    return "redirect:" + site.base() + "/articles/" + number;
  }
}
