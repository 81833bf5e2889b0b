package osmerin.app.evidence;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.evidence.EvidenceMapper.PageRow;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PageSigns;
import osmerin.core.evidence.ReadPage;
import tools.jackson.databind.json.JsonMapper;

/** Pages of evidence as rows, and back. */
final class PageStore {
  private static final JsonMapper JSON = JsonMapper.shared();

  /** A block as it is stored, in short words since there are hundreds to a page. */
  private record Part(
      PageBlock.Kind kind, String text, @Nullable String leftOut, @Nullable Boolean byHand) {
    static Part of(PageBlock block) {
      return new Part(block.kind(), block.text(), block.leftOut(), block.byHand());
    }

    PageBlock block() {
      return new PageBlock(kind, text, leftOut, byHand);
    }
  }

  private PageStore() {}

  static PageRow row(KeptPage page) {
    ReadPage read = page.read();
    return new PageRow(
        page.position(),
        page.origin(),
        page.leftOut(),
        read.name(),
        read.title(),
        JSON.writeValueAsString(read.blocks().stream().map(Part::of).toList()),
        JSON.writeValueAsString(read.signs()),
        page.kind() == null ? null : page.kind().kind(),
        page.kind() == null ? null : page.kind().reason());
  }

  static KeptPage page(PageRow row) {
    List<PageBlock> blocks =
        List.of(JSON.readValue(row.parts(), Part[].class)).stream().map(Part::block).toList();
    PageSigns signs = JSON.readValue(row.signs(), PageSigns.class);
    return new KeptPage(
        row.position(),
        row.origin(),
        row.leftOut(),
        new ReadPage(row.address(), row.title(), blocks, signs),
        row.kind() == null ? null : new PageKind.Read(row.kind(), String.valueOf(row.reason())));
  }
}
