package istmo.core.plan;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Planned.Item;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;

/**
 * {@link Appraisal} and the rules of a week as the solver is told them: how many sets of which
 * candidate on which day, and which two take turns.
 */
final class WeekModel {
  private final Task task;
  private final List<Offer> candidates;
  private final int days;
  private final CpModel model = new CpModel();
  private final IntVar[][] sets;
  private final BoolVar[][] used;
  private final LinearExprBuilder points = LinearExpr.newBuilder();
  private final List<PairOf> pairs = new ArrayList<>();

  private record PairOf(
      int day, int a, int b, BoolVar taken, IntVar rounds, Pairing.Saving saving) {}

  WeekModel(Task task, List<Offer> candidates) {
    this.task = task;
    this.candidates = candidates;
    this.days = task.frames().size();
    this.sets = new IntVar[days][candidates.size()];
    this.used = new BoolVar[days][candidates.size()];
    choices();
    pairs();
    time();
    stations();
    weekly();
    daily();
    model.minimize(points);
  }

  CpModel model() {
    return model;
  }

  /** What a solver has chosen. */
  Appraisal.Choice choice(CpSolver solver) {
    Appraisal.Choice choice = Appraisal.nothing(days);
    for (int d = 0; d < days; d++) {
      for (int c = 0; c < candidates.size(); c++) {
        int n = (int) solver.value(sets[d][c]);
        if (n > 0) {
          choice.sets().get(d).put(c, n);
        }
      }
    }
    pairs.stream()
        .filter(pairOf -> solver.booleanValue(pairOf.taken()))
        .forEach(
            pairOf -> choice.pairs().get(pairOf.day()).add(new int[] {pairOf.a(), pairOf.b()}));
    return choice;
  }

  private void choices() {
    for (int d = 0; d < days; d++) {
      Map<String, List<Literal>> ofExercise = new TreeMap<>();
      Set<String> pinned =
          new TreeSet<>(
              task.pinned(d).stream()
                  .map(item -> task.offers().get(item.candidateId()).exerciseId())
                  .toList());
      for (int c = 0; c < candidates.size(); c++) {
        Offer offer = candidates.get(c);
        sets[d][c] = model.newIntVar(0, task.sets(offer), "sets");
        used[d][c] = model.newBoolVar("used");
        model.addLessOrEqual(sets[d][c], LinearExpr.term(used[d][c], task.sets(offer)));
        model.addGreaterOrEqual(sets[d][c], LinearExpr.term(used[d][c], Task.LEAST_SETS));
        if (pinned.contains(offer.exerciseId())) {
          model.addEquality(used[d][c], 0);
        }
        ofExercise.computeIfAbsent(offer.exerciseId(), key -> new ArrayList<>()).add(used[d][c]);
        points
            .addTerm(used[d][c], Appraisal.EXERCISE)
            .addTerm(sets[d][c], Appraisal.costOfSet(offer));
        if (task.sets(offer) > Appraisal.usualSets(task, offer)) {
          over(
              LinearExpr.newBuilder().add(sets[d][c]),
              Appraisal.usualSets(task, offer),
              Appraisal.SET_BEYOND);
        }
      }
      ofExercise.values().stream()
          .filter(literals -> literals.size() > 1)
          .forEach(model::addAtMostOne);
    }
  }

  private void pairs() {
    for (int d = 0; d < days; d++) {
      Map<Integer, List<Literal>> of = new TreeMap<>();
      for (int a = 0; a < candidates.size(); a++) {
        for (int b = a + 1; b < candidates.size(); b++) {
          Offer first = candidates.get(a);
          Offer second = candidates.get(b);
          Pairing.Saving saving = Pairing.Saving.of(first, second);
          int most = Math.min(task.sets(first), task.sets(second));
          if (!task.pairing().allows(first, second) || saving.seconds(most) <= 0) {
            continue;
          }
          BoolVar taken = model.newBoolVar("pair");
          IntVar rounds = model.newIntVar(0, most, "rounds");
          model.addImplication(taken, used[d][a]);
          model.addImplication(taken, used[d][b]);
          model.addEquality(sets[d][a], sets[d][b]).onlyEnforceIf(taken);
          model.addLessOrEqual(rounds, sets[d][a]);
          model.addLessOrEqual(rounds, LinearExpr.term(taken, most));
          of.computeIfAbsent(a, k -> new ArrayList<>()).add(taken);
          of.computeIfAbsent(b, k -> new ArrayList<>()).add(taken);
          pairs.add(new PairOf(d, a, b, taken, rounds, saving));
        }
      }
      of.values().forEach(model::addAtMostOne);
    }
  }

