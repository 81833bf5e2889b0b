package osmerin.app.site;

import java.time.LocalDate;

/** A day on which nobody works. */
public record Holiday(LocalDate day, String name) {}
