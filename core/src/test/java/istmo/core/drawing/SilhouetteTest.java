package istmo.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.MeasurementKind;
import istmo.core.body.Readings;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.drawing.Drawing.Line;
import istmo.core.drawing.Drawing.Point;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Posture;
import istmo.core.movement.View;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SilhouetteTest {
  private static final Map<String, Double> SQUAT = Map.of("depth", 70.0);

  private static Drawing squat(Body body, double phase) {
    Posture posture = Bodies.posture(body, "squat", SQUAT, phase, 60);
    return Stage.side(body, posture, 60);
  }

  private static Line part(Drawing drawing, String role) {
    return drawing.body().stream()
        .filter(line -> line.role().equals(role))
        .findFirst()
        .orElseThrow();
  }

  private static boolean inside(List<Point> loop, Point at) {
    boolean in = false;
    for (int i = 0, j = loop.size() - 1; i < loop.size(); j = i++) {
      Point point = loop.get(i);
      Point next = loop.get(j);
      if (point.y() > at.y() != next.y() > at.y()
          && at.x()
              < (next.x() - point.x()) * (at.y() - point.y()) / (next.y() - point.y())
                  + point.x()) {
        in = !in;
      }
    }
    return in;
  }

  /** However the leg is bent, its outline is around its joints. */
  @Test
  void theOutlineHoldsTheJoints() {
    for (double phase : new double[] {0, 0.5, 1}) {
      Drawing drawing = squat(Bodies.MAN, phase);
      Point knee =
          drawing.circles().stream()
              .filter(circle -> circle.role().equals("joint-knee"))
              .findFirst()
              .orElseThrow()
              .centre();
      assertThat(inside(part(drawing, "thigh").points(), knee)).as("thigh at %s", phase).isTrue();
      assertThat(inside(part(drawing, "shank").points(), knee)).as("shank at %s", phase).isTrue();
    }
  }

  /** Thickness goes with the root of mass at one stature: twice the mass, 1.41 times as thick. */
  @Test
  void aHeavierBodyIsThicker() {
    Body light = Body.estimated(1.75, 60, Sex.MALE);
    Body heavy = Body.estimated(1.75, 120, Sex.MALE);
    assertThat(thickness(squat(heavy, 0)) / thickness(squat(light, 0)))
        .isCloseTo(Math.sqrt(2), within(0.01));
  }

  /** A round thigh of 70 cm is 22.3 cm thick, whatever mass and stature say. */
  @Test
  void aMeasuredThighIsAsThickAsItsGirthAndOnlyTheThigh() {
    Body usual = Body.estimated(1.75, 75, Sex.MALE);
    Body measured =
        BodyEstimate.of(
                new Intake(1.75, 75, Sex.MALE, Intake.Thigh.USUAL, Intake.Ankle.USUAL),
                new Readings(
                    List.of(
                        new Measurement(
                            MeasurementKind.THIGH_GIRTH,
                            Measurement.Side.LEFT,
                            0.70,
                            LocalDate.of(2026, 5, 1)))))
            .body();
    assertThat(thickness(squat(measured, 0))).isCloseTo(0.70 / Math.PI, within(0.002));
    assertThat(part(squat(measured, 0), "shank")).isEqualTo(part(squat(usual, 0), "shank"));
    assertThat(squat(measured, 0).muscles()).isNotEqualTo(squat(usual, 0).muscles());
  }

  private static double thickness(Drawing drawing) {
    List<Point> thigh = part(drawing, "thigh").points();
    Point front = thigh.get(3);
    Point back = thigh.get(thigh.size() - 4);
    return Math.hypot(front.x() - back.x(), front.y() - back.y());
  }

  /** Quads lie in front of the thigh of one who stands, hamstrings behind it. */
  @Test
  void everyRegionLiesWhereItBelongs() {
    Drawing drawing = squat(Bodies.MAN, 0);
    assertThat(drawing.muscles())
        .extracting(Drawing.Band::region)
        .containsExactlyInAnyOrder(Region.values());
    assertThat(middle(drawing, Region.RF).x())
        .isGreaterThan(middle(drawing, Region.BFL).x() + 0.05);
    assertThat(middle(drawing, Region.TA).x())
        .isGreaterThan(middle(drawing, Region.SOL).x() + 0.03);
    assertThat(middle(drawing, Region.GMAXM).y()).isGreaterThan(middle(drawing, Region.BFL).y());
  }

  private static Point middle(Drawing drawing, Region region) {
    List<Point> course =
        drawing.muscles().stream()
            .filter(band -> band.region() == region)
            .findFirst()
            .orElseThrow()
            .course();
    return course.get(course.size() / 2);
  }

  /** The hand holds the bar that a dead lift is told with, and no arm is longer than it is. */
  @Test
  void theHandIsOnTheBar() {
    Posture posture = Bodies.posture(Bodies.MAN, "deadlift", Map.of(), 0.5, 80);
    Drawing drawing = Stage.side(Bodies.MAN, posture, 80);
    Point bar =
        drawing.circles().stream()
            .filter(circle -> circle.role().equals("bar"))
            .findFirst()
            .orElseThrow()
            .centre();
    assertThat(inside(part(drawing, "forearm").points(), bar)).isTrue();
  }

  /** Legs that go apart are seen from the front: both of them, mirrored, the right one leftmost. */
  @Test
  void whatOpensIsSeenFromTheFront() {
    Posture open = Bodies.posture(Bodies.MAN, "abduction-machine", Map.of("wide", 40.0), 0, 40);
    Drawing drawing = Stage.side(Bodies.MAN, open, 40);
    assertThat(drawing.from()).isEqualTo(View.FRONT);
    List<Line> thighs =
        drawing.body().stream().filter(line -> line.role().equals("thigh")).toList();
    assertThat(thighs).hasSize(2);
    double right = thighs.get(0).points().stream().mapToDouble(Point::x).min().orElseThrow();
    double left = thighs.get(1).points().stream().mapToDouble(Point::x).max().orElseThrow();
    assertThat(right).isNegative();
    assertThat(left).isCloseTo(-right, within(1e-9));
  }

  /** Every candidate of the catalogue has a picture with a head, a trunk and a leg. */
  @Test
  void everyCandidateHasAPicture() {
    Map<CandidateId, Drawing> pictures = Pictures.of(Catalogue.standard());
    assertThat(pictures.keySet())
        .containsAll(
            Catalogue.standard().exercises().stream()
                .flatMap(exercise -> Catalogue.standard().candidatesOf(exercise).stream())
                .map(Candidate::id)
                .toList());
    pictures.forEach(
        (id, drawing) ->
            assertThat(drawing.body())
                .as(id.text())
                .extracting(Line::role)
                .contains("trunk", "thigh", "shank", "foot", "upper-arm"));
  }
}
