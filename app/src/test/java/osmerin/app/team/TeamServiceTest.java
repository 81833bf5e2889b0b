package osmerin.app.team;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

class TeamServiceTest extends ApplicationTest {
  @Autowired private PasswordEncoder passwords;

  @ParameterizedTest
  @CsvSource({"Una Berg, UB", "Una, U", "anna maria van dyke, AD", "'  Åsa  Öberg ', ÅÖ"})
  void initialsAreThoseOfTheFirstAndTheLastName(String name, String initials) {
    assertThat(TeamService.initials(name)).isEqualTo(initials);
  }

  @Test
  void loginsAreFoundInAnyCaseAndPasswordsAreKeptHashed() {
    SiteContext site = emptySite();
    SiteContext per = join(site.site(), "Per Holm", Role.EDITOR);
    UserDetails found = team.loadUserByUsername("  " + per.person().login().toUpperCase() + " ");
    assertThat(found.getPassword()).doesNotContain(PASSWORD);
    assertThat(passwords.matches(PASSWORD, found.getPassword())).isTrue();
    assertThat(passwords.matches("guess", found.getPassword())).isFalse();
    assertThatThrownBy(() -> team.loadUserByUsername("nobody"))
        .isInstanceOf(UsernameNotFoundException.class);
  }

  @Test
  void peopleAreListedByNameWithTheirRole() {
    SiteContext site = emptySite();
    join(site.site(), "Åsa Öberg", Role.WRITER);
    join(site.site(), "Bo Lind", Role.EDITOR);
    assertThat(team.people(site.siteId()))
        .extracting(Person::name, Person::role)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("Åsa Öberg", Role.WRITER),
            org.assertj.core.groups.Tuple.tuple("Bo Lind", Role.EDITOR),
            org.assertj.core.groups.Tuple.tuple("Una Berg", Role.OWNER));
    assertThat(team.names(site.siteId())).containsEntry(site.personId(), "Una Berg");
    assertThat(team.initials(site.siteId())).containsEntry(site.personId(), "UB");
    assertThat(team.isEmpty()).isFalse();
  }
}
