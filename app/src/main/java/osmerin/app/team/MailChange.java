package osmerin.app.team;

/** Another mail address that somebody asked for and nobody has confirmed yet. */
record MailChange(long id, long personId, String mail) {}
