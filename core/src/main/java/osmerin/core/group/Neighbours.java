package osmerin.core.group;

import java.util.Arrays;

/** For each unit the units near to it, ascending, and the number of pages shared with each. */
final class Neighbours {
  private final int[] start;
  private final int[] units;
  private final byte[] shared;

  private Neighbours(int[] start, int[] units, byte[] shared) {
    this.start = start;
    this.units = units;
    this.shared = shared;
  }

  /** The first place of a unit's neighbours; they end where the next unit's begin. */
  int from(int unit) {
    return start[unit];
  }

  int to(int unit) {
    return start[unit + 1];
  }

  /** The neighbour at a place. */
  int unit(int place) {
    return units[place];
  }

  /** The pages shared with the neighbour at a place. */
  int shared(int place) {
    return shared[place];
  }

  /** A copy of a unit's neighbours. */
  int[] of(int unit) {
    return Arrays.copyOfRange(units, start[unit], start[unit + 1]);
  }

  /** Takes neighbours unit by unit. */
  static final class Collector {
    private final int[] start;
    private int[] units = new int[1024];
    private byte[] shared = new byte[1024];
    private int ended;
    private int count;

    Collector(int units) {
      start = new int[units + 1];
    }

    void add(int unit, int sharedPages) {
      if (count == units.length) {
        units = Arrays.copyOf(units, count + (count >> 1));
        shared = Arrays.copyOf(shared, units.length);
      }
      units[count] = unit;
      shared[count++] = (byte) sharedPages;
    }

    void endUnit() {
      start[++ended] = count;
    }

    Neighbours collected() {
      return new Neighbours(start, Arrays.copyOf(units, count), Arrays.copyOf(shared, count));
    }
  }
}
