package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.Words;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Weeks that rise, ease and test, and what is done after missed ones. */
class BlockTest {
  @ParameterizedTest
  @ValueSource(ints = {4, 5, 6, 7, 8})
  void aBlockRisesThenEasesAndTests(int weeks) {
    for (TrainingAge age : TrainingAge.values()) {
      Block block = Block.of(weeks, Optional.of(age));
      assertThat(block.weeks()).hasSize(weeks);
      assertThat(block.weeks().get(weeks - 1).kind()).isEqualTo(Block.Kind.RETEST);
      List<Block.Step> building =
          block.weeks().stream().filter(step -> step.kind() == Block.Kind.BUILD).toList();
      assertThat(building).extracting(Block.Step::load).isSorted().doesNotHaveDuplicates();
      assertThat(building).extracting(Block.Step::addedSets).isSorted();
      assertThat(building)
          .extracting(Block.Step::addedReserve)
          .isSortedAccordingTo((first, second) -> Double.compare(second, first));
      assertThat(block.weeks().stream().filter(step -> step.kind() == Block.Kind.EASIER).count())
          .isEqualTo(weeks >= 7 && age != TrainingAge.WEEKS ? 1 : 0);
      assertThat(building.get(building.size() - 1).load())
          .as("no more than a tenth and a half in a block")
          .isLessThanOrEqualTo(1.16);
    }
  }

  @Test
  void aBlockIsAppliedToTheWeek() {
    Prescription prescription = new Prescription(3, 8, 12, 2, Tempo.USUAL, 120, Scheme.DROP);
    Week week =
        new Week(
            List.of(
                new Day(
                    1,
                    60,
                    false,
                    List.of(
                        Bout.of(Plans.item("aimed", prescription)),
                        Bout.of(Plans.item("other", prescription))))));
    Block block = Block.of(6, Optional.of(TrainingAge.MONTHS));
    Week fifth =
        Block.applied(
            week,
            block.weeks().get(4),
            new CandidateId("aimed")::equals,
            Optional.of(TrainingAge.MONTHS));
    assertThat(fifth.items()).extracting(item -> item.prescription().sets()).containsExactly(4, 3);
    assertThat(fifth.items().get(0).prescription().reserve()).isEqualTo(1);
    Week last =
        Block.applied(
            week,
            block.weeks().get(5),
            new CandidateId("aimed")::equals,
            Optional.of(TrainingAge.MONTHS));
    assertThat(last.items())
        .allSatisfy(
            item ->
                assertThat(item.prescription())
                    .satisfies(
                        easier -> assertThat(easier.sets()).isEqualTo(2),
                        easier -> assertThat(easier.reserve()).isEqualTo(4),
                        easier -> assertThat(easier.scheme()).isEqualTo(Scheme.STRAIGHT)));
    assertThatThrownBy(() -> Block.of(3, Optional.empty()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("4 to 8");
  }

  @ParameterizedTest
  @CsvSource({"3,0,4", "3,1,4", "3,2,3", "3,3,3", "1,3,1", "5,4,1", "5,20,1"})
  void afterMissedWeeks(int lastDone, int missed, int goOn) {
    assertThat(Block.goOnWith(lastDone, missed)).isEqualTo(goOn);
    if (missed > 0) {
      assertThat(Words.of(Block.missed(missed))).isNotBlank();
    }
  }
}
