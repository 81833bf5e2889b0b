package osmerin.app.work;

/** Kinds of long work, and what becomes of work that is stopped. */
public enum WorkKind {
  IMPORT("Import", "Nothing is saved then.", "Nothing was saved."),
  FETCH("Fetch", "Nothing is saved then.", "Nothing was saved."),
  EVIDENCE(
      "Evidence",
      "What was fetched by then stays.",
      "What was fetched before stays with its groups.");

  private final String label;
  private final String ifStopped;
  private final String stopped;

  WorkKind(String label, String ifStopped, String stopped) {
    this.label = label;
    this.ifStopped = ifStopped;
    this.stopped = stopped;
  }

  /** In words, for people. */
  public String label() {
    return label;
  }

  /** What stopping it would mean, in a sentence. */
  public String ifStopped() {
    return ifStopped;
  }

  /** What became of it when it was stopped, in a sentence. */
  public String stopped() {
    return stopped;
  }
}
