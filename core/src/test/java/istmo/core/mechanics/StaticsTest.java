package istmo.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.quantity.Vec3;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import us.ihmc.euclid.referenceFrame.ReferenceFrame;
import us.ihmc.euclid.tuple3D.Point3D;
import us.ihmc.euclid.tuple3D.Vector3D;
import us.ihmc.mecano.algorithms.InverseDynamicsCalculator;
import us.ihmc.mecano.multiBodySystem.RevoluteJoint;
import us.ihmc.mecano.multiBodySystem.RigidBody;

/** Moments against an independent multibody library, and against energy. */
class StaticsTest {
  private static final Body MAN = Bodies.MAN;
  private static final double LOAD = 70;

  /** In the plane: feet under the hips, toes ahead. */
  private static final Map<String, Double> PLANAR =
      Map.of("stance", 2 * MAN.hipHalfDistanceM(), "toeOut", 0.0, "depth", 90.0);

  /**
   * Our moments come from the floor upwards (foot force at the centre of pressure); mecano's from
   * the bar downwards (weights above each joint). They agree only if the posture balances and both
   * are right.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0, 0.2, 0.5, 0.8, 1})
  void squatMomentsAgreeWithAMultibodyLibrary(double phase) {
    Posture posture = Bodies.posture(MAN, "squat", PLANAR, phase, LOAD);
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    eq.set(posture);

    Vec3 ankle = posture.points().ankle();
    Vec3 knee = posture.points().knee();
    Vec3 hip = posture.points().hip();
    RigidBody ground = new RigidBody("ground", ReferenceFrame.getWorldFrame());
    Vector3D vector3D = new Vector3D(0, 0, 1);
    RevoluteJoint ankleJoint = new RevoluteJoint("ankle", ground, point(ankle), vector3D);
    RigidBody shank =
        link(
            "shank",
            ankleJoint,
            2 * MAN.shankMassKg(),
            knee.minus(ankle).times(1 - MAN.shankComFraction()));
    RevoluteJoint kneeJoint = new RevoluteJoint("knee", shank, point(knee.minus(ankle)), vector3D);
    RigidBody thigh =
        link(
            "thigh",
            kneeJoint,
            2 * MAN.thighMassKg(),
            hip.minus(knee).times(1 - MAN.thighComFraction()));
    RevoluteJoint hipJoint = new RevoluteJoint("hip", thigh, point(hip.minus(knee)), vector3D);
    Vec3 trunk = posture.points().shoulder().minus(new Vec3(hip.x(), hip.y(), 0));
    Vec3 upper = trunk.times(Segments.UPPER_COM_HANDS_UP);
    Vec3 bar = posture.props().get(0).points().get(0).minus(new Vec3(hip.x(), hip.y(), 0));
    double total = MAN.upperMassKg() + LOAD;
    link("upper", hipJoint, total, upper.times(MAN.upperMassKg() / total).plus(LOAD / total, bar));

    InverseDynamicsCalculator calculator = new InverseDynamicsCalculator(ground);
    calculator.setGravitationalAcceleration(0, -Load.G, 0);
    calculator.compute();
    assertThat(2 * eq.externalNm(Coordinate.ANKLE_DORSIFLEXION, LOAD))
        .isCloseTo(tau(calculator, ankleJoint), within(1e-6));
    assertThat(-2 * eq.externalNm(Coordinate.KNEE_FLEXION, LOAD))
        .isCloseTo(tau(calculator, kneeJoint), within(1e-6));
    assertThat(2 * eq.externalNm(Coordinate.HIP_FLEXION, LOAD))
        .isCloseTo(tau(calculator, hipJoint), within(1e-6));
  }

  /**
   * Slowly moved under a fixed load, the joint moments do exactly the work that weights gain: no
   * moment code shared with the energy.
   */
  @ParameterizedTest
  @CsvSource({"squat,0.0002", "guided-squat,0.0002", "press,0.02", "hack,0.02"})
  void workOfTheMomentsIsTheChangeOfPotentialEnergy(String family, double tolerance) {
    Map<String, Double> changes =
        switch (family) {
          case "squat" -> PLANAR;
          case "guided-squat" ->
              Map.of(
                  "stance",
                  2 * MAN.hipHalfDistanceM(),
                  "toeOut",
                  0.0,
                  "depth",
                  80.0,
                  "lean",
                  38.0,
                  "feetForward",
                  0.1);
          default -> Map.of("stance", 2 * MAN.hipHalfDistanceM(), "toeOut", 0.0, "kneeDepth", 85.0);
        };
    int steps = 400;
    double work = 0;
    Posture before = null;
    double[] momentBefore = null;
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    for (int k = 0; k <= steps; k++) {
      Posture posture = Bodies.posture(MAN, family, changes, k / (double) steps, LOAD);
      eq.set(posture);
      double[] moment = new double[Coordinate.LEG];
      for (int c = 0; c < Coordinate.LEG; c++) {
        moment[c] = -eq.externalNm(Coordinate.values()[c], LOAD);
      }
      if (before != null) {
        for (int c : new int[] {0, 3, 4}) {
          double angle =
              posture.angles()[c]
                  - before.angles()[c]
                  + (c == 0 ? posture.angles()[5] - before.angles()[5] : 0);
          work += 2 * 0.5 * (moment[c] + momentBefore[c]) * angle;
        }
      }
      before = posture;
      momentBefore = moment;
    }
    double energy = energy(family, changes, 1) - energy(family, changes, 0);
    assertThat(energy).isNegative();
    assertThat(work).isCloseTo(energy, within(Math.abs(energy) * tolerance));
  }

