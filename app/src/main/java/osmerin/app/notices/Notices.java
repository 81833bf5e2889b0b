package osmerin.app.notices;

import java.time.Clock;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.notices.NoticeKind.MailChoice;
import osmerin.app.notices.NoticeMapper.Reader;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;

/** Tells people what concerns them, in the application and by mail, as each has chosen. */
@Service
public class Notices {
  private final NoticeMapper notices;
  private final Post post;

  /** They tell with the help of this class themselves. */
  private final ObjectProvider<GuestTeller> guests;

  private final Clock clock;

  Notices(NoticeMapper notices, Post post, ObjectProvider<GuestTeller> guests, Clock clock) {
    this.guests = guests;
    this.notices = notices;
    this.post = post;
    this.clock = clock;
  }

  /**
   * Tells people; whoever did it is not told.
   *
   * @param people those who are not on the site are passed over, so are nulls
   * @param path of the page it is about, with the site
   */
  @Transactional
  public void tell(
      SiteContext by,
      Collection<@Nullable Long> people,
      NoticeKind kind,
      String text,
      String path) {
    List<Long> others =
        people.stream()
            .filter(Objects::nonNull)
            .filter(id -> id != by.personId())
            .distinct()
            .toList();
    tell(by.site(), others, kind, text, path);
  }

  /** Tells people what nobody did, or what they did themselves long ago. */
  @Transactional
  public void tell(Site site, Collection<Long> people, NoticeKind kind, String text, String path) {
    if (people.isEmpty()) {
      return;
    }
    for (Reader reader : notices.readers(people, site.id(), kind)) {
      if (reader.guest()) {
        guests.forEach(teller -> teller.tell(site, reader.id(), kind, text, path));
        continue;
      }
      boolean inApp = reader.inApp() == null || reader.inApp();
      MailChoice mail = reader.choice() == null ? kind.mail() : reader.choice();
      notices.insert(
          new NoticeMapper.Sent(
              reader.id(),
              site.id(),
              kind,
              text,
              path,
              clock.instant(),
              inApp,
              mail == MailChoice.DAILY && reader.mail() != null));
      if (mail == MailChoice.AT_ONCE && reader.mail() != null) {
        post.send(reader.mail(), site.name() + ": " + text, text + "\n\n" + post.address(path));
      }
    }
  }

  /** What a person was told, the latest first, of all sites. */
  public List<Notice> of(long personId, int offset, int limit) {
    return notices.of(personId, offset, limit);
  }

  public long count(long personId) {
    return notices.count(personId);
  }

  public long countUnread(long personId) {
    return notices.countUnread(personId);
  }

  /** Opens a notice: it counts as read. */
  @Transactional
  public Notice open(long personId, long id) {
    Notice notice =
        notices.find(personId, id).orElseThrow(() -> new NotFoundException("notice", id));
    notices.read(personId, id, clock.instant());
    return notice;
  }

  @Transactional
  public void readAll(long personId) {
    notices.read(personId, null, clock.instant());
  }

  /** How a person is told, kind by kind. */
  public List<NoticeChoice> choices(long personId) {
    Map<NoticeKind, NoticeChoice> chosen =
        notices.choices(personId).stream()
            .collect(Collectors.toMap(NoticeChoice::kind, Function.identity()));
    return Arrays.stream(NoticeKind.values())
        .map(kind -> chosen.getOrDefault(kind, NoticeChoice.shipped(kind)))
        .toList();
  }

  @Transactional
  public void choose(long personId, Collection<NoticeChoice> choices) {
    choices.forEach(choice -> notices.choose(personId, choice));
  }
}
