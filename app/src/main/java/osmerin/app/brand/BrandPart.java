package osmerin.app.brand;

/** A part of a brand sheet. */
public enum BrandPart {
  PURPOSE("Purpose", "What is this site for, and for whom? A few sentences."),
  VOICE("Voice", "How should it sound? Two sentences that do, and one that does not, help most."),
  DO("Do", "What every article does. One a line."),
  DO_NOT("Don't", "What no article does. One a line."),
  AUDIENCES("Audiences", "Who reads this site, and what they know already. One a line."),
  PRODUCTS("Products", "What you offer, and how to speak of it. One a line."),
  CALLS("Calls to action", "Standing calls to action with their addresses. One a line.");

  private final String label;
  private final String prompt;

  BrandPart(String label, String prompt) {
    this.label = label;
    this.prompt = prompt;
  }

  public String label() {
    return label;
  }

  public String prompt() {
    return prompt;
  }
}
