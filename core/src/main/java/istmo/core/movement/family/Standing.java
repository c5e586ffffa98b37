package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Load;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What standing families share: balance, the bar on the trunk, the force under the feet. */
final class Standing {
  static final Set<Coordinate> ALL_ROWS = EnumSet.allOf(Coordinate.class);

  /**
   * Where the load is held: along the trunk (fraction of hip to shoulder) and in front of it (m).
   * High and low bar, front rack, chest, hanging hands and belt by common practice. A safety bar's
   * plates hang some 10 cm below and in front of its pads, which lie where a high bar does; how far
   * differs from bar to bar (own estimate). In the crook of the elbows a bar lies before the belly
   * (own estimate). Last how far the trunk may lean before the load rolls or slides off, or the
   * arms let it down (deg, common practice; squats are filmed at 20 to 35 with the bar in front and
   * 35 to 50 with it on the back).
   */
  enum LoadPosition {
    HIGH(1.02, -0.06, 52),
    LOW(0.92, -0.10, 60),
    FRONT(0.97, 0.09, 40),
    CHEST(0.75, 0.20, 45),
    HANDS(1, 0, 75),
    SAFETY_BAR(0.84, 0.04, 52),
    ELBOWS(0.42, 0.20, 52),
    BELT(0, 0.06, 75);

    final double along;
    final double aheadM;
    final double mostLeanRad;

    LoadPosition(double along, double aheadM, double mostLeanDeg) {
      this.along = along;
      this.aheadM = aheadM;
      this.mostLeanRad = Math.toRadians(mostLeanDeg);
    }

    private static final List<String> NAMES =
        List.of(
            "high on the back",
            "low on the back",
            "in front",
            "held at the chest",
            "hanging in the hands",
            "on a safety bar",
            "in the crook of the elbows");

    /** For a bar on a track. */
    static final SetupParameter BAR = parameter(3);

    static final SetupParameter PARAMETER = parameter(NAMES.size());

    private static SetupParameter parameter(int choices) {
      return SetupParameter.choice(
          "bar",
          "Place of the load",
          0,
          SetupParameter.Kind.SETUP,
          "where the load rests or hangs",
          NAMES.subList(0, choices).toArray(String[]::new));
    }

    static LoadPosition of(Setup setup, SetupParameter parameter) {
      return setup.choice(parameter, LoadPosition.class);
    }

    /** Whether the load is carried by the pelvis, so that the back does not feel it. */
    boolean belowBack() {
      return this == BELT;
    }

    /** Centre of mass of head, arms and trunk above the hips along the trunk. */
    double comFraction() {
      return this == HANDS || this == BELT
          ? Segments.UPPER_COM_HANGING
          : Segments.UPPER_COM_HANDS_UP;
    }

    Vec3 at(Body body, Vec3 hip, double lean) {
      double s = Math.sin(lean);
      double c = Math.cos(lean);
      double up = along * body.trunkM();
      double hangs = this == HANDS ? body.hangM() : 0;
      return new Vec3(hip.x() + up * s + aheadM * c, hip.y() + up * c - aheadM * s - hangs, 0);
    }

    /** Adds weight of trunk and load, and what is drawn. */
    void on(PostureBuilder builder, Body body, Vec3 hip, double lean) {
      Vec3 at = at(body, hip, lean);
      builder.upperWeight(comFraction());
      if (!belowBack()) {
        builder.load(Load.force(Load.Segment.UPPER, at, Vec3.ZERO, new Vec3(0, -Load.G, 0)));
      }
      if (this == HANDS) {
        builder.prop("arm", at.plus(body.hangM(), Vec3.UP), at);
      }
      builder.prop(this == HANDS || this == CHEST ? "weight" : this == BELT ? "belt" : "bar", at);
    }
  }

  /** What a hand on a post, or the bar of a track, holds sideways, N (own estimate). */
  static final double HAND_N = 30;

  private Standing() {}

  /** How far a foot stands alone, 1 to 0, when the other carries a share of all weight. */
  static double alone(double otherShare) {
    return Math.max(0, 1 - 2 * otherShare);
  }

  /** x of the centre of mass of both legs times their mass, kg m. */
  static double legMassMoment(Body body, Vec3 ankle, Vec3 knee, Vec3 hip, double footMiddleX) {
    double thigh = hip.x() + body.thighComFraction() * (knee.x() - hip.x());
    double shank = knee.x() + body.shankComFraction() * (ankle.x() - knee.x());
    double foot = 0.5 * (ankle.x() + footMiddleX);
    return 2 * (body.thighMassKg() * thigh + body.shankMassKg() * shank + body.footMassKg() * foot);
  }

  /** x of the centre of mass of one leg times its mass, kg m. */
  static double oneLegMassMoment(Body body, Vec3 ankle, Vec3 knee, Vec3 hip, double footMiddleX) {
    return 0.5 * legMassMoment(body, ankle, knee, hip, footMiddleX);
  }

  /** Half of everything pushes up under the right foot. */
  static void floorForce(PostureBuilder builder, Body body, Setup setup) {
    floorForce(
        builder, new Vec3(0, body.massKg() * Load.G / 2, 0), new Vec3(0, Load.G / 2, 0), setup);
  }

  /**
   * A force under the right foot that is linear in W, N and N/kg, with the sideways grip and push
   * of the set-up.
   */
  static void floorForce(PostureBuilder builder, Vec3 force, Vec3 perKg, Setup setup) {
    builder.load(Load.force(Load.Segment.FOOT, builder.pressure(), force, perKg));
    builder.footGrip(
        setup.get(Parameters.FOOT_SHEAR), setup.get(Parameters.SPREAD), force.y(), perKg.y());
  }

  /** The wedge under a heel, for the drawing; what it lies on is so high, m. */
  static void wedge(PostureBuilder builder, Body body, LegGeometry.Foot foot, double floorM) {
    double heel = -Segments.ANKLE_FROM_HEEL * body.footM();
    builder.prop(
        "block",
        new Vec3(foot.soleX(body, heel), floorM, 0),
        new Vec3(foot.soleX(body, 0.4 * body.footM()), floorM, 0),
        foot.ankle().plus(-body.ankleHeightM(), foot.normal()).plus(heel, foot.toe()));
  }
}
