package istmo.core.plan;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Movement;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * What muscles of a region do, so that over a week all of it is trained (common practice). An
 * exercise trains a function when enough of the muscle's change of length happens there while the
 * joint is driven that way.
 */
public enum Function {
  HIP_EXTENSION_HAMSTRINGS(
      "hamstrings at the hip",
      "hinges and the like",
      List.of(Region.BFL, Region.ST, Region.SM),
      Coordinate.HIP_FLEXION,
      -1),
  KNEE_FLEXION(
      "hamstrings at the knee",
      "curls",
      List.of(Region.BFL, Region.BFS, Region.ST, Region.SM),
      Coordinate.KNEE_FLEXION,
      1),
  KNEE_AND_HIP(
      "quads with the hip",
      "squats and presses",
      List.of(Region.VL, Region.VM, Region.VI),
      Coordinate.KNEE_FLEXION,
      -1) {
    @Override
    boolean holds(Analysis analysis) {
      return most(analysis, point -> -point.suppliedNm(Coordinate.HIP_FLEXION))
              > 0.25 * most(analysis, point -> -point.suppliedNm(Coordinate.KNEE_FLEXION))
          && range(analysis, Coordinate.HIP_FLEXION) > Math.toRadians(20);
    }
  },
  KNEE_WITH_OPEN_HIP(
      "quads with the hip open",
      "leg extensions leaning back, sissy squats",
      List.of(Region.RF),
      Coordinate.KNEE_FLEXION,
      -1) {
    @Override
    boolean holds(Analysis analysis) {
      return mean(analysis, Coordinate.HIP_FLEXION) < OPEN_HIP;
    }
  },
  HIP_EXTENSION_GLUTES(
      "glutes at the hip",
      "thrusts, hinges, deep squats",
      List.of(Region.GMAXU, Region.GMAXM, Region.GMAXL),
      Coordinate.HIP_FLEXION,
      -1),
  HIP_ABDUCTION(
      "hip to the side",
      "abductions",
      List.of(Region.GMEDA, Region.GMEDP, Region.GMIN),
      Coordinate.HIP_ABDUCTION,
      1),
  HIP_ADDUCTION(
      "legs together",
      "adductions, wide squats",
      List.of(Region.AL, Region.AB, Region.GRA, Region.AMA),
      Coordinate.HIP_ABDUCTION,
      -1),
  STRAIGHT_KNEE_CALF(
      "calves, knee straight",
      "standing calf raises",
      List.of(Region.GASM, Region.GASL),
      Coordinate.ANKLE_DORSIFLEXION,
      -1) {
    @Override
    boolean holds(Analysis analysis) {
      return mean(analysis, Coordinate.KNEE_FLEXION) < STRAIGHT_KNEE;
    }
  },
  BENT_KNEE_CALF(
      "calves, knee bent",
      "seated calf raises",
      List.of(Region.SOL),
      Coordinate.ANKLE_DORSIFLEXION,
      -1) {
    @Override
    boolean holds(Analysis analysis) {
      return mean(analysis, Coordinate.KNEE_FLEXION) > BENT_KNEE;
    }
  },
  SHIN("foot pulled up", "shin raises", List.of(Region.TA), Coordinate.ANKLE_DORSIFLEXION, 1),
  HIP_FLEXION(
      "thigh lifted", "knee and leg raises", List.of(Region.ILP), Coordinate.HIP_FLEXION, 1),
  LOWER_BACK_HELD(
      "lower back held",
      "hinges, back extensions",
      List.of(Region.ERECTORS),
      Coordinate.LUMBAR_FLEXION,
      -1) {
    @Override
    public boolean trainedBy(Analysis analysis) {
      return most(analysis, AnalysisPoint::backActivation) >= MUCH_OF_THE_BACK;
    }
  };

  /**
   * Hip flexion under which the upper quad is not slack, knee bends between which a calf raise is
   * neither straight nor bent, rad (judgement).
   */
  static final double OPEN_HIP = Math.toRadians(65);

