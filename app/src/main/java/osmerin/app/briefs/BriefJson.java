package osmerin.app.briefs;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.Outline;
import tools.jackson.databind.json.JsonMapper;

/** Briefs as JSON, as the database and history keep them. */
public final class BriefJson {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .changeDefaultVisibility(v -> v.withIsGetterVisibility(Visibility.NONE))
          .build();

  private BriefJson() {}

  public static String write(BriefContent content) {
    return JSON.writeValueAsString(content);
  }

  public static BriefContent read(String json) {
    return JSON.readValue(json, BriefContent.class);
  }

  /** The sections as an array. */
  static String write(Outline outline) {
    return JSON.writeValueAsString(outline.sections());
  }

  /**
   * Reads an array of sections.
   *
   * @throws RuntimeException when it is none, or its sections are not sound
   */
  static Outline outline(String json) {
    Outline.Section[] sections = JSON.readValue(json, Outline.Section[].class);
    if (sections == null || Arrays.stream(sections).anyMatch(Objects::isNull)) {
      throw new IllegalArgumentException("a section is missing");
    }
    return new Outline(List.of(sections));
  }
}
