package osmerin.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** The texts of the demo scenario. */
final class DemoText {
  private DemoText() {}

  static String whole(String file) {
    try (InputStream in = DemoText.class.getResourceAsStream("/demo/" + file)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static List<String> lines(String file) {
    return whole(file).lines().filter(line -> !line.isBlank()).toList();
  }

  /** The topic of each group's primary keyword. */
  static Map<String, String> topicOfGroup(String file) {
    Map<String, String> topics = new LinkedHashMap<>();
    String topic = "";
    for (String line : lines(file)) {
      if (line.startsWith("# ")) {
        topic = line.substring(2);
      } else {
        topics.put(line.substring(0, line.indexOf(" | ")), topic);
      }
    }
    return topics;
  }

  /**
   * A draft on a subject: a title and the topic's passages in an order of its own.
   *
   * @param file of passages by topic
   */
  static String draft(String file, String title, String topic, Random random) {
    List<String> passages = new ArrayList<>();
    String current = "";
    for (String line : lines(file)) {
      if (line.startsWith("# ")) {
        current = line.substring(2);
      } else if (current.equals(topic) && line.startsWith("## ")) {
        passages.add(line + "\n\n");
      } else if (current.equals(topic)) {
        passages.add(passages.remove(passages.size() - 1) + line + "\n\n");
      }
    }
    java.util.Collections.shuffle(passages, random);
    return "# " + title + "\n\n" + String.join("", passages).strip() + "\n";
  }
}
