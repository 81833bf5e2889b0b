/** What every page needs whatever it shows: errors, dates in words, ledgers' addresses. */
@NullMarked
package osmerin.app.platform.web;

import org.jspecify.annotations.NullMarked;
