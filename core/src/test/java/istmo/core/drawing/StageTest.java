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
    Posture p = Bodies.posture(Bodies.MAN, "squat", planar, 1, 80);
    Drawing d = Stage.side(Bodies.MAN, p, 80);
    double force = (Bodies.MAN.massKg() + 80) * Load.G / 2;
    Drawing.Lever knee =
        d.levers().stream().filter(l -> l.joint().equals("knee")).findFirst().orElseThrow();
    assertThat(knee.metres() * force)
        .isCloseTo(force * (p.points().knee().x() - p.points().pressure().x()), within(1e-6));
    assertThat(d.lines())
        .extracting(Drawing.Line::role)
        .contains("thigh", "shank", "trunk", "foot", "force", "floor");
  }

  /** From the front both knees stand as far apart as they are, over feet of the stance's width. */
  @Test
  void fromTheFrontTheKneesAndFeetStandAsWideAsTheyAre() {
    Map<String, Double> wide = Map.of("stance", 0.6, "toeOut", 30.0, "depth", 90.0);
    Posture p = Bodies.posture(Bodies.MAN, "squat", wide, 1, 80);
    Drawing front = Stage.front(Bodies.MAN, Bodies.setup("squat", wide), p).orElseThrow();
    List<Drawing.Circle> knees =
        front.circles().stream().filter(c -> c.role().equals("joint-knee")).toList();
    assertThat(knees).hasSize(2);
    assertThat(Math.abs(knees.get(0).centre().x() - knees.get(1).centre().x()))
        .isCloseTo(2 * p.points().knee().z(), within(1e-9))
        .isGreaterThan(0.6);
    assertThat(front.lines())
        .filteredOn(l -> l.role().equals("plumb"))
        .hasSize(2)
        .allSatisfy(l -> assertThat(l.points().get(0).x()).isEqualTo(l.points().get(1).x()));
    assertThat(front.lines()).extracting(Drawing.Line::role).contains("bar-across", "floor");
    assertThat(front.body().stream().filter(l -> l.role().equals("thigh"))).hasSize(2);
  }

  @Test
  void whoSitsInAMachineOrStandsOnOneLegHasNoFrontView() {
    for (String family : List.of("press", "split", "leg-extension")) {
      Posture p = Bodies.posture(Bodies.MAN, family, Map.of(), 0.5, 20);
      assertThat(Stage.front(Bodies.MAN, Bodies.setup(family, Map.of()), p)).as(family).isEmpty();
    }
  }

  @Test
  void theFeetFromAboveStandAsWideAndAsTurnedAsTheSetUp() {
    Posture p =
        Bodies.posture(
            Bodies.MAN, "squat", Map.of("stance", 0.5, "toeOut", 30.0, "depth", 70.0), 0, 80);
    Drawing plan = Stage.plan(Bodies.MAN, p);
    var pressure = plan.circles().stream().filter(c -> c.role().equals("pressure")).toList();
    assertThat(pressure).hasSize(2);
    assertThat(pressure.get(0).centre().y()).isEqualTo(-pressure.get(1).centre().y());
    // pressure lies a quarter of a foot in front of the ankle, along the turned foot
    assertThat(pressure.get(0).centre().y())
        .isCloseTo(0.25 + 0.25 * Bodies.MAN.footM() * Math.sin(Math.toRadians(30)), within(1e-6));
  }
}
