package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.Loading;
import istmo.core.record.Progression;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LoadsToChooseTest {
  private static final double PAIR_KG = 40;
  private static final Set<Equipment> NEEDS = Set.of(Equipment.BARBELL, Equipment.RACK);

  @Test
  void the_window_is_about_the_load_that_is_asked_for() {
    Loading hundred = Loading.nearest(100, NEEDS, Plans.EVERYTHING);
    WorkingLoad asked =
        new WorkingLoad(
            90,
            100,
            new WorkingLoad.ByRecord(new Progression.RepetitionsFirst(8, 12)),
            List.of(),
            List.of(
                new WorkingLoad.SetLine(
                    0,
                    8,
                    12,
                    Optional.of(hundred),
                    List.of(),
                    new SetNote.AsStrung(Scheme.STRAIGHT, 0, 8))));
    List<Loading> loads = LoadsToChoose.of(asked, NEEDS, Plans.EVERYTHING);
    assertThat(loads)
        .isSortedAccordingTo((first, second) -> Double.compare(first.kg(), second.kg()));
    assertThat(loads.get(0).kg()).isGreaterThanOrEqualTo(25);
    assertThat(loads.get(loads.size() - 1).kg())
        .as("to the window's end, and at most a pair of the heaviest plates over it")
        .isBetween(160.0, 160.0 + PAIR_KG);
    assertThat(loads).hasSizeLessThanOrEqualTo(LoadsToChoose.MOST);
  }

  @Test
  void an_unknown_load_is_looked_for_from_the_empty_bar_to_a_fixed_end() {
    WorkingLoad unknown =
        new WorkingLoad(0, 0, new WorkingLoad.Unknown(false), List.of(), List.of());
    List<Loading> loads = LoadsToChoose.of(unknown, NEEDS, Plans.EVERYTHING);
    assertThat(loads.get(0).kg()).isEqualTo(20);
    assertThat(loads.get(loads.size() - 1).kg()).isBetween(120.0, 120.0 + PAIR_KG);
  }
}
