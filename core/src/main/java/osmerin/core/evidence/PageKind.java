package osmerin.core.evidence;

import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Kinds of pages that rank. */
public enum PageKind {
  HOW_TO("how-to", true),
  LIST("list", true),
  COMPARISON("comparison", true),
  DEFINITION("definition", true),
  SHOP("shop", false),
  FORUM("forum", false),
  VIDEO("video", false),
  TOOL("tool", false);

  /** A page with a film and fewer words is there for the film. */
  private static final int FEW_WORDS = 400;

  /** Of a page that is about its steps there is one for so many words. */
  private static final int WORDS_A_STEP = 200;

  private static final Pattern COMPARES =
      Pattern.compile("\\b(vs\\.?|versus|compared|comparison|differences? between)\\b");
  private static final Pattern COUNTS =
      Pattern.compile("^\\W*(the )?(top )?\\d{1,3}(?=\\s+\\p{L})");
  private static final Pattern BEST = Pattern.compile("\\b(best|ideas|tips|reasons)\\b");
  private static final Pattern HOW =
      Pattern.compile(
          "\\b(how (?:to|do (?:i|you))|step[ -]by[ -]step|(?:week|day) by (?:week|day)|tutorial"
              + "|instructions|guide to (?:the )?\\w{3,20}ing)\\b");

  /** Told from experience: "Seasoning cast iron the way my nan did it". */
  private static final Pattern DOING =
      Pattern.compile("^\\W*(?:my \\w|(?!nothing|everything|something|during)\\w{2,20}ing\\b)");

  private static final Pattern MEANS =
      Pattern.compile(
          "\\b(what (?:is|are|does)|meaning|definition|glossary|explained|wiki|encyclop(?:a?e|æ)dia"
              + "|questions|answers?|answered|faq)\\b|\\bwhat .{1,40} means?\\b");
  private static final Pattern STEP =
      Pattern.compile("^\\W*step (?:\\d+|one|two|three|four|five|six|seven|eight|nine|ten)\\b");
  private static final Pattern NUMBERED = Pattern.compile("^\\W*\\d{1,2}[.):]\\s");

  /** What a reader is told to do, or what the writer did. */
  private static final Pattern DOES =
      Pattern.compile(
          "^(?:i|we|then i|then we|you|if you|when you|your) \\w|^(?:then |now |next,? |first,? "
              + "|finally,? |always |never |don[’']t |do not )?(?:add|adjust|apply|attach|bake|begin|boil"
              + "|bring|brush|build|buy|check|choose|clean|click|close|cook|cool|cover|cut|decide|divide"
              + "|do|draw|drill|dry|fasten|fill|find|fix|fold|get|give|go|hang|heat|hold|insert|keep|lay"
              + "|leave|let|lift|list|look|make|mark|measure|mix|move|open|place|plant|pour|practise|prepare"
              + "|press|pull|push|put|record|remove|repeat|rinse|rub|run|save|scrub|set|shake|slide|soak"
              + "|spread|stand|start|stir|stop|take|tie|tighten|transfer|try|turn|unscrew|use|wait|walk|warm"
              + "|wash|water|weigh|wipe|work|wrap|write)\\b");

  /** Of the sentences so many are done where a text without another sign is a how-to. */
  private static final double MOSTLY_DONE = 0.3;

  private static final Pattern TOOL_WORD =
      Pattern.compile("\\b(calculator|generator|converter|checker|planner|estimator)\\b");
  private static final Pattern THREAD = Pattern.compile("\\b(forum|thread|discussion board)\\b");

  /** Structured data of what is written, which may have products in it. */
  private static final Set<String> WRITTEN =
      Set.of("article", "blogposting", "newsarticle", "howto", "recipe", "techarticle");

  private final String label;
  private final boolean article;

  PageKind(String label, boolean article) {
    this.label = label;
    this.article = article;
  }

  /** The word people see: "how-to". */
  public String label() {
    return label;
  }

  /** Whether an article of one's own could stand among such pages. */
  public boolean isArticle() {
    return article;
  }

  /** A kind, and what on the page says so. */
  public record Read(PageKind kind, String reason) {}

  /** Each kind once, the commonest first. */
  public static List<PageKind> byFrequency(List<PageKind> kinds) {
    return Arrays.stream(values())
        .filter(kinds::contains)
        .sorted(Comparator.comparingInt(kind -> -Collections.frequency(kinds, kind)))
        .toList();
  }

