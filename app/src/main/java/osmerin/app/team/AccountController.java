package osmerin.app.team;

import jakarta.servlet.http.HttpSession;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.notices.NoticeChoice;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.NoticeKind.MailChoice;
import osmerin.app.notices.Notices;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Settings.Theme;

/** A person's own settings. */
@Controller
@RequestMapping("/{site}/account")
class AccountController {
  private final AccountService accounts;
  private final MailAddresses mails;
  private final Notices notices;
  private final Post post;

  AccountController(AccountService accounts, MailAddresses mails, Notices notices, Post post) {
    this.accounts = accounts;
    this.mails = mails;
    this.notices = notices;
    this.post = post;
  }

  @GetMapping
  @Needs(Right.READ)
  String account(SiteContext site, Model model) {
    model.asMap().putIfAbsent("settings", accounts.settings(site.personId()));
    model.addAttribute("themes", Theme.values());
    model.addAttribute("choices", notices.choices(site.personId()));
    model.addAttribute("mailChoices", MailChoice.values());
    model.addAttribute("mailConnected", post.isConnected());
    model.addAttribute("mailPages", post.simulatedAt());
    return "team/account";
  }

  @PostMapping
  @Needs(Right.READ)
  String set(
      SiteContext site,
      @RequestParam String name,
      @RequestParam Theme theme,
      @RequestParam(defaultValue = "false") boolean singleKeys,
      Reply reply) {
    Settings now = accounts.settings(site.personId());
    Settings wanted = new Settings(now.login(), name, now.mail(), theme, singleKeys);
    try {
      accounts.set(site.person(), wanted);
      reply.say("Your settings are saved.");
      return back(site);
    } catch (RefusedException e) {
      reply.with("settings", wanted);
      return fault("settingsFault", e, site, reply);
    }
  }

  @PostMapping("/mail")
  @Needs(Right.READ)
  String mail(
      SiteContext site,
      @RequestParam(defaultValue = "") String mail,
      @RequestParam(defaultValue = "") String current,
      Reply reply) {
    try {
      reply.say(
          switch (mails.ask(site.person(), mail, current)) {
            case CHANGED -> "Your mail address is changed.";
            case WAITS_FOR_LINK ->
                "A mail is on its way to "
                    + mail.strip()
                    + ". It takes effect once you open the link in it.";
            case WAITS_FOR_OWNER ->
                "No mail server is connected, so an owner of your site confirms the address.";
          });
      return back(site);
    } catch (RefusedException e) {
      reply.with("typedMail", mail);
      return fault("mailFault", e, site, reply);
    }
  }

  /** Light or dark, from the menu. */
  @PostMapping("/theme")
  @Needs(Right.READ)
  String theme(SiteContext site, @RequestParam Theme theme) {
    Settings now = accounts.settings(site.personId());
    accounts.set(
        site.person(), new Settings(now.login(), now.name(), now.mail(), theme, now.singleKeys()));
    return back(site);
  }

  @PostMapping("/password")
  @Needs(Right.READ)
  String password(
      SiteContext site,
      @RequestParam String old,
      @RequestParam String password,
      HttpSession session,
      Reply reply) {
    try {
      accounts.changePassword(site.person(), old, password, session.getId());
      reply.say("Your password is changed. Everywhere else you are signed out.");
      return back(site);
    } catch (RefusedException e) {
      return fault("passwordFault", e, site, reply);
    }
  }

  @PostMapping("/sign-out-everywhere")
  @Needs(Right.READ)
  String signOutEverywhere(SiteContext site) {
    accounts.signOutEverywhere(site.person());
    return "redirect:/sign-in?out";
  }

  /** One choice for each kind; what is not sent is not wanted. */
  @PostMapping("/notices")
  @Needs(Right.READ)
  String notices(
      SiteContext site,
      @RequestParam(required = false) @Nullable List<NoticeKind> inApp,
      @RequestParam Map<String, String> fields,
      Reply reply) {
    List<NoticeKind> shown = inApp == null ? List.of() : inApp;
    notices.choose(
        site.personId(),
        Arrays.stream(NoticeKind.values())
            .map(kind -> new NoticeChoice(kind, shown.contains(kind), mail(fields, kind)))
            .toList());
    reply.say("Your choice of notices is saved.");
    return back(site);
  }

  private static MailChoice mail(Map<String, String> fields, NoticeKind kind) {
    String chosen = fields.getOrDefault("mail-" + kind, "");
    return Arrays.stream(MailChoice.values())
        .filter(choice -> choice.name().equals(chosen))
        .findFirst()
        .orElse(MailChoice.NEVER);
  }

  private String fault(String where, RefusedException e, SiteContext site, Reply reply) {
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with(where, e.getMessage());
    return account(site, reply.model());
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/account";
  }
}
