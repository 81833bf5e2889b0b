package osmerin.cli;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.Callable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.text.Counted;
import osmerin.core.topic.Topic;
import osmerin.formats.keywords.GroupFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** Groups the keywords of a file. */
@Command(
    name = "group",
    description = "Groups the keywords of a file and gathers the groups into topics.",
    mixinStandardHelpOptions = true)
final class GroupCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;
  @Mixin private KeywordInput input;
  @Mixin private OutputFile out;

  @Override
  public Integer call() throws IOException {
    List<KeywordGroup> groups = input.groups();
    List<Topic> topics = input.topics(groups);
    out.write(writer -> GroupFile.write(groups, topics, writer));
    int keywords = groups.stream().mapToInt(group -> group.members().size()).sum();
    spec.commandLine()
        .getOut()
        .printf(
            "%s, %s, %s%n",
            Counted.of(keywords, "keyword"),
            Counted.of(groups.size(), "group"),
            Counted.of(topics.size(), "topic"));
    return 0;
  }
}
