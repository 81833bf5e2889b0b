package osmerin.app.guests;

import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.notices.GuestTeller;
import osmerin.app.notices.NoticeKind;
import osmerin.app.rounds.Round;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.core.article.ReferenceNumber;

/** Mails guests what they can do, each with the link to the article it is about. */
@Component
class GuestMail implements GuestTeller {
  /** What concerns a guest; the rest is not theirs to know. */
  private static final Set<NoticeKind> THEIRS =
      Set.of(
          NoticeKind.NAMED,
          NoticeKind.HANDED_OVER,
          NoticeKind.STEP_TURN,
          NoticeKind.STEP_DUE,
          NoticeKind.STEP_LATE);

  private static final Pattern ARTICLE = Pattern.compile("/articles/([^/?#]+)");

  private final Guests guests;
  private final ArticleService articles;
  private final OnBehalf onBehalf;

  GuestMail(Guests guests, ArticleService articles, OnBehalf onBehalf) {
    this.guests = guests;
    this.articles = articles;
    this.onBehalf = onBehalf;
  }

  @Override
  public void tell(Site site, long guest, NoticeKind kind, String text, String path) {
    Matcher article = ARTICLE.matcher(path);
    if (THEIRS.contains(kind) && article.find()) {
      SiteContext context = onBehalf.guest(site.id(), guest);
      int number = ReferenceNumber.read(article.group(1)).orElseThrow().number();
      Round round = articles.get(context, number);
      guests.link(round, guest).ifPresent(link -> guests.mail(site.name(), link, text));
    }
  }
}
