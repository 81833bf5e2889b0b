package osmerin.app.team;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;

/** The people of a site: everybody sees them, owners manage them. */
@Controller
@RequestMapping("/{site}/team")
class TeamController {
  private final TeamService team;
  private final Invitations invitations;
  private final AccountService accounts;
  private final MailAddresses mails;
  private final Post post;

  TeamController(
      TeamService team,
      Invitations invitations,
      AccountService accounts,
      MailAddresses mails,
      Post post) {
    this.team = team;
    this.invitations = invitations;
    this.accounts = accounts;
    this.mails = mails;
    this.post = post;
  }

  @GetMapping
  @Needs(Right.READ)
  String team(SiteContext site, Model model) {
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("roles", Role.WITH_ACCOUNT);
    model.addAttribute("rights", Right.values());
    model.addAttribute("mailConnected", post.isConnected());
    model.addAttribute("mailPages", post.simulatedAt());
    if (site.may(Right.MANAGE)) {
      model.addAttribute("invitations", invitations.open(site));
      model.addAttribute("mailChanges", mails.waiting(site));
    }
    return "team/team";
  }

  @PostMapping("/invitations")
  @Needs(Right.MANAGE)
  String invite(SiteContext site, @RequestParam String mail, @RequestParam Role role, Reply reply) {
    try {
      String link = invitations.invite(site, mail, role);
      reply.say(mail.strip() + " is invited.");
      reply.next("link", link);
      reply.next("linkFor", mail.strip());
      return back(site);
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typed", mail);
      reply.with("typedRole", role);
      return team(site, reply.model());
    }
  }

  @PostMapping("/invitations/{id}/revoke")
  @Needs(Right.MANAGE)
  String revoke(SiteContext site, @PathVariable long id, Reply reply) {
    invitations.revoke(site, id);
    reply.say("The invitation is withdrawn; its link no longer works.");
    return back(site);
  }

  @PostMapping("/{id}/role")
  @Needs(Right.MANAGE)
  String role(
      SiteContext site,
      @PathVariable long id,
      @RequestParam Role seen,
      @RequestParam Role role,
      Reply reply) {
    team.changeRole(site, id, seen, role);
    reply.say(team.get(site, id).name() + " is " + role.label() + " now.");
    return back(site);
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.MANAGE)
  String remove(SiteContext site, @PathVariable long id, Reply reply) {
    String name = team.get(site, id).name();
    team.remove(site, id);
    reply.say(name + " is no longer on the site. What they did keeps their name.");
    return id == site.personId() ? "redirect:/" : back(site);
  }

  @PostMapping("/{id}/password-link")
  @Needs(Right.MANAGE)
  String passwordLink(SiteContext site, @PathVariable long id, Reply reply) {
    Person person = team.get(site, id);
    reply.next("link", accounts.passwordLinkFor(site, person));
    reply.next("linkFor", person.name());
    return back(site);
  }

  /** Confirms the mail address somebody asked for, where no mail is sent. */
  @PostMapping("/{id}/mail")
  @Needs(Right.MANAGE)
  String mail(SiteContext site, @PathVariable long id, Reply reply) {
    Person person = team.get(site, id);
    reply.say(person.name() + " has the address " + mails.confirmFor(site, person) + " now.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/team";
  }
}
