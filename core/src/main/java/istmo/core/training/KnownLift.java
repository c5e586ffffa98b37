package istmo.core.training;

import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;

/** A lift that a client is known to have done. */
public record KnownLift(Candidate candidate, PerformedSet set, LocalDate on) {
  public KnownLift {
    if (on == null) {
      throw new InvalidInput("on", "is needed: the day, as 2026-11-24");
    }
    if (!(set.loadKg() > 0)) {
      throw new InvalidInput("loadKg", "needs a load above 0 kg");
    }
    OneRepetition.REPETITIONS_TO_FAILURE.check("repetitions", toFailure(set));
  }

  /** Id of what was lifted. */
  public CandidateId candidateId() {
    return candidate.id();
  }

  static double toFailure(PerformedSet set) {
    return set.repetitions() + set.reserve();
  }

  double toFailure() {
    return toFailure(set);
  }
}
