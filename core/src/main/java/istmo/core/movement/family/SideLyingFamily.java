package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Load;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.View;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Work of the upper, right leg, on the left side: the leg lifted, or a side plank between the
 * forearm and that leg while the hips rise and sink. The frame is that of a lifter who stands, so
 * weights point across it ({@link View}). In the plank the line from the shoulder to the leg's
 * support is level; what the leg carries follows from moments about the shoulder, and the lower leg
 * hangs beside it. How the trunk holds to the side is not computed.
 */
public final class SideLyingFamily implements Family {
  /** What rests where. */
  public enum Kind {
    /** The right leg is lifted. */
    LEG_LIFT("side-lying-lift"),
    /** A plank with the right leg on a bench: its inner thigh carries. */
    UPPER_LEG_PLANK("upper-leg-plank");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  /** Choices of {@link #SUPPORT}. */
  private enum Support {
    KNEE,
    ANKLE
  }

  static final SetupParameter SUPPORT =
      SetupParameter.choice(
          "support",
          "What the leg rests on",
          0,
          SetupParameter.Kind.SETUP,
          "the further from the hip, the harder",
          "knee",
          "ankle");

  /** How high the middle of the body is over the floor on the forearm, m. */
  private static final double ON_THE_FOREARM_M = 0.32;

  private static final View VIEW = View.ON_THE_LEFT_SIDE;

  private static final Set<Coordinate> ROWS =
      EnumSet.of(
          Coordinate.HIP_FLEXION,
          Coordinate.HIP_ABDUCTION,
          Coordinate.HIP_INTERNAL_ROTATION,
          Coordinate.KNEE_FLEXION);

  private final Kind kind;
  private final SetupParameter lengthened;
  private final SetupParameter shortened;

  /** One of the two ways. */
  public SideLyingFamily(Kind kind) {
    this.kind = kind;
    boolean lift = kind == Kind.LEG_LIFT;
    this.lengthened =
        angle(
            "from",
            "Leg at the start",
            lift ? new Allowed(-30, 0, "deg") : new Allowed(5, 35, "deg"),
            lift ? -10 : 15,
            "thigh from the trunk's line at the lengthened end; outwards positive");
    this.shortened =
        angle(
            "to",
            "Leg at the end",
            lift ? new Allowed(5, 45, "deg") : new Allowed(-20, 0, "deg"),
            lift ? 30 : -5,
            "thigh from the trunk's line at the shortened end; outwards positive");
  }

  private static SetupParameter angle(
      String id, String label, Allowed degrees, double usual, String note) {
    return SetupParameter.of(id, label, degrees, usual, 5, SetupParameter.Kind.SETUP, note);
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    return kind == Kind.LEG_LIFT
        ? List.of(lengthened, shortened, HipSwingFamily.CUFF)
        : List.of(lengthened, shortened, SUPPORT);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(parameters(), new Handle("to", Part.ANKLE), new Handle("from", Part.KNEE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public int legs(Setup setup) {
    return 1;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.empty();
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double abduction =
        setup.rad(shortened) + phase * (setup.rad(lengthened) - setup.rad(shortened));
    Vec3 hip = new Vec3(0, 0, body.hipHalfDistanceM());
    PostureBuilder builder =
        LegGeometry.chain(
                new PostureBuilder(body, phase),
                body,
                hip,
                0,
                new LegGeometry.HipAngles(0, abduction, 0),
                0,
                0)
            .seen(VIEW)
            .free(Stops.knee(0));
    if (kind == Kind.LEG_LIFT) {
      lift(builder, body, hip, HipSwingFamily.aboveKnee(setup));
    } else {
      plank(builder, body, hip, setup.choice(SUPPORT, Support.class) == Support.ANKLE);
    }
    Vec3 floor = VIEW.up().times(kind == Kind.LEG_LIFT ? -View.LYING_M : -ON_THE_FOREARM_M);
    builder.prop("floor", floor.plus(-1.1, Vec3.UP), floor.plus(body.trunkM() + 0.35, Vec3.UP));
    return builder.build(ROWS);
  }

  private void lift(PostureBuilder builder, Body body, Vec3 hip, boolean onThigh) {
    Vec3 at =
        onThigh
            ? hip.plus(HipSwingFamily.AT_KNEE, builder.knee().minus(hip))
            : builder.knee().plus(HipSwingFamily.AT_ANKLE, builder.ankle().minus(builder.knee()));
    builder
        .legWeights()
        .load(
            Load.force(
                onThigh ? Load.Segment.THIGH : Load.Segment.SHANK,
                at,
                Vec3.ZERO,
                VIEW.up().times(-Load.G)))
        .pressureAt(at)
        .prop("weight", at);
  }

  /** The external load lies on the hips. */
  private void plank(PostureBuilder builder, Body body, Vec3 hip, boolean atAnkle) {
    Vec3 middle = new Vec3(hip.x(), hip.y(), 0);
    Vec3 shoulder = middle.plus(body.trunkM(), Vec3.UP);
    Vec3 support = atAnkle ? builder.ankle() : builder.knee();
    Vec3 level = shoulder.minus(support).unit();
    Vec3 across = VIEW.up();
    Vec3 up = across.plus(-across.dot(level), level).unit();
    Vec3 upper = middle.plus(Segments.UPPER_COM_HANGING * body.trunkM(), Vec3.UP);
    double massMoment =
        body.upperMassKg() * shoulder.minus(upper).dot(level)
            + 2
                * (body.thighMassKg() * shoulder.minus(builder.thighCom()).dot(level)
                    + body.shankMassKg() * shoulder.minus(builder.shankCom()).dot(level)
                    + body.footMassKg() * shoulder.minus(builder.footCom()).dot(level));
    double span = shoulder.minus(support).dot(level);
    builder
        .legWeights(up)
        .load(
            Load.force(
                atAnkle ? Load.Segment.SHANK : Load.Segment.THIGH,
                support,
                up.times(massMoment / span * Load.G),
                up.times(shoulder.minus(middle).dot(level) / span * Load.G)))
        .pressureAt(support);
    Vec3 under = support.plus(-0.07, up);
    builder.prop("pad", under.plus(-0.12, level), under.plus(0.12, level));
    builder.prop("arm", shoulder, shoulder.plus(-ON_THE_FOREARM_M, up));
  }
}
