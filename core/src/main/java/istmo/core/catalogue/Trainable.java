package istmo.core.catalogue;

import java.util.Map;

/**
 * What can be put into a session or a plan: a named set-up of a computed exercise, a coach's own
 * variant of one, or an exercise by word.
 *
 * @param id the candidate's
 * @param usual the usual set-up by parameter id; nothing for an exercise by word
 */
public record Trainable(
    CandidateId id, String name, AnyExercise exercise, Map<String, Double> usual) {
  public Trainable {
    usual = Map.copyOf(usual);
  }

  /** A candidate as something to train. */
  public static Trainable of(Candidate candidate) {
    return new Trainable(
        candidate.id(), candidate.name(), candidate.exercise(), candidate.usual().values());
  }
}
