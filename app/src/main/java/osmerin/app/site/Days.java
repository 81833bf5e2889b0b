package osmerin.app.site;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.workday.DayText;

/** Days in forms, as people type them: "8 dec", "tue", "+5", from today on the site. */
@Component
class Days implements Converter<String, LocalDate> {
  private final SiteService sites;

  Days(SiteService sites) {
    this.sites = sites;
  }

  @Override
  public @Nullable LocalDate convert(String typed) {
    if (typed.isBlank()) {
      return null;
    }
    LocalDate today = sites.current().orElseThrow().today();
    return DayText.read(typed, today).orElseThrow(() -> new RefusedException(refusal(typed)));
  }

  static String refusal(String typed) {
    return "“" + typed.strip() + "” is not a day. " + DayText.HINT;
  }
}
