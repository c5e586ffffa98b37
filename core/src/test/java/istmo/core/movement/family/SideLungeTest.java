package istmo.core.movement.family;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Prop;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SideLungeTest {
  private static final Body MAN = Bodies.MAN;
  private static final Map<String, Double> USUAL =
      Map.of("between", 0.8, "kneeDepth", 92.0, "lean", 45.0);

  private static Posture at(double phase) {
    return Bodies.posture(MAN, "side-lunge", USUAL, phase, 20);
  }

  private static List<Vec3> otherLeg(Posture posture) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals("other"))
        .map(Prop::points)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theOtherLegStaysStraightWithItsFootFlatWhereItIs() {
    for (double phase = 0; phase <= 1; phase += 0.1) {
      List<Vec3> leg = otherLeg(at(phase));
      Vec3 hip = leg.get(0);
      Vec3 ankle = leg.get(2);
      assertThat(hip.minus(ankle).norm())
          .isCloseTo(0.999 * (MAN.thighM() + MAN.shankM()), within(1e-6));
      assertThat(ankle.y()).isCloseTo(MAN.ankleHeightM(), within(1e-12));
      assertThat(ankle.z()).isCloseTo(-0.4, within(1e-12));
    }
  }

  /** Standing wide, each foot carries about half; at the bottom the bent leg carries most. */
  @Test
  void theWeightGoesOverTheBentLeg() {
    double top = onBentLeg(at(0));
    double bottom = onBentLeg(at(1));
    assertThat(top).isBetween(0.4, 0.6);
    assertThat(bottom).isBetween(0.75, 1.0);
  }

  private static double onBentLeg(Posture posture) {
    double up =
        posture.loads().stream()
            .filter(load -> load.at().equals(posture.points().pressure()))
            .mapToDouble(load -> load.force().y())
            .sum();
    return up / (MAN.massKg() * Load.G);
  }

  /** Sideways, by hand: weights of trunk, thighs, shanks and feet about the other foot. */
  @Test
  void whatTheBentLegCarriesIsWhatTheWeightsAsk() {
    Posture posture = at(1);
    List<Vec3> other = otherLeg(posture);
    Vec3 hip = posture.points().hip();
    double trunk = MAN.upperMassKg() * (hip.z() + other.get(0).z()) / 2;
    double legs =
        leg(hip, posture.points().knee(), posture.points().ankle())
            + leg(other.get(0), other.get(1), other.get(2));
    double asked = ((trunk + legs) / MAN.massKg() + 0.4) / 0.8;
    assertThat(onBentLeg(posture)).isCloseTo(asked, within(0.02));
  }

  private static double leg(Vec3 hip, Vec3 knee, Vec3 ankle) {
    double thigh = hip.z() + MAN.thighComFraction() * (knee.z() - hip.z());
    double shank = knee.z() + MAN.shankComFraction() * (ankle.z() - knee.z());
    return MAN.thighMassKg() * thigh + MAN.shankMassKg() * shank + MAN.footMassKg() * ankle.z();
  }

  @Test
  void feetTooNearSayWhatToDo() {
    assertThat(
            Families.get("side-lunge")
                .posture(
                    MAN,
                    Bodies.setup(
                        "side-lunge", Map.of("between", 0.5, "kneeDepth", 120.0, "lean", 45.0)),
                    1,
                    20))
        .isEqualTo(new Impossible(Hindrance.FEET_TOO_NEAR));
  }

  @Test
  void theSquatGoesOutwardsFromStandingWide() {
    assertThat(Math.toDegrees(at(0).angle(Coordinate.KNEE_FLEXION))).isCloseTo(15, within(0.1));
    assertThat(Math.toDegrees(at(1).angle(Coordinate.KNEE_FLEXION))).isCloseTo(92, within(0.1));
    assertThat(at(1).points().hip().z()).isGreaterThan(at(0).points().hip().z() + 0.15);
  }
}
