package osmerin.app.publishing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import osmerin.app.publishing.BlogHost.Entry;
import osmerin.app.publishing.BlogHost.Published;
import osmerin.app.publishing.BlogHost.PublishingFailedException;
import osmerin.standins.BlogHostStandIn;

/** Micropub spoken to the stand-in. */
class MicropubBlogHostTest {
  @TempDir private Path folder;
  private BlogHostStandIn standIn;
  private MicropubBlogHost host;

  @BeforeEach
  void start() throws Exception {
    standIn = new BlogHostStandIn(0, folder, "secret", Clock.systemUTC());
    host = new MicropubBlogHost(standIn.micropub().toString(), "secret");
  }

  @AfterEach
  void stop() {
    standIn.close();
  }

  @Test
  void whatIsCreatedIsFoundByItsUidAndKeepsItsAddress() {
    assertThat(host.find("u1")).isEmpty();
    Published created = host.create(new Entry("u1", "Eels & \"traps\"", "<p>a</p>", null, null));
    assertThat(created.simulated()).isTrue();
    assertThat(host.find("u1")).contains(created);
    Published updated =
        host.update(created.address(), new Entry("u1", "Eels", "<p>b</p>", null, null));
    assertThat(updated).isEqualTo(created);
    assertThat(standIn.count()).isEqualTo(1);
  }

  @Test
  void whatWasPublishedEarlierIsDatedByThat() {
    Instant then = Instant.parse("2024-03-05T09:30:00Z");
    assertThat(host.create(new Entry("u1", "Eels", "<p>a</p>", null, then)).address())
        .contains("/2024/03/eels");
  }

  @Test
  void aRefusalSaysWithWhichNumber() {
    MicropubBlogHost stranger = new MicropubBlogHost(standIn.micropub().toString(), "guess");
    assertThatThrownBy(() -> stranger.create(new Entry("u1", "Eels", "<p>a</p>", null, null)))
        .isInstanceOf(PublishingFailedException.class)
        .hasMessageContaining("401");
    assertThatThrownBy(
            () -> host.update("http://nowhere.example/", new Entry("u", "E", "b", null, null)))
        .hasMessageContaining("400");
  }

  @Test
  void aHostThatIsGoneOrWasNeverConnectedSaysWhatToDo() {
    standIn.close();
    assertThatThrownBy(() -> host.create(new Entry("u1", "Eels", "<p>a</p>", null, null)))
        .hasMessageContaining("does not answer");
    MicropubBlogHost none = new MicropubBlogHost("", "");
    assertThat(none.isConnected()).isFalse();
    assertThatThrownBy(() -> none.create(new Entry("u1", "Eels", "<p>a</p>", null, null)))
        .hasMessageContaining("--blog-host");
  }
}