  /** How many are of each kind, the commonest first: "6 how-to, 3 list, 1 shop". */
  public static String words(List<PageKind> kinds) {
    return byFrequency(kinds).stream()
        .map(kind -> Collections.frequency(kinds, kind) + " " + kind.label())
        .collect(Collectors.joining(", "));
  }

  /** Whether fewer than half are articles: then one may not be what is wanted. */
  public static boolean areArticlesFew(List<PageKind> kinds) {
    return 2 * kinds.stream().filter(PageKind::isArticle).count() < kinds.size();
  }

  /** Reads the kind of a page: first by what can be done on it, then by its title and structure. */
  public static Read of(ReadPage page) {
    Read use = byUse(page);
    return use != null ? use : byText(page);
  }

  private static @Nullable Read byUse(ReadPage page) {
    PageSigns signs = page.signs();
    String title = page.title().toLowerCase(Locale.ROOT);
    boolean product =
        signs.types().contains("product") && Collections.disjoint(signs.types(), WRITTEN);
    if (product || signs.buys() && signs.prices() > 0) {
      return new Read(SHOP, "it sells: %s prices".formatted(signs.prices()));
    }
    if (signs.types().contains("discussionforumposting")
        || signs.types().contains("qapage")
        || signs.posts() >= 3
        || THREAD.matcher(title).find() && signs.posts() > 0) {
      return new Read(FORUM, "several people write: %s posts".formatted(signs.posts()));
    }
    boolean filmOnly = signs.videos() > 0 && page.keptWords() < FEW_WORDS;
    if (signs.types().contains("videoobject") && page.keptWords() < FEW_WORDS || filmOnly) {
      return new Read(VIDEO, "a film with %s words".formatted(page.keptWords()));
    }
    boolean fields = signs.inputs() >= 2 && page.keptWords() < 2 * FEW_WORDS;
    if (fields || signs.inputs() > 0 && TOOL_WORD.matcher(title).find()) {
      return new Read(TOOL, "%s fields to fill in".formatted(signs.inputs()));
    }
    return null;
  }

  private static Read byText(ReadPage page) {
    String title = page.title().toLowerCase(Locale.ROOT);
    List<String> headings = page.headings().stream().map(h -> h.toLowerCase(Locale.ROOT)).toList();
    Matcher compares = COMPARES.matcher(title);
    if (compares.find()) {
      return new Read(COMPARISON, "its title says “%s”".formatted(compares.group()));
    }
    if (COUNTS.matcher(title).find()) {
      return new Read(LIST, "its title promises several");
    }
    if (HOW.matcher(title).find()) {
      return new Read(HOW_TO, "its title says how");
    }
    long steps = headings.stream().filter(h -> STEP.matcher(h).find()).count();
    if (steps >= 2) {
      return new Read(HOW_TO, "%s headings are steps".formatted(steps));
    }
    boolean explains = MEANS.matcher(title).find();
    if (!explains && BEST.matcher(title).find() && headings.size() >= 3) {
      return new Read(LIST, "its title promises several");
    }
    long numbered = headings.stream().filter(h -> NUMBERED.matcher(h).find()).count();
    if (numbered >= 4) {
      return new Read(LIST, "%s headings are numbered".formatted(numbered));
    }
    int items = page.signs().orderedItems();
    if (items >= 4 && items * WORDS_A_STEP >= page.keptWords()) {
      return new Read(HOW_TO, "a numbered list of %s steps".formatted(items));
    }
    if (!explains && (DOING.matcher(title).find() || done(page) >= MOSTLY_DONE) && isDone(page)) {
      return new Read(HOW_TO, "its sentences say what to do");
    }
    return new Read(DEFINITION, "it explains its subject in running text");
  }

  /** Even a title of doing needs some of it in the text. */
  private static boolean isDone(ReadPage page) {
    return done(page) >= MOSTLY_DONE / 2;
  }

  private static double done(ReadPage page) {
    List<String> sentences =
        page.sentences().stream()
            .filter(sentence -> !sentence.isHeading() && sentence.isWriting())
            .map(sentence -> sentence.text().toLowerCase(Locale.ROOT))
            .toList();
    long done = sentences.stream().filter(text -> DOES.matcher(text).find()).count();
    return sentences.isEmpty() ? 0 : (double) done / sentences.size();
  }
}
