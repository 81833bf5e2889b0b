package osmerin.app.evidence;

import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import jakarta.annotation.PreDestroy;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestClientResponseException;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.platform.outside.OutsideCalls;
import osmerin.app.platform.outside.OutsideHttp;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;

/** The search service over HTTP: {@code /search?q=} as JSON, {@code /page?url=} as HTML. */
@Component
class HttpSearchService implements SearchService {
  private static final int PAGES_READ = 10;
  private static final int LONGEST = 2_000;

  /** So many pages are asked for at a time, by all who get evidence together. */
  private static final int SIDE_BY_SIDE = 4;

  private static final String RESTING =
      "The search service has failed several times in a row and is asked again in a moment.";

  record Result(@Nullable String url, @Nullable String title) {
    /** Whether it has the address of a page. */
    boolean isPage() {
      return url != null && url.length() <= LONGEST && url.matches("https?://[^\\s\\p{Cntrl}]+");
    }

    String heading() {
      return title == null ? "" : clean(title);
    }
  }

  record Answer(
      @Nullable Boolean simulated, @Nullable String about, @Nullable List<Result> results) {}

  private final String address;
  private final RestClient http;
  private final OutsideCalls calls = new OutsideCalls("search service");
  private final OutsideCalls pageCalls = new OutsideCalls("pages of the search service");
  private final ExecutorService readers =
      Executors.newFixedThreadPool(SIDE_BY_SIDE, HttpSearchService::daemon);

  HttpSearchService(@Value("${osmerin.search.address}") String address) {
    this.address = address;
    this.http = OutsideHttp.client();
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "search-pages");
    thread.setDaemon(true);
    return thread;
  }

  @Override
  public boolean isConnected() {
    return !address.isBlank();
  }

  @Override
  public Found search(String phrase) {
    try {
      Answer answer = ask(calls, uri("/search", "q", phrase), Answer.class);
      if (answer == null || answer.results() == null) {
        throw new SearchFailedException("The search service answered nothing that can be read.");
      }
      List<Result> results =
          answer.results().stream().filter(Result::isPage).limit(PAGES_READ).toList();
      return found(answer, results);
    } catch (CallNotPermittedException e) {
      throw new SearchFailedException(RESTING);
    } catch (RestClientException e) {
      throw new SearchFailedException(
          "The search service does not answer as it should. Nothing was changed; try again later.");
    }
  }

  private Found found(Answer answer, List<Result> results) {
    List<ReadPage> pages = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    // Alone, since a service that rests after failures lets one call through to see how it is.
    int first = Math.min(1, results.size());
    read(results.subList(0, first), pages, missing);
    read(results.subList(first, results.size()), pages, missing);
    if (pages.isEmpty() && !missing.isEmpty()) {
      throw new SearchFailedException(
          "None of the %s pages could be read. Nothing was changed; try again later."
              .formatted(missing.size()));
    }
    String about = answer.about() == null ? null : clean(answer.about());
    return new Found(Boolean.TRUE.equals(answer.simulated()), about, pages, missing);
  }

  /** Reads pages, some of them side by side; one that fails does not take the others along. */
  private void read(List<Result> results, List<ReadPage> pages, List<String> missing) {
    List<Future<ReadPage>> reading =
        results.stream().map(result -> readers.submit(() -> read(result))).toList();
    for (int i = 0; i < results.size(); i++) {
      try {
        pages.add(reading.get(i).get());
      } catch (ExecutionException e) {
        missing.add("“%s” was not read: %s".formatted(results.get(i).url(), why(e.getCause())));
      } catch (InterruptedException e) {
        reading.forEach(page -> page.cancel(true));
        Thread.currentThread().interrupt();
        throw new SearchFailedException("Reading the pages was interrupted.");
      }
    }
  }

  /** A page came, but nothing can be drawn from it. */
  private static final class NoTextException extends RuntimeException {
    private static final long serialVersionUID = 1;

    NoTextException(String why) {
      super(why);
    }
  }

  private static String clean(String text) {
    String clean = text.replaceAll("\\p{Cntrl}", " ").strip();
    return clean.substring(0, Math.min(clean.length(), LONGEST));
  }

  private static String why(Throwable e) {
    if (e instanceof NoTextException) {
      return e.getMessage();
    }
    if (e instanceof CallNotPermittedException) {
      return "the search service failed too often in a row.";
    }
    return e instanceof RestClientResponseException said
        ? "the search service answered %s.".formatted(said.getStatusCode().value())
        : "the search service took too long or broke off.";
  }

  @PreDestroy
  void close() {
    readers.shutdownNow();
  }

  private <T> @Nullable T ask(OutsideCalls calls, URI address, Class<T> kind) {
    return calls.repeated(() -> http.get().uri(address).retrieve().body(kind));
  }

  /** The title is the one that people see among the results. */
  private ReadPage read(Result result) {
    String html = ask(pageCalls, uri("/page", "url", result.url()), String.class);
    ReadPage page = PageReader.read(result.url(), html == null ? "" : html.replace("\0", ""));
    page.fault()
        .ifPresent(
            why -> {
              throw new NoTextException("it " + why);
            });
    return new ReadPage(result.url(), result.heading(), page.blocks(), page.signs());
  }

  private URI uri(String path, String parameter, String value) {
    return UriComponentsBuilder.fromUriString(address + path)
        .queryParam(parameter, "{value}")
        .encode()
        .buildAndExpand(value)
        .toUri();
  }
}
