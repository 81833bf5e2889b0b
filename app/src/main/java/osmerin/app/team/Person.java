package osmerin.app.team;

/** Somebody who works on a site. */
public record Person(long id, String login, String name, String initials, Role role) {}
