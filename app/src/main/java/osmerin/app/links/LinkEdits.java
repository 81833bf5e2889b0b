package osmerin.app.links;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.WebAddress;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.text.PlainText;

/** Gives articles named links, changes them and takes them away. */
@Service
public class LinkEdits implements RoundReversal {
  private static final String LINK = "Link: ";
  private static final int LONGEST_NAME = 60;
  private static final int MOST = 30;

  private final ArticleLinkMapper links;
  private final ArticleService articles;
  private final ArticleTypeService types;
  private final History history;

  LinkEdits(
      ArticleLinkMapper links, ArticleService articles, ArticleTypeService types, History history) {
    this.links = links;
    this.articles = articles;
    this.types = types;
    this.history = history;
  }

  /** The links that its type names, in that order, then the article's others. */
  public List<NamedLink> of(Round round) {
    List<NamedLink> there = links.of(round.article().id());
    List<NamedLink> all = new ArrayList<>();
    for (String name : types.linkNames(round.typeId())) {
      all.add(
          there.stream()
              .filter(link -> link.name().equals(name))
              .findFirst()
              .orElse(new NamedLink(name, null)));
    }
    there.stream().filter(link -> !all.contains(link)).forEach(all::add);
    return all;
  }

  /**
   * Says where a link leads.
   *
   * @param seen the address that was shown, empty for none
   * @param typed the address, empty to take the link away
   */
  @Transactional
  public void set(SiteContext context, int number, String typedName, String seen, String typed) {
    Round round = articles.get(context, number);
    WorkRights.requireWork(context, round);
    String name = name(typedName);
    String before = seen.isBlank() ? null : seen.strip();
    String after = typed.isBlank() ? null : WebAddress.checked(typed);
    if (Objects.equals(before, after)) {
      return;
    }
    if (before == null && links.of(round.article().id()).size() >= MOST) {
      throw new RefusedException("An article has at most %s links.".formatted(MOST));
    }
    if (!put(round, name, before, after)) {
      throw conflict(context, round, name, after);
    }
    history.note(
        context,
        Right.WORK,
        "The link “%s” of %s was %s."
            .formatted(name, round.reference(), after == null ? "taken away" : "set"),
        Change.of(Thing.ARTICLE, number, LINK + name, before, after));
  }

  private ConflictException conflict(
      SiteContext context, Round round, String name, @Nullable String wanted) {
    String now =
        links.of(round.article().id()).stream()
            .filter(link -> link.name().equals(name))
            .map(NamedLink::address)
            .findFirst()
            .orElse("");
    return new ConflictException(
        new ConflictException.Field(round.reference(), LINK + name),
        now.isEmpty() ? "none" : now,
        wanted == null ? "none" : wanted,
        history.lastBy(context, Thing.ARTICLE, round.article().number(), LINK + name),
        Map.of("seen", now));
  }

  private static String name(String typed) {
    String name = typed.strip().replaceAll("\\s+", " ");
    if (name.isEmpty() || name.length() > LONGEST_NAME || !PlainText.isPlain(name)) {
      throw new RefusedException(
          "Give the link a name of at most %s letters.".formatted(LONGEST_NAME));
    }
    return name;
  }

  private boolean put(Round round, String name, @Nullable String before, @Nullable String after) {
    long article = round.article().id();
    if (before == null) {
      return links.insert(article, name, Objects.requireNonNull(after)) == 1;
    }
    return after == null
        ? links.remove(article, name, before) == 1
        : links.change(article, name, before, after) == 1;
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(LINK);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    return put(round, change.field().substring(LINK.length()), change.to(), change.from());
  }
}
