package osmerin.app.stages;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import osmerin.app.support.TestDatabase;

/** A site with history gets stages of its own; what it did with the shipped ones stays true. */
class StageMigrationTest {
  private JdbcTemplate jdbc;
  private DriverManagerDataSource database;

  @BeforeEach
  void aSiteFromBefore() {
    database =
        new DriverManagerDataSource(
            TestDatabase.empty("stage_migration"), TestDatabase.user(), TestDatabase.password());
    jdbc = new JdbcTemplate(database);
    Flyway.configure().dataSource(database).target("17").load().migrate();
    jdbc.execute(
        """
        insert into person (id, login, name, password_hash, initials)
          overriding system value values (1, 'una', 'Una Berg', 'x', 'UB');
        insert into site (id, slug, name, address, prefix, zone, working_week)
          overriding system value values
            (1, 'fen', 'Fen', 'fen.example', 'FE', 'UTC', '{1}'),
            (2, 'loam', 'Loam', 'loam.example', 'LO', 'UTC', '{1}');
        insert into article_type (id, site_id, name, kind, position, cushion)
          overriding system value values (1, 1, 'Post', 'NEW', 0, 1), (2, 2, 'Touch-up', 'REFRESH', 0, 1);
        insert into article (id, site_id, number, title)
          overriding system value values (1, 1, 1, 'Eels'), (2, 2, 1, 'Moles');
        insert into round (id, article_id, ordinal, kind, type_id, cushion, stage)
          overriding system value values
            (1, 1, 1, 'NEW', 1, 1, 'EDITING'), (2, 2, 1, 'NEW', 2, 1, 'RETIRED');
        insert into stage_move (round_id, from_stage, to_stage, person_id) values
          (1, null, 'COMMISSIONED', 1), (1, 'COMMISSIONED', 'EDITING', 1), (2, null, 'LIVE', 1),
          (2, 'LIVE', 'RETIRED', 1);
        insert into history_entry (id, site_id, person_id, at, sentence, needs)
          overriding system value values (1, 1, 1, now(), 'Moved.', 'WORK'), (2, 2, 1, now(), 'Live.', 'EDIT');
        insert into history_change values
          (1, 0, 'ARTICLE', '1', 'Stage', 'Commissioned', 'Editing', 'COMMISSIONED', 'EDITING', true),
          (2, 0, 'ARTICLE', '1', 'Stage', 'Ready', 'Live', null, null, false);
        insert into ledger_view (site_id, person_id, ledger, name, query, shown_first) values
          (1, 1, 'ARTICLES', 'Mine', 'q=&stage=READY&person=1', false),
          (1, 1, 'ARTICLES', 'All', 'q=&person=1', false);
        """);
    Flyway.configure().dataSource(database).load().migrate();
  }

  @Test
  void everySiteHasTheShippedStagesAndItsArticlesStandWhereTheyStood() {
    assertThat(
            jdbc.queryForList(
                "select name from stage where site_id = 2 order by place", String.class))
        .containsExactly(
            "Commissioned", "Briefed", "Drafting", "Editing", "Ready", "Live", "Retired");
    assertThat(
            jdbc.queryForList(
                "select s.site_id || ' ' || s.name from round r join stage s on s.id = r.stage_id"
                    + " order by r.id",
                String.class))
        .containsExactly("1 Editing", "2 Retired");
    assertThat(
            jdbc.queryForList(
                "select coalesce(f.name, '-') || ' ' || t.name from stage_move m"
                    + " join stage t on t.id = m.to_id left join stage f on f.id = m.from_id"
                    + " order by m.id",
                String.class))
        .containsExactly("- Commissioned", "Commissioned Editing", "- Live", "Live Retired");
  }

  @Test
  void anUndoFindsTheStageByItsIdAndViewsAskForIt() {
    Map<String, Object> change =
        jdbc.queryForMap("select from_value, to_value from history_change where entry_id = 1");
    assertThat(List.of(change.get("from_value"), change.get("to_value")))
        .isEqualTo(List.of(id("Commissioned"), id("Editing")));
    assertThat(jdbc.queryForMap("select from_value from history_change where entry_id = 2"))
        .containsEntry("from_value", null);
    assertThat(jdbc.queryForList("select query from ledger_view order by name", String.class))
        .containsExactly("q=&person=1", "q=&stage=" + id("Ready") + "&person=1");
    assertThat(jdbc.queryForList("select brief_need from article_type order by id", String.class))
        .containsExactly("SIGNED_OFF", "NONE");
  }

  private String id(String stage) {
    return jdbc.queryForObject(
        "select id::text from stage where site_id = 1 and name = ?", String.class, stage);
  }
}
