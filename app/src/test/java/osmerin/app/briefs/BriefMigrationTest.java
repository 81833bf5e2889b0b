package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import osmerin.app.support.TestDatabase;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

/** Briefs of before, in columns of their own, say the same as documents. */
class BriefMigrationTest {
  private JdbcTemplate jdbc;

  @BeforeEach
  void briefsFromBefore() {
    DriverManagerDataSource database =
        new DriverManagerDataSource(
            TestDatabase.empty("brief_migration"), TestDatabase.user(), TestDatabase.password());
    jdbc = new JdbcTemplate(database);
    Flyway.configure().dataSource(database).target("17").load().migrate();
    jdbc.execute(
        """
        insert into person (id, login, name, password_hash, initials)
          overriding system value values (1, 'una', 'Una Berg', 'x', 'UB');
        insert into site (id, slug, name, address, prefix, zone, working_week)
          overriding system value values (1, 'fen', 'Fen', 'fen.example', 'FE', 'UTC', '{1}');
        insert into article_type (id, site_id, name, kind, position, cushion)
          overriding system value values (1, 1, 'Post', 'NEW', 0, 1);
        insert into article (id, site_id, number, title)
          overriding system value values (1, 1, 1, 'Eels'), (2, 1, 2, 'Elvers');
        insert into round (id, article_id, ordinal, kind, type_id, cushion, stage)
          overriding system value values
            (1, 1, 1, 'NEW', 1, 1, 'EDITING'), (2, 2, 1, 'NEW', 1, 1, 'BRIEFED');
        insert into brief (round_id, working_title, primary_keyword, secondary, reader, angle,
            words_low, words_target, words_high, outline, notes, version, changed_by, signed_off,
            signed_off_by, signed_off_at)
          values
            (1, 'Eels, "at" night', 'eels', '{"eel trap","a, b"}', 'Anglers', '', 800, 1000, 1200,
             '[{"heading": "Why", "depth": 0, "note": "moon"}, {"heading": "Rigs", "depth": 1, "note": ""}]',
             E'One\\nTwo', 3, 1, 3, 1, now()),
            (2, '', '', '{}', '', '', null, null, null, '[]', '', 2, 1, 1, 1, now());
        """);
    Flyway.configure().dataSource(database).load().migrate();
  }

  private BriefContent content(String column, int round) {
    String json =
        jdbc.queryForObject(
            "select " + column + "::text from brief where round_id = ?", String.class, round);
    return json == null ? null : BriefJson.read(json);
  }

  @Test
  void everythingIsThereAndASignOffOfTheLatestVersionKeepsIt() {
    BriefContent brief = content("content", 1);
    assertThat(brief.workingTitle()).isEqualTo("Eels, \"at\" night");
    assertThat(brief.secondary()).containsExactly("eel trap", "a, b");
    assertThat(brief.words()).contains(new WordRange(800, 1000, 1200));
    assertThat(brief.outline().sections())
        .extracting(Outline.Section::heading, Outline.Section::depth, Outline.Section::words)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("Why", 0, null),
            org.assertj.core.groups.Tuple.tuple("Rigs", 1, null));
    assertThat(brief.text(BriefPart.READER)).isEqualTo("Anglers");
    assertThat(brief.text(BriefPart.NOTES)).isEqualTo("One\nTwo");
    assertThat(brief.texts()).doesNotContainKey(BriefPart.ANGLE);
    assertThat(brief.parts()).isEmpty();
    assertThat(content("signed_content", 1)).isEqualTo(brief);
  }

  @Test
  void anEmptyBriefIsEmptyAndAnEarlierSignOffKeepsNothing() {
    BriefContent brief = content("content", 2);
    assertThat(brief).isEqualTo(BriefContent.NONE);
    assertThat(brief.words()).isEqualTo(Optional.empty());
    assertThat(content("signed_content", 2)).isNull();
  }
}
