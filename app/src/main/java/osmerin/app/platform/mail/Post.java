package osmerin.app.platform.mail;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler.ExponentialBackoffFailureHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler.MaxRetriesFailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Service;

/**
 * Sends mail. A letter is handed over in the transaction that gives the reason for it, and is sent
 * by a job after that; when the mail server does not take it, it is tried again for a day.
 */
@Service
public class Post {
  private static final TaskDescriptor<Letter> SENDING = TaskDescriptor.of("mail", Letter.class);
  private static final int TRIES = 12;

  private final SchedulerClient jobs;
  private final boolean connected;
  private final String simulated;
  private final PublicAddress addresses;
  private final Clock clock;

  Post(
      @Lazy SchedulerClient jobs,
      @Value("${osmerin.mail.host}") String host,
      @Value("${osmerin.mail.simulated}") String simulated,
      PublicAddress addresses,
      Clock clock) {
    this.jobs = jobs;
    this.connected = !host.isBlank();
    this.simulated = simulated;
    this.addresses = addresses;
    this.clock = clock;
  }

  /** Whether there is a mail server; without one letters are not kept. */
  public boolean isConnected() {
    return connected;
  }

  /** Where mail can be read when the server only pretends to send it; empty when it does send. */
  public String simulatedAt() {
    return simulated;
  }

  /** The whole address of a path that begins with a slash, for links that are handed out. */
  public String address(String path) {
    return addresses.of(path);
  }

  /** Hands a letter over. */
  public void send(String to, String subject, String text) {
    if (connected) {
      jobs.scheduleIfNotExists(
          SENDING
              .instance(UUID.randomUUID().toString())
              .data(new Letter(to, subject, text))
              .scheduledTo(clock.instant()));
    }
  }

  @Configuration
  static class Sending {
    @Bean
    OneTimeTask<Letter> mailTask(
        @Value("${osmerin.mail.host}") String host,
        @Value("${osmerin.mail.port}") int port,
        @Value("${osmerin.mail.from}") String from) {
      JavaMailSenderImpl server = new JavaMailSenderImpl();
      server.setHost(host);
      server.setPort(port);
      server.getJavaMailProperties().setProperty("mail.smtp.timeout", "10000");
      server.getJavaMailProperties().setProperty("mail.smtp.connectiontimeout", "3000");
      return Tasks.oneTime(SENDING)
          .onFailure(
              new MaxRetriesFailureHandler<>(
                  TRIES, new ExponentialBackoffFailureHandler<>(Duration.ofSeconds(20), 2)))
          .execute((letter, context) -> server.send(message(from, letter.getData())));
    }

    private static SimpleMailMessage message(String from, Letter letter) {
      SimpleMailMessage message = new SimpleMailMessage();
      message.setFrom(from);
      message.setTo(letter.to());
      message.setSubject(letter.subject());
      message.setText(letter.text());
      return message;
    }
  }
}
