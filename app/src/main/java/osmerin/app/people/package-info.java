/**
 * Who does what on an article; start with {@link osmerin.app.people.PeopleEdits}. Who is on the
 * site at all is in {@code team}.
 */
@NullMarked
package osmerin.app.people;

import org.jspecify.annotations.NullMarked;
