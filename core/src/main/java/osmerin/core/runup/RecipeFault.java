package osmerin.core.runup;

/** What is wrong with a typed step; the message says it to whoever typed it. */
final class RecipeFault extends RuntimeException {
  RecipeFault(String message) {
    super(message, null, false, false);
  }
}
