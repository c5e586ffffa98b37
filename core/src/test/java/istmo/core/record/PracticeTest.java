package istmo.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.Practice.Count;
import istmo.core.record.Practice.Said;
import istmo.core.record.Practice.Side;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PracticeTest {
  private static final Side OUT =
      new Side(new CandidateId("leg-press/low"), Map.of("toeOut", 30.0, "depth", 100.0));
  private static final Side STRAIGHT =
      new Side(new CandidateId("leg-press/low"), Map.of("toeOut", 0.0, "depth", 100.0));

  private static Said said(String client, double toeOut, Region... felt) {
    return new Said(
        client,
        new CandidateId("leg-press/low"),
        Map.of("toeOut", toeOut, "depth", 80.0),
        Set.of(felt));
  }

  @Test
  void ofOneExerciseASessionIsOfTheSideThatItIsNearTo() {
    List<Said> all =
        List.of(
            said("a", 28, Region.VM),
            said("a", 40, Region.VM, Region.VL),
            said("b", 15, Region.VM),
            said("b", 9, Region.VL),
            said("b", 0),
            said("b", -5, Region.VM),
            new Said(
                "a", new CandidateId("leg-press/high"), Map.of("toeOut", 30.0), Set.of(Region.VM)),
            new Said("a", new CandidateId("leg-press/low"), Map.of(), Set.of(Region.VM)));
    Practice practice = Practice.of(OUT, STRAIGHT, Set.of(Region.VM), all);
    assertThat(practice.first())
        .as("28 and beyond 30; not 15 in the middle")
        .isEqualTo(new Count(1, 2, 2));
    assertThat(practice.second()).as("9, 0 and beyond 0").isEqualTo(new Count(1, 3, 1));
    assertThat(practice.difference()).as("two sessions are too few").isEmpty();
    assertThat(Words.of(practice))
        .contains("felt there in 2 of 2 sessions of 1 client")
        .contains("Too few");
  }

  @Test
  void twoExercisesAreToldByTheirNames() {
    Side curl = new Side(new CandidateId("seated-leg-curl/usual"), Map.of("hipAngle", 80.0));
    List<Said> all =
        List.of(
            new Said(
                "a",
                new CandidateId("seated-leg-curl/usual"),
                Map.of("hipAngle", 20.0),
                Set.of(Region.BFL)),
            said("a", 30, Region.BFL));
    Practice practice = Practice.of(curl, OUT, Set.of(Region.BFL), all);
    assertThat(practice.first()).isEqualTo(new Count(1, 1, 1));
    assertThat(practice.second()).isEqualTo(new Count(1, 1, 1));
    assertThat(Practice.of(OUT, OUT, Set.of(Region.BFL), all).isEmpty())
        .as("nothing differs, so nothing can be told apart")
        .isTrue();
  }

  /**
   * Agresti and Caffo (2000), by hand: shares (k + 1)/(n + 2), and the root of the sum of p (1 -
   * p)/(n + 2).
   */
  @ParameterizedTest
  @CsvSource({"9, 10, 3, 10, 0.5, 0.17347", "5, 6, 5, 6, 0, 0.21651", "0, 3, 3, 3, -0.6, 0.25298"})
  void theDifferenceHasItsError(int feltA, int a, int feltB, int b, double share, double error) {
    Practice.Difference difference =
        new Practice(new Count(1, a, feltA), new Count(1, b, feltB)).difference().orElseThrow();
    assertThat(difference.share()).isCloseTo(share, within(1e-9));
    assertThat((difference.high() - difference.low()) / 2 / 1.28155).isCloseTo(error, within(2e-4));
    assertThat(difference.told()).isEqualTo(share != 0);
  }

  @Test
  void whatItSaysTurnsWithTheSides() {
    List<Said> all = new ArrayList<>();
    for (int k = 0; k < 6; k++) {
      all.add(said("c" + k, 30, Region.VM));
      all.add(said("c" + k, 0, Region.VL));
    }
    assertThat(Words.of(Practice.of(OUT, STRAIGHT, Set.of(Region.VM), all)))
        .contains("more often with the first (+75 of a hundred sessions; 80 %: +");
    assertThat(Words.of(Practice.of(STRAIGHT, OUT, Set.of(Region.VM), all)))
        .contains("more often with the second (-75 of a hundred");
    assertThat(Words.of(Practice.of(OUT, STRAIGHT, Set.of(Region.VM, Region.VL), all)))
        .contains("No difference to be seen (+0 of");
  }
}
