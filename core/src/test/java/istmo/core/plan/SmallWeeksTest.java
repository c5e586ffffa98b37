package istmo.core.plan;

import static istmo.core.plan.ComposerCases.LONG_ENOUGH_S;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Small weeks are solved as well as by trying everything. */
class SmallWeeksTest {
  /** Small weeks, made by chance: the solver's best is that of trying everything. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void theBestOfSmallWeeksIsThatOfTryingEverything(long seed) {
    Task task = smallTask(new Random(seed));
    List<Offer> candidates = task.candidates();
    Optional<Composer.Answer> found = new Composer(task).compose(LONG_ENOUGH_S, progress -> {});
    List<Appraisal.Choice> all = everything(task, candidates);
    if (all.isEmpty()) {
      assertThat(found).as("seed %d: nothing keeps the rules", seed).isEmpty();
      return;
    }
    long best =
        all.stream()
            .mapToLong(choice -> Appraisal.points(task, candidates, choice))
            .min()
            .orElseThrow();
    assertThat(found)
        .as("seed %d", seed)
        .hasValueSatisfying(
            answer -> {
              assertThat(answer.points())
                  .as("seed %d: points of %d weeks", seed, all.size())
                  .isEqualTo(best);
              assertThat(answer.proved()).isTrue();
              assertThat(answer.bound())
                  .as("what the solver minimises is what is appraised")
                  .isEqualTo(answer.points());
            });
  }

  private static Task smallTask(Random random) {
    List<Offer> offers = threeOffers(random);
    Offers all = new Offers(offers);
    Targets targets =
        new Targets(
            Map.of(
                Region.VL,
                2.0 + random.nextInt(8),
                Region.BFL,
                2.0 + random.nextInt(5),
                Region.SOL,
                3.0),
            Map.of(Region.VL, 3, Region.BFL, 2, Region.SOL, 1),
            Set.of(Region.SOL),
            Map.of(Function.KNEE_FLEXION, 2.0),
            6,
            4,
            random.nextBoolean());
    boolean oneStation = random.nextInt(4) == 0;
    List<Bout> pinned =
        random.nextBoolean()
            ? List.of()
            : List.of(
                Bout.of(new Item("pin", offers.get(0).candidateId(), offers.get(0).usual(), true)));
    List<Day> frames =
        List.of(
            new Day(1, 10 + random.nextInt(25), oneStation, pinned),
            new Day(4, 10 + random.nextInt(25), false, List.of()));
    return new Task(
        all,
        targets,
        frames,
        Pairing.values()[random.nextInt(3)],
        random.nextBoolean(),
        Optional.of(TrainingAge.WEEKS));
  }

  private static List<Offer> threeOffers(Random random) {
    List<Offer> offers = new ArrayList<>();
    Region[] regions = {Region.VL, Region.RF, Region.BFL, Region.ST, Region.GMAXM, Region.SOL};
    Role[] roles = {Role.HEAVY, Role.SINGLE, Role.COMPOUND, Role.CALF_BENT};
    for (int k = 0; k < 3; k++) {
      Map<Region, Double> shares = new LinkedHashMap<>();
      for (Region region : regions) {
        shares.put(region, random.nextInt(3) == 0 ? 0 : random.nextInt(101) / 100.0);
      }
      Set<Equipment> station =
          random.nextInt(3) == 0
              ? Set.of()
              : Set.of(random.nextBoolean() ? Equipment.LEG_PRESS : Equipment.SEATED_CURL);
      Prescription usual =
          new Prescription(
              2 + random.nextInt(2),
              8,
              12,
              2,
              new Tempo(2, 0, 1, 0),
              60 + 30 * random.nextInt(3),
              Scheme.STRAIGHT);
      Set<Function> functions =
          random.nextBoolean()
              ? Set.of(Function.KNEE_FLEXION)
              : Set.of(Function.KNEE_WITH_OPEN_HIP);
      offers.add(
          Plans.offer(
              (random.nextInt(4) == 0 ? "same" : "x" + k) + "/" + k,
              shares,
              roles[random.nextInt(roles.length)],
              station,
              0.5 * random.nextInt(5),
              usual,
              new Plans.More(
                  random.nextDouble(),
                  random.nextInt(3) == 0 ? 0.5 : 0.1,
                  random.nextInt(4) == 0,
                  functions)));
    }
    return offers;
  }

  /** Every choice that keeps the rules, written down anew from the rules. */
  private static List<Appraisal.Choice> everything(Task task, List<Offer> candidates) {
    List<List<Appraisal.Choice>> byDay = new ArrayList<>();
    for (int d = 0; d < task.frames().size(); d++) {
      List<Appraisal.Choice> ofDay = new ArrayList<>();
      days(task, d, candidates, 0, new LinkedHashMap<>(), ofDay);
      byDay.add(ofDay);
    }
    List<Appraisal.Choice> all = new ArrayList<>();
    for (Appraisal.Choice choice : byDay.get(0)) {
      for (Appraisal.Choice otherChoice : byDay.get(1)) {
        all.add(
            new Appraisal.Choice(
                List.of(choice.sets().get(0), otherChoice.sets().get(1)),
                List.of(choice.pairs().get(0), otherChoice.pairs().get(1))));
      }
    }
    return all;
  }

