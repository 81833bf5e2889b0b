package osmerin.core.intent;

/** Why somebody searches. */
public enum SearchIntent {
  /** To know or to do something. */
  INFORMATIONAL,
  /** To compare before a purchase. */
  COMMERCIAL,
  /** To buy or to sign up now. */
  TRANSACTIONAL,
  /** To reach one particular site. */
  NAVIGATIONAL;

  /** Whether one searcher wants to read and the other to buy: no article serves both. */
  public boolean isOpposite(SearchIntent other) {
    return (this == INFORMATIONAL && other == TRANSACTIONAL)
        || (this == TRANSACTIONAL && other == INFORMATIONAL)
        || ((this == NAVIGATIONAL) != (other == NAVIGATIONAL));
  }
}
