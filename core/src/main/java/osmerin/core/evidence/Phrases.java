package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * Phrases of 1–4 words as they stand in a text, each with a key that all its forms share: plural,
 * hyphen, order, a small word between ("month of expenses"), an adjective for its noun ("rusty").
 * Phrases begin and end with a word of the subject, have one small word between such words at most,
 * and reach over no sign that parts sentences.
 */
public final class Phrases {
  private static final int MOST_WORDS = 4;

  /** Signs that part phrases wherever they stand. */
  private static final String APART = "\n()\"“”—–";

  /** Signs that part phrases before space, or before more of them. */
  private static final String PARTING = ".!?;:,[]";

  private static final String ENDS = " \t\n\r\u00a0" + PARTING + APART;

  private static final Pattern NUMBER = Pattern.compile("[\\d.,-]+");
  private static final Pattern THOUSANDS = Pattern.compile("(?<=\\d),(?=\\d{3}(?!\\d))");
  private static final Pattern HYPHEN = Pattern.compile("-");

  /** Small words that hold two words of a phrase together. */
  private static final Set<String> LINKING =
      Set.of("of", "for", "in", "to", "on", "with", "per", "by", "at", "from");

  private static final Set<String> NUMBERS =
      Set.of(
          "two",
          "three",
          "four",
          "five",
          "six",
          "seven",
          "eight",
          "nine",
          "ten",
          "eleven",
          "twelve",
          "half",
          "dozen",
          "hundred",
          "thousand");

  private static final Set<String> PARTICLES = Set.of("down", "up", "off", "out", "over", "away");

  /** Nouns that only look like what an adjective was made of: "party" is nothing of "part". */
  private static final Set<String> OTHER_NOUNS =
      Set.of("part", "count", "stud", "fair", "bell", "fort", "treat", "cand", "hold");

  private static final int SHORTEST_NOUN = 4;

  /**
   * A phrase where it stands.
   *
   * @param key of all its forms
   * @param text as it is written, in lower case
   */
  public record Phrase(String key, String text) {}

  /**
   * @param joined whether a hyphen joins it to the one before
   */
  private record Token(String stem, String word, Role role, boolean joined) {
    boolean isSubject() {
      return role == Role.SUBJECT || role == Role.NUMBER;
    }
  }

  private enum Role {
    SUBJECT,
    NUMBER,
    LINKING,
    /** Closes a phrase, but is none by itself: "upside down". */
    PARTICLE,
    OTHER
  }

  private final Stems stems;

  public Phrases(Stems stems) {
    this.stems = stems;
  }

  /** All of them, in order; longer and shorter ones of the same words as well. */
  public List<Phrase> in(String text) {
    List<Phrase> phrases = new ArrayList<>();
    for (String part : parts(THOUSANDS.matcher(text).replaceAll(""))) {
      add(tokens(part), phrases);
    }
    return phrases;
  }

  /** The key of a text that is one phrase as a whole; empty for any other. */
  public Optional<String> key(String text) {
    String whole = String.join(" ", Words.lower(text));
    return in(text).stream()
        .filter(phrase -> phrase.text().equals(whole))
        .map(Phrase::key)
        .findFirst();
  }

  /** Uses of one key do not overlap, as "clay cobalt" would within "cobalt clay cobalt". */
  private static void add(List<Token> tokens, List<Phrase> phrases) {
    Map<String, Integer> ends = new HashMap<>();
    for (int from = 0; from < tokens.size(); from++) {
      int small = 0;
      int last = Math.min(tokens.size(), from + MOST_WORDS);
      for (int to = from; tokens.get(from).isSubject() && to < last; to++) {
        Token end = tokens.get(to);
        small += end.role() == Role.LINKING ? 1 : 0;
        boolean within = to > from && tokens.get(to - 1).role() == Role.PARTICLE;
        if (end.role() == Role.OTHER || small > 1 || within) {
          break;
        }
        List<Token> phrase = tokens.subList(from, to + 1);
        if ((end.isSubject() || end.role() == Role.PARTICLE)
            && phrase.stream().anyMatch(t -> t.role() == Role.SUBJECT)) {
          String key = key(phrase);
          if (ends.getOrDefault(key, 0) <= from) {
            phrases.add(new Phrase(key, spelling(phrase)));
            ends.put(key, to + 1);
          }
        }
      }
    }
  }

  private static String key(List<Token> phrase) {
    List<String> stems = new ArrayList<>();
    for (Token token : phrase) {
      if (token.role() != Role.LINKING) {
        stems.add(token.stem());
      }
    }
    Collections.sort(stems);
    return String.join(" ", stems);
  }

  private static String spelling(List<Token> phrase) {
    StringBuilder text = new StringBuilder(phrase.get(0).word());
    for (Token token : phrase.subList(1, phrase.size())) {
      text.append(token.joined() ? '-' : ' ').append(token.word());
    }
    return text.toString();
  }

  private List<Token> tokens(String part) {
    List<Token> tokens = new ArrayList<>();
    for (String word : Words.lower(part)) {
      boolean joined = false;
      for (String piece : HYPHEN.split(word)) {
        if (!piece.isEmpty()) {
          tokens.add(new Token(stem(piece), piece, role(piece), joined));
          joined = true;
        }
      }
    }
    return tokens;
  }

  private static Role role(String word) {
    if (LINKING.contains(word)) {
      return Role.LINKING;
    }
    if (PARTICLES.contains(word)) {
      return Role.PARTICLE;
    }
    if (NUMBER.matcher(word).matches() || NUMBERS.contains(word)) {
      return Role.NUMBER;
    }
    boolean subject = word.length() > 1 && !StopWords.contains(word) && !CommonWords.contains(word);
    return subject ? Role.SUBJECT : Role.OTHER;
  }

  /** "rusty" is of rust, as "sticky" is of stick. */
  private String stem(String word) {
    String stem = stems.of(word);
    boolean adjective = word.endsWith("y") && stem.endsWith("i");
    String noun = adjective ? stem.substring(0, stem.length() - 1) : stem;
    return noun.length() >= SHORTEST_NOUN && !OTHER_NOUNS.contains(noun) ? noun : stem;
  }

  /** What stands between signs that part phrases; a sign within a word parts none. */
  private static List<String> parts(String text) {
    List<String> parts = new ArrayList<>();
    int from = 0;
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      boolean last = i + 1 == text.length() || ENDS.indexOf(text.charAt(i + 1)) >= 0;
      if (APART.indexOf(sign) >= 0 || PARTING.indexOf(sign) >= 0 && last) {
        parts.add(text.substring(from, i));
        from = i + 1;
      }
    }
    parts.add(text.substring(from));
    return parts;
  }
}
