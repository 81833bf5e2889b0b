package osmerin.formats.html;

import static java.util.regex.Pattern.CASE_INSENSITIVE;
import static java.util.regex.Pattern.UNICODE_CASE;

import java.util.EnumMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/**
 * What short texts around an article say of themselves, whatever marks them up: "You might also
 * like", "31 comments", "Was this page helpful?". Such a text opens a part ({@link #opens}), or
 * belongs to one wherever in it it stands ({@link #belongs}).
 */
final class Labels {
  /** A part of a page that is none of what the page says. */
  enum Part {
    COMMENTS("comments"),
    RELATED("related"),
    CONTENTS("table of contents"),
    SHOP("shop"),
    HELPFUL("asks whether it helped"),
    POLL("poll"),
    NEWSLETTER("newsletter"),
    AUTHOR("author"),
    CONTACT("contact"),
    ADVERT("advert"),
    FOOTER("footer"),
    BYLINE("byline");

    private final String reason;

    Part(String reason) {
      this.reason = reason;
    }

    String reason() {
      return reason;
    }
  }

  /** Longer texts are read, not glanced at. */
  private static final int LONGEST_OPENING = 12;

  private static final int LONGEST_SIGN = 40;

  private static final Map<Part, Pattern> OPENINGS = new EnumMap<>(Part.class);
  private static final Map<Part, Pattern> SIGNS = new EnumMap<>(Part.class);

