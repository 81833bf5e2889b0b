package osmerin.app.live;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import osmerin.app.platform.web.OutsideHttp;
import osmerin.app.platform.web.RefusedException;

/**
 * Fetches a file from an address that somebody typed. Only public hosts are asked, and the blog
 * host that the operator connected; never an address within the machine's own network, also when a
 * redirect leads there. Size and time are bounded.
 */
@Component
class GuardedFetch {
  /** No more parts of an index of sitemaps are fetched. */
  static final int MOST_PARTS = 50;

  private static final int MOST_BYTES = 50_000_000;
  private static final int MOST_REDIRECTS = 3;
  private static final Set<Integer> REDIRECTS = Set.of(301, 302, 303, 307, 308);

  private final HttpClient http =
      HttpClient.newBuilder()
          .connectTimeout(Duration.ofSeconds(3))
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();

  private final String connected;

  GuardedFetch(@Value("${osmerin.blog-host.micropub}") String blogHost) {
    this.connected = blogHost.isBlank() ? "" : authority(URI.create(blogHost));
  }

  /**
   * Fetches a file.
   *
   * @throws RefusedException when it may not be asked, is not there, or is too large
   */
  byte[] get(String typed) {
    URI address = address(typed);
    for (int hop = 0; hop <= MOST_REDIRECTS; hop++) {
      refuseInside(address);
      HttpResponse<InputStream> answer = ask(address);
      if (!REDIRECTS.contains(answer.statusCode())) {
        return content(address, answer);
      }
      String to = answer.headers().firstValue("Location").orElse("");
      address = address(address.resolve(to).toString());
    }
    throw new RefusedException("“" + typed + "” leads on and on to other addresses.");
  }

  private static URI address(String typed) {
    try {
      URI address = URI.create(typed.contains("://") ? typed : "https://" + typed);
      String scheme = String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT);
      boolean web = scheme.equals("https") || scheme.equals("http");
      if (web && address.getHost() != null && address.getUserInfo() == null) {
        return address;
      }
    } catch (IllegalArgumentException e) {
      // Said below, like any other address that is none.
    }
    throw new RefusedException(
        "“" + typed + "” is no web address. It begins with https:// or http://.");
  }

  private static String authority(URI address) {
    return String.valueOf(address.getAuthority()).toLowerCase(Locale.ROOT);
  }

  private void refuseInside(URI address) {
    if (authority(address).equals(connected)) {
      return;
    }
    try {
      for (InetAddress host : InetAddress.getAllByName(address.getHost())) {
        if (isInside(host)) {
          throw new RefusedException(
              "“%s” is within this machine's own network and is not asked. Upload the file."
                  .formatted(address.getHost()));
        }
      }
    } catch (UnknownHostException e) {
      throw new RefusedException(
          "There is no host “%s”, or it cannot be reached from here. Upload the file."
              .formatted(address.getHost()));
    }
  }

  /** Loopback, link-local, private, shared (100.64/10) and unique local (fc00::/7) addresses. */
  static boolean isInside(InetAddress host) {
    byte[] b = host.getAddress();
    boolean shared = b.length == 4 && (b[0] & 0xff) == 100 && (b[1] & 0xc0) == 64;
    boolean uniqueLocal = b.length == 16 && (b[0] & 0xfe) == 0xfc;
    boolean zero = b.length == 4 && b[0] == 0;
    return host.isLoopbackAddress()
        || host.isAnyLocalAddress()
        || host.isLinkLocalAddress()
        || host.isSiteLocalAddress()
        || host.isMulticastAddress()
        || shared
        || uniqueLocal
        || zero;
  }

  private HttpResponse<InputStream> ask(URI address) {
    try {
      HttpRequest request =
          HttpRequest.newBuilder(address).timeout(OutsideHttp.TIMEOUT).GET().build();
      return http.send(request, HttpResponse.BodyHandlers.ofInputStream());
    } catch (IOException e) {
      throw new RefusedException("“" + address.getHost() + "” does not answer. Upload the file.");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new RefusedException("Fetching was broken off.");
    }
  }

  private static byte[] content(URI address, HttpResponse<InputStream> answer) {
    try (InputStream body = answer.body()) {
      if (answer.statusCode() != 200) {
        throw new RefusedException("“%s” answers with %s.".formatted(address, answer.statusCode()));
      }
      byte[] bytes = body.readNBytes(MOST_BYTES + 1);
      if (bytes.length > MOST_BYTES) {
        throw new RefusedException("“" + address + "” has more than 50 MB.");
      }
      return bytes;
    } catch (IOException e) {
      throw new RefusedException("“" + address + "” broke off in between.");
    }
  }
}
