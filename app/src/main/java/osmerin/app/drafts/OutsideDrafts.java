package osmerin.app.drafts;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.StageAct;
import osmerin.core.draft.DraftCheck;
import osmerin.core.runup.Completion;
import osmerin.core.runup.StepRole;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.word.WordText;

/**
 * Drafts of people without an account: read, held against the brief, handed in. What a link allows
 * is up to whoever asks here.
 */
@Service
public class OutsideDrafts {
  /** Larger files are refused. */
  public static final int LARGEST_FILE = 20 << 20;

  /** What is said once a draft is in. */
  public static final String THANKS = "Your draft was handed in. Thank you.";

  private final DraftService drafts;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final History history;
  private final Notices notices;

  OutsideDrafts(
      DraftService drafts,
      ArticleEdits edits,
      StageMoves stageMoves,
      History history,
      Notices notices) {
    this.drafts = drafts;
    this.stageMoves = stageMoves;
    this.edits = edits;
    this.history = history;
    this.notices = notices;
  }

  /** Whether a draft can still be handed in. */
  public boolean areTaken(Round round) {
    return round.latest() && !round.isLive() && !round.isArchived();
  }

  /** Holds a draft against the brief; nothing is kept. */
  public DraftCheck check(SiteContext context, Round round, String text) {
    if (text.isBlank() || text.length() > DraftService.LONGEST) {
      throw new RefusedException("Paste a draft of 1 to 400,000 characters, or choose a file.");
    }
    return drafts.check(context, round, text);
  }

  /**
   * Takes a draft in: it becomes the latest version, in the name of who sent it; the step of the
   * draft is ticked, the article moves on to where handed in drafts come, and its editors are told.
   * One act.
   *
   * @param by their name
   * @param tell who is told besides
   */
  @Transactional
  public void handIn(SiteContext context, Round round, String text, String by, List<Long> tell) {
    if (!areTaken(round)) {
      throw new RefusedException("Drafts can no longer be handed in here.");
    }
    List<Change> changes = new ArrayList<>();
    changes.add(drafts.handIn(context, round, text, by));
    changes.addAll(edits.complete(context, round, Completion.DRAFT_HANDED_IN));
    changes.addAll(stageMoves.reach(context, round, StageAct.HAND_IN));
    String sentence = "%s handed in a draft of %s.".formatted(by, round.reference());
    history.note(context, Right.WORK, sentence, changes);
    List<Long> whom = new ArrayList<>(round.article().people(StepRole.EDITOR));
    whom.addAll(tell);
    notices.tell(
        context.site(),
        whom.stream().distinct().toList(),
        NoticeKind.GUEST,
        sentence,
        context.base() + "/articles/" + round.reference() + "/draft");
  }

  /**
   * What was sent.
   *
   * @param text as it was typed
   * @param what "hand-in", or anything else for a check
   */
  public record Sent(
      @RequestParam(defaultValue = "") String text,
      @RequestParam(required = false) @Nullable MultipartFile file,
      @RequestParam(defaultValue = "check") String what) {
    /** Null where no file was sent. */
    public @Nullable String fileName() {
      return hasFile() ? file.getOriginalFilename() : null;
    }

    private boolean hasFile() {
      return file != null && !file.isEmpty();
    }

    public boolean isHandedIn() {
      return what.equals("hand-in");
    }

    /**
     * The draft.
     *
     * @throws RefusedException when it was both typed and sent as a file, or is too large or no
     *     file of text
     */
    public String draft() throws IOException {
      if (!hasFile()) {
        return text;
      }
      if (!text.isBlank()) {
        throw new RefusedException("Paste your draft or choose a file, not both.");
      }
      if (file.getSize() > LARGEST_FILE) {
        throw new RefusedException("Files of at most 20 MB can be handed in.");
      }
      return OutsideDrafts.text(
          Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getBytes());
    }
  }

  /**
   * The text of a draft's file: text, Markdown or a Word document.
   *
   * @throws RefusedException when it is none of these
   */
  static String text(String name, byte[] content) {
    String small = name.toLowerCase(Locale.ROOT);
    try {
      if (small.endsWith(".docx")) {
        return WordText.read(content);
      }
      if (isText(small)) {
        return DecodedText.of(content).text();
      }
    } catch (IOException e) {
      throw new RefusedException("“%s” is no Word document that can be read.".formatted(name));
    } catch (UnreadableFileException e) {
      throw new RefusedException("“%s” cannot be read. %s".formatted(name, e.getMessage()));
    }
    throw new RefusedException("Choose a text (.txt), Markdown (.md) or a Word document (.docx).");
  }

  private static boolean isText(String name) {
    return name.endsWith(".txt") || name.endsWith(".md") || name.endsWith(".markdown");
  }
}
