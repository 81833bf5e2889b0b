package osmerin.app.history;

/** What a change is about, and how its key is made. */
public enum Thing {
  /** Its running number. */
  ARTICLE,
  /** Its id. */
  PITCH,
  /** Id of a keyword group. */
  GROUP,
  /** Id of what a person did to several groups at once. */
  GROUPING,
  /** Id of what a person did to the intents of several keywords at once. */
  INTENTS,
  /** Id of a keyword whose language was said, or "site" for that of most keywords. */
  LANGUAGE,
  /** Id of what a person did to the exclude list at once. */
  EXCLUSION,
  /** Its id. */
  TOPIC,
  /** "2026-11". */
  MONTH,
  /** Id of a keyword import. */
  IMPORT,
  /** Id of live articles that were brought in at once. */
  BROUGHT_IN,
  /** Number of a live article whose group was said. */
  MATCH,
  /** Its id. */
  SITE,
  /** Id of an article type. */
  TYPE,
  /** Id of the site. */
  BRAND,
  /** Id of the site. */
  BRIEF_TEMPLATES,
  /** Id of the site. */
  HEADLINES,
  /** Id of the site. */
  STEP_ROLES,
  /** Id of the site. */
  STAGES,
  /** Its id. */
  TASK,
  /** Id of an article type and key of its step. */
  STEP_GUIDE,
  /** Id of an article type, or "site" for all of them. */
  CHECKLIST,
  /** Id of a person. */
  WORKDAYS,
  /** Id of a person. */
  WORK_HOURS,
  /** Id of the site. */
  STRENGTH,
  /** Id of a person on the site. */
  PERSON
}
