package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Optional;

/**
 * Hinge on one leg: the other goes back in line with the trunk, stands on its toes behind
 * (staggered), or rests on a bench. The trunk lean is the phase, the knee bend is given, the shank
 * follows from balance over what the feet carry. A weight in one hand stands beside the middle of
 * the body, which moves sideways until everything stands over the foot.
 */
public final class OneLegHingeFamily implements Family {
  static final SetupParameter OTHER =
      SetupParameter.choice(
          "rear",
          "Other leg",
          0,
          SetupParameter.Kind.SETUP,
          "what the other leg does",
          "goes back in line",
          "on its toes behind",
          "on a bench behind");

  /** Choices of {@link #OTHER}: where the other leg is. */
  private enum Other {
    IN_LINE,
    ON_TOES,
    ON_BENCH
  }

  /** Choices of {@link #HAND}. */
  private enum Hand {
    BOTH,
    SAME_SIDE,
    OTHER_SIDE
  }

  static final SetupParameter HAND =
      SetupParameter.choice(
          "hand",
          "Weight in",
          0,
          SetupParameter.Kind.SETUP,
          "which hand holds the weight",
          "both hands",
          "the hand of the standing leg",
          "the other hand");
  static final SetupParameter REAR_SHARE =
      SetupParameter.of(
              "rearShare",
              "Weight on the rear foot",
              new Allowed(0, 0.5, ""),
              0.2,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              "share of all weight, when the other foot stands")
          .notSearched();
  static final SetupParameter STRIDE =
      SetupParameter.of(
          "stride",
          "Rear foot behind",
          new Allowed(0.1, 1.0, "m"),
          0.35,
          0.05,
          SetupParameter.Kind.SETUP,
          "front ankle to where the other foot stands");
  static final SetupParameter WIDTH =
      SetupParameter.of(
          "width",
          "Between the feet, side to side",
          new Allowed(0, 0.4, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          "when the other foot stands");

  /**
   * Half the width of the shoulders where a hanging arm's weight is, as a fraction of stature
   * (biacromial 0.259, Drillis and Contini 1966).
   */
  private static final double SHOULDER = 0.13;

  private static final double REAR_GRIP = 0.3;
  private static final double TOP = Math.toRadians(4);

  @Override
  public String id() {
    return "one-leg-hinge";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        HingeFamily.KNEE_BEND,
        HingeFamily.LEAN.usually(70),
        OTHER,
        REAR_SHARE,
        STRIDE,
        WIDTH,
        HAND,
        Parameters.STRAPS,
        PRESSURE.usually(-0.01),
        FOOT_SHEAR,
        Parameters.TRUNK_SHIFT.usually(0.4));
  }

