package osmerin.app.work;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/**
 * Keeps how far long work is, so that whoever began it can leave and come back, and is told when it
 * has ended.
 */
@Service
public class LongWork {
  /** So long somebody waits before they are shown how far it is. */
  private static final Duration PATIENCE = Duration.ofSeconds(3);

  private static final long GLANCE_MILLIS = 50;

  private final WorkMapper work;
  private final Notices notices;
  private final Clock clock;

  LongWork(WorkMapper work, Notices notices, Clock clock) {
    this.work = work;
    this.notices = notices;
    this.clock = clock;
  }

  /**
   * Work that is about to begin.
   *
   * @param name of what is worked on
   * @param path of the page where it was begun
   */
  @Transactional
  public UUID begin(SiteContext context, WorkKind kind, String name, String path) {
    UUID id = UUID.randomUUID();
    work.insert(
        new WorkMapper.Begun(
            id, context.siteId(), context.personId(), kind, name, path, clock.instant()));
    return id;
  }

  public Work get(SiteContext context, UUID id) {
    return work.find(context.siteId(), id).orElseThrow(() -> new NotFoundException("work", id));
  }

  /**
   * Says what is being done, at once and whatever becomes of the transaction of the work.
   *
   * @throws WorkStoppedException when somebody stopped it
   */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void step(UUID id, String step, long done, long total) {
    if (work.step(id, step, done, total) == 0) {
      throw new WorkStoppedException(id);
    }
  }

  /** Stops work of the person's own, or of anybody's for who manages the site. */
  @Transactional
  public void stop(SiteContext context, UUID id) {
    Work now = get(context, id);
    if (now.personId() != context.personId()) {
      context.require(Right.MANAGE);
    }
    work.stop(id, clock.instant());
  }

  /**
   * It is done.
   *
   * @param path of the page that shows what came of it
   */
  @Transactional
  public void done(SiteContext context, UUID id, String sentence, String path) {
    doneQuietly(id, path);
    tell(context, sentence, path);
  }

  /**
   * It failed.
   *
   * @param path of the page on which it can be begun again
   */
  @Transactional
  public void failed(SiteContext context, UUID id, String fault, String path) {
    failedQuietly(id, fault, path);
    tell(context, get(context, id).name() + ": " + fault, path);
  }

  /**
   * Waits a moment for work that was just ordered.
   *
   * @return the page that shows what came of it, or how far it is
   * @throws RefusedException when it failed, with the reason
   */
  public String awaited(SiteContext context, UUID id) {
    Work now = glance(context, id);
    if (now.state() == Work.State.FAILED) {
      throw new RefusedException(String.valueOf(now.fault()));
    }
    return now.isOver() ? String.valueOf(now.path()) : context.base() + "/work/" + id;
  }

  /** How it stands once it is over, or after a moment of waiting. */
  private Work glance(SiteContext context, UUID id) {
    long begun = System.nanoTime();
    Work now = get(context, id);
    while (!now.isOver() && System.nanoTime() - begun < PATIENCE.toNanos()) {
      try {
        Thread.sleep(GLANCE_MILLIS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return now;
      }
      now = get(context, id);
    }
    return now;
  }

  /** Whoever still waits in {@link #awaited} sees what comes of it without a notice. */
  private boolean isWaitedFor(SiteContext context, UUID id) {
    return clock.instant().isBefore(get(context, id).startedAt().plus(PATIENCE));
  }

  /** The same as {@link #done}; without a notice to somebody who still waits for it. */
  @Transactional
  public void doneAtAGlance(SiteContext context, UUID id, String sentence, String path) {
    if (isWaitedFor(context, id)) {
      doneQuietly(id, path);
    } else {
      done(context, id, sentence, path);
    }
  }

  /** The same as {@link #failed}; without a notice to somebody who still waits for it. */
  @Transactional
  public void failedAtAGlance(SiteContext context, UUID id, String fault, String path) {
    if (isWaitedFor(context, id)) {
      failedQuietly(id, fault, path);
    } else {
      failed(context, id, fault, path);
    }
  }

  private void doneQuietly(UUID id, String path) {
    work.end(id, Work.State.DONE, null, path, clock.instant());
  }

  private void failedQuietly(UUID id, String fault, String path) {
    work.end(id, Work.State.FAILED, fault, path, clock.instant());
  }

  private void tell(SiteContext context, String text, String path) {
    notices.tell(context.site(), List.of(context.personId()), NoticeKind.WORK_ENDED, text, path);
  }
}
