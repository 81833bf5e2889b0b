package osmerin.formats.limits;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Counts what comes out of a packed file, and stops at the limits. */
public final class Inflating extends FilterInputStream {
  private final long most;
  private long read;

  /**
   * @param packed bytes of the packed file
   */
  public Inflating(InputStream unpacked, long packed) {
    super(unpacked);
    this.most = most(packed);
  }

  /** The most bytes that a packed file of a size may unpack to. */
  public static long most(long packed) {
    return Math.min(Limits.INFLATED, Math.max(Limits.INFLATED_ANYWAY, packed * Limits.RATIO));
  }

  @Override
  public int read() throws IOException {
    int one = super.read();
    count(one < 0 ? 0 : 1);
    return one;
  }

  @Override
  public int read(byte[] into, int from, int length) throws IOException {
    int some = super.read(into, from, length);
    count(Math.max(0, some));
    return some;
  }

  private void count(int more) {
    read += more;
    if (read > most) {
      throw Limits.exceeded(
          "Unpacked, the file is larger than 1 GB, or more than 200 times its size. Split it.");
    }
  }
}
