package istmo.core.drawing;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.drawing.Drawing.Band;
import istmo.core.drawing.Drawing.Circle;
import istmo.core.drawing.Drawing.Lever;
import istmo.core.drawing.Drawing.Line;
import istmo.core.drawing.Drawing.Point;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Prop;
import istmo.core.movement.Setup;
import istmo.core.movement.View;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The stage: one client at one point of the repetition, to scale, from the right side, and the feet
 * from above.
 */
public final class Stage {
  private static final double HEAD_RADIUS = 0.06; // of stature: half the head's length, about
  private static final double FOOT_WIDTH = 0.055; // of stature (Drillis and Contini 1966)
  private static final double FORCE_LENGTH_M = 0.85;
  private static final double PLATE_RADIUS_M = 0.225;

  /** The sole of who stands on a floor, a wedge or a low block is no higher. */
  private static final double HIGHEST_SOLE_M = 0.3;

  /** How much of a bar is drawn to each side from the front. */
  private static final double HALF_A_BAR_M = 0.6;

  private static final Set<String> CLOSED = Set.of("block", "stack");

  private static final Set<String> ARM = Set.of("upper-arm", "forearm");

  /** What is in the picture of who does not stand on both feet alike. */
  private static final Set<String> ON_ONE_LEG_OR_A_MACHINE =
      Set.of("other", "pad", "seat", "roller", "plate", "cable", "rail");

  private Stage() {}

  /**
   * The posture at a load, from the side or as its view says. The force line is that of the force
   * under the foot; where there is none, of what pushes on the leg, or of the roller on a knee
   * machine.
   */
  public static Drawing side(Body body, Posture given, double loadKg) {
    Posture posture = seen(given, given.view());
    List<Line> lines = new ArrayList<>();
    List<Circle> circles = new ArrayList<>();
    List<Lever> levers = new ArrayList<>();
    Posture.Points points = posture.points();
    props(posture, lines, circles);
    View view = given.view();
    Vec3 hip = given.points().hip();
    Vec3 betweenHips = new Vec3(hip.x(), hip.y(), 0);
    Vec3 trunk = view.direction(given.points().shoulder().minus(betweenHips).unit());
    Vec3 middle = view.place(betweenHips);
    List<Line> outlines = Silhouette.outlines(body, posture, middle, view);
    List<Band> muscles = Silhouette.bands(body, posture, middle, view);
    body(body, posture, trunk, lines, circles);
    force(posture, loadKg, lines, levers);
    return new Drawing(lines, circles, levers, outlines, muscles, view);
  }

  private static void props(Posture posture, List<Line> lines, List<Circle> circles) {
    for (Prop prop : posture.props()) {
      if (prop.kind().equals("bar")) {
        circles.add(new Circle("bar", flat(prop.points().get(0)), PLATE_RADIUS_M));
        circles.add(new Circle("bar-sleeve", flat(prop.points().get(0)), 0.025));
      } else if (prop.points().size() == 1) {
        circles.add(
            new Circle(
                prop.kind(),
                flat(prop.points().get(0)),
                prop.kind().equals("pivot") ? 0.02 : 0.045));
      } else {
        lines.add(
            new Line(
                prop.kind(),
                prop.points().stream().map(Stage::flat).toList(),
                CLOSED.contains(prop.kind())));
      }
    }
  }

  private static void body(
      Body body, Posture posture, Vec3 trunk, List<Line> lines, List<Circle> circles) {
    Posture.Points points = posture.points();
    lines.add(line("trunk", points.hip(), points.shoulder()));
    lines.add(line("thigh", points.hip(), points.knee()));
    lines.add(line("shank", points.knee(), points.ankle()));
    lines.add(
        new Line(
            "foot",
            List.of(
                flat(points.heel()), flat(points.ball()), flat(points.toe()), flat(points.ankle())),
            true));
    circles.add(
        new Circle(
            "head",
            flat(points.shoulder().plus((HEAD_RADIUS + 0.045) * body.statureM(), trunk)),
            HEAD_RADIUS * body.statureM()));
    circles.add(new Circle("joint-hip", flat(points.hip()), 0.022));
    circles.add(new Circle("joint-knee", flat(points.knee()), 0.022));
    circles.add(new Circle("joint-ankle", flat(points.ankle()), 0.018));
  }

