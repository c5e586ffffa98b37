package istmo.core.drawing;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.drawing.Drawing.Band;
import istmo.core.drawing.Drawing.Line;
import istmo.core.drawing.Drawing.Point;
import istmo.core.movement.Posture;
import istmo.core.movement.Prop;
import istmo.core.movement.View;
import istmo.core.quantity.Vec3;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * The lifter's outline and where the muscles lie in it, from this body's lengths. How thick a part
 * is follows its girth where that was measured, else stature and mass; a picture, not a measurement
 * (drawing/outlines.csv and drawing/bands.csv).
 */
final class Silhouette {
  /** Mass over stature squared of the body for which the outlines were drawn, kg/m2. */
  private static final double DRAWN_FOR_KG_PER_M2 = 24.5;

  /** Where the hand of an arm that holds nothing lies: in front of the hip, share of stature. */
  private static final double HAND_AHEAD = 0.05;

  /** How far up the front of the body points, of one, for somebody who lies on the back. */
  private static final double ON_THE_BACK = 0.9;

  /** From the front: shoulder joint and hanging hand beside the middle, shares of stature. */
  private static final double SHOULDER_HALF = 0.102;

  private static final double HAND_BESIDE = 0.118;

  /** How far the sole's edge and the instep stand from their landmarks, shares of stature. */
  private static final double TOES_THICK = 0.014;

  private static final double INSTEP_THICK = 0.024;
  private static final double HEEL_THICK = 0.018;

  /** A part that is shorter than that in the picture points at the eye and is drawn so long. */
  private static final double POINTS_AT_THE_EYE_M = 0.03;

  /** Where along a part its girth is taken: thigh half-way, calf where it is thickest. */
  private static final double MEASURED_FROM = 0.25;

  private static final double MEASURED_TO = 0.6;

  private record Edge(double along, double front, double back) {}

  private record Course(boolean fromTheSide, Region region, double width, List<Step> steps) {}

  private record Step(String part, double along, double front) {}

  private static final Map<String, List<Edge>> EDGES = edges();
  private static final List<Course> COURSES = courses();

  private final Body body;
  private final Posture.Points points;
  private final Vec3 middle;
  private final View view;
  private final boolean fromTheSide;
  private final double thickness;
  private final double thigh;
  private final double shank;

  /**
   * @param seen the posture, turned so that x and y are the picture's
   * @param middle between both hips, in the picture
   * @param view from where it is drawn
   */
  private Silhouette(Body body, Posture seen, Vec3 middle, View view) {
    this.body = body;
    this.points = seen.points();
    this.middle = middle;
    this.view = view;
    this.fromTheSide = view == View.RIGHT_SIDE;
    this.thickness =
        Math.sqrt(body.massKg() / (body.statureM() * body.statureM()) / DRAWN_FOR_KG_PER_M2);
    this.thigh = asMeasured("thigh", body.girths().thighM());
    this.shank = asMeasured("shank", body.girths().calfM());
  }

  /**
   * How thick a part is drawn: as round as its girth says at its thickest place but for the ends,
   * where that was measured.
   */
  private double asMeasured(String part, OptionalDouble girthM) {
    if (girthM.isEmpty()) {
      return thickness;
    }
    double drawn =
        Objects.requireNonNull(EDGES.get(part), part).stream()
            .filter(edge -> edge.along() >= MEASURED_FROM && edge.along() <= MEASURED_TO)
            .mapToDouble(edge -> edge.front() + edge.back())
            .max()
            .orElseThrow();
    return girthM.getAsDouble() / (Math.PI * drawn * body.statureM());
  }

  private double thickness(String part) {
    return switch (part) {
      case "thigh" -> thigh;
      case "shank" -> shank;
      default -> thickness;
    };
  }

  /**
   * Closed outlines from the back of the picture to the front: the other leg where it is elsewhere,
   * trunk, foot, shank, thigh, upper arm, forearm. A smooth curve through their points is meant.
   */
  static List<Line> outlines(Body body, Posture seen, Vec3 middle, View view) {
    return new Silhouette(body, seen, middle, view).outlines(seen.props());
  }

