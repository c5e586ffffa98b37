package istmo.core.evidence;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.MonotoneCurve;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Region;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.Musculature;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.stimulus.Stimulus;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * How the stimulus of a point changes with what is not known, at ten repetitions to failure. The
 * load of ten repetitions is not searched anew for every small change: a set at the usual load says
 * how many repetitions there are, the slope of repetitions against load says which load would give
 * ten, and a set at that load is corrected once more by the slopes.
 */
final class Sensitivity {
  private static final double STEP = 0.03;

  /** A set is at the usual repetitions within so many: less than 0.3 % of load. */
  private static final double SAME_REPETITIONS = 0.1;

  private final Point point;
  private final Unknown.Case usual;
  private final Reach usualReach;
  private final Set<Coordinate> carried;
  private final double loadKg;
  private final double repetitions;

  /** Repetitions lost for each kilogram; nothing where the load does not follow the repetitions. */
  private final OptionalDouble slope;

  Sensitivity(Point point, Unknown.Case usual) {
    this.point = point;
    this.usual = usual;
    Family family = point.exercise().family();
    Reach reach = Reach.of(usual.body(), family, usual.setup(), point.yields()).orElseThrow();
    this.usualReach = reach;
    Analyser analyser = analyser(usual);
    Analysis analysis = (Analysis) analyser.analyse(family, reach.setup(), LoadRule.USUAL);
    this.loadKg = analysis.workingKg();
    this.repetitions = analysis.set().repetitions();
    this.carried = ((Posture) family.posture(usual.body(), reach.setup(), 0.5, loadKg)).carried();
    boolean follows =
        loadKg > 0 && Math.abs(repetitions - SetSimulation.COMPARED_REPETITIONS) < 0.5;
    Optional<SimulatedSet> more =
        follows ? analyser.simulated(family, reach.setup(), loadKg * (1 + STEP)) : Optional.empty();
    Optional<SimulatedSet> less =
        follows ? analyser.simulated(family, reach.setup(), loadKg * (1 - STEP)) : Optional.empty();
    this.slope =
        more.isPresent() && less.isPresent() && more.get().repetitions() < less.get().repetitions()
            ? OptionalDouble.of(
                (less.get().repetitions() - more.get().repetitions()) / (2 * STEP * loadKg))
            : OptionalDouble.empty();
  }

  /**
   * Change of ln(stimulus + floor) by one standard deviation of an unknown, [school of {@link
   * ReferenceCalculation#SLOPES}][region]; empty where it changes nothing, or where one side is out
   * of reach, so that it decides whether this can be done and not what it gives.
   */
  Optional<double[][]> to(Unknown unknown) {
    Unknown.Case up = unknown.change().apply(usual, 1.0);
    if (sameMechanics(up)) {
      return Optional.empty();
    }
    Optional<double[][]> above = stimulus(up);
    Optional<double[][]> below =
        above.isPresent() ? stimulus(unknown.change().apply(usual, -1.0)) : Optional.empty();
    if (below.isEmpty()) {
      return Optional.empty();
    }
    double[][] change = new double[above.get().length][Region.values().length];
    for (int s = 0; s < change.length; s++) {
      for (int r = 0; r < change[s].length; r++) {
        change[s][r] =
            0.5
                * (Math.log(above.get()[s][r] + Stimulus.FLOOR)
                    - Math.log(below.get()[s][r] + Stimulus.FLOOR));
      }
    }
    return Optional.of(change);
  }

  /** Whether nothing that the exercise asks of changes: muscles that cross no joint it moves. */
  private boolean sameMechanics(Unknown.Case changed) {
    if (!changed.body().equals(usual.body()) || !changed.setup().equals(usual.setup())) {
      return false;
    }
    for (int i = 0; i < usual.muscles().size(); i++) {
      Muscle muscle = changed.muscles().get(i);
      if (!muscle.equals(usual.muscles().get(i)) && crosses(muscle)) {
        return false;
      }
    }
    return true;
  }

  private boolean crosses(Muscle muscle) {
    return crosses(muscle.kneeFlexion(), Coordinate.KNEE_FLEXION)
        || crosses(muscle.ankleDorsiflexion(), Coordinate.ANKLE_DORSIFLEXION)
        || crosses(muscle.hipFlexion(), Coordinate.HIP_FLEXION)
        || crosses(muscle.hipAbduction(), Coordinate.HIP_ABDUCTION)
        || crosses(muscle.hipRotation(), Coordinate.HIP_INTERNAL_ROTATION);
  }

  private boolean crosses(Optional<MonotoneCurve> arm, Coordinate joint) {
    return arm.isPresent() && carried.contains(joint);
  }

  private static Analyser analyser(Unknown.Case example) {
    return new Analyser(example.body(), new Musculature(example.body(), example.muscles()));
  }

  private Optional<double[][]> stimulus(Unknown.Case example) {
    Family family = point.exercise().family();
    boolean samePosture =
        example.body().equals(usual.body()) && example.setup().equals(usual.setup());
    Optional<Reach> reach =
        samePosture
            ? Optional.of(usualReach)
            : Reach.of(example.body(), family, example.setup(), point.yields());
    if (reach.isEmpty()) {
      return Optional.empty();
    }
    Analyser analyser = analyser(example);
    Optional<SimulatedSet> first = analyser.simulated(family, reach.get().setup(), loadKg);
    if (first.isEmpty() || slope.isEmpty()) {
      return first.filter(Sensitivity::done).map(Sensitivity::bySchool);
    }
    if (Math.abs(first.get().repetitions() - repetitions) < SAME_REPETITIONS) {
      return first.map(Sensitivity::bySchool);
    }
    double second = towards(loadKg, first.get().repetitions());
    Optional<SimulatedSet> near =
        analyser.simulated(family, reach.get().setup(), second).filter(Sensitivity::done);
    if (near.isEmpty()) {
      return Optional.empty();
    }
    // between or just beyond the two sets, along the straight line through them
    double gap = near.get().repetitions() - first.get().repetitions();
    double beyond =
        Math.abs(repetitions - near.get().repetitions()) < SAME_REPETITIONS || Math.abs(gap) < 0.05
            ? 0
            : Math.max(-1, Math.min(1, (repetitions - near.get().repetitions()) / gap));
    double[][] at = bySchool(near.get());
    if (beyond == 0) {
      return Optional.of(at);
    }
    double[][] from = bySchool(first.get());
    for (int s = 0; s < at.length; s++) {
      for (int r = 0; r < at[s].length; r++) {
        at[s][r] = Math.max(0, at[s][r] + beyond * (at[s][r] - from[s][r]));
      }
    }
    return Optional.of(at);
  }

  private static boolean done(SimulatedSet set) {
    return set.repetitions() >= 1;
  }

  /** The load that would give the usual repetitions, by the slope, kg. */
  private double towards(double kg, double done) {
    return Math.max(0, kg + (done - repetitions) / slope.getAsDouble());
  }

  private static double[][] bySchool(SimulatedSet set) {
    double[][] result = new double[ReferenceCalculation.SLOPES.length][];
    for (int s = 0; s < result.length; s++) {
      result[s] = Stimulus.byRegion(set, ReferenceCalculation.SLOPES[s]).stream().toArray();
    }
    return result;
  }
}
