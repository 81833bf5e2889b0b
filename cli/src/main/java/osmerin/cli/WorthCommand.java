package osmerin.cli;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.Callable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.worth.SiteReach;
import osmerin.formats.keywords.WorthFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Works out what each group of a file's keywords is worth. */
@Command(
    name = "worth",
    description = "Works out what each group of a file's keywords is worth to a site.",
    mixinStandardHelpOptions = true)
final class WorthCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;
  @Mixin private KeywordInput input;
  @Mixin private OutputFile out;

  @Option(
      names = "--strength",
      required = true,
      description = "site strength, 0–100: how hard a keyword the site can win")
  private double strength;

  @Option(
      names = "--hours",
      defaultValue = "8",
      description = "hours of work on an article (default ${DEFAULT-VALUE})")
  private double hours;

  @Override
  public Integer call() throws IOException {
    SiteReach site = site();
    if (!(hours > 0)) {
      throw new ParameterException(spec.commandLine(), "--hours: " + hours + " is not above 0");
    }
    List<KeywordGroup> groups = input.groups();
    WorthFile file = new WorthFile(site, hours);
    out.write(writer -> file.write(groups, input.topics(groups), writer));
    return 0;
  }

  private SiteReach site() {
    try {
      return SiteReach.of(strength);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--strength: " + e.getMessage(), e);
    }
  }
}
