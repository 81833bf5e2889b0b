package osmerin.formats.table;

import java.nio.charset.Charset;

/** Where in a file a table is, and how its rows are parted. */
public sealed interface Source {
  /** Text of one encoding, its fields separated by one sign. */
  record Delimited(Charset charset, Delimiter delimiter) implements Source {}

  /** A sheet of a spreadsheet, by its name. */
  record Sheet(String name) implements Source {}
}
