package istmo.core.equipment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LoadingTest {
  private static final Set<Equipment> BAR = Set.of(Equipment.BARBELL, Equipment.RACK);

  private static GymEquipment equipment(Map<Double, Integer> plates) {
    return new GymEquipment(
        Set.of(
            Equipment.BARBELL,
            Equipment.RACK,
            Equipment.LEG_PRESS,
            Equipment.DUMBBELLS,
            Equipment.SEATED_CURL),
        Map.of(),
        new Plates(plates));
  }

  @Test
  void workedExamplesOfCommonPractice() {
    GymEquipment equipment = equipment(Map.of(20.0, 4, 15.0, 1, 10.0, 2, 5.0, 2, 2.5, 2, 1.25, 1));
    assertThat(Loading.nearest(100, BAR, equipment).perSide()).containsExactly(20.0, 20.0);
    assertThat(Loading.nearest(62.5, BAR, equipment).perSide())
        .as("20 kg bar and 21.25 a side")
        .containsExactly(20.0, 1.25);
    assertThat(Loading.nearest(97.5, BAR, equipment).perSide())
        .as("38.75 a side with the fewest plates")
        .containsExactly(20.0, 15.0, 2.5, 1.25);
    assertThat(Loading.notAbove(61.9, BAR, equipment).kg()).isEqualTo(60);
    assertThat(Loading.nearest(5, BAR, equipment).kg()).as("never less than the bar").isEqualTo(20);
    assertThat(Loading.nearest(42, Set.of(Equipment.LEG_PRESS), equipment))
        .as("a sled's load is plates only")
        .satisfies(
            loading -> assertThat(loading.kg()).isEqualTo(42.5),
            loading -> assertThat(loading.emptyKg()).isZero());
    assertThat(Loading.nearest(33, Set.of(Equipment.SEATED_CURL), equipment).kg())
        .as("a stack goes by its pins")
        .isEqualTo(35);
    assertThat(Loading.nearest(33, Set.of(Equipment.BOX), equipment).kind())
        .as("nothing carries a load")
        .isEqualTo(Loading.Kind.BODY);
  }

  @Test
  void poundPlatesMakeExactLoads() {
    double lb = 0.45359237;
    GymEquipment equipment =
        new GymEquipment(
            Set.of(Equipment.BARBELL),
            Map.of(Equipment.BARBELL, Map.of("barMass", 45 * lb)),
            new Plates(Map.of(45 * lb, 4, 25 * lb, 1, 10 * lb, 2, 5 * lb, 1, 2.5 * lb, 1)));
    Loading loading = Loading.nearest(225 * lb, Set.of(Equipment.BARBELL), equipment);
    assertThat(loading.kg() / lb).isCloseTo(225, offset(0.01));
    assertThat(loading.perSide())
        .hasSize(2)
        .allSatisfy(k -> assertThat(k / lb).isCloseTo(45, offset(1e-9)));
  }

  @Test
  void aGymThatHasNotSaidGetsTheUsualPlates() {
    Loading loading =
        Loading.nearest(60, BAR, GymEquipment.generic(Set.of(Equipment.BARBELL, Equipment.RACK)));
    assertThat(loading.plateKind()).isEqualTo(Loading.PlateKind.USUAL);
    assertThat(loading.perSide()).containsExactly(20.0);
    assertThat(Loading.nearest(60, BAR, equipment(Map.of(10.0, 2))).plateKind())
        .isEqualTo(Loading.PlateKind.OWN);
  }

  /** Against trying every number of every plate. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void nearestIsThatOfExhaustiveSearch(long seed) {
    Random random = new Random(seed);
    double[] kinds = {25, 20, 15, 10, 7.5, 5, 2.5, 1.25, 0.5};
    Map<Double, Integer> pairs = new TreeMap<>();
    for (double k : kinds) {
      if (random.nextBoolean()) {
        pairs.put(k, 1 + random.nextInt(3));
      }
    }
    pairs.put(kinds[random.nextInt(kinds.length)], 2);
    GymEquipment equipment = equipment(pairs);
    List<double[]> all = new ArrayList<>();
    everything(new ArrayList<>(pairs.entrySet()), 0, 0, 0, all);
    for (int trial = 0; trial < 20; trial++) {
      double target = 20 + 180 * random.nextDouble();
      Loading found = Loading.nearest(target, BAR, equipment);
      double best =
          all.stream().mapToDouble(a -> Math.abs(20 + 2 * a[0] - target)).min().orElseThrow();
      assertThat(Math.abs(found.kg() - target))
          .as("seed %d, %s to %.2f", seed, pairs, target)
          .isCloseTo(best, offset(1e-6));
      assertThat(found.kg())
          .as("what is on the bar is the load")
          .isCloseTo(
              20 + 2 * found.perSide().stream().mapToDouble(Double::doubleValue).sum(),
              offset(1e-9));
      double fewest =
          all.stream()
              .filter(a -> Math.abs(20 + 2 * a[0] - found.kg()) < 1e-6)
              .mapToDouble(a -> a[1])
              .min()
              .orElseThrow();
      assertThat(found.perSide())
          .as("seed %d: fewest plates for %.2f", seed, found.kg())
          .hasSize((int) fewest);
      new TreeSet<>(found.perSide())
          .forEach(
              k ->
                  assertThat(found.perSide().stream().filter(k::equals).count())
                      .isLessThanOrEqualTo(pairs.get(k)));
    }
  }

  private static void everything(
      List<Map.Entry<Double, Integer>> plates, int at, double sum, int count, List<double[]> into) {
    if (at == plates.size()) {
      into.add(new double[] {sum, count});
      return;
    }
    for (int n = 0; n <= plates.get(at).getValue(); n++) {
      everything(plates, at + 1, sum + n * plates.get(at).getKey(), count + n, into);
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {40, 60, 82.5, 100, 140})
  void warmUpsRiseAndOnlyPutPlatesOn(double target) {
    GymEquipment equipment = equipment(Map.of(20.0, 4, 10.0, 2, 5.0, 2, 2.5, 2, 1.25, 2));
    Loading working = Loading.nearest(target, BAR, equipment);
    List<Loading> ramp = working.warmUps(3, BAR, equipment);
    assertThat(ramp).isNotEmpty();
    Loading before = ramp.get(0);
    assertThat(before.kg()).isLessThan(0.7 * working.kg());
    for (Loading next : concat(ramp.subList(1, ramp.size()), working)) {
      assertThat(next.kg()).isGreaterThan(before.kg());
      assertThat(next.addedTo(before)).as("from %s to %s", before, next).isNotEmpty();
      before = next;
    }
  }

  @Test
  void nothingToTakeOffIsSaidAsNothingToPutOn() {
    GymEquipment equipment = equipment(Map.of(20.0, 2, 5.0, 2));
    Loading heavy = Loading.nearest(60, BAR, equipment);
    assertThat(heavy.addedTo(Loading.nearest(30, BAR, equipment)))
        .as("the 5s would have to come off")
        .isEmpty();
    assertThat(heavy.addedTo(Loading.nearest(20, BAR, equipment))).containsExactly(20.0);
  }

  private static List<Loading> concat(List<Loading> list, Loading last) {
    List<Loading> all = new ArrayList<>(list);
    all.add(last);
    return all;
  }

  @Test
  void theHeaviestWeightsEndWhatCanBeLoadedWhereTheyAreKnown() {
    Set<Equipment> needs = Set.of(Equipment.DUMBBELLS);
    GymEquipment unknown = GymEquipment.generic(needs);
    GymEquipment known = unknown.with(Equipment.DUMBBELLS, "most", 50);
    assertThat(Loading.nearest(70, needs, unknown).kg()).isEqualTo(70);
    assertThat(Loading.nearest(70, needs, known).kg()).isEqualTo(50);
    assertThat(Loading.nextAbove(45, needs, known)).isPresent();
    assertThat(Loading.nextAbove(50, needs, known)).isEmpty();
  }
}
