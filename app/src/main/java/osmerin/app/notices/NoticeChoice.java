package osmerin.app.notices;

import osmerin.app.notices.NoticeKind.MailChoice;

/** How a person is told of one kind. */
public record NoticeChoice(NoticeKind kind, boolean inApp, MailChoice mail) {
  static NoticeChoice shipped(NoticeKind kind) {
    return new NoticeChoice(kind, true, kind.mail());
  }
}
