package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.THIGH_DEPTH;
import static istmo.core.movement.Parameters.TOE_OUT;
import static istmo.core.movement.Parameters.WEDGE;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Standing.LoadPosition;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Free squat with a bar. The thigh angle is the phase; the shank follows the chosen knee travel;
 * the trunk leans so that everything balances over the centre of pressure.
 */
public final class SquatFamily implements Family {
  /**
   * Share of the ankle's range used at the bottom: what the lifter does, never a result
   * (docs/model.md, 5).
   */
  static final SetupParameter KNEE_TRAVEL =
      SetupParameter.of(
          "kneeTravel",
          "Knee travel",
          new Allowed(0.2, 1, ""),
          0.95,
          0.05,
          SetupParameter.Kind.TECHNIQUE,
          "share of the ankle's range used at the bottom; a wide stance or a low bar takes less of"
              + " it by itself");

  static final SetupParameter TOP =
      SetupParameter.of(
          "top",
          "Thigh at the top",
          new Allowed(6, 80, "deg"),
          6,
          5,
          SetupParameter.Kind.SETUP,
          "thigh from the vertical where the repetition turns; 6 is standing, more for partial"
              + " repetitions");

  static final SetupParameter LEAN =
      SetupParameter.of(
          "lean",
          "Trunk lean at the bottom",
          new Allowed(0, 60, "deg"),
          22,
          5,
          SetupParameter.Kind.TECHNIQUE,
          "trunk from the vertical at the bottom; the hands on the handles allow it");

  /** Share that a lifter who squats flat uses of what would let the shins lean further. */
  private static final double MORE_USED = 0.35;

  /** Stances up to this share of the leg's length leave the shins as they are. */
  private static final double ORDINARY_STANCE = 0.5;

  /** No stance counts as wider than by this share of the leg's length. */
  private static final double WIDEST = 0.3;

  /**
   * Share of its lean that a shin keeps under a low bar: with the wider stance that goes with it
   * some 4 to 5 degrees less than under a high one (common practice).
   */
  private static final double SHIN_UNDER_LOW_BAR = 0.92;

  /** Ankle ranges with which a lifter squats flat, and with which the ankle is what ends depth. */
  private static final double FLAT_DEG = 36;

  private static final double STIFF_DEG = 25;

  /** Where hands on handles push, along the trunk. */
  private static final double HANDS = 0.8;

  private static final double MOST_LEAN = Math.toRadians(75);

  /** Least height of a hanging weight's handle above the floor, m: the radius of a small one. */
  private static final double LEAST_HANDLE_M = 0.08;

  /** What is taken out of a rack. */
  private static final Set<LoadPosition> FROM_A_RACK =
      EnumSet.of(LoadPosition.HIGH, LoadPosition.LOW, LoadPosition.FRONT, LoadPosition.SAFETY_BAR);

  /** How far a lifter steps back from the rack's uprights, to be drawn, m. */
  private static final double AHEAD_OF_RACK_M = 0.65;

  /** What carries the load. */
  enum Kind {
    /** back, front or chest: balance settles the lean */
    FREE("squat"),
    /**
     * it hangs from a belt, and the hands hold handles ahead, which push or pull level as balance
     * needs: the lean is then free
     */
    BELT("belt-squat"),
    /** it hangs from the hands, beside or between the legs: balance settles the lean */
    HANGING("hanging-squat");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  /** A heavy load for what arms hold at the chest, kg. */
  private static final double AT_CHEST_KG = 35;

  private final Kind kind;
  private final boolean byTheHandles;

  SquatFamily(Kind kind) {
    this.kind = kind;
    this.byTheHandles = kind == Kind.BELT;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    if (byTheHandles) {
      return List.of(
          STANCE,
          TOE_OUT,
          WEDGE,
          THIGH_DEPTH,
          TOP,
          LEAN,
          KNEE_TRAVEL,
          PRESSURE,
          FOOT_SHEAR,
          SPREAD);
    }
    return List.of(
        STANCE,
        TOE_OUT,
        WEDGE,
        THIGH_DEPTH,
        TOP,
        kind == Kind.HANGING ? Parameters.STRAPS : LoadPosition.PARAMETER,
        KNEE_TRAVEL,
        PRESSURE,
        FOOT_SHEAR,
        SPREAD);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("depth", Part.HIP),
        new Handle("kneeTravel", Part.KNEE),
        new Handle("lean", Part.SHOULDER),
        new Handle("wedge", Part.HEEL));
  }

