package osmerin.core.article;

/** Whether a round makes an article live for the first time or updates a live one. */
public enum Kind {
  NEW,
  REFRESH
}