  /** The force line, and its distance from the joints that are carried. */
  private static void force(Posture posture, double loadKg, List<Line> lines, List<Lever> levers) {
    View view = posture.view();
    Optional<ForceArrow> shown = ForceArrow.of(posture, loadKg);
    if (shown.isEmpty()) {
      return;
    }
    Vec3 direction = shown.get().direction();
    Vec3 start = new Vec3(shown.get().at().x(), shown.get().at().y(), 0);
    lines.add(line("force", start, start.plus(FORCE_LENGTH_M, direction)));
    if (view == View.FRONT
        && shown.get().byLever()) { // the pad turns about an axis across this picture
      return;
    }
    boolean fromTheSide = view == View.RIGHT_SIDE;
    Posture.Points points = posture.points();
    if (fromTheSide && posture.carried().contains(Coordinate.KNEE_FLEXION)) {
      lever(levers, "knee", points.knee(), start, direction);
    }
    if (posture.carried().contains(Coordinate.HIP_FLEXION)) {
      lever(levers, "hip", points.hip(), start, direction);
    }
    if (fromTheSide && posture.carried().contains(Coordinate.ANKLE_DORSIFLEXION)) {
      lever(levers, "ankle", points.ankle(), start, direction);
    }
  }

  /**
   * A lifter who stands on both feet alike from the front: how wide the feet and the knees are, and
   * a plumb line from each knee to the floor. Empty for any other posture.
   */
  public static Optional<Drawing> front(Body body, Setup setup, Posture given) {
    if (!standsOnBothFeet(setup, given)) {
      return Optional.empty();
    }
    Posture.Points own = given.points();
    Posture posture = seen(given, View.FRONT);
    Posture.Points points = posture.points();
    Vec3 middle = View.FRONT.place(new Vec3(own.hip().x(), own.hip().y(), 0));
    List<Line> lines = new ArrayList<>();
    lines.add(line("floor", new Vec3(-HALF_A_BAR_M, 0, 0), new Vec3(HALF_A_BAR_M, 0, 0)));
    given.props().stream()
        .filter(prop -> prop.kind().equals("bar"))
        .map(prop -> prop.points().get(0).y())
        .forEach(
            y ->
                lines.add(
                    line(
                        "bar-across",
                        new Vec3(-HALF_A_BAR_M, y, 0),
                        new Vec3(HALF_A_BAR_M, y, 0))));
    List<Circle> circles = new ArrayList<>();
    for (int side : new int[] {1, -1}) {
      Vec3 knee = new Vec3(side * points.knee().x(), points.knee().y(), 0);
      lines.add(line("plumb", knee, new Vec3(knee.x(), 0, 0)));
      circles.add(new Circle("joint-knee", flat(knee), 0.022));
      circles.add(
          new Circle(
              "toe", new Point(side * points.toe().x(), Math.max(0, points.toe().y())), 0.012));
    }
    circles.add(
        new Circle(
            "head",
            flat(
                points
                    .shoulder()
                    .plus(
                        (HEAD_RADIUS + 0.045) * body.statureM(),
                        points.shoulder().minus(middle).unit())),
            HEAD_RADIUS * body.statureM()));
    List<Line> outlines =
        Silhouette.outlines(body, posture, middle, View.FRONT).stream()
            .filter(part -> !ARM.contains(part.role())) // where the hands hold is not told
            .toList();
    return Optional.of(
        new Drawing(
            lines,
            circles,
            List.of(),
            outlines,
            Silhouette.bands(body, posture, middle, View.FRONT),
            View.FRONT));
  }

  private static boolean standsOnBothFeet(Setup setup, Posture given) {
    Posture.Points own = given.points();
    boolean stands =
        given.view() == View.RIGHT_SIDE
            && own.hip().y() > own.ankle().y()
            && own.shoulder().y() > own.hip().y()
            && Math.max(own.heel().y(), own.ball().y()) < HIGHEST_SOLE_M;
    boolean alike =
        setup.values().containsKey("stance")
            && setup.values().getOrDefault("legs", 0.0) == 0
            && given.props().stream()
                .noneMatch(prop -> ON_ONE_LEG_OR_A_MACHINE.contains(prop.kind()));
    return stands && alike;
  }

