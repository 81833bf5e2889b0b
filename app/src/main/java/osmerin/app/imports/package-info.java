/**
 * Files of keyword research: the upload, its mapping, the job, the report and its undo; start with
 * {@link osmerin.app.imports.ImportService}.
 */
@NullMarked
package osmerin.app.imports;

import org.jspecify.annotations.NullMarked;
