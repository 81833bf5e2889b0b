package osmerin.core.article;

/** What moves an article to a stage by itself; each leads to one stage of the site. */
public enum StageAct {
  COMMISSIONING("Commissioning", Phase.TO_COME),
  SIGN_OFF("Signing off the brief", Phase.IN_HAND),
  HAND_IN("Handing in a draft", Phase.IN_HAND),
  PUBLISHING("Publishing", Phase.LIVE),
  RETIRING("Retiring", Phase.ENDED);

  private final String label;
  private final Phase phase;

  StageAct(String label, Phase phase) {
    this.label = label;
    this.phase = phase;
  }

  /** The words people see. */
  public String label() {
    return label;
  }

  /** The phase of the stage it leads to. */
  public Phase phase() {
    return phase;
  }
}
