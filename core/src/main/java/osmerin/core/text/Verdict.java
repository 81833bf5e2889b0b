package osmerin.core.text;

/** How a check came out. */
public enum Verdict {
  MET,
  PARTLY,
  NOT_MET,
  DOES_NOT_APPLY
}