  /** Both feet from above, or square to the foot plate: x along the feet, y to the right. */
  public static Drawing plan(Body body, Posture posture) {
    List<Line> lines = new ArrayList<>();
    List<Circle> circles = new ArrayList<>();
    Posture.Points points = posture.points();
    Vec3 toe = points.ball().minus(points.heel()).unit();
    Vec3 along = new Vec3(toe.x(), toe.y(), 0);
    along = along.norm() > 1e-6 ? along.unit() : Vec3.FORWARD;
    double half = FOOT_WIDTH * body.statureM() / 2;
    double length = body.footM();
    for (int side : new int[] {1, -1}) {
      Point heel = planPoint(points.heel(), along, side);
      double cos = toe.dot(along);
      double sin = toe.z() * side;
      List<Point> outline = new ArrayList<>();
      // a plain sole: round heel, narrow waist, broad ball, round toes (fractions of length and
      // half width)
      double[][] shape = {
        {0, 0.45},
        {0.08, 0.62},
        {0.35, 0.58},
        {0.70, 1},
        {0.88, 0.85},
        {1, 0.4},
        {1, -0.35},
        {0.88, -0.8},
        {0.68, -0.95},
        {0.35, -0.75},
        {0.08, -0.62},
        {0, -0.45}
      };
      for (double[] s : shape) {
        double a = s[0] * length;
        double b = -s[1] * half * side; // the big toe is on the inside
        outline.add(new Point(heel.x() + a * cos - b * sin, heel.y() + a * sin + b * cos));
      }
      lines.add(new Line(side == 1 ? "foot-right" : "foot-left", outline, true));
      circles.add(new Circle("pressure", planPoint(points.pressure(), along, side), 0.012));
    }
    for (Prop prop : posture.props()) {
      if (prop.kind().equals("bar") && posture.points().heel().y() < 0.2) {
        double x = prop.points().get(0).dot(along);
        lines.add(new Line("bar-plan", List.of(new Point(x, -0.5), new Point(x, 0.5)), false));
      }
    }
    return new Drawing(lines, circles, List.of(), List.of(), List.of(), posture.view());
  }

  /** The posture turned so that a view of it is the picture's plane. */
  private static Posture seen(Posture posture, View view) {
    if (view == View.RIGHT_SIDE) {
      return posture;
    }
    Posture.Points joints = posture.points();
    Posture.Points points =
        new Posture.Points(
            view.place(joints.heel()),
            view.place(joints.ball()),
            view.place(joints.toe()),
            view.place(joints.ankle()),
            view.place(joints.knee()),
            view.place(joints.hip()),
            view.place(joints.l5()),
            view.place(joints.shoulder()),
            view.place(joints.pressure()));
    List<Load> loads =
        posture.loads().stream()
            .map(
                load ->
                    new Load(
                        load.on(),
                        view.place(load.at()),
                        view.direction(load.force()),
                        view.direction(load.forcePerKg()),
                        view.direction(load.couplePerKg())))
            .toList();
    List<Prop> props =
        posture.props().stream()
            .map(prop -> new Prop(prop.kind(), prop.points().stream().map(view::place).toList()))
            .toList();
    return new Posture(
        posture.phase(),
        posture.angles(),
        points,
        posture.axes(),
        posture.trunkLeanRad(),
        loads,
        posture.freeContacts(),
        posture.carried(),
        props,
        View.RIGHT_SIDE);
  }

  private static Point planPoint(Vec3 v, Vec3 along, int side) {
    return new Point(v.dot(along), side * v.z());
  }

  private static void lever(List<Lever> levers, String joint, Vec3 at, Vec3 start, Vec3 direction) {
    Vec3 flatAt = new Vec3(at.x(), at.y(), 0);
    Vec3 foot = start.plus(flatAt.minus(start).dot(direction), direction);
    double length = foot.minus(flatAt).norm();
    if (length > 0.005) {
      levers.add(new Lever(joint, flat(flatAt), flat(foot), length));
    }
  }

  private static Line line(String role, Vec3 a, Vec3 b) {
    return new Line(role, List.of(flat(a), flat(b)), false);
  }

  private static Point flat(Vec3 v) {
    return new Point(v.x(), v.y());
  }
}
