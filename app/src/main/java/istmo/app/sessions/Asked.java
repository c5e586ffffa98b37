package istmo.app.sessions;

import istmo.core.plan.Prescription;
import istmo.core.quantity.Allowed;
import java.util.List;
import java.util.Optional;

/**
 * What is asked of an exercise in a session.
 *
 * @param words as a plan says it, in lines; empty where none did
 * @param prescription empty for what is usual
 * @param bout exercises with the same number are done in turn; empty for one by itself
 * @param loadShare of the load, as the week of a block asks; 1 for all of it
 */
public record Asked(
    List<String> words,
    Optional<PrescriptionDocument> prescription,
    Optional<Integer> bout,
    double loadShare) {
  public static final Allowed LOAD_SHARE = new Allowed(0.1, 2, "of the load");
  public static final Asked NOTHING = new Asked(List.of(), Optional.empty(), Optional.empty(), 1);

  /** Repetitions to leave in reserve: what is asked for, or what is usual. */
  public double reserve() {
    return prescription.map(PrescriptionDocument::reserve).orElse(Prescription.USUAL_RESERVE);
  }
}
