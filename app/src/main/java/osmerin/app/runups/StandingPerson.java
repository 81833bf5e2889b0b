package osmerin.app.runups;

import osmerin.core.runup.StepRole;

/** Who usually does a role's steps of a type. */
public record StandingPerson(StepRole role, long personId) {}
