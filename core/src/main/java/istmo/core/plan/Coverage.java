package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a week brings beside what it should: effective sets of every region (one hard set counts by
 * its stimulus beside the best here), functions, and front and back of the thigh.
 *
 * @param sets effective sets a week of each region
 * @param functions effective sets of every function that the aim asks for
 * @param front and back of the thigh: mean effective sets over their regions
 * @param days what each session holds
 * @param findings what is short or too much; {@code words.PlanWords} says it
 */
public record Coverage(
    RegionValues sets,
    Map<Function, Double> functions,
    double front,
    double back,
    List<OfDay> days,
    List<Finding> findings) {
  /** What is short or too much. */
  public sealed interface Finding extends Fact {}

  /** A region gets fewer effective sets a week than are asked. */
  public record RegionShort(Region region, double has, double asked) implements Finding {}

  /** A function gets fewer effective sets a week than are asked. */
  public record FunctionShort(Function function, double has, double asked) implements Finding {}

  /** Front and back of the thigh are far apart: effective sets a week of both. */
  public record ThighUneven(double front, double back) implements Finding {}

  /** A region gets more effective sets a week than are worth it. */
  public record RegionTooMuch(Region region, double has, double most) implements Finding {}

  /** The week asks more of the lower back than is enough, in sets at its limit. */
  public record WeekLoadsBack(double has, double most) implements Finding {}

  /**
   * A session has more sets than a leg day holds.
   *
   * @param session from 1
   */
  public record SessionTooLong(int session, int has, int most) implements Finding {}

  /**
   * A session asks more of the lower back than is enough, in sets at its limit.
   *
   * @param session from 1
   */
  public record SessionLoadsBack(int session, double has, double most) implements Finding {}

  /**
   * A session gives a region more effective sets at once than add anything.
   *
   * @param session from 1
   */
  public record RegionTooMuchAtOnce(int session, Region region, double has, double most)
      implements Finding {}

  /**
   * Sets of a leg day at most: all, of the thighs, of the calves (common practice: about 20, 12 and
   * 6).
   */
  static final int MOST_SETS = 20;

  static final int MOST_THIGH_SETS = 14;
  static final int MOST_CALF_SETS = 8;

  /**
   * Sets of a session, each counted by the share of the lower back's strength that it takes, that
   * are enough for one back (judgement).
   */
  static final double MOST_BACK = 6;

  static final double MOST_BACK_A_WEEK = 9;

  private static final double TOLERANCE = 0.25;

  /** Effective sets a week that are much for a region for which nothing is asked (judgement). */
  private static final double MUCH_UNASKED = 6;

  /**
   * What one session gives.
   *
   * @param effective sets of each region
   * @param back sets counted by the share of the lower back's strength that they take
   */
  public record OfDay(int sets, int thighSets, int calfSets, double back, RegionValues effective) {}

  /**
   * How much of what is asked for a region is there, 0 to 1; where nothing is asked, beside what
   * would be much.
   *
   * @param least sets asked a week by region
   */
  public double filled(Region region, Map<Region, Double> least) {
    double much =
        Math.max(MUCH_UNASKED, least.values().stream().mapToDouble(v -> v).max().orElse(0));
    double asked = Math.max(1, least.getOrDefault(region, much));
    return Math.min(1, sets.get(region) / asked);
  }

  /** What a week gives, beside what is asked. */
  public static Coverage of(Week week, Offers offers, Targets targets) {
    RegionValues sets = RegionValues.zero();
    Map<Function, Double> functions = new EnumMap<>(Function.class);
    targets.functions().keySet().forEach(function -> functions.put(function, 0.0));
    List<OfDay> days = new ArrayList<>();
    for (Day day : week.days()) {
      RegionValues effective = RegionValues.zero();
      int thigh = 0;
      int calf = 0;
      int all = 0;
      double back = 0;
      for (Item item : day.items()) {
        if (offers.find(item.candidateId()).isEmpty()) {
          continue;
        }
        Offer offer = offers.get(item.candidateId());
        double hard = item.prescription().hardSets();
        effective = effective.plus(hard, offer.shares());
        targets.functions().keySet().stream()
            .filter(function -> Targets.trains(offer, function, targets.least().keySet()))
            .forEach(
                function ->
                    functions.merge(
                        function, hard * functionShare(offer, function, targets), Double::sum));
        all += item.prescription().sets();
        thigh += offer.trainsThigh() ? item.prescription().sets() : 0;
        calf += offer.role().isCalf() ? item.prescription().sets() : 0;
        back += item.prescription().sets() * offer.back();
      }
      sets = sets.plus(1, effective);
      days.add(new OfDay(all, thigh, calf, back, effective));
    }
    double front = sets.mean(RegionGroup.QUADS);
    double behind = sets.mean(RegionGroup.HAMSTRINGS);
    return new Coverage(
        sets,
        functions,
        front,
        behind,
        List.copyOf(days),
        findings(sets, functions, front, behind, days, targets));
  }

  /** Best share among the aimed regions that a function serves. */
  static double functionShare(Offer offer, Function function, Targets targets) {
    return function.regions().stream()
        .filter(targets.least()::containsKey)
        .mapToDouble(offer::share)
        .max()
        .orElse(0);
  }

  private static List<Finding> findings(
      RegionValues sets,
      Map<Function, Double> functions,
      double front,
      double back,
      List<OfDay> days,
      Targets targets) {
    List<Finding> list = new ArrayList<>();
    for (Region region : targets.asked()) {
      double has = sets.get(region);
      double asked = Required.entry(targets.least(), region);
      if (has < asked - TOLERANCE) {
        list.add(new RegionShort(region, has, asked));
      }
    }
    functions.forEach(
        (function, has) -> {
          double asked = Required.entry(targets.functions(), function);
          if (has < asked - TOLERANCE) {
            list.add(new FunctionShort(function, has, asked));
          }
        });
    if (targets.balance()
        && Math.min(front, back) < Targets.LEAST_BALANCE * Math.max(front, back) - 1e-9) {
      list.add(new ThighUneven(front, back));
    }
    for (Region region : Region.values()) {
      double has = sets.get(region);
      if (has > targets.most() + TOLERANCE) {
        list.add(new RegionTooMuch(region, has, targets.most()));
      }
    }
    double all = days.stream().mapToDouble(OfDay::back).sum();
    if (all > MOST_BACK_A_WEEK + TOLERANCE) {
      list.add(new WeekLoadsBack(all, MOST_BACK_A_WEEK));
    }
    for (int d = 0; d < days.size(); d++) {
      list.addAll(ofSession(d + 1, days.get(d), targets));
    }
    return List.copyOf(list);
  }

  private static List<Finding> ofSession(int session, OfDay day, Targets targets) {
    List<Finding> list = new ArrayList<>();
    if (day.sets() > MOST_SETS) {
      list.add(new SessionTooLong(session, day.sets(), MOST_SETS));
    }
    if (day.back() > MOST_BACK + TOLERANCE) {
      list.add(new SessionLoadsBack(session, day.back(), MOST_BACK));
    }
    Arrays.stream(Region.values())
        .filter(
            region ->
                day.effective().get(region) > targets.mostADay() + TOLERANCE
                    && targets.least().containsKey(region))
        .findFirst()
        .ifPresent(
            region ->
                list.add(
                    new RegionTooMuchAtOnce(
                        session, region, day.effective().get(region), targets.mostADay())));
    return list;
  }
}
