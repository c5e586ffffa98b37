package istmo.core.validation;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What checks measure of postures, sets and stimuli. */
final class Measures {
  static final Body MAN = Bodies.MAN;
  static final String PRACTICE = "common practice";

  private Measures() {}

  static RegionValues of(String candidate) {
    return Stimulus.byRegion(analysis(candidate), School.STRETCH);
  }

  static Analysis analysis(String candidate) {
    Candidate checked = Catalogue.standard().candidate(candidate);
    Exercise exercise = checked.exercise();
    Setup setup =
        Reach.of(
                MAN,
                exercise.family(),
                checked.usualFor(MAN, GymEquipment.generic(Set.of())),
                checked.yields())
            .orElseThrow()
            .setup();
    return (Analysis) new Analyser(MAN).analyse(exercise.family(), setup, LoadRule.USUAL);
  }

  static String ratio(double own, double next) {
    return own > 99 * next ? "over 99" : String.format(Locale.ROOT, "%.1f", own / next);
  }

  static Evaluation evaluate(Body body, String candidate) {
    return Evaluation.of(
        body,
        new Analyser(body),
        Catalogue.standard().candidate(candidate),
        GymEquipment.generic(Set.of()),
        School.STRETCH);
  }

  static double height(Evaluation evaluation) {
    return 100 * ((Evaluation.Computed) evaluation).reach().setup().values().get("footHeight");
  }

  /** The point of a repetition at which the hip is nearest to a flexion. */
  static Posture atHipFlexion(String family, Map<String, Double> changes, double deg) {
    Posture best = null;
    for (int k = 0; k <= 200; k++) {
      Posture posture = Bodies.posture(MAN, family, changes, k / 200.0, 70);
      if (best == null
          || Math.abs(posture.angle(Coordinate.HIP_FLEXION) - Math.toRadians(deg))
              < Math.abs(best.angle(Coordinate.HIP_FLEXION) - Math.toRadians(deg))) {
        best = posture;
      }
    }
    return best;
  }

  static double fibre(Posture posture, String muscle) {
    istmo.core.mechanics.Musculature musculature = new istmo.core.mechanics.Musculature(MAN);
    musculature.at(posture.angles());
    return musculature.length(index(muscle));
  }

  static int index(String muscle) {
    return Muscles.standard().indexOf(muscle);
  }

  static RegionValues stimulus(String family, Map<String, Double> changes) {
    return Stimulus.byRegion(Bodies.analysis(MAN, family, changes), School.STRETCH);
  }

  /** Knee extension moment of one leg, N m. */
  static double knee(Posture posture, double load) {
    return moment(posture, Coordinate.KNEE_FLEXION, load);
  }

  static double hip(Posture posture, double load) {
    return moment(posture, Coordinate.HIP_FLEXION, load);
  }

  static double moment(Posture posture, Coordinate coordinate, double load) {
    istmo.core.mechanics.Equilibrium eq =
        new istmo.core.mechanics.Equilibrium(MAN, new istmo.core.mechanics.Musculature(MAN));
    eq.set(posture);
    return eq.externalNm(coordinate, load);
  }

  static double ratio(Analysis analysis) {
    AnalysisPoint point = analysis.points().get(analysis.points().size() - 1);
    return point.suppliedNm(Coordinate.HIP_FLEXION) / point.suppliedNm(Coordinate.KNEE_FLEXION);
  }

  static double lean(Posture posture) {
    return Math.toDegrees(posture.trunkLeanRad());
  }

  static double gmax(RegionValues values) {
    return (values.get(Region.GMAXU) + values.get(Region.GMAXM) + values.get(Region.GMAXL)) / 3;
  }

  static double vasti(RegionValues values) {
    return (values.get(Region.VL) + values.get(Region.VM) + values.get(Region.VI)) / 3;
  }

  static double hamstrings(RegionValues values) {
    return (values.get(Region.BFL)
            + values.get(Region.BFS)
            + values.get(Region.ST)
            + values.get(Region.SM))
        / 4;
  }

  static double adductors(RegionValues values) {
    return (values.get(Region.AL)
            + values.get(Region.AB)
            + values.get(Region.GRA)
            + values.get(Region.AMA)
            + values.get(Region.AMI))
        / 5;
  }
}
