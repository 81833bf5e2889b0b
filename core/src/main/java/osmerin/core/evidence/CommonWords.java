package osmerin.core.evidence;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/** Words of common English that say nothing of a subject but are no stop words of a search. */
final class CommonWords {
  private static final Set<String> WORDS =
      Arrays.stream(
              """
              able about actually after again against all allow allows almost already also
              although always amount amounts another any anyone anything around arrive arrives ask
              asked asks away back became because become becomes before begin begins being best
              better between bit both bring brings brought called certain clear come comes day
              days depend depends different doing don't down during each easy else end enough
              especially even ever every everyone everything exactly example examples feel feels
              felt few find first follow follows generally get gets getting give gives go goes
              going good great guide happen happens hardly having here herself himself hold holds
              how however important instead it's itself just keep keeps kept kind kinds know last
              later leave leaves left less let lets like likely little long look looks lot lots
              made make makes making many maybe mean means more moreover most much must myself
              nearly need needs never new next no nobody not nothing now off often once one only
              other otherwise ourselves out over part particularly people perhaps possible
              probably put puts quick quickly quite rather real really reason reasons right said
              same say says second see seem seems show shown shows similar simple simply since
               slowly somebody someone something sometimes soon sort sorts start started
              starts stay stays still stood sure take takes tell tells themselves therefore thing
              things think though through time times tip tips today told tried tries true try turn
              turns twice under unless until up use used usually want way ways well what whatever
              when whenever where whereas wherever whether which while who whoever why without
              work works worse worst year years yet yourself
              """
                  .strip()
                  .split("\\s+"))
          .collect(Collectors.toUnmodifiableSet());

  private CommonWords() {}

  static boolean contains(String word) {
    return WORDS.contains(word);
  }
}
