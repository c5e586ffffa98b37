package istmo.core.movement.family;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Stage;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.Musculature;
import istmo.core.movement.Family;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SideLyingFamilyTest {
  private static final Body MAN = Body.estimated(1.75, 75, Sex.MALE);
  private static final Family LIFT = Families.get("side-lying-lift");
  private static final Family PLANK = Families.get("upper-leg-plank");

  private static final double THIGH = MAN.thighM();
  private static final double SHANK = MAN.shankM();

  /** Moment of a straight leg's masses about the hip, kg m. */
  private static final double LEG_KG_M =
      MAN.thighMassKg() * MAN.thighComFraction() * THIGH
          + MAN.shankMassKg() * (THIGH + MAN.shankComFraction() * SHANK)
          + MAN.footMassKg() * (THIGH + SHANK + 0.5 * MAN.ankleHeightM());

  /** Moment that abducts the hip from outside, at the shortened end, N m. */
  private static double abductsNm(Family family, Map<String, Double> changes, double loadKg) {
    Analysis analysis =
        (Analysis)
            new Analyser(MAN, new Musculature(MAN))
                .analyse(
                    family, Setup.of(family.parameters(), changes), new LoadRule.Fixed(loadKg));
    return analysis.points().get(0).externalNm()[Coordinate.HIP_ABDUCTION.ordinal()];
  }

  /** By hand: the leg's weight at its centres of mass, and a dumbbell above the knee. */
  @Test
  void aLiftedLegIsHeldAgainstItsWeight() {
    double expected =
        Load.G * (LEG_KG_M + 4 * HipSwingFamily.AT_KNEE * THIGH) * Math.cos(Math.toRadians(10));
    assertThat(abductsNm(LIFT, Map.of("from", -20.0, "to", 10.0, "cuff", 1.0), 4))
        .as("negative: the abductors hold")
        .isCloseTo(-expected, within(0.5));
  }

  /**
   * By hand, straight body: the support under the knee carries what moments about the shoulder ask,
   * and the hip's moment is that force times the thigh, less the leg's weight. The pelvis' half
   * width tilts the line by some degrees, so within a twentieth.
   */
  @Test
  void aPlankRestsOnTheInnerThigh() {
    double trunk = MAN.trunkM();
    double legMass = MAN.thighMassKg() + MAN.shankMassKg() + MAN.footMassKg();
    double aboutShoulder =
        MAN.upperMassKg() * (1 - Segments.UPPER_COM_HANGING) * trunk
            + 2 * (legMass * trunk + LEG_KG_M);
    double expected = Load.G * (aboutShoulder / (trunk + THIGH) * THIGH - LEG_KG_M);
    assertThat(abductsNm(PLANK, Map.of("from", 10.0, "to", 0.0), 0))
        .as("positive: the adductors hold")
        .isCloseTo(expected, within(0.05 * expected));
  }

  /** Common practice: on the ankle it is much harder than on the knee. */
  @Test
  void theFurtherTheSupportTheHarder() {
    Posture knee = posture(PLANK, Map.of("from", 10.0, "to", 0.0, "support", 0.0), 0);
    Posture ankle = posture(PLANK, Map.of("from", 10.0, "to", 0.0, "support", 1.0), 0);
    assertThat(supportMoment(ankle)).isGreaterThan(1.2 * supportMoment(knee));
  }

  /** Drawn lying: the body along the floor, the lifted foot above it, nothing under the floor. */
  @Test
  void theStageShowsABodyThatLies() {
    Drawing drawing = Stage.side(MAN, posture(LIFT, Map.of("from", -10.0, "to", 30.0), 0), 3);
    Drawing.Line trunk = line(drawing, "trunk");
    assertThat(Math.abs(trunk.points().get(1).x() - trunk.points().get(0).x()))
        .isGreaterThan(0.9 * MAN.trunkM());
    Drawing.Line shank = line(drawing, "shank");
    assertThat(shank.points().get(1).y()).isGreaterThan(shank.points().get(0).y() + 0.1);
    assertThat(drawing.lines())
        .filteredOn(line -> !line.role().equals("force"))
        .allSatisfy(line -> assertThat(line.points()).allMatch(point -> point.y() >= -1e-9));
  }

  private static Posture posture(Family family, Map<String, Double> changes, double phase) {
    return (Posture) family.posture(MAN, Setup.of(family.parameters(), changes), phase, 0);
  }

  /** Moments of everything that pushes on the leg, about the hip's fore-and-aft axis, N m. */
  private static double supportMoment(Posture posture) {
    return posture.loads().stream()
        .mapToDouble(
            load -> Math.abs(load.at().minus(posture.points().hip()).cross(load.force()).x()))
        .max()
        .orElseThrow();
  }

  private static Drawing.Line line(Drawing drawing, String role) {
    return drawing.lines().stream()
        .filter(line -> line.role().equals(role))
        .findFirst()
        .orElseThrow();
  }
}
