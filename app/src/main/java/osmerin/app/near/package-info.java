/**
 * What of a site is near a text in meaning: articles, pitches and groups; start with {@link
 * osmerin.app.near.NearTexts}.
 */
@NullMarked
package osmerin.app.near;

import org.jspecify.annotations.NullMarked;
