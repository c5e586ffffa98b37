package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.quantity.Fact;
import istmo.core.ranking.brief.Aim;
import istmo.core.training.LoadEstimate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A candidate as the planner sees it: what one hard set of it gives this client here, and what it
 * costs.
 *
 * @param shares by region: its stimulus beside the best that this client can get here, 0 to 1
 * @param utility its value in the order, about 0 to 1
 * @param liking 1 where the client likes it, -1 where not
 * @param whole whether it goes through the whole repetition
 * @param back share of the lower back's strength that it takes at a working load, 0 to 1
 * @param oneLeg whether one leg works at a time
 * @param station equipment that stays where it is; empty where nothing ties it to a place
 * @param setUpMinutes to set up and load (common practice)
 * @param loadKind how its load is made
 * @param workingKg load at which it was computed, kg
 * @param usual how it is usually prescribed for this client
 * @param troubles joints that it works when they are sore
 * @param limiters groups, or others, that give out first, with their shares
 * @param changes what of the usual set-up was changed for this client
 * @param byWord whether somebody says what it trains, and nothing is computed
 */
public record Offer(
    CandidateId candidateId,
    String exerciseId,
    String familyId,
    String name,
    Map<String, Double> setup,
    RegionValues shares,
    Set<Function> functions,
    Role role,
    double utility,
    int liking,
    boolean whole,
    double back,
    boolean oneLeg,
    Set<Equipment> needs,
    Set<Equipment> station,
    double setUpMinutes,
    LoadKind loadKind,
    double workingKg,
    Prescription usual,
    Set<PainFlag> troubles,
    Map<String, Double> limiters,
    Optional<LoadEstimate> load,
    List<Fact> changes,
    List<Fact> cues,
    List<String> stopSigns,
    boolean byWord) {
  /**
   * A region is mainly trained from this share of what the most trained one gets (judgement), and
   * no more than so many are.
   */
  private static final double MAINLY = 0.7;

  private static final int MOST_MAINLY = 6;

  public Offer {
    functions = Set.copyOf(functions);
    station = Set.copyOf(station);
    limiters = Map.copyOf(limiters);
  }

  /** Share of the best here from which a set serves an aimed region (judgement). */
  private static final double SERVES = 0.5;

  /** Whether a set gives one of the aimed regions at least half of the best that there is here. */
  public boolean serves(Aim aim) {
    return aim.weights().keySet().stream().anyMatch(region -> share(region) >= SERVES);
  }

  /** What a set gives a region beside the best here, 0 to 1. */
  public double share(Region region) {
    return shares.get(region);
  }

  /**
   * What it mainly trains: regions whose share is near its greatest, the greatest first. What is
   * held is a cost where it is not aimed at: who feels a hinge in the lower back alone does it
   * wrong.
   */
  public List<Region> mainly(Aim aim) {
    double most = shares.stream().max().orElse(0);
    return shares.asMap().entrySet().stream()
        .filter(entry -> most > 0 && entry.getValue() >= MAINLY * most)
        .filter(entry -> !entry.getKey().held() || aim.weights().containsKey(entry.getKey()))
        .sorted(
            Map.Entry.<Region, Double>comparingByValue()
                .reversed()
                .thenComparing(Map.Entry.comparingByKey()))
        .map(Map.Entry::getKey)
        .limit(MOST_MAINLY)
        .toList();
  }

  /** Whether it trains the thighs or the hips: all but calves and shins. */
  public boolean trainsThigh() {
    return !role.isCalf() && role != Role.SHIN;
  }

  /**
   * The same exercise in another set-up than the usual one, with the load that is known for that.
   * What a set gives stays the usual set-up's: it was not computed anew.
   */
  public Offer in(Map<String, Double> otherSetup, Optional<LoadEstimate> otherLoad) {
    return otherSetup.equals(setup)
        ? this
        : new Offer(
            candidateId,
            exerciseId,
            familyId,
            name,
            otherSetup,
            shares,
            functions,
            role,
            utility,
            liking,
            whole,
            back,
            oneLeg,
            needs,
            station,
            setUpMinutes,
            loadKind,
            workingKg,
            usual,
            troubles,
            limiters,
            otherLoad,
            changes,
            cues,
            stopSigns,
            byWord);
  }
}
