package osmerin.app.desk;

import org.jspecify.annotations.Nullable;
import osmerin.app.briefs.BriefPage;
import osmerin.app.desk.Desk.Waiting;
import osmerin.app.handout.BriefDocument;
import osmerin.app.pitches.Pitch;
import osmerin.formats.markdown.Rendered;

/**
 * One of the things that wait for a person, with what they need to decide it.
 *
 * @param at its place among them, from 0
 * @param all how many there are
 * @param brief that is to be signed off, else null
 * @param draft that is to be read, else null; empty where nothing is written
 * @param pitch that is to be decided, else null
 */
record Decision(
    int at,
    int all,
    Waiting waiting,
    @Nullable BriefPage brief,
    @Nullable Rendered draft,
    @Nullable Pitch pitch) {
  /** The brief as its writer reads it. */
  public BriefDocument document() {
    return BriefDocument.of(brief);
  }
}
