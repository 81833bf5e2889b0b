package osmerin.app.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.support.DemoApplicationTest;
import osmerin.app.team.TeamService;
import tools.jackson.databind.json.JsonMapper;

/** What history keeps for an undo can be read, however old it is. */
class KeptValuesTest extends DemoApplicationTest {
  @Autowired private UndoService undo;
  @Autowired private SiteService sites;
  @Autowired private TeamService team;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private PlatformTransactionManager transactions;

  @Test
  void everyKindOfChangeInTheDemosHistoryCanBeRead() {
    SiteContext owner = owner();
    List<Map<String, Object>> kinds =
        jdbc.queryForList(
            """
            select c.thing, split_part(c.field, ':', 1) as field, max(e.id) as entry
            from history_change c join history_entry e on e.id = c.entry_id
            where e.site_id = ? and c.reversible and e.undone_by is null and e.undoes is null
            group by 1, 2
            """,
            owner.siteId());
    assertThat(kinds).hasSizeGreaterThan(5);
    for (Map<String, Object> kind : kinds) {
      // What is missing or unreadable is no refusal and fails the test.
      new TransactionTemplate(transactions)
          .executeWithoutResult(
              status -> {
                status.setRollbackOnly();
                try {
                  undo.undo(owner, (Long) kind.get("entry"));
                } catch (RefusedException e) {
                  assertThat(e).as(kind.toString()).hasMessageNotContaining("Exception");
                }
              });
    }
  }

  /** Thing, key, field, the text of an earlier version, and the same as it is kept now. */
  private static final List<List<String>> EARLIER =
      List.of(
          List.of(
              "ARTICLE",
              "1",
              "Step: Draft",
              "draft 2026-11-24 17 -",
              "{\"key\": \"draft\", \"doneOn\": \"2026-11-24\", \"doneBy\": 17, \"due\": null}"),
          List.of(
              "ARTICLE",
              "1",
              "Step: Draft",
              "draft",
              "{\"key\": \"draft\", \"doneOn\": null, \"doneBy\": null, \"due\": null}"),
          List.of("ARTICLE", "1", "Type", "4", "{\"typeId\": 4, \"done\": []}"),
          List.of(
              "ARTICLE",
              "1",
              "Type",
              "3 brief 2026-11-24 - 2026-11-25;draft 2026-11-26 8 -",
              """
              {"typeId": 3, "done": [
                {"key": "brief", "doneOn": "2026-11-24", "doneBy": null, "due": "2026-11-25"},
                {"key": "draft", "doneOn": "2026-11-26", "doneBy": 8, "due": null}]}
              """),
          List.of("ARTICLE", "1", "Title", "Eels", "Eels"),
          List.of(
              "MATCH",
              "65",
              "Group",
              "true 12",
              "{\"decided\": true, \"groupId\": 12, \"basis\": \"LATER\"}"),
          List.of(
              "MATCH",
              "65",
              "Group",
              "false null null",
              "{\"decided\": false, \"groupId\": null, \"basis\": null}"),
          List.of("GROUP", "7", "Name", "?kiln", "{\"name\": \"kiln\", \"pinned\": false}"),
          List.of(
              "GROUP",
              "7",
              "Intent",
              "COMMERCIAL DECISION true it names a shop",
              """
              {"intent": "COMMERCIAL", "stage": "DECISION", "pinned": true,
               "reason": "it names a shop"}
              """),
          List.of(
              "LANGUAGE", "9", "Language", "guessed de", "{\"tag\": \"de\", \"pinned\": false}"),
          List.of("LANGUAGE", "site", "Language", "de", "de"),
          List.of(
              "SITE",
              "1",
              "Holiday",
              "2026-12-25 Christmas Day",
              "{\"day\": \"2026-12-25\", \"name\": \"Christmas Day\"}"),
          List.of("SITE", "1", "Working week", "1 2 3", "{\"days\": [1, 2, 3]}"),
          List.of("STRENGTH", "1", "Chances", "38.5 11.25", "{\"even\": 38.5, \"spread\": 11.25}"));

  @Test
  void whatEarlierVersionsKeptIsBroughtIntoTodaysForm() throws IOException {
    String migration =
        new ClassPathResource("db/migration/V9__typed_undo_values.sql")
            .getContentAsString(StandardCharsets.UTF_8);
    SiteContext owner = owner();
    JsonMapper json = JsonMapper.shared();
    new TransactionTemplate(transactions)
        .executeWithoutResult(
            status -> {
              status.setRollbackOnly();
              long entry =
                  jdbc.queryForObject(
                      "select min(id) from history_entry where site_id = ?",
                      Long.class,
                      owner.siteId());
              for (int i = 0; i < EARLIER.size(); i++) {
                List<String> old = EARLIER.get(i);
                jdbc.update(
                    "insert into history_change values (?, ?, ?, ?, ?, null, null, ?, null, true)",
                    entry,
                    1_000 + i,
                    old.get(0),
                    old.get(1),
                    old.get(2),
                    old.get(3));
              }
              // The connection may be the one that ran the migrations, with functions of its own.
              jdbc.execute("discard temporary");
              jdbc.execute(migration);
              for (int i = 0; i < EARLIER.size(); i++) {
                List<String> old = EARLIER.get(i);
                String now =
                    jdbc.queryForObject(
                        "select from_value from history_change where entry_id = ? and position = ?",
                        String.class,
                        entry,
                        1_000 + i);
                if (old.get(4).startsWith("{")) {
                  assertThat(json.readTree(now).get("version").asInt()).isEqualTo(1);
                  assertThat(json.readTree(now).get("kept"))
                      .as(old.toString())
                      .isEqualTo(json.readTree(old.get(4)));
                } else {
                  assertThat(now).isEqualTo(old.get(4));
                }
              }
            });
  }

  private SiteContext owner() {
    SignedIn odile = (SignedIn) team.loadUserByUsername("Odile");
    SiteContext site = sites.findFor("marlpit", odile).orElseThrow();
    return new SiteContext(site.site(), odile, Role.OWNER, site.today());
  }
}