  /** Where each region lies that is seen from there. */
  static List<Band> bands(Body body, Posture seen, Vec3 middle, View view) {
    return new Silhouette(body, seen, middle, view).bands();
  }

  private List<Line> outlines(List<Prop> props) {
    List<Line> lines = new ArrayList<>();
    Optional<Prop> other = props.stream().filter(prop -> prop.kind().equals("other")).findFirst();
    other.ifPresent(leg -> otherLeg(lines, leg.points()));
    lines.add(part(fromTheSide ? "trunk" : "trunk-front", "trunk", middle, points.shoulder(), -1));
    leg(lines, UnaryOperator.identity());
    if (view == View.FRONT) {
      if (other.isEmpty()) {
        leg(lines, this::mirrored);
      }
      armAtRest(lines, UnaryOperator.identity());
      armAtRest(lines, this::mirrored);
    } else {
      arm(lines, props);
    }
    return lines;
  }

  private void leg(List<Line> lines, UnaryOperator<Vec3> side) {
    Vec3 knee = side.apply(points.knee());
    Vec3 ankle = side.apply(points.ankle());
    lines.add(
        foot(
            "foot",
            side.apply(points.heel()),
            side.apply(points.ball()),
            side.apply(points.toe()),
            ankle));
    lines.add(part("shank", "shank", knee, ankle, 1));
    lines.add(part("thigh", "thigh", side.apply(points.hip()), knee, 1));
  }

  /** The same on the other side of the body, from the front. */
  private Vec3 mirrored(Vec3 v) {
    return new Vec3(2 * middle.x() - v.x(), v.y(), v.z());
  }

  private void otherLeg(List<Line> lines, List<Vec3> leg) {
    Vec3 knee = leg.get(1);
    Vec3 ankle = leg.get(2);
    lines.add(part("thigh", "far-thigh", leg.get(0), knee, 1));
    lines.add(part("shank", "far-shank", knee, ankle, 1));
    if (leg.size() > 3) {
      // the foot is pushed at its ball or instep: the heel lies behind the ankle, away from there
      Vec3 along = flat(leg.get(3).minus(ankle));
      if (along.norm() > 0.02) {
        Vec3 toe = along.unit();
        Vec3 heel = ankle.plus(-Segments.ANKLE_FROM_HEEL * body.footM() * 0.6, toe);
        Vec3 ball = ankle.plus(Math.max(along.norm(), 0.5 * body.footM()), toe);
        lines.add(foot("far-foot", heel, ball, ball.plus(0.28 * body.footM(), toe), ankle));
      }
    }
  }

  private void arm(List<Line> lines, List<Prop> props) {
    Vec3 shoulder = points.shoulder();
    Vec3 trunk = flat(shoulder.minus(middle)).unit();
    Vec3 ahead = trunk.turnedAboutZ(-Math.PI / 2);
    // beside the hip; who lies on the back has the floor behind and lays the hands on it
    double way = ahead.y() > ON_THE_BACK ? -1 : 1;
    Vec3 free = middle.plus(way * HAND_AHEAD * body.statureM(), ahead);
    Vec3 hand = held(props, shoulder).orElse(free);
    arm(lines, shoulder, hand, trunk.times(-1).plus(-way, ahead)); // elbows point down and back
  }

  /** From the front: the arm hangs beside the trunk. */
  private void armAtRest(List<Line> lines, UnaryOperator<Vec3> side) {
    double stature = body.statureM();
    Vec3 outwards = new Vec3(-1, 0, 0);
    arm(
        lines,
        side.apply(points.shoulder().plus(SHOULDER_HALF * stature, outwards)),
        side.apply(middle.plus(HAND_BESIDE * stature, outwards)),
        side.apply(middle.plus(1, outwards)).minus(middle));
  }

