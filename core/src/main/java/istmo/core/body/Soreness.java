package istmo.core.body;

import istmo.core.quantity.InvalidInput;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * A sore joint, what makes it hurt, and how the coach goes about it. Pain decides; nothing here is
 * a diagnosis.
 *
 * @param movements what makes it hurt; empty when that is not known
 */
public record Soreness(PainFlag joint, Set<SoreMovement> movements, Approach approach) {
  /** The schools for a sore joint. */
  public enum Approach {
    LEAVE_OUT("leave out what troubles it"),
    LESS_LOAD("less load at the full range first"),
    LESS_RANGE("less range first");

    private final String label;

    Approach(String label) {
      this.label = label;
    }

    /** Name of the approach. */
    public String label() {
      return label;
    }
  }

  /**
   * The bends to which "less range first" keeps a joint, deg (common practice: about where a squat
   * is a half squat; the ankle about half of its usual range).
   */
  static final double LESS_KNEE_DEG = 80;

  static final double LESS_HIP_DEG = 85;
  static final double LESS_ANKLE_DEG = 18;

  public Soreness {
    movements =
        movements.isEmpty()
            ? Set.of()
            : java.util.Collections.unmodifiableSet(EnumSet.copyOf(movements));
    for (SoreMovement movement : movements) {
      if (movement.joint() != joint) {
        throw new InvalidInput(
            "pain.movements",
            "\"" + movement.label() + "\" is not a movement of the " + joint.label());
      }
    }
    if (approach == Approach.LESS_RANGE
        && (joint == PainFlag.LOWER_BACK || joint == PainFlag.SHOULDER)) {
      throw new InvalidInput(
          "pain.approach", "less range is for knee, hip and ankle; choose less load, or leave out");
    }
  }

  /** A joint that takes out whatever troubles it. */
  public static Soreness leaveOut(PainFlag joint) {
    return new Soreness(joint, Set.of(), Approach.LEAVE_OUT);
  }

  /** Why an exercise is left out, if it is. */
  Optional<CautionFact> refuses(Demand demand) {
    if (approach != Approach.LEAVE_OUT) {
      return Optional.empty();
    }
    if (movements.isEmpty()) {
      return Optional.ofNullable(demand.troubles().get(joint))
          .map(how -> new CautionFact.TroublesJoint(joint, how));
    }
    return movements.stream()
        .filter(movement -> movement.asked(demand) > 0)
        .findFirst()
        .map(movement -> new CautionFact.AsksSoreMovement(movement, movement.asked(demand)));
  }

  /** The bend to which "less range first" keeps the joint, deg. */
  public double keptToDeg() {
    return joint == PainFlag.KNEE
        ? LESS_KNEE_DEG
        : joint == PainFlag.HIP ? LESS_HIP_DEG : LESS_ANKLE_DEG;
  }
}
