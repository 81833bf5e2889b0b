package osmerin.formats.inventory;

import java.net.URI;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.inventory.InventoryReading.Problem;

/** Gathers pages, each address once, and what could not be imported. */
final class Pages {
  private final String siteAddress;
  private final Map<PageAddress, LivePage> pages = new LinkedHashMap<>();
  private final List<String> parts = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();

  /**
   * @param siteAddress "https://marlpit.example", against which "/kilns" is read
   */
  Pages(String siteAddress) {
    this.siteAddress = siteAddress;
  }

  /** Takes a page; one whose address is not a web address becomes a problem. */
  void add(
      String where,
      String address,
      @Nullable String title,
      @Nullable LocalDate published,
      @Nullable LocalDate changed) {
    String full = full(address.strip());
    PageAddress normal = PageAddress.of(full).orElse(null);
    if (normal == null || !full.contains("://")) {
      problem(where, "“" + address.strip() + "” is not the address of a page");
      return;
    }
    String shown = title == null || title.isBlank() ? null : title.strip();
    pages.merge(normal, new LivePage(full, shown, published, changed), Pages::together);
  }

  /** What either knows of a page. */
  private static LivePage together(LivePage a, LivePage b) {
    return new LivePage(
        a.address(),
        a.title() == null ? b.title() : a.title(),
        a.published() == null ? b.published() : a.published(),
        a.changed() == null ? b.changed() : a.changed());
  }

  private String full(String address) {
    if (!address.startsWith("/")) {
      return address;
    }
    try {
      return URI.create(siteAddress + "/").resolve(address).toString();
    } catch (IllegalArgumentException e) {
      return address;
    }
  }

  void part(String address) {
    parts.add(address);
  }

  void problem(String where, String reason) {
    problems.add(new Problem(where, reason));
  }

  InventoryReading reading() {
    return new InventoryReading(new ArrayList<>(pages.values()), parts, problems);
  }
}
