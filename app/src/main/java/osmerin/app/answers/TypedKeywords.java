package osmerin.app.answers;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.grouping.GroupEdits;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.NormalForm;

/** Groups of keywords that a person typed. */
@Service
public class TypedKeywords {
  private static final int MOST_TYPED = 200;

  private final ImportService imports;
  private final SiteKeywords keywords;
  private final GroupEdits grouping;

  TypedKeywords(ImportService imports, SiteKeywords keywords, GroupEdits grouping) {
    this.imports = imports;
    this.keywords = keywords;
    this.grouping = grouping;
  }

  /**
   * Makes a group of keywords that a person typed, one a line; those that are known already move
   * into it. Its name and primary keyword follow as for any group.
   *
   * @return its id
   */
  @Transactional
  public long group(SiteContext context, String typed) {
    context.require(Right.IMPORT);
    Map<String, String> wanted = new LinkedHashMap<>();
    typed
        .lines()
        .map(String::strip)
        .filter(line -> !line.isEmpty())
        .forEach(line -> wanted.putIfAbsent(NormalForm.of(line), line));
    wanted.remove("");
    if (wanted.isEmpty() || wanted.size() > MOST_TYPED) {
      throw new RefusedException("Type 1 to %s keywords, one on each line.".formatted(MOST_TYPED));
    }
    wanted.values().stream()
        .filter(line -> line.length() > Keyword.MAX_LENGTH)
        .findFirst()
        .ifPresent(
            line -> {
              throw new RefusedException(
                  "“%s…” is longer than %s characters."
                      .formatted(line.substring(0, 40), Keyword.MAX_LENGTH));
            });
    String file =
        wanted.values().stream()
            .map(line -> '"' + line.replace("\"", "\"\"") + '"')
            .collect(Collectors.joining("\n", "keyword\n", "\n"));
    imports.importFile(context, "typed keywords", file.getBytes(StandardCharsets.UTF_8));
    List<Long> ids =
        keywords.named(context.siteId(), wanted.keySet()).stream().map(KnownKeyword::id).toList();
    return grouping.split(context, ids);
  }
}
