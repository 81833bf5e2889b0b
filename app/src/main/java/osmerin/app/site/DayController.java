package osmerin.app.site;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import osmerin.app.platform.web.In;
import osmerin.core.workday.DayText;

/** Tells a date field which day was typed, before the form is sent. */
@RestController
class DayController {
  /**
   * A day.
   *
   * @param iso "2026-12-08"
   * @param words "Tue 8 Dec"
   */
  record Understood(LocalDate iso, String words) {}

  /** The day that is meant, or why none is. */
  @GetMapping("/{site}/day")
  @Needs(Right.READ)
  ResponseEntity<Object> day(SiteContext site, @RequestParam String typed) {
    Optional<LocalDate> day = DayText.read(typed, site.today());
    return day.<ResponseEntity<Object>>map(
            d -> ResponseEntity.ok(new Understood(d, In.dayField(d, site.today()))))
        .orElseGet(
            () -> ResponseEntity.status(HttpStatus.UNPROCESSABLE_ENTITY).body(Days.refusal(typed)));
  }
}
