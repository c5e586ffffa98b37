package istmo.core.plan;

import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Tempo;
import java.util.Optional;

/**
 * What is usually prescribed (common practice): beginners three sets and much in reserve, later
 * four, advanced up to six and little in reserve.
 */
public final class Prescriber {
  /** Sets of an exhausting one-leg exercise that are enough. */
  private static final int ONE_LEG_SETS = 2;

  private static final double THRUST_HOLD_S = 1;

  private Prescriber() {}

  /** Usual sets of an exercise in a session for a training age (common practice: three to four). */
  public static int usualSets(Optional<TrainingAge> age) {
    return switch (age.orElse(TrainingAge.MONTHS)) {
      case WEEKS -> 3;
      case MONTHS, YEARS -> 4;
    };
  }

  /** Sets of one exercise in a session at most. */
  static int mostSets(Optional<TrainingAge> age, boolean exhausting) {
    return exhausting
        ? ONE_LEG_SETS + 1
        : switch (age.orElse(TrainingAge.MONTHS)) {
          case WEEKS -> 3;
          case MONTHS -> 4;
          case YEARS -> 6;
        };
  }

  /** A one-leg exercise that works several joints: two sets of it are enough. */
  static boolean exhausting(Role role, boolean oneLeg) {
    return oneLeg && (role == Role.HEAVY || role == Role.COMPOUND);
  }

  static Prescription usual(
      AnyExercise exercise, Role role, boolean oneLeg, Optional<TrainingAge> age) {
    int[] range = range(exercise.repetitions());
    double reserve =
        switch (age.orElse(TrainingAge.MONTHS)) {
          case WEEKS -> 3;
          case MONTHS -> Prescription.USUAL_RESERVE;
          case YEARS -> role == Role.HEAVY ? Prescription.USUAL_RESERVE : 1;
        };
    Tempo tempo =
        exercise instanceof Exercise computed && computed.family().id().equals("thrust")
            ? new Tempo(
                role.tempo().loweringS(),
                role.tempo().lowS(),
                role.tempo().liftingS(),
                THRUST_HOLD_S)
            : role.tempo();
    int sets = exhausting(role, oneLeg) ? ONE_LEG_SETS : usualSets(age);
    return new Prescription(
        sets, range[0], range[1], reserve, tempo, role.restS(), Scheme.STRAIGHT);
  }

  /**
   * Another way to string the sets together, with the repetitions, reserve and pauses that go with
   * it.
   */
  public static Prescription inScheme(Scheme scheme, Prescription usual) {
    return switch (scheme) {
      case STRAIGHT,
          DROP,
          EASIER,
          LADDER,
          ONE_AND_A_HALF,
          DOUBLE_DIP,
          LOW_PARTIALS,
          LONG_PULSES,
          SHORT_PULSES,
          TOES_IN_TURN ->
          varied(
              usual,
              usual.repetitionsLow(),
              usual.repetitionsHigh(),
              scheme.afterTheLast() ? 0 : usual.reserve(),
              usual.tempo(),
              scheme);
      case ASCENDING, FALLING ->
          varied(
              usual,
              Math.max(1, usual.repetitionsHigh() - 2 * (usual.sets() - 1)),
              usual.repetitionsHigh(),
              usual.reserve(),
              usual.tempo(),
              scheme);
      case ALWAYS_TEN -> varied(usual, 10, 10, usual.reserve(), usual.tempo(), scheme);
      case HIGH -> varied(usual, 20, 30, Math.min(1, usual.reserve()), usual.tempo(), scheme);
      case PAUSES ->
          varied(
              usual,
              usual.repetitionsLow(),
              usual.repetitionsHigh(),
              usual.reserve(),
              new Tempo(
                  usual.tempo().loweringS(),
                  Math.max(Scheme.PAUSE_S, usual.tempo().lowS()),
                  usual.tempo().liftingS(),
                  usual.tempo().topS()),
              scheme);
    };
  }

  private static Prescription varied(
      Prescription prescription, int low, int high, double reserve, Tempo tempo, Scheme scheme) {
    Prescription in = prescription.in(scheme);
    return new Prescription(
        prescription.sets(),
        low,
        high,
        reserve,
        tempo,
        prescription.restS(),
        prescription.sideRestS(),
        scheme,
        in.drops());
  }

  /** Ends of a range such as "8-12". */
  static int[] range(String repetitions) {
    String[] ends = repetitions.split("-");
    int low = Integer.parseInt(ends[0]);
    return new int[] {low, ends.length == 1 ? low : Integer.parseInt(ends[1])};
  }
}
