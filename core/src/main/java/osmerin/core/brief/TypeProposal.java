package osmerin.core.brief;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import osmerin.core.evidence.PageKind;
import osmerin.core.intent.SearchIntent;

/**
 * Which of a site's article types fits what ranks: the one named after the kind of most of the
 * ranking pages that are articles, or where those say nothing after what the keyword asks for.
 */
public final class TypeProposal {
  private static final Map<PageKind, List<String>> NAMES = new EnumMap<>(PageKind.class);

  static {
    NAMES.put(PageKind.HOW_TO, List.of("how-to", "how to", "guide", "tutorial", "instruction"));
    NAMES.put(PageKind.LIST, List.of("list", "roundup", "round-up", "ideas", "collection"));
    NAMES.put(PageKind.COMPARISON, List.of("comparison", "compare", "versus", "review", "test"));
    NAMES.put(PageKind.DEFINITION, List.of("glossary", "definition", "explainer", "what is"));
  }

  private TypeProposal() {}

  /**
   * The place of the type in the list; the first where no name fits.
   *
   * @param types their names, at least one
   * @param ranking kinds of the pages that rank, in any order; may be empty
   */
  public static int of(List<String> types, List<PageKind> ranking, SearchIntent intent) {
    return PageKind.byFrequency(ranking).stream()
        .filter(PageKind::isArticle)
        .findFirst()
        .flatMap(kind -> named(types, kind))
        .or(
            () ->
                intent == SearchIntent.COMMERCIAL
                    ? named(types, PageKind.COMPARISON)
                    : Optional.empty())
        .orElse(0);
  }

  private static Optional<Integer> named(List<String> types, PageKind kind) {
    for (int i = 0; i < types.size(); i++) {
      String name = types.get(i).toLowerCase(Locale.ROOT);
      if (NAMES.getOrDefault(kind, List.of()).stream().anyMatch(name::contains)) {
        return Optional.of(i);
      }
    }
    return Optional.empty();
  }
}