  private static double energy(String family, Map<String, Double> changes, double phase) {
    Posture posture = Bodies.posture(MAN, family, changes, phase, LOAD);
    Vec3 hip = posture.points().hip();
    double legs =
        2
            * Load.G
            * (MAN.thighMassKg() * at(hip, posture.points().knee(), MAN.thighComFraction()).y()
                + MAN.shankMassKg()
                    * at(posture.points().knee(), posture.points().ankle(), MAN.shankComFraction())
                        .y()
                + MAN.footMassKg() * footCom(posture).y());
    Vec3 trunk = posture.points().shoulder().minus(new Vec3(hip.x(), hip.y(), 0));
    double sled = Bodies.setup(family, changes).values().getOrDefault("sledMass", 0.0);
    return switch (family) {
      case "press" ->
          legs
              + (LOAD + sled)
                  * Load.G
                  * posture.points().pressure().y(); // the sled goes with the foot
      case "hack" -> legs + (MAN.upperMassKg() + LOAD + sled) * Load.G * hip.y();
      default ->
          legs
              + MAN.upperMassKg() * Load.G * (hip.y() + Segments.UPPER_COM_HANDS_UP * trunk.y())
              + LOAD * Load.G * bar(posture).y();
    };
  }

  private static Vec3 bar(Posture posture) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals("bar"))
        .findFirst()
        .orElseThrow()
        .points()
        .get(0);
  }

  /**
   * Track: forces on body and bar together add up to nothing, and so do moments about the centre of
   * pressure.
   */
  @Test
  void theTrackSquatIsInEquilibriumAsAWhole() {
    Map<String, Double> changes =
        Map.of("stance", 0.4, "toeOut", 20.0, "depth", 85.0, "feetForward", 0.2, "lean", 12.0);
    Posture posture = Bodies.posture(MAN, "guided-squat", changes, 1, LOAD);
    Load foot = posture.loads().get(0);
    Vec3 onFoot = foot.force().plus(LOAD, foot.forcePerKg());
    Load atBar = posture.loads().get(posture.loads().size() - 1);
    Vec3 onBar = atBar.force().plus(LOAD, atBar.forcePerKg());
    assertThat(2 * onFoot.x() + onBar.x()).isCloseTo(0, within(1e-9));
    assertThat(2 * onFoot.y()).isCloseTo((MAN.massKg() + LOAD) * Load.G, within(1e-9));
    Vec3 hip = posture.points().hip();
    Vec3 upper =
        new Vec3(hip.x(), hip.y(), 0)
            .plus(
                Segments.UPPER_COM_HANDS_UP,
                posture.points().shoulder().minus(new Vec3(hip.x(), hip.y(), 0)));
    Vec3 c = posture.points().pressure();
    double moment = -MAN.upperMassKg() * Load.G * (upper.x() - c.x());
    moment -=
        2
            * Load.G
            * (MAN.thighMassKg()
                    * (at(hip, posture.points().knee(), MAN.thighComFraction()).x() - c.x())
                + MAN.shankMassKg()
                    * (at(posture.points().knee(), posture.points().ankle(), MAN.shankComFraction())
                            .x()
                        - c.x())
                + MAN.footMassKg() * (footCom(posture).x() - c.x()));
    Vec3 r = atBar.at().minus(c);
    moment += r.x() * onBar.y() - r.y() * onBar.x();
    assertThat(moment)
        .isCloseTo(
            0,
            within(0.5)); // the foot's own centre of mass is taken half-way between ankle and sole
  }

  private static Vec3 footCom(Posture posture) {
    return posture.loads().stream()
        .filter(load -> load.on() == Load.Segment.FOOT && load.forcePerKg().norm() == 0)
        .findFirst()
        .orElseThrow()
        .at();
  }

  private static Vec3 at(Vec3 from, Vec3 to, double share) {
    return from.plus(share, to.minus(from));
  }

  private static Point3D point(Vec3 v) {
    return new Point3D(v.x(), v.y(), 0);
  }

  private static RigidBody link(String name, RevoluteJoint joint, double mass, Vec3 com) {
    return new RigidBody(name, joint, 0.01, 0.01, 0.01, mass, point(com));
  }

  private static double tau(InverseDynamicsCalculator calculator, RevoluteJoint joint) {
    return calculator.getComputedJointTau(joint).get(0, 0);
  }
}
