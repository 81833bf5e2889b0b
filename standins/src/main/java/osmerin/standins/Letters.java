package osmerin.standins;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Properties;
import java.util.stream.Stream;

/** Letters that came in, each a file in the format of mail (RFC 5322) in a folder. */
final class Letters {
  /**
   * A letter.
   *
   * @param number counts from 1
   */
  record Letter(int number, Instant at, String to, String subject, String text) {}

  private final Path folder;
  private final Clock clock;
  private final List<Letter> letters = new ArrayList<>();

  Letters(Path folder, Clock clock) throws IOException {
    this.folder = Files.createDirectories(folder);
    this.clock = clock;
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file :
          files.filter(f -> f.toString().endsWith(".eml")).sorted(byNumber()).toList()) {
        letters.add(read(Files.readAllBytes(file), Files.getLastModifiedTime(file).toInstant()));
      }
    }
  }

  private static Comparator<Path> byNumber() {
    return Comparator.comparingInt(
        file -> Integer.parseInt(file.getFileName().toString().replace(".eml", "")));
  }

  /** The latest first. */
  synchronized List<Letter> all() {
    List<Letter> all = new ArrayList<>(letters);
    all.sort(Comparator.comparingInt(Letter::number).reversed());
    return all;
  }

  synchronized void add(byte[] message) {
    Letter letter = read(message, clock.instant());
    try {
      Files.write(folder.resolve(letter.number() + ".eml"), message);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    letters.add(letter);
  }

  private Letter read(byte[] message, Instant at) {
    try {
      MimeMessage mail =
          new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(message));
      String to = String.valueOf(mail.getRecipients(Message.RecipientType.TO)[0]);
      return new Letter(
          letters.size() + 1, at, to, mail.getSubject(), String.valueOf(mail.getContent()));
    } catch (MessagingException | IOException e) {
      throw new IllegalArgumentException("this is no mail: " + e.getMessage(), e);
    }
  }
}
