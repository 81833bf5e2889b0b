package osmerin.app.evidence;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.platform.web.OutsideHttp;
import osmerin.core.evidence.RankingPage;
import osmerin.formats.html.PageText;

/** The search service over HTTP: {@code /search?q=} as JSON, {@code /page?url=} as HTML. */
@Component
class HttpSearchService implements SearchService {
  private static final int PAGES_READ = 10;

  record Result(int position, String url, String title) {}

  record Answer(boolean simulated, List<Result> results) {}

  private final String address;
  private final RestClient http;

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
      Answer answer = http.get().uri(uri("/search", "q", phrase)).retrieve().body(Answer.class);
      List<RankingPage> pages = new ArrayList<>();
      for (Result result : answer.results().stream().limit(PAGES_READ).toList()) {
        pages.add(read(result));
      }
      return new Found(answer.simulated(), pages);
    } catch (RestClientException e) {
      throw new SearchFailedException(
          "The search service does not answer. Nothing was changed; try again later.", e);
    }
  }

  private RankingPage read(Result result) {
    String html = http.get().uri(uri("/page", "url", result.url())).retrieve().body(String.class);
    RankingPage page = PageText.of(result.url(), html == null ? "" : html);
    return new RankingPage(result.url(), result.title(), page.headings(), page.blocks());
  }

  private URI uri(String path, String parameter, String value) {
    return UriComponentsBuilder.fromUriString(address + path)
        .queryParam(parameter, "{value}")
        .encode()
        .buildAndExpand(value)
        .toUri();
  }
}
