package osmerin.app.brand;

/** A part of a brand sheet. */
public enum BrandPart {
  PURPOSE("Purpose", "What is this site for, and for whom? A few sentences."),
  VOICE("Voice", "How should it sound? One example that fits and one that doesn't help most."),
  DO("Do", "What every article does. One per line."),
  DO_NOT("Don't", "What no article does. One per line."),
  AUDIENCES("Audiences", "Who reads this site, and what they already know. One per line."),
  PRODUCTS("Products", "What you offer, and how to write about it. One per line."),
  CALLS("Calls to action", "Standing calls to action with their links. One per line.");

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
