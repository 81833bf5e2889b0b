package osmerin.formats.inventory;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A page that is live.
 *
 * @param address with its scheme and host
 * @param title null when the file says none
 * @param published the day it first went live, null when unknown
 * @param changed the day of its last change, null when unknown
 */
public record LivePage(
    String address,
    @Nullable String title,
    @Nullable LocalDate published,
    @Nullable LocalDate changed) {}