  private void time() {
    IntVar longest = model.newIntVar(-100, 100_000, "longest");
    points.addTerm(longest, 1);
    for (int d = 0; d < days; d++) {
      LinearExprBuilder seconds = LinearExpr.newBuilder().add(Appraisal.fixedS(task, d));
      for (int c = 0; c < candidates.size(); c++) {
        Offer offer = candidates.get(c);
        seconds
            .addTerm(used[d][c], Appraisal.onceS(task, d, offer))
            .addTerm(sets[d][c], Appraisal.perSetS(offer));
      }
      for (PairOf pair : pairs) {
        if (pair.day() == d) {
          seconds
              .addTerm(pair.rounds(), -pair.saving().perRound())
              .addTerm(pair.taken(), pair.saving().once());
        }
      }
      model.addLessOrEqual(seconds, 60L * task.frames().get(d).minutes());
      model.addLessOrEqual(seconds, LinearExpr.term(longest, Appraisal.LONGEST_S));
    }
  }

  /** A day at one station takes only what can be done there. */
  private void stations() {
    for (int d = 0; d < days; d++) {
      if (!task.frames().get(d).oneStation()) {
        continue;
      }
      List<Set<Equipment>> stations = candidates.stream().map(Offer::station).distinct().toList();
      BoolVar[] at = new BoolVar[stations.size()];
      for (int s = 0; s < at.length; s++) {
        at[s] = model.newBoolVar("at");
      }
      model.addExactlyOne(at);
      for (int c = 0; c < candidates.size(); c++) {
        List<Literal> allowed = new ArrayList<>();
        for (int s = 0; s < at.length; s++) {
          if (stations.get(s).containsAll(candidates.get(c).station())) {
            allowed.add(at[s]);
          }
        }
        allowed.add(used[d][c].not());
        model.addBoolOr(allowed.toArray(Literal[]::new));
      }
      for (Item item : task.pinned(d)) {
        Set<Equipment> station = task.offers().get(item.candidateId()).station();
        List<Literal> allowed = new ArrayList<>();
        for (int s = 0; s < at.length; s++) {
          if (stations.get(s).containsAll(station)) {
            allowed.add(at[s]);
          }
        }
        if (!allowed.isEmpty()) {
          model.addBoolOr(allowed.toArray(Literal[]::new));
        }
      }
    }
  }

  private void weekly() {
    Targets targets = task.targets();
    for (Region region : targets.asked()) {
      lack(
          week(region),
          Appraisal.hundredths(Required.entry(targets.least(), region)),
          Appraisal.SHORT * Required.entry(targets.weight(), region));
    }
    for (Region region : Region.values()) {
      over(week(region), Appraisal.hundredths(targets.most()), Appraisal.TOO_MANY);
    }
    functions(targets);
    if (targets.balance()) {
      balance();
    }
    timesAWeek();
    if (task.varied()) {
      varied();
    }
  }

  private void functions(Targets targets) {
    for (Function function : targets.functions().keySet()) {
      LinearExprBuilder has = LinearExpr.newBuilder();
      for (int d = 0; d < days; d++) {
        for (Item item : task.pinned(d)) {
          Offer offer = task.offers().get(item.candidateId());
          has.add(
              Targets.trains(offer, function, targets.least().keySet())
                  ? Appraisal.hardHundredths(item, Coverage.functionShare(offer, function, targets))
                  : 0);
        }
        for (int c = 0; c < candidates.size(); c++) {
          Offer offer = candidates.get(c);
          has.addTerm(
              sets[d][c],
              Targets.trains(offer, function, targets.least().keySet())
                  ? Appraisal.hundredths(Coverage.functionShare(offer, function, targets))
                  : 0);
        }
      }
      lack(has, Appraisal.hundredths(targets.functions().get(function)), Appraisal.FUNCTION_SHORT);
    }
  }

  /** Quads and hamstrings beside one another. */
  private void balance() {
    IntVar lack = model.newIntVar(0, 100_000, "lack");
    for (boolean frontLess : new boolean[] {true, false}) {
      LinearExprBuilder side = LinearExpr.newBuilder();
      RegionGroup less = frontLess ? RegionGroup.QUADS : RegionGroup.HAMSTRINGS;
      RegionGroup more = frontLess ? RegionGroup.HAMSTRINGS : RegionGroup.QUADS;
      less.regions().forEach(region -> addWeek(side, region, -10));
      more.regions().forEach(region -> addWeek(side, region, Appraisal.BALANCE_TENTHS));
      model.addLessOrEqual(side, LinearExpr.term(lack, 10L * Appraisal.REGIONS_OF_A_SIDE));
    }
    points.addTerm(lack, Appraisal.BALANCE_SHORT);
  }

  /** Every group that is asked for is trained on as many days as the task says. */
  private void timesAWeek() {
    for (Region region : task.groups().values()) {
      IntVar missing = model.newIntVar(0, task.timesAWeek(), "missing");
      LinearExprBuilder trained = LinearExpr.newBuilder().add(missing);
      for (int d = 0; d < days; d++) {
        BoolVar on = model.newBoolVar("trained");
        LinearExprBuilder effective = LinearExpr.newBuilder();
        addDay(effective, d, region, 1);
        model.addGreaterOrEqual(effective, LinearExpr.term(on, Appraisal.TRAINED));
        trained.add(on);
      }
      model.addGreaterOrEqual(trained, task.timesAWeek());
      points.addTerm(missing, Appraisal.DAY_SHORT);
    }
  }

