package osmerin.app.setup;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteName;
import osmerin.app.site.SiteService;
import osmerin.app.team.PasswordRules;
import osmerin.app.team.PersonName;
import osmerin.app.team.TeamService;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.text.PlainText;

/** Sets up the owner and the first site. */
@Service
public class SetupService {
  private static final List<Integer> MONDAY_TO_FRIDAY = List.of(1, 2, 3, 4, 5);

  /** What the first visitor types. */
  public record Answers(
      String code,
      String name,
      String login,
      String password,
      String siteName,
      String address,
      String prefix,
      String zone) {}

  private final TeamService team;
  private final SiteService sites;
  private final ArticleTypeService types;
  private final PasswordRules passwords;
  private final String code;

  SetupService(
      TeamService team,
      SiteService sites,
      ArticleTypeService types,
      PasswordRules passwords,
      @Value("${osmerin.setup-code}") String code) {
    this.team = team;
    this.sites = sites;
    this.types = types;
    this.passwords = passwords;
    this.code = code;
  }

  public boolean isNeeded() {
    return team.isEmpty();
  }

  /**
   * Sets up, or says what is wrong.
   *
   * @return for each field at fault what to do about it; empty when it was done
   */
  @Transactional
  public Map<String, String> setUp(Answers answers) {
    if (!isNeeded()) {
      throw new NotFoundException("set-up", "page");
    }
    Map<String, String> faults = faults(answers);
    if (faults.isEmpty()) {
      long owner = team.add(answers.login(), answers.name(), answers.password());
      String prefix = answers.prefix().strip().toUpperCase(Locale.ROOT);
      Site site =
          sites.add(
              answers.siteName(), answers.address(), prefix, answers.zone(), MONDAY_TO_FRIDAY);
      team.join(site.id(), owner, Role.OWNER);
      types.shipTo(site.id());
    }
    return faults;
  }

  private Map<String, String> faults(Answers answers) {
    Map<String, String> faults = new LinkedHashMap<>();
    if (!isCode(answers.code())) {
      faults.put("code", "This is not the code that the start command printed.");
    }
    PersonName.fault(answers.name()).ifPresent(fault -> faults.put("name", fault));
    if (!answers.login().strip().matches("\\S{3,100}")
        || !PlainText.isPlain(answers.login().strip())) {
      faults.put("login", "Type a mail address or a name of 3 to 100 characters without spaces.");
    }
    passwords
        .fault(answers.password(), List.of(answers.name(), answers.login(), answers.siteName()))
        .ifPresent(fault -> faults.put("password", fault));
    SiteName.fault(answers.siteName()).ifPresent(fault -> faults.put("siteName", fault));
    if (!ReferenceNumber.isPrefix(answers.prefix().strip().toUpperCase(Locale.ROOT))) {
      faults.put("prefix", "Take 1 to 6 letters or digits, the first a letter.");
    }
    if (!java.time.ZoneId.getAvailableZoneIds().contains(answers.zone())) {
      faults.put("zone", "Choose a time zone from the list.");
    }
    return faults;
  }

  /** Compares in constant time; without a code nobody gets in. */
  private boolean isCode(String typed) {
    return !code.isEmpty()
        && MessageDigest.isEqual(
            code.getBytes(StandardCharsets.UTF_8),
            typed.strip().toLowerCase(Locale.ROOT).getBytes(StandardCharsets.UTF_8));
  }
}
