package osmerin.app.find;

/**
 * Something found.
 *
 * @param what it is: "Article"
 * @param name of it
 * @param beside a few words beside the name, may be empty
 * @param path where it is, or what is opened on the page
 */
public record Finding(String what, String name, String beside, String path) {}