  /**
   * @param towards the side to which the elbow bends
   */
  private void arm(List<Line> lines, Vec3 shoulder, Vec3 hand, Vec3 towards) {
    double half = body.armM() / 2;
    Vec3 way = flat(hand.minus(shoulder));
    double reach = Math.max(1e-6, way.norm());
    double out = Math.sqrt(Math.max(0, half * half - reach * reach / 4));
    Vec3 aside = way.times(1 / reach).turnedAboutZ(Math.PI / 2);
    Vec3 elbow =
        shoulder.plus(0.5, way).plus(out, aside.dot(towards) < 0 ? aside.times(-1) : aside);
    lines.add(part("upper-arm", "upper-arm", shoulder, elbow, 1));
    lines.add(part("forearm", "forearm", elbow, hand, 1));
  }

  /** Where the hands hold: the end of the arm that is told, or bar or weight within reach. */
  private Optional<Vec3> held(List<Prop> props, Vec3 shoulder) {
    Optional<Vec3> told =
        props.stream()
            .filter(prop -> prop.kind().equals("arm"))
            .map(prop -> prop.points().get(prop.points().size() - 1))
            .findFirst();
    boolean onLever =
        props.stream().anyMatch(prop -> prop.kind().equals("lever")); // not in the hands
    return told.or(
        () ->
            props.stream()
                .filter(
                    prop -> prop.kind().equals("bar") || (prop.kind().equals("weight") && !onLever))
                .map(prop -> prop.points().get(0))
                .filter(at -> flat(at.minus(shoulder)).norm() < 1.05 * body.armM())
                .findFirst());
  }

  private List<Band> bands() {
    List<Band> bands = new ArrayList<>();
    for (Course course : COURSES) {
      if (course.fromTheSide() != fromTheSide) {
        continue;
      }
      List<Point> through = course.steps().stream().map(step -> point(onPart(step))).toList();
      bands.add(new Band(course.region(), through, course.width() * body.statureM()));
    }
    return bands;
  }

  private Vec3 onPart(Step step) {
    return switch (step.part()) {
      case "trunk" -> beside(middle, points.shoulder(), -1, thickness, step);
      case "thigh" -> beside(points.hip(), points.knee(), 1, thigh, step);
      case "shank" -> beside(points.knee(), points.ankle(), 1, shank, step);
      case "foot" -> beside(points.heel(), points.ball(), 1, 1, step); // its front is the instep
      default -> throw new IllegalStateException("bands.csv: no part " + step.part());
    };
  }

  private Vec3 beside(Vec3 from, Vec3 to, int turn, double thick, Step step) {
    Vec3 way = flat(to.minus(from));
    Vec3 front = way.unit().turnedAboutZ(turn * Math.PI / 2);
    return from.plus(step.along(), way).plus(step.front() * thick * body.statureM(), front);
  }

  /**
   * The outline of a part between two joints.
   *
   * @param turn 1 where the front is a quarter turn against the clock from the way down the part,
   *     -1 for the trunk, whose way goes up
   */
  private Line part(String shape, String role, Vec3 from, Vec3 to, int turn) {
    Vec3 way = flat(to.minus(from));
    if (way.norm() < POINTS_AT_THE_EYE_M) {
      way = new Vec3(0, -POINTS_AT_THE_EYE_M, 0);
    }
    Vec3 front = way.unit().turnedAboutZ(turn * Math.PI / 2);
    List<Point> forth = new ArrayList<>();
    List<Point> back = new ArrayList<>();
    for (Edge edge : Objects.requireNonNull(EDGES.get(shape), shape)) {
      double mean = (edge.front() + edge.back()) / 2;
      double ahead = (fromTheSide ? edge.front() : mean) * thickness(shape) * body.statureM();
      double behind = (fromTheSide ? edge.back() : mean) * thickness(shape) * body.statureM();
      Vec3 at = from.plus(edge.along(), way);
      forth.add(point(at.plus(ahead, front)));
      back.add(point(at.plus(-behind, front)));
    }
    Collections.reverse(back);
    forth.addAll(back);
    return loop(role, forth);
  }

