package osmerin.app.gathering;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.PageOrigin;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.outside.GuardedFetch;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.evidence.SavedPages;
import osmerin.formats.html.PageReader;
import osmerin.formats.markdown.Markdown;
import osmerin.formats.robots.Robots;
import osmerin.formats.text.DecodedText;

/** Pages that a person brings to the evidence of a group: pasted, uploaded, or by address. */
@Service
public class BroughtPages {
  private static final int LONGEST_TITLE = 300;
  private static final Pattern MARKUP =
      Pattern.compile("<(html|body|main|article|section|div|p|h[1-6]|ul|ol|table)\\b");

  private final EvidenceService evidence;
  private final GroupService groups;
  private final GuardedFetch fetch;

  BroughtPages(EvidenceService evidence, GroupService groups, GuardedFetch fetch) {
    this.evidence = evidence;
    this.groups = groups;
    this.fetch = fetch;
  }

  /**
   * Adds a text that was pasted: the source of a page, or plain text, Markdown included.
   *
   * @param title may be empty when the text says it itself
   */
  public void paste(SiteContext context, long group, String title, String text) {
    context.require(Right.EDIT);
    if (text.isBlank()) {
      throw new RefusedException("Paste the text of the page, or its HTML.");
    }
    boolean html = MARKUP.matcher(text.toLowerCase(Locale.ROOT)).find();
    ReadPage read = PageReader.read("pasted", html ? text : Markdown.html(text));
    String name = title.isBlank() ? heading(read) : title.strip();
    if (name.length() > LONGEST_TITLE) {
      throw new RefusedException("Shorten the title to 300 characters.");
    }
    add(context, group, PageOrigin.PASTED, new ReadPage(name, name, read.blocks(), read.signs()));
  }

  private static String heading(ReadPage read) {
    return Optional.of(read.title())
        .filter(title -> !title.isBlank())
        .or(() -> read.headings().stream().findFirst())
        .map(title -> title.substring(0, Math.min(title.length(), LONGEST_TITLE)))
        .orElseThrow(() -> new RefusedException("Give the page a title; its text has none."));
  }

  /**
   * Adds a page saved as HTML, or a ZIP archive of such pages.
   *
   * @return what was read, and what was passed over and why
   */
  public SavedPages upload(SiteContext context, long group, String name, byte[] bytes) {
    context.require(Right.EDIT);
    SavedPages saved = SavedPages.ofUpload(name, bytes);
    evidence.add(context, primary(context, group), PageOrigin.FILE, saved.pages());
    return saved;
  }

  /** Adds the page at an address, if its host lets programs fetch it. */
  public void fetch(SiteContext context, long group, String typed) {
    context.require(Right.EDIT);
    String address = typed.strip();
    if (address.isEmpty() || address.length() > 2_000) {
      throw new RefusedException("Type the address of the page.");
    }
    GuardedFetch.Session session = fetch.session();
    String whole = address.contains("://") ? address : "https://" + address;
    requireAllowed(session, whole);
    String html = DecodedText.of(session.get(whole)).text();
    add(context, group, PageOrigin.ADDRESS, PageReader.read(whole, html));
  }

  private static void requireAllowed(GuardedFetch.Session session, String page) {
    String robots;
    try {
      robots = URI.create(page).resolve("/robots.txt").toString();
    } catch (IllegalArgumentException e) {
      throw new RefusedException("“" + page + "” is not a web address.");
    }
    boolean allowed =
        session.find(robots).map(rules -> Robots.of(robots, rules).allows(page)).orElse(true);
    if (!allowed) {
      throw new RefusedException(
          "This host does not let programs fetch that page (robots.txt). Save it and upload it.");
    }
  }

  private void add(SiteContext context, long group, PageOrigin origin, ReadPage page) {
    page.fault()
        .ifPresent(
            why -> {
              throw new RefusedException("This page can’t be used: it " + why);
            });
    evidence.add(context, primary(context, group), origin, List.of(page));
  }

  private String primary(SiteContext context, long group) {
    return groups.keywords(context, group).primary();
  }
}
