package osmerin.app.views;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/** What is asked of a ledger, as fields of its address in their order; empty ones are left out. */
public final class Asked {
  private final Map<String, String> fields = new LinkedHashMap<>();

  /** Adds a field; nothing when the value is null or blank. */
  public Asked with(String name, @Nullable Object value) {
    if (value != null && !value.toString().isBlank()) {
      fields.put(name, value.toString());
    }
    return this;
  }

  /** The fields but one, for a form that sets that one. */
  public Map<String, String> without(String name) {
    Map<String, String> others = new LinkedHashMap<>(fields);
    others.remove(name);
    return others;
  }

  /** The address with these fields. */
  public String address(String path) {
    UriComponentsBuilder address = UriComponentsBuilder.fromPath(path);
    fields.keySet().forEach(name -> address.queryParam(name, "{" + name + "}"));
    return address.encode().buildAndExpand(fields).toUriString();
  }
}
