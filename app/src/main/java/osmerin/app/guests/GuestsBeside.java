package osmerin.app.guests;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.platform.mail.Post;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Shows guests, their links and what they handed in on the page of an article. */
@Component
class GuestsBeside implements BesideArticle {
  private final Guests guests;
  private final StepRoles roles;
  private final Post post;

  GuestsBeside(Guests guests, StepRoles roles, Post post) {
    this.guests = guests;
    this.roles = roles;
    this.post = post;
  }

  @Override
  public void show(SiteContext context, Round round, Model model) {
    List<GuestLink> links = guests.of(round);
    model.addAttribute("guestLinks", links);
    model.addAttribute("handedIn", guests.handedIn(round));
    if (context.may(Right.EDIT)) {
      model.addAttribute(
          "guestAddresses",
          links.stream().collect(Collectors.toMap(GuestLink::id, guests::address)));
    }
    model.addAttribute("guestRoles", roles.list(context.siteId()));
    model.addAttribute("mailConnected", post.isConnected());
  }
}
