/** The computations at the command line; start with {@link osmerin.cli.OsmerinCommand}. */
@NullMarked
package osmerin.cli;

import org.jspecify.annotations.NullMarked;
