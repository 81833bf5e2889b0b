package osmerin.core.runup;

/** Who does a step, before a person is named. */
public enum StepRole {
  STRATEGIST,
  EDITOR,
  WRITER
}
