package osmerin.app.groups;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.imports.ImportService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.app.worth.StrengthService;
import osmerin.app.worth.StrengthSettings;

class GroupOrderTest extends ApplicationTest {
  @Autowired private ImportService imports;
  @Autowired private StrengthService siteStrength;
  @Autowired private TopicService topicService;

  @ParameterizedTest
  @CsvSource({"YIELD, yield", "DEMAND, demand", "VALUE, value", "YIELD, nonsense", "YIELD,"})
  void isNamedInTheAddress(GroupOrder order, String name) {
    assertThat(GroupOrder.of(name)).isEqualTo(order);
  }

  @Test
  void groupsAreRankedByWhatTheyAreWorthAndTheUnknownComesLast() {
    SiteContext site = emptySite();
    String file =
        "keyword,volume,difficulty\nbig and hard,5000,95\nsmall and easy,100,5\n"
            + "nobody knows,8000,\nno volume,,10\n";
    imports.importFile(site, "a.csv", file.getBytes(StandardCharsets.UTF_8));
    siteStrength.set(site, new StrengthSettings(30, null, null, null, 250), 0);
    assertThat(names(topicService.overview(site).next()))
        .containsExactly("small and easy", "big and hard", "nobody knows", "no volume");
    siteStrength.set(site, new StrengthSettings(100, null, null, null, 250), 1);
    assertThat(names(topicService.overview(site).next()).get(0)).isEqualTo("big and hard");
  }

  private static List<String> names(List<Group> groups) {
    return groups.stream().map(g -> g.row().name()).toList();
  }
}
