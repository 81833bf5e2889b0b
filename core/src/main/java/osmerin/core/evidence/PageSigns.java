package osmerin.core.evidence;

import java.util.Set;

/**
 * What the markup of a page gives away beside its text.
 *
 * @param types what it says to be, by the types of its structured data, in lower case: "product"
 * @param prices amounts of money on it
 * @param buys whether it has something to buy with: a basket, a way to order
 * @param posts contributions of different people
 * @param videos films that play on it
 * @param inputs fields to fill in, without searches and sign-ins
 * @param orderedItems items of the longest numbered list within its text
 */
public record PageSigns(
    Set<String> types,
    int prices,
    boolean buys,
    int posts,
    int videos,
    int inputs,
    int orderedItems) {
  public static final PageSigns NONE = new PageSigns(Set.of(), 0, false, 0, 0, 0, 0);

  public PageSigns {
    types = Set.copyOf(types);
  }
}
