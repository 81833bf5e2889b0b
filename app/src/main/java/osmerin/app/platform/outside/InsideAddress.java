package osmerin.app.platform.outside;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.Arrays;

/**
 * Tells addresses that lead into the machine's own network or to nobody: its own, loopback,
 * link-local, private, shared, unique local and documentation ones (RFC 6890), and forms of IPv6
 * that hold such an IPv4 address: mapped and compatible (RFC 4291), NAT64 (RFC 6052, RFC 8215),
 * 6to4 (RFC 3056), Teredo (RFC 4380) and ISATAP (RFC 5214).
 */
final class InsideAddress {
  private InsideAddress() {}

  static boolean isInside(InetAddress host) {
    byte[] b = host.getAddress();
    boolean special =
        host.isLoopbackAddress()
            || host.isAnyLocalAddress()
            || host.isLinkLocalAddress()
            || host.isSiteLocalAddress()
            || host.isMulticastAddress()
            || isOwn(host);
    return special || (b.length == 4 ? isInsideV4(b) : isInsideV6(b));
  }

  /** An address of this machine itself, whatever network it is of. */
  private static boolean isOwn(InetAddress host) {
    try {
      return NetworkInterface.getByInetAddress(host) != null;
    } catch (SocketException e) {
      return true;
    }
  }

  /**
   * 0/8, 100.64/10, 192.0.0/24, 192.0.2/24, 192.88.99/24, 198.18/15, 198.51.100/24, 203.0.113/24
   * and 240/4, besides what Java knows.
   */
  private static boolean isInsideV4(byte[] b) {
    int first = b[0] & 0xff;
    int second = b[1] & 0xff;
    return first == 0
        || first == 100 && (second & 0xc0) == 64
        || first == 192 && second == 0 && (b[2] == 0 || b[2] == 2)
        || first == 192 && second == 88 && b[2] == 99
        || first == 198 && (second & 0xfe) == 18
        || first == 198 && second == 51 && b[2] == 100
        || first == 203 && second == 0 && b[2] == 113
        || first >= 240;
  }

  private static boolean isInsideV6(byte[] b) {
    if ((b[0] & 0xfe) == 0xfc || starts(b, 0x20, 0x01, 0x0d, 0xb8)) {
      return true;
    }
    if (starts(b, 0x20, 0x02)) {
      return holds(b, 2, 0);
    }
    if (starts(b, 0x20, 0x01, 0, 0)) {
      // The server, and the client with its bits turned.
      return holds(b, 4, 0) || holds(b, 12, 0xff);
    }
    if (starts(b, 0, 0x64, 0xff, 0x9b)) {
      // The well-known prefix, and the one for use within a network.
      return b[4] == 0 && b[5] == 1 || holds(b, 12, 0);
    }
    boolean isatap = (b[8] & 0xfd) == 0 && b[9] == 0 && b[10] == 0x5e && (b[11] & 0xff) == 0xfe;
    return (isatap || starts(b, 0, 0, 0, 0, 0, 0, 0, 0)) && holds(b, 12, 0);
  }

  private static boolean starts(byte[] b, int... wanted) {
    for (int i = 0; i < wanted.length; i++) {
      if ((b[i] & 0xff) != wanted[i]) {
        return false;
      }
    }
    return true;
  }

  /** Whether the four bytes from here on are an IPv4 address inside. */
  private static boolean holds(byte[] b, int from, int turned) {
    byte[] v4 = Arrays.copyOfRange(b, from, from + 4);
    for (int i = 0; i < v4.length; i++) {
      v4[i] ^= (byte) turned;
    }
    try {
      return isInside(InetAddress.getByAddress(v4));
    } catch (UnknownHostException e) {
      throw new IllegalStateException(e);
    }
  }
}
