package osmerin.bench;

/** Prints figures: {@code quality}, or {@code speed} with the largest number of keywords. */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) {
    switch (args.length == 0 ? "" : args[0]) {
      case "quality" -> GroupingQuality.run();
      case "speed" -> GroupingSpeed.run(args.length > 1 ? Integer.parseInt(args[1]) : 100_000);
      default -> {
        System.err.println("Say what to measure: quality, speed.");
        System.exit(2);
      }
    }
  }
}
