package osmerin.app.workdays;

import java.time.LocalDate;

/**
 * Days on which a person does not work though their week has them.
 *
 * @param last from {@code first} on
 * @param note "holiday", may be empty
 */
public record Absence(long id, long personId, LocalDate first, LocalDate last, String note) {}
