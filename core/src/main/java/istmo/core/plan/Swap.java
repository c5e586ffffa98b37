package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Another exercise for the same job, when a machine is taken or something hurts.
 *
 * @param alike 1 for the same regions in the same shares, less the more that differs, aimed regions
 *     counting more
 * @param changes what is different, in words
 */
public record Swap(Offer offer, double alike, List<String> changes) {
  /** An aimed region counts so many times more for each step of its weight (judgement). */
  private static final double AIMED = 1;

  private static final double FUNCTION_LOST = 0.15;
  private static final double OTHER_ROLE = 0.05;

  /** How much a better place in the order counts beside being alike. */
  private static final double UTILITY = 0.2;

  private static final double TELLABLE = 0.2;
  private static final double SMALL_SHARE = 0.3;

  /** What an exercise mainly trains is told of even where it is not aimed at. */
  private static final double MAINLY = 0.7;

  /**
   * The nearest first.
   *
   * @param taken equipment that is not free
   * @param hurting joints that complain today: what works them is left out
   * @param without candidates that are in the session already
   */
  public static List<Swap> of(
      Offer now,
      Offers offers,
      Aim aim,
      Set<String> taken,
      Set<PainFlag> hurting,
      Collection<String> without,
      int count) {
    Equipment.check(taken);
    Map<String, Offer> ofExercise = new LinkedHashMap<>();
    offers.all().stream()
        .filter(o -> !o.exerciseId().equals(now.exerciseId()) && !without.contains(o.candidateId()))
        .filter(
            o ->
                Collections.disjoint(o.needs(), taken)
                    && Collections.disjoint(o.troubles(), hurting))
        .sorted(
            Comparator.comparingDouble((Offer o) -> -worth(now, o, aim))
                .thenComparing(Offer::candidateId))
        .forEach(o -> ofExercise.putIfAbsent(o.exerciseId(), o));
    return ofExercise.values().stream()
        .limit(count)
        .map(o -> new Swap(o, alike(now, o, aim), changes(now, o, aim)))
        .toList();
  }

  private static double worth(Offer a, Offer b, Aim aim) {
    return alike(a, b, aim) + UTILITY * b.utility();
  }

  private static double alike(Offer a, Offer b, Aim aim) {
    double apart = 0;
    double size = 1e-9;
    for (Region r : Regions.standard().all()) {
      double w = 1 + AIMED * aim.weights().getOrDefault(r.id(), 0);
      apart += w * Math.abs(a.share(r.id()) - b.share(r.id()));
      size += w * Math.max(a.share(r.id()), b.share(r.id()));
    }
    long lost =
        a.functions().stream()
            .filter(
                f ->
                    f.regions().stream().anyMatch(aim.weights()::containsKey)
                        && !b.functions().contains(f))
            .count();
    return Math.max(
        0, 1 - apart / size - FUNCTION_LOST * lost - (a.role() == b.role() ? 0 : OTHER_ROLE));
  }

  private static List<String> changes(Offer a, Offer b, Aim aim) {
    List<String> list = new ArrayList<>();
    for (Region r : Regions.standard().all()) {
      double before = a.share(r.id());
      double after = b.share(r.id());
      boolean counts =
          aim.weights().containsKey(r.id()) || aim.keepOut().contains(r.id()) || before > MAINLY;
      if (counts
          && Math.max(before, after) > SMALL_SHARE
          && Math.abs(after - before) > TELLABLE * Math.max(before, after)) {
        list.add(
            String.format(
                Locale.ROOT,
                "%s %s: %.0f instead of %.0f %% of the best here",
                after > before ? "more" : "less",
                r.coachName(),
                100 * after,
                100 * before));
      }
    }
    a.functions().stream()
        .filter(
            f ->
                f.regions().stream().anyMatch(aim.weights()::containsKey)
                    && !b.functions().contains(f))
        .sorted()
        .forEach(f -> list.add("leaves out: " + f.label()));
    if (Math.abs(a.back() - b.back()) > TELLABLE) {
      list.add(b.back() > a.back() ? "more load on the lower back" : "spares the lower back");
    }
    if (b.oneLeg() != a.oneLeg()) {
      list.add(b.oneLeg() ? "one leg at a time" : "both legs together");
    }
    double minutes = b.setUpMinutes() - a.setUpMinutes();
    if (Math.abs(minutes) >= 1) {
      list.add(
          String.format(
              Locale.ROOT,
              "%.0f min %s to set up",
              Math.abs(minutes),
              minutes > 0 ? "more" : "less"));
    }
    return list.isEmpty() ? List.of("no difference that the model can tell") : List.copyOf(list);
  }
}
