package osmerin.app.history;

/** What a change is about, and how its key is made. */
public enum Thing {
  /** Its running number. */
  ARTICLE,
  /** Its id. */
  PITCH,
  /** Id of a keyword group. */
  GROUP,
  /** "2026-11". */
  MONTH,
  /** Id of a keyword import. */
  IMPORT,
  /** Its id. */
  SITE,
  /** Id of the site. */
  REACH,
  /** Id of a person on the site. */
  PERSON
}
