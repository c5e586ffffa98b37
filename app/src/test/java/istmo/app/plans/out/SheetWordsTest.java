package istmo.app.plans.out;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.plan.Scheme;
import istmo.core.plan.SetNote;
import istmo.core.plan.WorkingLoad;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SheetWordsTest {
  private static WorkingLoad toBeFound(double low, double high) {
    WorkingLoad.SetLine set =
        new WorkingLoad.SetLine(
            0, 8, 20, Optional.empty(), List.of(), new SetNote.AsStrung(Scheme.STRAIGHT, 0, 14));
    return new WorkingLoad(low, high, new WorkingLoad.Unknown(false), List.of(), List.of(set));
  }

  /** Where nothing here is as light as the load that is believed, the sheet still says the load. */
  @Test
  void aLoadThatCannotBeMadeIsSaidAndErrsLight() {
    assertThat(SheetWords.load(toBeFound(3.1, 4.7), Unit.KG))
        .isEqualTo("between 3 and 4.5 kg: begin with no more than the lightest here");
  }

  @Test
  void aLoadThatNothingTellsIsFound() {
    assertThat(SheetWords.load(toBeFound(0, 0), Unit.KG))
        .isEqualTo("No lift of this client tells: begin light, find it in the warm-up sets");
  }
}
