package osmerin.app.links;

import org.jspecify.annotations.Nullable;

/**
 * A link of an article.
 *
 * @param address null when the type names it and nobody has given it yet
 */
public record NamedLink(String name, @Nullable String address) {}