  private static void days(
      Task task,
      int day,
      List<Offer> candidates,
      int at,
      Map<Integer, Integer> sets,
      List<Appraisal.Choice> into) {
    if (at == candidates.size()) {
      List<int[]> none = List.of();
      admit(task, day, candidates, sets, none, into);
      for (int a = 0; a < candidates.size(); a++) {
        for (int b = a + 1; b < candidates.size(); b++) {
          if (sets.containsKey(a)
              && sets.get(a).equals(sets.get(b))
              && task.pairing().allows(candidates.get(a), candidates.get(b))
              && Pairing.Saving.of(candidates.get(a), candidates.get(b)).seconds(sets.get(a)) > 0) {
            admit(task, day, candidates, sets, List.of(new int[] {a, b}), into);
          }
        }
      }
      return;
    }
    Offer offer = candidates.get(at);
    days(task, day, candidates, at + 1, sets, into);
    boolean there =
        task.frames().get(day).items().stream()
                .anyMatch(
                    item ->
                        task.offers()
                            .get(item.candidateId())
                            .exerciseId()
                            .equals(offer.exerciseId()))
            || sets.keySet().stream()
                .anyMatch(c -> candidates.get(c).exerciseId().equals(offer.exerciseId()));
    for (int n = 2; !there && n <= 3; n++) {
      Map<Integer, Integer> more = new LinkedHashMap<>(sets);
      more.put(at, n);
      days(task, day, candidates, at + 1, more, into);
    }
  }

  private static void admit(
      Task task,
      int day,
      List<Offer> candidates,
      Map<Integer, Integer> sets,
      List<int[]> pairs,
      List<Appraisal.Choice> into) {
    List<Map<Integer, Integer>> s = new ArrayList<>(List.of(Map.of(), Map.of()));
    List<List<int[]>> p = new ArrayList<>(List.of(List.of(), List.of()));
    s.set(day, Map.copyOf(sets));
    p.set(day, pairs);
    Appraisal.Choice choice = new Appraisal.Choice(s, p);
    Day frame = task.frames().get(day);
    List<Set<Equipment>> stations =
        new ArrayList<>(sets.keySet().stream().map(k -> candidates.get(k).station()).toList());
    frame.items().forEach(item -> stations.add(task.offers().get(item.candidateId()).station()));
    boolean one = stations.stream().filter(texts -> !texts.isEmpty()).distinct().count() <= 1;
    if (Appraisal.seconds(task, day, candidates, choice) <= 60 * frame.minutes()
        && (!frame.oneStation() || one)) {
      into.add(choice);
    }
  }
}