  private void varied() {
    Map<String, LinearExprBuilder> daysOf = new TreeMap<>();
    Map<String, Integer> fixed = new TreeMap<>();
    for (int d = 0; d < days; d++) {
      task.pinned(d).stream()
          .map(item -> task.offers().get(item.candidateId()).exerciseId())
          .distinct()
          .forEach(text -> fixed.merge(text, 1, Integer::sum));
      for (int c = 0; c < candidates.size(); c++) {
        daysOf
            .computeIfAbsent(candidates.get(c).exerciseId(), key -> LinearExpr.newBuilder())
            .add(used[d][c]);
      }
    }
    fixed.forEach((text, n) -> daysOf.computeIfAbsent(text, key -> LinearExpr.newBuilder()).add(n));
    daysOf.values().forEach(builder -> over(builder, 1, Appraisal.EXERCISE_AGAIN));
  }

  private void daily() {
    Targets targets = task.targets();
    LinearExprBuilder back = LinearExpr.newBuilder();
    for (int d = 0; d < days; d++) {
      addCount(back, d, offer -> Appraisal.hundredths(offer.back()));
    }
    over(back, Appraisal.hundredths(Coverage.MOST_BACK_A_WEEK), Appraisal.BACK);
    for (int d = 0; d < days; d++) {
      int day = d;
      List<Offer> pinned =
          task.pinned(d).stream().map(item -> task.offers().get(item.candidateId())).toList();
      over(count(d, offer -> 1), Coverage.MOST_SETS, Appraisal.SESSION_SET);
      over(
          count(d, offer -> offer.trainsThigh() ? 1 : 0),
          Coverage.MOST_THIGH_SETS,
          Appraisal.PART_SET);
      over(
          count(d, offer -> offer.role().isCalf() ? 1 : 0),
          Coverage.MOST_CALF_SETS,
          Appraisal.PART_SET);
      over(
          count(d, offer -> Appraisal.hundredths(offer.back())),
          Appraisal.hundredths(Coverage.MOST_BACK),
          Appraisal.BACK);
      targets
          .asked()
          .forEach(
              region -> {
                LinearExprBuilder effective = LinearExpr.newBuilder();
                addDay(effective, day, region, 1);
                over(effective, Appraisal.hundredths(targets.mostADay()), Appraisal.TOO_MANY_A_DAY);
              });
      Map<String, LinearExprBuilder> families = new TreeMap<>();
      pinned.forEach(
          offer ->
              families.computeIfAbsent(offer.familyId(), key -> LinearExpr.newBuilder()).add(1));
      for (int c = 0; c < candidates.size(); c++) {
        families
            .computeIfAbsent(candidates.get(c).familyId(), key -> LinearExpr.newBuilder())
            .add(used[d][c]);
      }
      families.values().forEach(builder -> over(builder, 1, Appraisal.FAMILY_AGAIN));
    }
  }

  private LinearExprBuilder count(int day, ToIntFunction<Offer> each) {
    LinearExprBuilder sum = LinearExpr.newBuilder();
    addCount(sum, day, each);
    return sum;
  }

  private void addCount(LinearExprBuilder sum, int day, ToIntFunction<Offer> each) {
    task.pinned(day)
        .forEach(
            item ->
                sum.add(
                    (long) item.prescription().sets()
                        * each.applyAsInt(task.offers().get(item.candidateId()))));
    for (int c = 0; c < candidates.size(); c++) {
      sum.addTerm(sets[day][c], each.applyAsInt(candidates.get(c)));
    }
  }

  private LinearExprBuilder week(Region region) {
    LinearExprBuilder sum = LinearExpr.newBuilder();
    addWeek(sum, region, 1);
    return sum;
  }

  private void addWeek(LinearExprBuilder sum, Region region, int factor) {
    for (int d = 0; d < days; d++) {
      addDay(sum, d, region, factor);
    }
  }

  private void addDay(LinearExprBuilder sum, int day, Region region, int factor) {
    task.pinned(day)
        .forEach(
            item ->
                sum.add(
                    (long) factor
                        * Appraisal.hardHundredths(
                            item, task.offers().get(item.candidateId()).share(region))));
    for (int c = 0; c < candidates.size(); c++) {
      sum.addTerm(
          sets[day][c], (long) factor * Appraisal.hundredths(candidates.get(c).share(region)));
    }
  }

  private void lack(LinearExprBuilder has, int least, int price) {
    IntVar missing = model.newIntVar(0, least, "short");
    model.addGreaterOrEqual(has.add(missing), least);
    points.addTerm(missing, price);
  }

  private void over(LinearExprBuilder has, int most, int price) {
    IntVar excess = model.newIntVar(0, 100_000, "over");
    model.addLessOrEqual(has.addTerm(excess, -1), most);
    points.addTerm(excess, price);
  }
}
