package osmerin.core.article;

import java.util.Optional;

/** What articles of a type need before anybody writes. */
public enum BriefNeed {
  NONE("no brief"),
  WRITTEN("a brief"),
  SIGNED_OFF("a brief that is signed off");

  private final String label;

  BriefNeed(String label) {
    this.label = label;
  }

  /** The words people see. */
  public String label() {
    return label;
  }

  /** What an article lacks, in words; empty when it has what it needs. */
  public Optional<String> lack(boolean written, boolean signedOff) {
    if (this == NONE || written && (signedOff || this == WRITTEN)) {
      return Optional.empty();
    }
    return Optional.of(written ? "the brief is not signed off" : "there is no brief");
  }
}
