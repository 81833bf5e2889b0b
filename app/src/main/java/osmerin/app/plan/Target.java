package osmerin.app.plan;

import java.time.LocalDate;
import osmerin.core.article.Kind;

/** A month's number of articles of one kind; {@code month} is its first day. */
record Target(LocalDate month, Kind kind, int number) {}
