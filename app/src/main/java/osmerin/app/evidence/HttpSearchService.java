package osmerin.app.evidence;

import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.platform.web.OutsideCalls;
import osmerin.app.platform.web.OutsideHttp;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;

/** The search service over HTTP: {@code /search?q=} as JSON, {@code /page?url=} as HTML. */
@Component
class HttpSearchService implements SearchService {
  private static final int PAGES_READ = 10;
  private static final int LONGEST = 2_000;

  record Result(@Nullable String url, @Nullable String title) {
    /** Whether it has the address of a page. */
    boolean isPage() {
      return url != null && url.length() <= LONGEST && url.matches("https?://[^\\s\\p{Cntrl}]+");
    }

    String heading() {
      return title == null ? "" : title.replaceAll("\\p{Cntrl}", " ").strip();
    }
  }

  record Answer(@Nullable Boolean simulated, @Nullable List<Result> results) {}

  private final String address;
  private final RestClient http;
  private final OutsideCalls calls = new OutsideCalls("search service");

  HttpSearchService(@Value("${osmerin.search.address}") String address) {
    this.address = address;
    this.http = OutsideHttp.client();
  }

  @Override
  public boolean isConnected() {
    return !address.isBlank();
  }

  @Override
  public Found search(String phrase) {
    try {
      Answer answer = ask(uri("/search", "q", phrase), Answer.class);
      if (answer == null || answer.results() == null) {
        throw new SearchFailedException("The search service answered nothing that can be read.");
      }
      List<ReadPage> pages = new ArrayList<>();
      for (Result result :
          answer.results().stream().filter(Result::isPage).limit(PAGES_READ).toList()) {
        pages.add(read(result));
      }
      return new Found(Boolean.TRUE.equals(answer.simulated()), pages);
    } catch (CallNotPermittedException e) {
      throw new SearchFailedException(
          "The search service has failed several times in a row and is asked again in a moment.");
    } catch (RestClientException e) {
      throw new SearchFailedException(
          "The search service does not answer as it should. Nothing was changed; try again later.");
    }
  }

  private <T> @Nullable T ask(URI address, Class<T> kind) {
    return calls.repeated(() -> http.get().uri(address).retrieve().body(kind));
  }

  /** The title is the one that people see among the results. */
  private ReadPage read(Result result) {
    String html = ask(uri("/page", "url", result.url()), String.class);
    ReadPage page = PageReader.read(result.url(), html == null ? "" : html.replace("\0", ""));
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