  /**
   * A closed outline that runs against the clock, so that outlines on one another have no holes.
   */
  private static Line loop(String role, List<Point> points) {
    double area = 0;
    for (int k = 0; k < points.size(); k++) {
      Point point = points.get(k);
      Point next = points.get((k + 1) % points.size());
      area += point.x() * next.y() - next.x() * point.y();
    }
    List<Point> ordered = new ArrayList<>(points);
    if (area < 0) {
      Collections.reverse(ordered);
    }
    return new Line(role, ordered, true);
  }

  private Line foot(String role, Vec3 heel, Vec3 ball, Vec3 toe, Vec3 ankle) {
    double stature = body.statureM();
    Vec3 sole = flat(ball.minus(heel));
    if (sole.norm() < 0.3 * body.footM()) {
      return footFromTheFront(role, ball, ankle);
    }
    Vec3 along = sole.unit();
    Vec3 rise = flat(ankle.minus(heel));
    Vec3 up = rise.plus(-rise.dot(along), along);
    up = up.norm() > 1e-6 ? up.unit() : along.turnedAboutZ(Math.PI / 2);
    Vec3 toes = flat(toe.minus(ball));
    Vec3 overToes =
        toes.norm() > 1e-6
            ? toes.unit().turnedAboutZ(Math.signum(along.cross(up).z()) * Math.PI / 2)
            : up;
    return loop(
        role,
        List.of(
            point(heel),
            point(heel.plus(0.5, ball.minus(heel)).plus(0.004 * stature, up)),
            point(ball),
            point(toe),
            point(toe.plus(TOES_THICK * stature, overToes)),
            point(ball.plus(INSTEP_THICK * stature, up)),
            point(ankle.plus(0.020 * stature, along).plus(0.004 * stature, up)),
            point(ankle.plus(-0.018 * stature, along).plus(0.004 * stature, up)),
            point(heel.plus(HEEL_THICK * stature, up).plus(-0.006 * stature, along))));
  }

  /** The toes point at the eye: a block as high as the ankle. */
  private Line footFromTheFront(String role, Vec3 sole, Vec3 ankle) {
    Vec3 down = flat(sole.minus(ankle)).unit();
    Vec3 aside = down.turnedAboutZ(Math.PI / 2);
    double stature = body.statureM();
    List<Point> points = new ArrayList<>();
    for (int side : new int[] {1, -1}) {
      Vec3 above = ankle.plus(side * 0.018 * stature, aside);
      Vec3 within = ankle.plus(0.7, sole.minus(ankle)).plus(side * 0.028 * stature, aside);
      Vec3 below = sole.plus(side * 0.026 * stature, aside);
      points.addAll(
          Stream.of(side == 1 ? above : below, within, side == 1 ? below : above)
              .map(Silhouette::point)
              .toList());
    }
    return loop(role, points);
  }

  private static Vec3 flat(Vec3 v) {
    return new Vec3(v.x(), v.y(), 0);
  }

  private static Point point(Vec3 v) {
    return new Point(v.x(), v.y());
  }

  private static Map<String, List<Edge>> edges() {
    Map<String, List<Edge>> edges = new LinkedHashMap<>();
    for (TextTable.Row row : TextTable.rows("drawing/outlines.csv")) {
      edges
          .computeIfAbsent(row.get("part"), part -> new ArrayList<>())
          .add(
              new Edge(
                  Double.parseDouble(row.get("along")),
                  Double.parseDouble(row.get("front")),
                  Double.parseDouble(row.get("back"))));
    }
    return edges;
  }

  private static List<Course> courses() {
    List<Course> courses = new ArrayList<>();
    for (TextTable.Row row : TextTable.rows("drawing/bands.csv")) {
      List<Step> steps = new ArrayList<>();
      for (String step : row.get("course").split(";")) {
        String[] cells = step.split(" ");
        steps.add(new Step(cells[0], Double.parseDouble(cells[1]), Double.parseDouble(cells[2])));
      }
      courses.add(
          new Course(
              row.get("view").equals("side"),
              Region.of(row.get("region")),
              Double.parseDouble(row.get("width")),
              steps));
    }
    return courses;
  }
}