  @Override
  public double inOneHand(Setup setup) {
    return (setup.choice(HAND, Hand.class) == Hand.BOTH ? 1 : 2)
        * Parameters.inOneOfTwoHands(setup);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(), new Handle("lean", Part.SHOULDER), new Handle("kneeBend", Part.KNEE));
  }

  @Override
  public boolean balances() {
    return true;
  }

  @Override
  public List<SetupParameter> growWithTheLeg() {
    return List.of(STRIDE);
  }

  @Override
  public int legs(Setup setup) {
    return 1;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(HingeFamily.LEAN);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double lean = TOP + phase * (setup.rad(HingeFamily.LEAN) - TOP);
    double bend = setup.rad(HingeFamily.KNEE_BEND);
    Balance balance = new Balance(body, setup, lean, loadKg);
    double share = balance.share();
    double square = balance.squareM2();
    double reach = LegGeometry.hipToAnkle(body, bend);
    if (!(square > 0.25 * reach * reach)) {
      return new Impossible(Hindrance.PULLED_OFF_FOOT);
    }
    Optional<Double> slope =
        Roots.between(Math.toRadians(-45), Math.toRadians(30), balance::tipping);
    if (slope.isEmpty()) {
      return new Impossible(Hindrance.NO_BALANCE_ON_FOOT);
    }
    Vec3 ankle = balance.ankle();
    Vec3 hip = balance.hip(slope.get());
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, Vec3.FORWARD);
    Vec3 shoulder =
        new Vec3(
            hip.x() + body.trunkM() * Math.sin(lean), hip.y() + body.trunkM() * Math.cos(lean), 0);
    double barX = balance.barX(shoulder.x());
    double drop = body.hangM() * body.hangM() - (shoulder.x() - barX) * (shoulder.x() - barX);
    if (knee.isEmpty() || !(drop > 0)) {
      return new Impossible(Hindrance.WEIGHT_OUT_OF_REACH);
    }
    Vec3 held = new Vec3(barX, shoulder.y() - Math.sqrt(drop), 0);
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, Vec3.FORWARD, Vec3.UP)
            .leg(knee.get(), hip)
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    onFeet(builder, body, setup, share);
    builder
        .legWeights()
        .upperWeight(Segments.UPPER_COM_HANGING)
        .load(Load.force(Load.Segment.UPPER, held, Vec3.ZERO, new Vec3(0, -Load.G, 0)))
        .free(Stops.knee(bend));
    otherLeg(builder, body, setup, lean);
    builder
        .prop("arm", shoulder, held)
        .prop(setup.choice(HAND, Hand.class) == Hand.BOTH ? "bar" : "weight", held)
        .prop("floor", new Vec3(-1.1, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  private static boolean stands(Setup setup) {
    return setup.choice(OTHER, Other.class) != Other.IN_LINE;
  }

  /** What the floor does under the standing foot, and what the other foot may answer. */
  private static void onFeet(PostureBuilder builder, Body body, Setup setup, double share) {
    double own = (1 - share) * body.massKg() * Load.G;
    double perKg = (1 - share) * Load.G;
    builder
        .load(
            Load.force(
                Load.Segment.FOOT, builder.pressure(), new Vec3(0, own, 0), new Vec3(0, perKg, 0)))
        .footGrip(setup.get(FOOT_SHEAR), share / (1 - share), 0, own, perKg);
    if (share > 0) {
      builder.free(
          FreeContact.atFoot(
              "feet against each other",
              builder.pressure(),
              Vec3.FORWARD,
              Vec3.ZERO,
              REAR_GRIP * share * body.massKg() * Load.G,
              REAR_GRIP * share * Load.G));
    }
  }

  /** The other leg, to be drawn: in line with the trunk, or where it stands. */
  private static void otherLeg(PostureBuilder builder, Body body, Setup setup, double lean) {
    Vec3 hip = builder.hip();
    boolean stands = stands(setup);
    double rearX = -setup.get(STRIDE);
    Vec3 foot =
        stands
            ? new Vec3(rearX, setup.choice(OTHER, Other.class) == Other.ON_BENCH ? 0.42 : 0.02, 0)
            : hip.plus(
                -(body.thighM() + body.shankM()), new Vec3(Math.sin(lean), Math.cos(lean), 0));
    Vec3 knee =
        stands
            ? new Vec3(0.5 * (hip.x() + rearX) + 0.08, 0.5 * (hip.y() + foot.y()), 0)
            : hip.plus(foot).times(0.5);
    builder.prop("other", hip, knee, foot);
  }

  /** One foot, or one and a part of the other, under a trunk that leans with a load. */
  private record Balance(Body body, Setup setup, double lean, double loadKg) {
    /** Part of the weight on the other foot. */
    private double share() {
      return stands(setup) ? setup.get(REAR_SHARE) : 0;
    }

    private double rearX() {
      return -setup.get(STRIDE);
    }

    private double frontX() {
      return (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    }

    private Vec3 ankle() {
      return new Vec3(0, body.ankleHeightM(), 0);
    }

    /** Sideways, everything stands over what the feet carry. */
    private double hipZ() {
      double width = stands(setup) ? setup.get(WIDTH) : 0;
      double hand =
          switch (setup.choice(HAND, Hand.class)) {
            case BOTH -> 0;
            case SAME_SIDE -> SHOULDER * body.statureM();
            case OTHER_SIDE -> -SHOULDER * body.statureM();
          };
      double middle = -share() * width - loadKg * hand / (body.massKg() + loadKg);
      return middle
          + body.hipHalfDistanceM()
              * (1 - Standing.alone(share()) * setup.get(Parameters.TRUNK_SHIFT));
    }

    /** Square of the distance from ankle to hip seen from the side, m^2. */
    private double squareM2() {
      double reach = LegGeometry.hipToAnkle(body, setup.rad(HingeFamily.KNEE_BEND));
      return reach * reach - hipZ() * hipZ();
    }

    private Vec3 hip(double slope) {
      double radius = Math.sqrt(squareM2());
      Vec3 ankle = ankle();
      return new Vec3(
          ankle.x() + radius * Math.sin(slope), ankle.y() + radius * Math.cos(slope), hipZ());
    }

    /** Mass moment about what the feet carry for a slope of the leg, kg m: 0 in balance. */
    private double tipping(double slope) {
      Vec3 ankle = ankle();
      Vec3 hip = hip(slope);
      Vec3 knee =
          LegGeometry.knee(ankle, hip, body, Vec3.FORWARD).orElse(ankle.plus(hip).times(0.5));
      double shoulder = hip.x() + body.trunkM() * Math.sin(lean);
      double pressureX = frontX() + setup.get(PRESSURE);
      return Standing.oneLegMassMoment(body, ankle, knee, hip, frontX())
          + otherMoment(hip)
          + body.upperMassKg()
              * (hip.x() + Segments.UPPER_COM_HANGING * body.trunkM() * Math.sin(lean))
          + loadKg * barX(shoulder)
          - (body.massKg() + loadKg) * ((1 - share()) * pressureX + share() * rearX());
    }

    /**
     * Mass moment of the other leg: in line with the trunk behind the hip, or between the hip and
     * where it stands.
     */
    private double otherMoment(Vec3 hip) {
      double back = Math.sin(lean);
      double thigh = body.thighComFraction() * body.thighM();
      if (stands(setup)) {
        double m = body.thighMassKg() + body.shankMassKg() + body.footMassKg();
        return m * (0.6 * hip.x() + 0.4 * rearX());
      }
      return body.thighMassKg() * (hip.x() - thigh * back)
          + (body.shankMassKg()
              * (hip.x() - (body.thighM() + body.shankComFraction() * body.shankM()) * back))
          + body.footMassKg() * (hip.x() - (body.thighM() + body.shankM()) * back);
    }

    /** Where the weight hangs: over mid-foot or as near to it as the shoulders hold it. */
    private double barX(double shoulder) {
      return loadKg > 0
          ? Math.max(frontX(), shoulder - HingeFamily.SHOULDER_NM / (loadKg * Load.G))
          : frontX();
    }
  }
}
