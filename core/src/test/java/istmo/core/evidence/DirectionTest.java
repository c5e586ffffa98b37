package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.evidence.Finding.Direction;
import istmo.core.evidence.Posterior.Assumptions;
import istmo.core.stimulus.School;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What each direction that a study can find does to what is believed. */
class DirectionTest {
  private static final School STRETCH = School.STRETCH;
  private static final Posterior NONE = new Posterior(STRETCH, List.of(), Assumptions.USUAL);

  /** Where neither grew, their ratio is pulled to nothing less than where both grew alike. */
  @Test
  void thatNeitherGrewTellsLessThanThatBothGrewAlike() {
    double mechanics = NONE.mechanics(Findings.seatedAgainstLying(Direction.ALIKE));
    double neither = pulledBy(Findings.seatedAgainstLying(Direction.NEITHER));
    assertThat(pulledBy(Findings.seatedAgainstLying(Direction.ALIKE)))
        .isLessThan(neither)
        .isPositive();
    assertThat(neither).isLessThan(mechanics);
  }

  private static double pulledBy(Finding finding) {
    return new Posterior(STRETCH, List.of(finding), Assumptions.USUAL).difference(finding).mean();
  }

  /**
   * That one muscle grew and the other was not seen to tells more than that it grew more: by hand,
   * the observation is counted from ln 3 over the slope on.
   */
  @Test
  void thatOnlyOneGrewTellsMoreThanThatItGrewMore() {
    double more =
        new Posterior(STRETCH, List.of(grew(Direction.MORE)), Assumptions.USUAL)
            .difference(grew(Direction.MORE))
            .mean();
    double only =
        new Posterior(STRETCH, List.of(grew(Direction.ONLY)), Assumptions.USUAL)
            .difference(grew(Direction.ONLY))
            .mean();
    assertThat(more).isGreaterThan(NONE.mechanics(grew(Direction.MORE)));
    assertThat(only).isGreaterThan(more + 0.1);
  }

  private static Finding grew(Direction direction) {
    return Findings.finding(
        "T", "back-squat/high-bar", "seated-leg-curl/usual", "BFL", Finding.How.MRI, direction);
  }
}
