package osmerin.app.views;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

/** Each ledger has views of its own, each person theirs, and one of them opens first. */
class ViewsTest extends ApplicationTest {
  @Autowired private Views views;

  @Test
  void aLedgersViewsAreItsOwnAndOneOpensFirst() {
    SiteContext site = emptySite();
    views.save(site, Ledger.ARTICLES, "Mine", "month=COMING_THREE_WEEKS&type=NEW", true);
    views.save(site, Ledger.KEYWORDS, "Mine", "q=eel", true);
    views.save(site, Ledger.ARTICLES, "All", "", true);

    assertThat(views.list(site, Ledger.ARTICLES))
        .extracting(View::name)
        .containsExactly("All", "Mine");
    assertThat(views.first(site, Ledger.ARTICLES))
        .get()
        .extracting(View::query)
        .isEqualTo("sort=-number");
    assertThat(views.first(site, Ledger.KEYWORDS)).get().extracting(View::query).isEqualTo("q=eel");
    SiteContext other = join(site.site(), "Wim Aal", Role.WRITER);
    assertThat(views.list(other, Ledger.ARTICLES)).isEmpty();
    long mine = views.list(site, Ledger.ARTICLES).get(1).id();
    assertThatThrownBy(() -> views.delete(other, Ledger.ARTICLES, mine))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> views.delete(site, Ledger.KEYWORDS, mine))
        .isInstanceOf(NotFoundException.class);
    views.delete(site, Ledger.ARTICLES, mine);
    assertThat(views.list(site, Ledger.ARTICLES)).hasSize(1);
  }
}
