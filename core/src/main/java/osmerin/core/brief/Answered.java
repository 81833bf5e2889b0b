package osmerin.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import osmerin.core.text.Stems;

/** Which questions and points the sections of an outline answer, by the words they share. */
public final class Answered {
  /** From this part of its words on a section answers a question. */
  private static final double ENOUGH = 0.6;

  private final Stems stems = new Stems();
  private final List<Set<String>> sections = new ArrayList<>();

  public Answered(Outline outline) {
    outline
        .sections()
        .forEach(section -> sections.add(stems.subject(section.heading() + " " + section.note())));
  }

  /** The first section, from 1, that answers what was asked or said; 0 for none. */
  public int in(String asked) {
    Set<String> its = stems.subject(asked);
    for (int i = 0; i < sections.size(); i++) {
      Set<String> section = sections.get(i);
      if (its.stream().filter(section::contains).count() >= ENOUGH * its.size()) {
        return i + 1;
      }
    }
    return 0;
  }

  /** Those that no section answers, in their order. */
  public List<String> open(List<String> asked) {
    return asked.stream().filter(one -> in(one) == 0).toList();
  }
}
