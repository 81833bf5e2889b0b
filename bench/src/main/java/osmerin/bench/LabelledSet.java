package osmerin.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.NormalForm;

/**
 * Keywords whose groups are known, made from a seed: groups of very different size, pairs of
 * siblings that share hub pages and a word, addresses written in different ways, some keywords
 * between two groups, some without ranking pages. Words are made of random syllables.
 *
 * @param keywords in random order
 * @param labels the true group of each, by normal form
 */
record LabelledSet(List<Keyword> keywords, Map<String, Integer> labels) {

  static LabelledSet of(Shape shape, long seed) {
    return new Maker(shape, new Random(seed)).make();
  }

  /** Writes one set. */
  private static final class Maker {
    private final Shape shape;
    private final Random random;
    private final Set<String> words = new LinkedHashSet<>();
    private final List<Keyword> keywords = new ArrayList<>();
    private final Map<String, Integer> labels = new HashMap<>();
    private int strays;

    Maker(Shape shape, Random random) {
      this.shape = shape;
      this.random = random;
    }

    LabelledSet make() {
      List<String> modifiers = new ArrayList<>();
      for (int i = 0; i < 60; i++) {
        modifiers.add(word());
      }
      String family = "";
      for (int group = 0; group < shape.groups(); group++) {
        family = group % 2 == 0 ? word() : family;
        addGroup(group, family, modifiers);
      }
      Collections.shuffle(keywords, random);
      return new LabelledSet(keywords, labels);
    }

    /** Sizes fall off steeply: as many groups of 1–2 keywords as of 20–60. */
    private int size() {
      return (int) Math.floor(Math.exp(random.nextDouble() * Math.log(shape.largest() + 1.0)));
    }

    private void addGroup(int group, String family, List<String> modifiers) {
      String own = word();
      List<String> extra = List.of(word(), word(), word());
      int size = size();
      for (int i = 0; i < size; i++) {
        String text = phrase(family, own, extra, modifiers);
        if (labels.putIfAbsent(NormalForm.of(text), group) == null) {
          boolean bare = random.nextDouble() < shape.withoutPages();
          boolean bridge = random.nextDouble() < shape.bridging();
          keywords.add(
              Keyword.of(
                  text,
                  (long) (10 * Math.exp(random.nextDouble() * 7)),
                  bare ? List.of() : pages(group, bridge)));
        }
      }
    }

    /** The group's own word, mostly with the family's or one of its extras, and a modifier. */
    private String phrase(String family, String own, List<String> extra, List<String> modifiers) {
      List<String> parts = new ArrayList<>(List.of(own));
      if (random.nextDouble() < 0.7) {
        parts.add(family);
      }
      if (random.nextDouble() < 0.6) {
        parts.add(extra.get(random.nextInt(extra.size())));
      }
      if (parts.size() < 3 || random.nextDouble() < 0.4) {
        parts.add(modifiers.get(random.nextInt(modifiers.size())));
      }
      Collections.shuffle(parts, random);
      return String.join(" ", parts);
    }

    private List<String> pages(int group, boolean bridge) {
      int wanted = Math.min(7, shape.ownPages()) + random.nextInt(4);
      Set<String> pages = new LinkedHashSet<>();
      while (pages.size() < wanted) {
        double luck = random.nextDouble();
        int sibling = group ^ 1;
        if (luck < shape.strayShare()) {
          pages.add("stray" + ++strays + ".example/only");
        } else if (luck < shape.strayShare() + shape.hubShare()) {
          pages.add("hub" + group / 2 + ".example/all/" + random.nextInt(shape.hubs()));
        } else {
          int of = bridge && random.nextBoolean() && sibling < shape.groups() ? sibling : group;
          pages.add(
              "site" + (of * 7 + 3) % 97 + ".example/" + of + "/Page-" + early(shape.ownPages()));
        }
      }
      return pages.stream().map(this::dressed).toList();
    }

    /** Pages at the top rank for more of a group's keywords than those further down. */
    private int early(int pages) {
      return (int) (pages * Math.pow(random.nextDouble(), 1.3));
    }

    /** The same address as tools write it. */
    private String dressed(String address) {
      int slash = address.indexOf('/');
      String host = address.substring(0, slash);
      String path = address.substring(slash);
      return switch (random.nextInt(8)) {
        case 0 -> "http://" + host + path;
        case 1 -> "https://www." + host + path;
        case 2 -> "https://" + host + path + "/";
        case 3 -> "https://" + host.toUpperCase(Locale.ROOT) + path;
        case 4 -> "https://" + host + ":443" + path;
        case 5 -> "https://" + host + path + "?utm_source=a&gclid=" + random.nextInt(99);
        case 6 -> "https://" + host + path.replace("-", "%2D") + "#top";
        default -> host + path;
      };
    }

    private String word() {
      while (true) {
        StringBuilder word = new StringBuilder();
        for (int i = 0; i < 3; i++) {
          word.append("bdfgklmnprtvz".charAt(random.nextInt(13)));
          word.append("aeiou".charAt(random.nextInt(5)));
        }
        word.append("klmnrt".charAt(random.nextInt(6)));
        if (words.add(word.toString())) {
          return word.toString();
        }
      }
    }
  }
}
