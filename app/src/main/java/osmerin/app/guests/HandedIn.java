package osmerin.app.guests;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A note or a file that a guest left.
 *
 * @param text of a note, the name of a file
 * @param fileId null for a note
 * @param size of a file in bytes, else 0
 */
public record HandedIn(String guest, String text, @Nullable Long fileId, long size, Instant at) {}
