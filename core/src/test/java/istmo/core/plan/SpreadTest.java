package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.quantity.InvalidInput;
import java.util.List;
import org.junit.jupiter.api.Test;

class SpreadTest {
  @Test
  void sessions_are_as_far_apart_as_they_can_be() {
    for (int times = 1; times <= 7; times++) {
      List<Integer> days = Spread.weekdays(times);
      assertThat(days).hasSize(times).isSorted().doesNotHaveDuplicates();
      assertThat(days).allMatch(d -> d >= 1 && d <= 7);
      assertThat(leastGap(days)).as("%d sessions", times).isEqualTo(7 / times);
    }
    assertThatThrownBy(() -> Spread.weekdays(8)).isInstanceOf(InvalidInput.class);
    assertThatThrownBy(() -> Spread.weekdays(0)).isInstanceOf(InvalidInput.class);
  }

  /** Days from one session to the next, over the end of the week too. */
  private static int leastGap(List<Integer> days) {
    int least = 7;
    for (int k = 0; k < days.size(); k++) {
      int next = k + 1 < days.size() ? days.get(k + 1) : days.get(0) + 7;
      least = Math.min(least, next - days.get(k));
    }
    return least;
  }
}
