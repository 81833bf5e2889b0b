package osmerin.bench;

/**
 * What a labelled set is like.
 *
 * @param groups number of true groups
 * @param largest keywords in the largest; most have far fewer
 * @param ownPages pages that rank for one group, from which each keyword shows some
 * @param hubs pages that two sibling groups have in common
 * @param hubShare chance that a place among the results goes to a hub of the siblings
 * @param strayShare chance that a place goes to a page that ranks for nothing else
 * @param bridging share of keywords that show as many pages of the sibling as of their own group
 * @param withoutPages share of keywords of which no ranking pages are known
 */
record Shape(
    int groups,
    int largest,
    int ownPages,
    int hubs,
    double hubShare,
    double strayShare,
    double bridging,
    double withoutPages) {

  static final Shape PLAIN = new Shape(400, 60, 10, 3, 0.12, 0.02, 0.04, 0.08);
}