  @Override
  public boolean heldAtChest(Setup setup) {
    return place(setup) == LoadPosition.CHEST;
  }

  @Override
  public double triedWithKg(Setup setup) {
    return heldAtChest(setup) ? AT_CHEST_KG : Family.super.triedWithKg(setup);
  }

  @Override
  public double inOneHand(Setup setup) {
    return kind == Kind.HANGING ? Parameters.inOneOfTwoHands(setup) : 0;
  }

  private LoadPosition place(Setup setup) {
    return switch (kind) {
      case FREE -> LoadPosition.of(setup, LoadPosition.PARAMETER);
      case BELT -> LoadPosition.BELT;
      case HANGING -> LoadPosition.HANDS;
    };
  }

  @Override
  public boolean balances() {
    return !byTheHandles;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(THIGH_DEPTH);
  }

  @Override
  public double mostLeanRad(Setup setup) {
    return byTheHandles ? MOST_LEAN : place(setup).mostLeanRad;
  }

  @Override
  public Setup atDepth(Setup setup, double value) {
    double standing = TOP.usual();
    return setup
        .with(THIGH_DEPTH, value)
        .with(
            TOP,
            TOP.allowed().nearest(Math.round(standing + (1 - part(setup)) * (value - standing))));
  }

  @Override
  public double part(Setup setup) {
    return (setup.get(THIGH_DEPTH) - setup.get(TOP)) / (setup.get(THIGH_DEPTH) - TOP.usual());
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double bottom = setup.rad(THIGH_DEPTH);
    if (!(setup.rad(TOP) < bottom)) {
      return new Impossible(Hindrance.NO_RANGE_BELOW_TOP);
    }
    double thigh = setup.rad(TOP) + phase * (bottom - setup.rad(TOP));
    LoadPosition bar = place(setup);
    double shank = LegGeometry.follow(shankRad(body, setup), thigh, bottom);
    LegGeometry.Foot foot =
        LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), setup.rad(WEDGE));
    Optional<Vec3[]> leg = LegGeometry.standingLeg(body, foot, shank, thigh);
    if (leg.isEmpty()) {
      return new Impossible(Hindrance.STANCE_TOO_WIDE);
    }
    Vec3 knee = leg.get()[0];
    Vec3 hip = leg.get()[1];
    double pressureX =
        foot.soleX(
            body,
            (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM()
                + setup.get(PRESSURE));
    double lean =
        byTheHandles
            ? LegGeometry.follow(setup.rad(LEAN), thigh, bottom)
            : balancedLean(
                body,
                bar,
                loadKg,
                (body.massKg() + loadKg) * pressureX
                    - Standing.legMassMoment(body, foot.ankle(), knee, hip, foot.middleX(body))
                    - (body.upperMassKg() + loadKg) * hip.x());
    if (Double.isNaN(lean) || lean > MOST_LEAN) {
      return cannotBalance();
    }
    double missing = LEAST_HANDLE_M - bar.at(body, hip, lean).y();
    if (kind == Kind.HANGING && missing > 0) {
      return new Impossible(new Obstacle.WeightOnFloor(missing));
    }
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(foot.ankle(), foot.toe(), foot.normal())
            .toesAlong(foot.heading())
            .leg(knee, hip)
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    if (byTheHandles) {
      byTheHands(builder, body, setup, foot, lean, pressureX);
    } else {
      Standing.floorForce(builder, body, setup);
    }
    builder.legWeights();
    bar.on(builder, body, hip, lean);
    builder.prop("floor", new Vec3(-0.7, 0, 0), new Vec3(0.7, 0, 0));
    rack(builder, body, bar);
    if (setup.get(WEDGE) > 0) {
      Standing.wedge(builder, body, foot, 0);
    }
    return builder.build(Standing.ALL_ROWS);
  }

  private static void rack(PostureBuilder builder, Body body, LoadPosition bar) {
    if (FROM_A_RACK.contains(bar)) {
      double standing = body.ankleHeightM() + body.shankM() + body.thighM();
      Steelwork.rack(builder, AHEAD_OF_RACK_M, standing + bar.along * body.trunkM());
    }
  }

  /** How far the shank leans at the bottom, rad. */
  private double shankRad(Body body, Setup setup) {
    return setup.get(KNEE_TRAVEL)
        * (1 - width(body, setup.get(STANCE)))
        * (place(setup) == LoadPosition.LOW ? SHIN_UNDER_LOW_BAR : 1)
        * (ankleUsed(body.dorsiflexionLimitRad())
            + wedgeUsed(body.dorsiflexionLimitRad()) * setup.rad(WEDGE));
  }

  /**
   * The lean in balance, rad; {@link Double#NaN} where there is none. The sum of m (x - pressure)
   * is 0 with x = hip + up sin(lean) + ahead cos(lean), so a sin + b cos is what is missing.
   *
   * @param missing mass moment that trunk and bar have to give about the hip, kg m
   */
  private static double balancedLean(Body body, LoadPosition bar, double loadKg, double missing) {
    double a =
        body.upperMassKg() * bar.comFraction() * body.trunkM() + loadKg * bar.along * body.trunkM();
    double b = loadKg * bar.aheadM;
    double r = Math.hypot(a, b);
    return Math.abs(missing) <= r ? Math.asin(missing / r) - Math.atan2(b, a) : Double.NaN;
  }

  /** Balance by a level force of the hands, from moments about the pressure. */
  private void byTheHands(
      PostureBuilder builder,
      Body body,
      Setup setup,
      LegGeometry.Foot foot,
      double lean,
      double pressureX) {
    LoadPosition bar = place(setup);
    Vec3 knee = builder.knee();
    Vec3 hip = builder.hip();
    Vec3 hands =
        new Vec3(
            hip.x() + HANDS * body.trunkM() * Math.sin(lean),
            hip.y() + HANDS * body.trunkM() * Math.cos(lean),
            0);
    double weight =
        Standing.legMassMoment(body, foot.ankle(), knee, hip, foot.middleX(body))
            + body.upperMassKg() * (hip.x() + bar.comFraction() * body.trunkM() * Math.sin(lean))
            - body.massKg() * pressureX;
    Vec3 push = new Vec3(-weight * Load.G / hands.y(), 0, 0);
    Vec3 pushPerKg =
        new Vec3(-(bar.at(body, hip, lean).x() - pressureX) * Load.G / hands.y(), 0, 0);
    Standing.floorForce(
        builder,
        new Vec3(0, body.massKg() * Load.G, 0).minus(push).times(0.5),
        new Vec3(0, Load.G, 0).minus(pushPerKg).times(0.5),
        setup);
    builder
        .load(Load.force(Load.Segment.UPPER, hands, push, pushPerKg))
        .prop("arm", hands, hands.plus(new Vec3(0.35, 0.02, 0)));
  }

  /**
   * Share of a wedge's slope by which the shank leans further. Lifters whose ankles let them squat
   * flat change their lean by a few degrees on a wedge or in raised shoes (Legg et al. 2017,
   * Charlton et al. 2017, Lee et al. 2019, from memory), so they use about a third of it; stiff
   * ankles use all of it.
   */
  private static double wedgeUsed(double dorsiflexionLimitRad) {
    double stiff =
        Math.max(
            0,
            Math.min(
                1, (FLAT_DEG - Math.toDegrees(dorsiflexionLimitRad)) / (FLAT_DEG - STIFF_DEG)));
    return MORE_USED + (1 - MORE_USED) * stiff;
  }

  /**
   * The part of the ankle's range that a squat draws on, rad: all of it up to where a lifter squats
   * flat, and of what is mobile beyond that as little as of a wedge. Lifters with very mobile
   * ankles still lean (common practice).
   */
  private static double ankleUsed(double dorsiflexionLimitRad) {
    double flat = Math.toRadians(FLAT_DEG);
    return Math.min(flat, dorsiflexionLimitRad)
        + MORE_USED * Math.max(0, dorsiflexionLimitRad - flat);
  }

  /**
   * How much wider than ordinary a stance is, in shares of the leg's length, 0 to {@value #WIDEST}.
   * Wide stances keep the shins more upright, by 6 to 9 degrees (Escamilla et al. 2001, Med Sci
   * Sports Exerc 33:984, from memory).
   */
  private static double width(Body body, double stanceM) {
    double share = stanceM / (body.thighM() + body.shankM());
    return Math.max(0, Math.min(WIDEST, share - ORDINARY_STANCE));
  }

  private static Impossible cannotBalance() {
    return new Impossible(Hindrance.FALLS_BACKWARDS);
  }
}
