package istmo.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.mechanics.Bodies;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StageTest {
  /**
   * A lever drawn in cm is the lever of the moment: moment of the foot's force = force times lever,
   * in the plane.
   */
  @Test
  void theLeverArmIsTheOneOfTheMoment() {
    Map<String, Double> planar =
        Map.of("stance", 2 * Bodies.MAN.hipHalfDistanceM(), "toeOut", 0.0, "depth", 90.0);
    Posture posture = Bodies.posture(Bodies.MAN, "squat", planar, 1, 80);
    Drawing drawing = Stage.side(Bodies.MAN, posture, 80);
    double force = (Bodies.MAN.massKg() + 80) * Load.G / 2;
    Drawing.Lever knee =
        drawing.levers().stream()
            .filter(lever -> lever.joint().equals("knee"))
            .findFirst()
            .orElseThrow();
    assertThat(knee.metres() * force)
        .isCloseTo(
            force * (posture.points().knee().x() - posture.points().pressure().x()), within(1e-6));
    assertThat(drawing.lines())
        .extracting(Drawing.Line::role)
        .contains("thigh", "shank", "trunk", "foot", "force", "floor");
  }

  /** From the front both knees stand as far apart as they are, over feet of the stance's width. */
  @Test
  void fromTheFrontTheKneesAndFeetStandAsWideAsTheyAre() {
    Map<String, Double> wide = Map.of("stance", 0.6, "toeOut", 30.0, "depth", 90.0);
    Posture posture = Bodies.posture(Bodies.MAN, "squat", wide, 1, 80);
    Drawing front = Stage.front(Bodies.MAN, Bodies.setup("squat", wide), posture).orElseThrow();
    List<Drawing.Circle> knees =
        front.circles().stream().filter(circle -> circle.role().equals("joint-knee")).toList();
    assertThat(knees).hasSize(2);
    assertThat(Math.abs(knees.get(0).centre().x() - knees.get(1).centre().x()))
        .isCloseTo(2 * posture.points().knee().z(), within(1e-9))
        .isGreaterThan(0.6);
    assertThat(front.lines())
        .filteredOn(line -> line.role().equals("plumb"))
        .hasSize(2)
        .allSatisfy(
            line -> assertThat(line.points().get(0).x()).isEqualTo(line.points().get(1).x()));
    assertThat(front.lines()).extracting(Drawing.Line::role).contains("bar-across", "floor");
    assertThat(front.body().stream().filter(line -> line.role().equals("thigh"))).hasSize(2);
  }

  @Test
  void whoSitsInAMachineOrStandsOnOneLegHasNoFrontView() {
    for (String family : List.of("press", "split", "leg-extension")) {
      Posture posture = Bodies.posture(Bodies.MAN, family, Map.of(), 0.5, 20);
      assertThat(Stage.front(Bodies.MAN, Bodies.setup(family, Map.of()), posture))
          .as(family)
          .isEmpty();
    }
  }

  @Test
  void theFeetFromAboveStandAsWideAndAsTurnedAsTheSetUp() {
    Posture posture =
        Bodies.posture(
            Bodies.MAN, "squat", Map.of("stance", 0.5, "toeOut", 30.0, "depth", 70.0), 0, 80);
    Drawing plan = Stage.plan(Bodies.MAN, posture);
    var pressure =
        plan.circles().stream().filter(circle -> circle.role().equals("pressure")).toList();
    assertThat(pressure).hasSize(2);
    assertThat(pressure.get(0).centre().y()).isEqualTo(-pressure.get(1).centre().y());
    // pressure lies a quarter of a foot in front of the ankle, along the turned foot
    assertThat(pressure.get(0).centre().y())
        .isCloseTo(0.25 + 0.25 * Bodies.MAN.footM() * Math.sin(Math.toRadians(30)), within(1e-6));
  }

  /** A seat stands on its post, and its stack is a closed block; both on the floor. */
  @Test
  void aMachineStandsOnTheFloor() {
    Posture posture = Bodies.posture(Bodies.MAN, "leg-extension", Map.of(), 1, 40);
    Drawing drawing = Stage.side(Bodies.MAN, posture, 40);
    double floor = line(drawing, "floor").points().get(0).y();
    assertThat(line(drawing, "stack").closed()).isTrue();
    assertThat(line(drawing, "stack").points())
        .allSatisfy(point -> assertThat(point.y()).isGreaterThanOrEqualTo(floor - 1e-9));
    assertThat(line(drawing, "post").points().get(1).y()).isCloseTo(floor, within(0.03));
    assertThat(drawing.machine()).extracting(Drawing.Line::role).contains("post", "stack");
  }

  private static Drawing.Line line(Drawing drawing, String role) {
    return drawing.lines().stream()
        .filter(line -> line.role().equals(role))
        .findFirst()
        .orElseThrow();
  }
}
