package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Another exercise for the same job, when a machine is taken or something hurts.
 *
 * @param alike 1 for the same regions in the same shares, less the more that differs, aimed regions
 *     counting more
 * @param changes what is different, empty where the model can tell nothing; {@code words.PlanWords}
 *     says it
 */
public record Swap(Offer offer, double alike, List<Change> changes) {
  /** What another exercise in the place of one changes. */
  public sealed interface Change {}

  /** A region gets more or less: shares of the best here, after and before. */
  public record OtherShare(Region region, double after, double before) implements Change {}

  /** A function that is aimed at is left out. */
  public record LeavesOut(Function function) implements Change {}

  /** The lower back works more, or else less. */
  public record OtherBack(boolean more) implements Change {}

  /** One leg at a time, or else both together. */
  public record OtherLegs(boolean oneLeg) implements Change {}

  /** Minutes more to set up; fewer where negative. */
  public record OtherTime(double minutes) implements Change {}

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
      Set<Equipment> taken,
      Set<PainFlag> hurting,
      Collection<CandidateId> without,
      int count) {
    Map<String, Offer> ofExercise = new LinkedHashMap<>();
    offers.all().stream()
        .filter(
            offer ->
                !offer.exerciseId().equals(now.exerciseId())
                    && !without.contains(offer.candidateId()))
        .filter(
            offer ->
                Collections.disjoint(offer.needs(), taken)
                    && Collections.disjoint(offer.troubles(), hurting))
        .sorted(
            Comparator.comparingDouble((Offer offer) -> -worth(now, offer, aim))
                .thenComparing(Offer::candidateId))
        .forEach(offer -> ofExercise.putIfAbsent(offer.exerciseId(), offer));
    return ofExercise.values().stream()
        .limit(count)
        .map(offer -> new Swap(offer, alike(now, offer, aim), changes(now, offer, aim)))
        .toList();
  }

  private static double worth(Offer offer, Offer otherOffer, Aim aim) {
    return alike(offer, otherOffer, aim) + UTILITY * otherOffer.utility();
  }

  private static double alike(Offer offer, Offer otherOffer, Aim aim) {
    double apart = 0;
    double size = 1e-9;
    for (Region region : Region.values()) {
      double w = 1 + AIMED * aim.weights().getOrDefault(region, 0);
      apart += w * Math.abs(offer.share(region) - otherOffer.share(region));
      size += w * Math.max(offer.share(region), otherOffer.share(region));
    }
    long lost =
        offer.functions().stream()
            .filter(
                function ->
                    function.regions().stream().anyMatch(aim.weights()::containsKey)
                        && !otherOffer.functions().contains(function))
            .count();
    return Math.max(
        0,
        1
            - apart / size
            - FUNCTION_LOST * lost
            - (offer.role() == otherOffer.role() ? 0 : OTHER_ROLE));
  }

  private static List<Change> changes(Offer offer, Offer otherOffer, Aim aim) {
    List<Change> list = new ArrayList<>();
    for (Region region : Region.values()) {
      double before = offer.share(region);
      double after = otherOffer.share(region);
      boolean counts =
          aim.weights().containsKey(region) || aim.keepOut().contains(region) || before > MAINLY;
      if (counts
          && Math.max(before, after) > SMALL_SHARE
          && Math.abs(after - before) > TELLABLE * Math.max(before, after)) {
        list.add(new OtherShare(region, after, before));
      }
    }
    offer.functions().stream()
        .filter(
            function ->
                function.regions().stream().anyMatch(aim.weights()::containsKey)
                    && !otherOffer.functions().contains(function))
        .sorted()
        .forEach(function -> list.add(new LeavesOut(function)));
    if (Math.abs(offer.back() - otherOffer.back()) > TELLABLE) {
      list.add(new OtherBack(otherOffer.back() > offer.back()));
    }
    if (otherOffer.oneLeg() != offer.oneLeg()) {
      list.add(new OtherLegs(otherOffer.oneLeg()));
    }
    double minutes = otherOffer.setUpMinutes() - offer.setUpMinutes();
    if (Math.abs(minutes) >= 1) {
      list.add(new OtherTime(minutes));
    }
    return List.copyOf(list);
  }
}
