package osmerin.bench;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import osmerin.core.evidence.PageKind;
import osmerin.core.text.Words;

/**
 * A page marked by hand. Its first line is a comment that names its kind; <code>{-</code> and
 * <code>-}</code> stand around what is no part of it, <code>{h:name|</code>, <code>{p:name|</code>
 * and <code>{q|</code> up to <code>}</code> around a heading, a point and a question of it. The
 * marks are gone from its HTML.
 *
 * @param html as a browser would get it
 * @param text what is part of it, without markup
 * @param words of that text
 * @param headings the name of each heading's meaning, by its text
 * @param points the name of each sentence's point, by its text
 */
record MarkedPage(
    String name,
    PageKind kind,
    String html,
    String text,
    int words,
    Map<String, String> headings,
    Map<String, String> points,
    List<String> questions) {
  private static final Pattern KIND = Pattern.compile("<!-- kind: ([a-z-]+) -->");
  private static final Pattern OUT = Pattern.compile("(?s)\\{-.*?-\\}");
  private static final Pattern MARK = Pattern.compile("\\{([hpq])(?::([a-z-]+))?\\||\\}");
  private static final Pattern SCRIPT = Pattern.compile("(?s)<script.*?</script>");

  private record Open(char mark, String name, int from) {}

  /** Reads the marks of a page. */
  static MarkedPage of(String name, String marked) {
    Matcher kind = KIND.matcher(marked);
    if (!kind.find()) {
      throw new IllegalArgumentException(name + " names no kind");
    }
    String bare = SCRIPT.matcher(marked.substring(kind.end())).replaceAll("");
    String own = text(MARK.matcher(OUT.matcher(bare).replaceAll("")).replaceAll(""));
    Marks marks = new Marks();
    String html = marks.cut(bare.replace("{-", "").replace("-}", ""));
    return new MarkedPage(
        name,
        kind(kind.group(1)),
        html,
        own,
        Words.count(own),
        marks.named('h'),
        marks.named('p'),
        List.copyOf(marks.named('q').keySet()));
  }

  private static PageKind kind(String label) {
    for (PageKind kind : PageKind.values()) {
      if (kind.label().equals(label)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("no kind is called " + label);
  }

  private static String text(String html) {
    return Jsoup.parse(html).body().text();
  }

  /** Cuts marks out, and keeps what stood in them. */
  private static final class Marks {
    private final Map<Character, Map<String, String>> found = new HashMap<>();

    String cut(String marked) {
      StringBuilder html = new StringBuilder();
      Deque<Open> open = new ArrayDeque<>();
      Matcher mark = MARK.matcher(marked);
      while (mark.find()) {
        mark.appendReplacement(html, "");
        if (mark.group(1) != null) {
          String name = mark.group(2) == null ? "" : mark.group(2);
          open.push(new Open(mark.group(1).charAt(0), name, html.length()));
        } else if (!open.isEmpty()) {
          Open closed = open.pop();
          found
              .computeIfAbsent(closed.mark(), m -> new HashMap<>())
              .put(text(html.substring(closed.from())), closed.name());
        }
      }
      return mark.appendTail(html).toString();
    }

    Map<String, String> named(char mark) {
      return Map.copyOf(found.getOrDefault(mark, Map.of()));
    }
  }
}
