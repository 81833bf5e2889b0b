package osmerin.app.notices;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.notices.NoticeMapper.DigestReader;
import osmerin.app.platform.mail.Post;
import osmerin.core.text.Counted;

/** Once a day, in the morning where the person's site is, one mail with what waits for it. */
@Service
public class DailyMail {
  /** The hour from which on the mail of a day is sent. */
  public static final int HOUR = 6;

  private final NoticeMapper notices;
  private final Post post;
  private final Clock clock;

  DailyMail(NoticeMapper notices, Post post, Clock clock) {
    this.notices = notices;
    this.post = post;
    this.clock = clock;
  }

  /** Sends what is due; a person gets one a day, however often this runs, on however many nodes. */
  @Transactional
  public void send() {
    for (DigestReader reader : notices.digestReaders()) {
      ZonedDateTime there = clock.instant().atZone(ZoneId.of(reader.zone()));
      if (there.getHour() >= HOUR && notices.claimDigest(reader.id(), there.toLocalDate()) == 1) {
        List<Notice> news = notices.takeDigest(reader.id());
        post.send(
            reader.mail(), "Since yesterday: " + Counted.of(news.size(), "notice"), text(news));
      }
    }
  }

  private String text(List<Notice> news) {
    StringBuilder text = new StringBuilder();
    String site = "";
    for (Notice notice : news) {
      if (!notice.site().equals(site)) {
        site = notice.site();
        text.append(text.isEmpty() ? "" : "\n").append(site).append("\n\n");
      }
      text.append("- ").append(notice.text()).append("\n  ");
      text.append(post.address(notice.path())).append('\n');
    }
    return text.toString();
  }

  @Configuration
  static class Job {
    @Bean
    RecurringTask<Void> dailyMailTask(DailyMail mail) {
      return Tasks.recurring("daily mail", FixedDelay.of(Duration.ofMinutes(10)))
          .execute((instance, context) -> mail.send());
    }
  }
}
