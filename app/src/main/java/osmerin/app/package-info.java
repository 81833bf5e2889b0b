/**
 * The web application, one package a feature in the words of the product. A feature uses another
 * through its service, never through its mapper.
 */
@NullMarked
package osmerin.app;

import org.jspecify.annotations.NullMarked;
