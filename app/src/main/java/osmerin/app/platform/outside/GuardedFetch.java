package osmerin.app.platform.outside;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.util.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.text.Shortened;

/**
 * Fetches files from an address that somebody typed. Only public hosts are asked, and the blog host
 * that the operator connected; never an address within the machine's own network, also when a
 * redirect or a name leads there: a name is resolved once, looked at, and connected to as it was
 * resolved. Bytes and time are bounded for all that is fetched in one {@link Session}.
 */
@Component
public class GuardedFetch {
  public static final int MOST_BYTES = 50_000_000;
  static final Duration MOST_TIME = Duration.ofSeconds(30);

  private static final int HIGHEST_PORT = 65_535;
  private static final int MOST_REDIRECTS = 3;
  private static final Set<Integer> REDIRECTS = Set.of(301, 302, 303, 307, 308);

  private final String connected;
  private final Duration mostTime;
  private final CloseableHttpClient open;
  private final CloseableHttpClient guarded;
  private final ScheduledExecutorService watch =
      Executors.newSingleThreadScheduledExecutor(GuardedFetch::daemon);

  @Autowired
  GuardedFetch(@Value("${osmerin.blog-host.micropub}") String blogHost) {
    this(blogHost, MOST_TIME);
  }

  GuardedFetch(String blogHost, Duration mostTime) {
    this.connected = blogHost.isBlank() ? "" : authority(URI.create(blogHost));
    this.mostTime = mostTime;
    this.open = client(new Names(false));
    this.guarded = client(new Names(true));
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "fetch-watch");
    thread.setDaemon(true);
    return thread;
  }

  private static CloseableHttpClient client(Names names) {
    return HttpClients.custom()
        .setConnectionManager(
            PoolingHttpClientConnectionManagerBuilder.create()
                .setDnsResolver(names)
                .setDefaultConnectionConfig(
                    ConnectionConfig.custom().setConnectTimeout(Timeout.ofSeconds(3)).build())
                .build())
        .setDefaultRequestConfig(
            RequestConfig.custom().setResponseTimeout(Timeout.ofSeconds(10)).build())
        .disableRedirectHandling()
        .disableAutomaticRetries()
        .disableCookieManagement()
        .build();
  }

  /** Resolves names; those that lead inside to nothing. */
  private record Names(boolean onlyOutside) implements org.apache.hc.client5.http.DnsResolver {
    @Override
    public InetAddress[] resolve(String host) throws UnknownHostException {
      InetAddress[] found = InetAddress.getAllByName(host);
      for (InetAddress address : found) {
        if (onlyOutside && InsideAddress.isInside(address)) {
          throw new InsideException(host);
        }
      }
      return found;
    }

    @Override
    public String resolveCanonicalHostname(String host) {
      return host;
    }
  }

  /** A name leads into the own network. */
  private static final class InsideException extends UnknownHostException {
    private static final long serialVersionUID = 1;

    InsideException(String host) {
      super(host);
    }
  }

  @PreDestroy
  void close() throws IOException {
    watch.shutdownNow();
    open.close();
    guarded.close();
  }

  /** Begins to fetch; time runs from now on. */
  public Session session() {
    return new Session(System.nanoTime() + mostTime.toNanos());
  }

  /** One file, in a session of its own. */
  public byte[] get(String typed) {
    return session().get(typed);
  }

  /** It was asked and answered something other than the file. */
  private static final class AnsweredException extends RefusedException {
    private static final long serialVersionUID = 1;

    private final int status;

    AnsweredException(URI address, int status) {
      super("“%s” answers with %s.".formatted(address, status));
      this.status = status;
    }
  }

  /** What is fetched for one request of a person, within one bound of bytes and time. */
  public final class Session {
    private final long deadline;
    private int bytesLeft = MOST_BYTES;

    private Session(long deadline) {
      this.deadline = deadline;
    }

    /**
     * Fetches a file.
     *
     * @throws RefusedException when it may not be asked, is not there, or takes too much or too
     *     long
     */
    public byte[] get(String typed) {
      URI address = address(typed);
      for (int hop = 0; hop <= MOST_REDIRECTS; hop++) {
        Answer answer = ask(address);
        if (answer.redirect() == null) {
          return answer.body();
        }
        address = address(resolved(address, answer.redirect()));
      }
      throw new RefusedException("“" + typed + "” leads on and on to other addresses.");
    }

    /**
     * Fetches a file that need not be there: empty when the host says so.
     *
     * @throws RefusedException when it may not be asked, or takes too much or too long
     */
    public Optional<byte[]> find(String typed) {
      try {
        return Optional.of(get(typed));
      } catch (AnsweredException e) {
        if (e.status >= 400 && e.status < 500) {
          return Optional.empty();
        }
        throw e;
      }
    }

    private Answer ask(URI address) {
      HttpGet request = new HttpGet(address);
      long left = deadline - System.nanoTime();
      if (left <= 0) {
        throw tooSlow(address);
      }
      ScheduledFuture<?> end = watch.schedule(request::cancel, left, TimeUnit.NANOSECONDS);
      boolean ours = authority(address).equals(connected);
      try {
        return (ours ? open : guarded).execute(request, response -> answer(address, response));
      } catch (InsideException e) {
        throw new RefusedException(
            "“%s” is within this machine's own network and is not asked. Upload the file."
                .formatted(address.getHost()));
      } catch (UnknownHostException e) {
        throw new RefusedException(
            "There is no host “%s”, or it cannot be reached from here. Upload the file."
                .formatted(address.getHost()));
      } catch (IOException | IllegalStateException e) {
        // Cancelled between two of its states, the client has no state for that.
        throw System.nanoTime() >= deadline
            ? tooSlow(address)
            : new RefusedException(
                "“%s” does not answer, or broke off in between. Upload the file."
                    .formatted(address.getHost()));
      } finally {
        end.cancel(false);
      }
    }

    private RefusedException tooSlow(URI address) {
      return new RefusedException(
          "“%s” takes more than %s seconds. Upload the file."
              .formatted(address.getHost(), mostTime.toSeconds()));
    }

    private Answer answer(URI address, ClassicHttpResponse response) throws IOException {
      if (REDIRECTS.contains(response.getCode())) {
        Header to = response.getFirstHeader("Location");
        return new Answer(to == null ? "" : to.getValue(), new byte[0]);
      }
      if (response.getCode() != 200) {
        throw new AnsweredException(address, response.getCode());
      }
      try (InputStream body = response.getEntity().getContent()) {
        byte[] bytes = body.readNBytes(bytesLeft + 1);
        if (bytes.length > bytesLeft) {
          throw new RefusedException("“" + address + "” makes it more than 50 MB in all.");
        }
        bytesLeft -= bytes.length;
        return new Answer(null, bytes);
      }
    }
  }

  @SuppressWarnings("ArrayRecordComponent")
  private record Answer(@org.jspecify.annotations.Nullable String redirect, byte[] body) {}

  private static String resolved(URI from, String location) {
    try {
      return from.resolve(location).toString();
    } catch (IllegalArgumentException e) {
      throw new RefusedException(
          "“" + from.getHost() + "” leads to something that is not an address.");
    }
  }

  private static URI address(String typed) {
    try {
      URI address = URI.create(typed.contains("://") ? typed : "https://" + typed);
      String scheme = String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT);
      boolean web = List.of("http", "https").contains(scheme);
      boolean reachable = address.getPort() <= HIGHEST_PORT && address.getUserInfo() == null;
      if (web && reachable && address.getHost() != null) {
        return address;
      }
    } catch (IllegalArgumentException e) {
      // Said below, like any other address that is none.
    }
    throw new RefusedException(
        "“" + Shortened.of(typed) + "” is not a web address. It begins with https:// or http://.");
  }

  private static String authority(URI address) {
    return String.valueOf(address.getAuthority()).toLowerCase(Locale.ROOT);
  }
}
