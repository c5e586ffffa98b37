package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class DueTest {
  private static final LocalDate WEDNESDAY = LocalDate.of(2026, 3, 4);
  private static final List<Integer> MON_THU = List.of(1, 4);

  @Test
  void aWeekComesAgainAndAgain() {
    Due due = Due.next(MON_THU, Optional.empty(), OptionalInt.empty(), WEDNESDAY).orElseThrow();
    assertThat(due).isEqualTo(new Due(1, WEDNESDAY.plusDays(1), OptionalInt.empty()));
    Due after =
        Due.next(MON_THU, Optional.empty(), OptionalInt.empty(), WEDNESDAY.plusDays(2))
            .orElseThrow();
    assertThat(after).isEqualTo(new Due(0, LocalDate.of(2026, 3, 9), OptionalInt.empty()));
  }

  @Test
  void theDayItselfCounts() {
    Due due = Due.next(List.of(3), Optional.empty(), OptionalInt.empty(), WEDNESDAY).orElseThrow();
    assertThat(due.on()).isEqualTo(WEDNESDAY);
  }

  @Test
  void aBlockSaysItsWeekAndEnds() {
    Optional<LocalDate> start = Optional.of(LocalDate.of(2026, 2, 16));
    Due third = Due.next(MON_THU, start, OptionalInt.of(3), WEDNESDAY).orElseThrow();
    assertThat(third.step()).hasValue(3);
    assertThat(Due.next(MON_THU, start, OptionalInt.of(3), WEDNESDAY.plusDays(2))).isEmpty();
  }

  @Test
  void aPlanThatBeginsLaterAsksForNothingBefore() {
    Due due =
        Due.next(
                MON_THU,
                Optional.of(LocalDate.of(2026, 4, 1)), // a Wednesday
                OptionalInt.of(4),
                WEDNESDAY)
            .orElseThrow();
    assertThat(due).isEqualTo(new Due(0, LocalDate.of(2026, 3, 30), OptionalInt.of(1)));
  }

  @Test
  void withoutAFirstDayTheWeekOfABlockIsNotKnown() {
    Due due = Due.next(MON_THU, Optional.empty(), OptionalInt.of(4), WEDNESDAY).orElseThrow();
    assertThat(due.step()).isEmpty();
  }

  @Test
  void twoSessionsOfOneDayGoInTheirOrder() {
    Due due =
        Due.next(List.of(4, 4), Optional.empty(), OptionalInt.empty(), WEDNESDAY).orElseThrow();
    assertThat(due.session()).isZero();
  }

  @Test
  void aPlanWithoutSessionsAsksForNothing() {
    assertThat(Due.next(List.of(), Optional.empty(), OptionalInt.empty(), WEDNESDAY)).isEmpty();
  }
}
