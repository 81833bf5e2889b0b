package osmerin.app.types;

import java.util.List;
import osmerin.app.history.Kept;
import osmerin.core.runup.RunUpStep;

/** A type with its recipe, as history keeps it. */
record KeptType(String name, int cushion, List<RunUpStep> steps) implements Kept {}
