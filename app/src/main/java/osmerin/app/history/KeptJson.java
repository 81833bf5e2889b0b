package osmerin.app.history;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Values of several parts as JSON: {@code {"version": 1, "kept": {…}}}. */
final class KeptJson {
  /** Of the form that is written. */
  static final int VERSION = 1;

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .changeDefaultVisibility(v -> v.withIsGetterVisibility(Visibility.NONE))
          .build();

  private KeptJson() {}

  static String write(Kept value) {
    ObjectNode node = JSON.createObjectNode().put("version", VERSION);
    node.set("kept", JSON.valueToTree(value));
    return JSON.writeValueAsString(node);
  }

  /**
   * Reads what was written.
   *
   * @throws IllegalStateException when it is of another kind or version
   */
  static <T extends Kept> T read(String text, Class<T> kind) {
    try {
      JsonNode node = JSON.readTree(text);
      if (node.path("version").asInt() != VERSION) {
        throw new IllegalStateException("no version " + VERSION + " in history: " + text);
      }
      return JSON.treeToValue(node.get("kept"), kind);
    } catch (JacksonException e) {
      throw new IllegalStateException("no " + kind.getSimpleName() + " in history: " + text, e);
    }
  }
}