  static {
    opens(
        Part.COMMENTS,
        "(?:\\d[\\d,.]{0,8}+ )?(?:reader |user |latest |all )?(?:comments?|responses?|replies"
            + "|kommentare?|commentaires?)(?: so far| \\(\\d{1,6}\\)|:)?",
        "\\d{1,6} (?:thoughts?|comments?|responses?|replies) (?:on|to) .{1,200}",
        "(?:leave|post|write|add) (?:a|your) (?:reply|comment|response)\\b.{0,60}",
        "join the (?:conversation|discussion)\\b.{0,40}",
        "(?:discussion|reader letters|what readers say|schreibe einen kommentar)");
    opens(
        Part.RELATED,
        "you (?:might|may)(?: also)? (?:like|enjoy|be interested in)\\b.{0,40}",
        "(?:related|similar|recommended|popular|latest|recent|further|more)"
            + " (?:posts?|articles?|questions?|threads?|terms?|links?|reading|topics?|stories|guides?"
            + "|pages?|videos?|discussions?|products?)\\b.{0,40}",
        "(?:read|up|coming) (?:next|more|on)",
        "(?:keep|continue) (?:reading|browsing)",
        "more (?:from|about|on|like) .{1,60}",
        "(?:see|read|also) also|see also\\b.{0,30}|also on .{1,60}|also (?:read|see)",
        "(?:customers|people|others|readers) (?:who .{1,40} )?also .{1,40}",
        "goes well with|often bought together|trending(?: now)?|external links|related|recommended"
            + "|most read|editor.s picks?|what to read next",
        "other (?:things|posts|articles|stories|pages)\\b.{0,40}",
        "das könnte (?:dich|sie|euch) auch .{1,30}|ähnliche (?:artikel|beiträge)|à lire aussi");
    opens(
        Part.CONTENTS,
        "(?:in|on) this (?:guide|article|page|post)",
        "(?:table of |page )?contents|jump to(?: section)?|what.s inside|quick links"
            + "|inhalt(?:sverzeichnis)?|sommaire");
    opens(
        Part.SHOP,
        "(?:delivery|shipping|returns?|postage)(?: (?:&|and|or) (?:delivery|shipping|returns?"
            + "|refunds?|exchanges?|payment))?(?: information| policy)?",
        "(?:customer|product|verified|our)? ?reviews?(?: \\(\\d{1,6}\\))?|what (?:our )?customers say",
        "(?:our pick|buy it here|where to buy(?: it)?|shop (?:this|the look|now))\\b.{0,40}");
    opens(
        Part.HELPFUL,
        "(?:give|send|leave) (?:us )?(?:your )?feedback\\b.{0,40}",
        "rate this (?:article|page|guide|post|entry|recipe|answer)\\b.{0,40}");
    opens(Part.POLL, "(?:reader |quick |our )?poll\\b.{0,80}", "vote(?: now)?[:!].{0,80}");
    opens(
        Part.NEWSLETTER,
        "(?:our |the |free )?newsletter|never miss (?:a|an|another) \\w{1,12}"
            + "|stay (?:in touch|up to date)");
    opens(
        Part.AUTHOR, "about the (?:author|writer)|(?:meet )?(?:the|your) author|über die autorin");
    opens(
        Part.CONTACT,
        "(?:still have|got|have|any) (?:a |any |more )?questions?\\?",
        "ask (?:us|me) (?:a question|anything)|contact us|get in touch|questions about our .{1,40}"
            + "|write to us|book an appointment|opening hours\\b.{0,60}");
    opens(
        Part.ADVERT,
        "advertisements?|sponsored(?: content)?|anzeige|from our (?:partners|sponsors)");

    signs(
        Part.HELPFUL,
        "^(?:was|is|were|did|has|how|do|war)\\b.{0,12}\\b(?:this|the|these|dieser?|your|our)\\b.{0,30}"
            + "\\b(?:helpful|useful|of (?:any )?(?:use|help)|help(?: you)?|clear|hilfreich|answer(?:ed)?"
            + " your question)\\b.{0,12}\\?",
        "^did (?:you|we) (?:find|answer|like)\\b.{0,20}\\b(?:what you|this (?:page|article|guide|post)"
            + "|your question|it (?:useful|helpful))\\b.{0,30}\\?",
        "^how (?:useful|helpful|clear|would you rate)\\b.{0,40}\\?",
        "^(?:👍|👎)|\\d (?:people|readers) found this (?:helpful|useful)");
    signs(Part.CONTENTS, "^(?:on this page|jump to|in this (?:article|guide|post)|skip to)\\s?:");
    signs(
        Part.POLL,
        "\\b(?:cast your vote|thanks? (?:you )?for voting|vote (?:to see|below|now))\\b",
        "^[\\d,.]{1,9} votes?$|[○◯◉☐]\\s?\\p{L}");
    signs(
        Part.NEWSLETTER,
        "^(?:get|want|receive) (?:our|my|the|these|a|more)\\b.{0,80}\\b(?:inbox|mail|letter|newsletter"
            + "|every week)\\b",
        "^(?:subscribe|sign (?:me )?up|join [\\d,.]{2,9}\\b|no spam\\b|enter your (?:e-?mail|address))",
        "\\b(?:shall we send it|straight to your inbox|unsubscribe at any time)\\b");
    signs(
        Part.FOOTER,
        "©|\\ball rights reserved\\b|^(?:this page was )?last (?:changed|updated|modified|edited)\\b",
        "\\b(?:visitor no|users browsing|mark as read|has been read [\\d,.]{1,12} times)\\b",
        "^page \\d{1,4} of \\d{1,4}\\b|^(?:tagged|tags|categor(?:y|ies)):|^(?:tagged|filed|posted)"
            + " (?:in|as|with|under)\\b",
        "^share (?:this|on|with)\\b|^embed this\\b|^retrieved \\d|^return to .{1,80}",
        "^(?:quick reply|(?:log|sign) in to|you must be (?:registered|logged in)|know the answer\\?)");
    signs(
        Part.RELATED,
        "^(?:«|»|←|→|‹|›|>>|<<)?\\s?(?:next|previous|prev|read next|also read|see also|read more"
            + "|related|more like this)(?: (?:post|article|story))?\\s?(?::|→|»|›)");
    signs(
        Part.AUTHOR,
        "^(?:written|words|text|story|photos?|pictures) by (?-i:\\p{Lu})[\\p{L}’'-]{1,30}\\b.{0,40}\\b(?:who|is"
            + "|has|lives)\\b",
        "^about (?-i:\\p{Lu})[\\p{L}’'-]{1,30}(?: (?-i:\\p{Lu})[\\p{L}’'-]{1,30})?:",
        "\\bfollow (?:her|him|them|me|us) (?:for|on)\\b");
    signs(
        Part.SHOP,
        "\\b(?:in stock|add to (?:basket|cart|bag)|free (?:delivery|shipping)|order (?:by|before|within)"
            + " \\d|incl\\. vat|verified buyer|\\d{1,3} left)\\b",
        "^(?:sizes?:? )?(?:x{0,2}s|m|x{0,2}l)(?: (?:x{0,2}s|m|x{0,2}l)){2,}$|^size: .{1,30}$",
        "^[€£$] ?\\d[\\d.,]{0,12}(?: incl.{0,20})?$|^\\d[\\d.,]{0,12} ?(?:€|eur|£|usd)$");
    signs(
        Part.ADVERT,
        "^(?:our sponsor|advertisement|sponsored)\\b|\\b\\d{1,2} ?% off\\b.{0,40}\\b(?:until|today|now)\\b");
    signs(
        Part.CONTACT,
        "^(?:call|ring|write to|e-?mail) (?:us|me|the office|our)\\b.{0,80}\\b"
            + "(?:weekdays|between|within|monday|answer)\\b");
  }

  private Labels() {}

  private static void opens(Part part, String... texts) {
    OPENINGS.put(part, pattern("^\\W{0,4}(?:" + String.join("|", texts) + ")\\W{0,4}$"));
  }

  private static void signs(Part part, String... texts) {
    SIGNS.put(part, Pattern.compile(String.join("|", texts), CASE_INSENSITIVE | UNICODE_CASE));
  }

  private static Pattern pattern(String regex) {
    return Pattern.compile(regex, CASE_INSENSITIVE | UNICODE_CASE);
  }

  /** The part of which this is the heading or first line; null for any other text. */
  static @Nullable Part opens(String text) {
    return text.length() > 200 || Words.count(text) > LONGEST_OPENING
        ? null
        : first(OPENINGS, text);
  }

  /** The part to which this belongs, whatever stands around it; null for any other text. */
  static @Nullable Part belongs(String text) {
    return text.length() > 400 || Words.count(text) > LONGEST_SIGN ? null : first(SIGNS, text);
  }

  private static @Nullable Part first(Map<Part, Pattern> patterns, String text) {
    for (Map.Entry<Part, Pattern> said : patterns.entrySet()) {
      if (said.getValue().matcher(text).find()) {
        return said.getKey();
      }
    }
    return null;
  }
}
