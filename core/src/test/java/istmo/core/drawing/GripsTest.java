package istmo.core.drawing;

import static istmo.core.mechanics.Bodies.LIFTER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.drawing.Grips.Grip;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Families;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A drag of a handle moves its parameter by what brings the handle to the pointer. */
class GripsTest {
  private static final double LOAD_KG = 40;

  static Stream<Family> families() {
    return Families.all().stream();
  }

  private static Setup setup(Family family) {
    return Bodies.setup(
        family.id(),
        switch (family.id()) {
          case "press" -> Map.of("kneeDepth", 80.0);
          case "squat" -> Map.of("depth", 80.0);
          case "guided-squat" -> Map.of("depth", 80.0, "lean", 38.0);
          default -> Map.of();
        });
  }

  /** At some phase of the repetition every handle is in the drawing and moves. */
  @ParameterizedTest
  @MethodSource("families")
  void everyHandleOfEveryFamilyCanBeHeld(Family family) {
    assertThat(family.handles()).isNotEmpty();
    for (Handle handle : family.handles()) {
      boolean held =
          Stream.of(0.0, 0.5, 1.0)
              .flatMap(phase -> grips(family, setup(family), phase, handle.part()).stream())
              .anyMatch(grip -> grip.parameterId().equals(handle.parameterId()));
      assertThat(held).as("%s: %s", family.id(), handle).isTrue();
    }
  }

  private static List<Grip> grips(Family family, Setup setup, double phase, Handle.Part part) {
    return family.posture(LIFTER, setup, phase, LOAD_KG) instanceof Posture posture
        ? part.isFromAbove()
            ? Grips.plan(LIFTER, family, setup, posture, LOAD_KG)
            : Grips.side(LIFTER, family, setup, posture, LOAD_KG)
        : List.of();
  }

  @Test
  void aHipThatIsDraggedTwoCentimetresDownIsThere() {
    Family squat = Families.get("squat");
    Setup before = setup(squat);
    Grip hip = grip(grips(squat, before, 1, Handle.Part.HIP), "depth");
    assertThat(hip.axis().y()).as("deeper is down").isNegative();
    SetupParameter depth = squat.depth().orElseThrow();
    double drag = 0.02;
    Setup after = before.with(depth, before.get(depth) + drag * hip.perMetre());
    Grip moved = grip(grips(squat, after, 1, Handle.Part.HIP), "depth");
    double along =
        (moved.at().x() - hip.at().x()) * hip.axis().x()
            + (moved.at().y() - hip.at().y()) * hip.axis().y();
    assertThat(along).isCloseTo(drag, within(0.002));
  }

  @Test
  void aStanceThatIsDraggedTenCentimetresApartIsTwentyWider() {
    Family squat = Families.get("squat");
    Grip foot = grip(grips(squat, setup(squat), 1, Handle.Part.FOOT_FROM_ABOVE), "stance");
    assertThat(foot.perMetre()).as("both feet move").isCloseTo(2, within(0.05));
    assertThat(foot.axis().y()).as("to the right").isCloseTo(1, within(1e-3));
  }

  private static Grip grip(List<Grip> grips, String parameterId) {
    return grips.stream()
        .filter(grip -> grip.parameterId().equals(parameterId))
        .findFirst()
        .orElseThrow();
  }
}
