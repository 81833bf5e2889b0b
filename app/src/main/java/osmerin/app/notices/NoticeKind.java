package osmerin.app.notices;

/** Kinds of notices, each with whether it is sent by mail unless a person chose otherwise. */
public enum NoticeKind {
  NAMED("You are named on an article", MailChoice.DAILY),
  HANDED_OVER("An article waits for you", MailChoice.AT_ONCE),
  STEP_TURN("A step of yours can start", MailChoice.AT_ONCE),
  STEP_DUE("A step of yours is due soon", MailChoice.DAILY),
  STEP_LATE("A step of yours is late", MailChoice.DAILY),
  DATE_MOVED("A publish date of yours moved", MailChoice.DAILY),
  WENT_LIVE("An article of yours went live", MailChoice.DAILY),
  NOT_PUBLISHED("An article could not be published", MailChoice.AT_ONCE),
  PITCH_DECIDED("A pitch of yours was decided", MailChoice.DAILY),
  GUEST("A guest leaves a note or a file", MailChoice.DAILY),
  WORK_ENDED("Long work that you began has ended", MailChoice.NEVER),
  ROLE_CHANGED("Your role changed", MailChoice.AT_ONCE);

  /** Whether and when a notice is sent by mail. */
  public enum MailChoice {
    NEVER("never"),
    AT_ONCE("at once"),
    DAILY("once a day");

    private final String label;

    MailChoice(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  private final String label;
  private final MailChoice mail;

  NoticeKind(String label, MailChoice mail) {
    this.label = label;
    this.mail = mail;
  }

  public String label() {
    return label;
  }

  MailChoice mail() {
    return mail;
  }
}
