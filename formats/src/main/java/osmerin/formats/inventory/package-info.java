/** What is live on a blog, read from sitemaps, feeds, tables and archives of Markdown. */
@NullMarked
package osmerin.formats.inventory;

import org.jspecify.annotations.NullMarked;
