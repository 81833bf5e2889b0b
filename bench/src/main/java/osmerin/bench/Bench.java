package osmerin.bench;

import java.io.IOException;

/**
 * Prints figures: {@code quality}, {@code speed} with the largest number of keywords, or {@code
 * evidence} with a folder of saved pages.
 */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws IOException {
    switch (args.length == 0 ? "" : args[0]) {
      case "quality" -> {
        GroupingQuality.run();
        ReadingQuality.run();
      }
      case "speed" -> GroupingSpeed.run(args.length > 1 ? Integer.parseInt(args[1]) : 100_000);
      case "evidence" -> EvidenceSpeed.run(args.length > 1 ? args[1] : ".");
      default -> {
        System.err.println("Say what to measure: quality, speed, evidence.");
        System.exit(2);
      }
    }
  }
}
