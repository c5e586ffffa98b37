package istmo.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MusculatureTest {
  /**
   * One length potential: every arm is minus the derivative of the muscle's length, in any
   * direction, abduction and rotation included.
   */
  @Test
  void momentArmsAreTheDerivativesOfOneLength() {
    Musculature musculature = new Musculature(Bodies.MAN);
    Random random = new Random(7);
    for (int trial = 0; trial < 40; trial++) {
      double[] q = {
        between(random, -0.2, 2.1),
        between(random, -0.3, 0.7),
        between(random, -0.6, 0.6),
        between(random, 0, 2.4),
        between(random, -0.7, 0.6),
        0
      };
      for (int c = 0; c < Coordinate.LEG; c++) {
        double h = 1e-6;
        double[] plus = q.clone();
        plus[c] += h;
        double[] minus = q.clone();
        minus[c] -= h;
        for (int i = 0; i < musculature.size(); i++) {
          musculature.at(plus);
          double up = musculature.excursionM(i);
          musculature.at(minus);
          double down = musculature.excursionM(i);
          musculature.at(q);
          assertThat(musculature.arm(i, Coordinate.values()[c]))
              .as(
                  "%s about %s, seed 7, trial %d",
                  Muscles.standard().all().get(i).id(), Coordinate.values()[c], trial)
              .isCloseTo(-(up - down) / (2 * h), within(2e-7));
        }
      }
    }
  }

  @Test
  void forceLengthPeaksAtOptimalLengthAndPassiveBeginsThere() {
    Musculature musculature = new Musculature(Bodies.MAN);
    int vl = Muscles.standard().indexOf("VL");
    double bestFactor = 0;
    double lengthAtBest = 0;
    for (double k = 0; k <= 145; k += 0.5) {
      musculature.at(new double[] {0, 0, 0, Math.toRadians(k), 0, 0});
      assertThat(musculature.passiveForceN(vl) > 0).isEqualTo(musculature.length(vl) > 1);
      if (musculature.activeFactor(vl) > bestFactor) {
        bestFactor = musculature.activeFactor(vl);
        lengthAtBest = musculature.length(vl);
      }
    }
    assertThat(bestFactor).isCloseTo(1, within(1e-4));
    assertThat(lengthAtBest).isCloseTo(1, within(0.01));
  }

  @Test
  void strengthAndSizeScaleForcesAndArms() {
    Musculature usual = new Musculature(Bodies.MAN);
    Musculature strong = new Musculature(Bodies.MAN.withStrength(1.2, Bodies.MAN.lumbarNm()));
    double[] q = {1, 0.1, 0, 1.2, 0.2, 0};
    usual.at(q);
    strong.at(q);
    for (int i = 0; i < usual.size(); i++) {
      assertThat(strong.activeForceN(i))
          .isCloseTo(1.2 * usual.activeForceN(i), within(1e-9 * usual.activeForceN(i) + 1e-9));
      assertThat(strong.length(i)).isEqualTo(usual.length(i));
    }
  }

  private static double between(Random r, double low, double high) {
    return low + (high - low) * r.nextDouble();
  }
}
