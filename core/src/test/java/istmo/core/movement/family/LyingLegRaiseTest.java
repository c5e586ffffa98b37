package istmo.core.movement.family;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Stage;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.Musculature;
import istmo.core.movement.Family;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Legs raised by somebody who lies on the back. */
class LyingLegRaiseTest {
  private static final Body MAN = Body.estimated(1.75, 75, Sex.MALE);
  private static final Family SWING = Families.get("hip-weight");
  private static final double THIGH = MAN.thighM();
  private static final double SHANK = MAN.shankM();

  private static Setup raise(double fromDeg, double kneeDeg) {
    return Setup.of(
        SWING.parameters(),
        Map.of(
            "direction",
            180.0,
            "from",
            fromDeg,
            "to",
            75.0,
            "lean",
            -90.0,
            "kneeBend",
            kneeDeg,
            "legs",
            0.0));
  }

  /** By hand: each leg's masses, and half of a weight at both ankles, at their distances. */
  @Test
  void eachLegIsHeldAgainstItsOwnWeightAndHalfOfTheLoad() {
    double legKgM =
        MAN.thighMassKg() * MAN.thighComFraction() * THIGH
            + MAN.shankMassKg() * (THIGH + MAN.shankComFraction() * SHANK)
            + MAN.footMassKg() * (THIGH + SHANK + 0.5 * MAN.ankleHeightM());
    double loadKgM = 0.5 * 6 * (THIGH + HipSwingFamily.AT_ANKLE * SHANK);
    double expected = Load.G * (legKgM + loadKgM) * Math.cos(Math.toRadians(10));
    Analysis analysis =
        (Analysis)
            new Analyser(MAN, new Musculature(MAN))
                .analyse(SWING, raise(10, 0), new LoadRule.Fixed(6));
    double[] outside = analysis.points().get(analysis.points().size() - 1).externalNm();
    assertThat(outside[Coordinate.HIP_FLEXION.ordinal()])
        .as("negative: the flexors hold; the foot's place in front of the ankle is left out")
        .isCloseTo(-expected, within(0.03 * expected));
  }

  @Test
  void heelsDoNotGoThroughTheFloor() {
    PostureResult low = SWING.posture(MAN, raise(15, 70), 1, 0);
    assertThat(low).isEqualTo(new Impossible(Hindrance.FEET_MEET_FLOOR));
    assertThat(SWING.posture(MAN, raise(25, 45), 1, 0)).isInstanceOf(Posture.class);
  }

  @Test
  void theStageShowsABodyThatLiesOnTheFloor() {
    Drawing drawing = Stage.side(MAN, (Posture) SWING.posture(MAN, raise(25, 45), 1, 0), 0);
    assertThat(drawing.lines())
        .filteredOn(line -> line.role().endsWith("arm") || line.role().equals("shank"))
        .isNotEmpty()
        .allSatisfy(line -> assertThat(line.points()).allMatch(point -> point.y() >= 0));
  }
}