  static final double STRAIGHT_KNEE = Math.toRadians(25);
  static final double BENT_KNEE = Math.toRadians(60);

  /** Activation of the lower back from which an exercise trains it (judgement). */
  private static final double MUCH_OF_THE_BACK = 0.5;

  /** Share of a muscle's change of length that makes it this function's exercise (judgement). */
  private static final double ENOUGH = 0.3;

  private final String label;
  private final String examples;
  private final List<Region> regions;
  private final Coordinate joint;
  private final int direction;

  Function(String label, String examples, List<Region> regions, Coordinate joint, int direction) {
    this.label = label;
    this.examples = examples;
    this.regions = regions;
    this.joint = joint;
    this.direction = direction;
  }

  /** Everyday name of what is trained. */
  public String label() {
    return label;
  }

  /** Exercises that do it, for a coach. */
  public String examples() {
    return examples;
  }

  /** Regions whose muscles do it. */
  public List<Region> regions() {
    return regions;
  }

  /** Whether an exercise trains this. */
  public boolean trainedBy(Analysis analysis) {
    int muscle = regions.get(0).muscleIndex();
    double all = 0;
    for (int c = 0; c < Coordinate.LEG; c++) {
      all += analysis.lengthChangeM(muscle, Coordinate.values()[c], point -> true);
    }
    Predicate<AnalysisPoint> driven =
        point ->
            point.posture().carried().contains(joint) && direction * point.suppliedNm(joint) > 0;
    return all > 0
        && analysis.lengthChangeM(muscle, joint, driven) >= ENOUGH * all
        && holds(analysis);
  }

  /** Whether an exercise by word trains this: by what it is said to do, and to train. */
  public boolean trainedBy(ByWord byWord) {
    return regions.stream().anyMatch(region -> byWord.share(region) > 0) && isDone(byWord);
  }

  private boolean isDone(ByWord byWord) {
    Set<Movement> does = byWord.does();
    boolean extendsHip = does.contains(Movement.HIP_EXTENSION);
    boolean straightens = does.contains(Movement.KNEE_EXTENSION);
    return switch (this) {
      case HIP_EXTENSION_HAMSTRINGS -> extendsHip && !straightens;
      case HIP_EXTENSION_GLUTES -> extendsHip;
      case KNEE_FLEXION -> does.contains(Movement.KNEE_FLEXION);
      case KNEE_AND_HIP -> extendsHip && straightens;
      case KNEE_WITH_OPEN_HIP -> straightens && !extendsHip && byWord.hip() == ByWord.Bend.LITTLE;
      case HIP_ABDUCTION -> does.contains(Movement.HIP_ABDUCTION);
      case HIP_ADDUCTION -> does.contains(Movement.HIP_ADDUCTION);
      case STRAIGHT_KNEE_CALF -> does.contains(Movement.HEEL_RAISE);
      case BENT_KNEE_CALF -> does.contains(Movement.BENT_HEEL_RAISE);
      case SHIN -> does.contains(Movement.TOE_RAISE);
      case HIP_FLEXION -> does.contains(Movement.HIP_FLEXION);
      case LOWER_BACK_HELD -> byWord.back() == ByWord.Back.MUCH;
    };
  }

  /** What else must hold. */
  boolean holds(Analysis analysis) {
    return true;
  }

  static double mean(Analysis analysis, Coordinate coordinate) {
    return analysis.points().stream()
        .mapToDouble(point -> point.posture().angle(coordinate))
        .average()
        .orElse(0);
  }

  static double range(Analysis analysis, Coordinate coordinate) {
    return analysis.points().stream()
            .mapToDouble(point -> point.posture().angle(coordinate))
            .max()
            .orElse(0)
        - analysis.points().stream()
            .mapToDouble(point -> point.posture().angle(coordinate))
            .min()
            .orElse(0);
  }

  static double most(Analysis analysis, ToDoubleFunction<AnalysisPoint> of) {
    return Math.max(0, analysis.points().stream().mapToDouble(of).max().orElse(0));
  }
}
