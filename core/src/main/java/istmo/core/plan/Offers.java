package istmo.core.plan;

import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Profile;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Stage;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.mechanics.Analysis;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.LimiterWords;
import istmo.core.ranking.order.Order;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What an order offers to a plan. What the order leaves out (cautions, gym, reach) is not on offer,
 * and says why when it is asked for.
 */
public final class Offers {
  /** Carried to where one trains, so that they tie an exercise to no place. */
  private static final Set<String> HAND_WEIGHTS =
      Set.of("dumbbells", "kettlebell", "ankle-weights");

  /**
   * Stimulus of a region from which the best that is here counts as a whole effective set; where
   * the best gives less, it counts as its share of this (judgement).
   */
  private static final double FULL_SHARE_FROM = 0.5;

  private final Map<String, Offer> byId = new LinkedHashMap<>();
  private final Map<String, Evaluation.Computed> evaluations = new HashMap<>();
  private final Map<String, Order.Excluded> excluded = new HashMap<>();

  /** What an order offers to a plan, for a client's profile. */
  public Offers(Order order, Profile profile) {
    RegionValues best =
        RegionValues.of(
            r ->
                Math.max(
                    FULL_SHARE_FROM,
                    order.all().stream().mapToDouble(e -> e.stimulus().get(r)).max().orElse(0)));
    order
        .all()
        .forEach(
            e -> {
              byId.put(e.ranked().id(), offer(e, best, profile));
              evaluations.put(e.ranked().id(), e.evaluation());
            });
    order.excluded().forEach(x -> excluded.put(x.candidateId(), x));
  }

  /** Offers that are at hand already. */
  Offers(Collection<Offer> offers) {
    offers.forEach(o -> byId.put(o.candidateId(), o));
  }

  /** All, in the order's order. */
  public Collection<Offer> all() {
    return byId.values();
  }

  /** The offer of this candidate; empty where it is not offered. */
  public Optional<Offer> find(String candidateId) {
    return Optional.ofNullable(byId.get(candidateId));
  }

  /** The offer, or {@link InvalidInput} on field "candidateId" that says why there is none. */
  public Offer get(String candidateId) {
    return find(candidateId)
        .orElseThrow(() -> new InvalidInput("candidateId", whyNot(candidateId)));
  }

  /**
   * The client at the lengthened end of an exercise on offer, from the side and from above; empty
   * for offers that were not computed.
   */
  public Optional<Figure> figure(String candidateId, Body body) {
    return Optional.ofNullable(evaluations.get(candidateId))
        .map(
            e -> {
              Posture low = e.analysis().points().get(e.analysis().points().size() - 1).posture();
              return new Figure(
                  Stage.side(body, low, e.analysis().workingKg()), Stage.plan(body, low));
            });
  }

  /** Side view and plan of a candidate on this body. */
  public record Figure(Drawing side, Drawing plan) {}

  /** Why a candidate is not on offer. */
  public String whyNot(String candidateId) {
    Order.Excluded x = excluded.get(candidateId);
    return x == null
        ? "\"" + candidateId + "\" is not known here"
        : x.name() + " is left out. " + x.reason();
  }

  private static Offer offer(Order.Entry e, RegionValues best, Profile profile) {
    Evaluation.Computed computed = e.evaluation();
    Candidate c = computed.candidate();
    Exercise x = Catalogue.standard().exerciseOf(c);
    Analysis a = computed.analysis();
    Setup setup = computed.reach().setup();
    RegionValues shares =
        RegionValues.of(r -> best.get(r) > 0 ? e.stimulus().get(r) / best.get(r) : 0);
    Set<Function> functions = EnumSet.noneOf(Function.class);
    for (Function f : Function.values()) {
      if (f.trainedBy(a)) {
        functions.add(f);
      }
    }
    Role role = Role.of(x, a, e.stimulus());
    boolean oneLeg = x.family().legs(setup) == 1;
    Set<String> station = new TreeSet<>(x.station());
    station.removeAll(HAND_WEIGHTS);
    LoadKind kind =
        x.needs().stream()
            .map(id -> Equipment.get(id).load())
            .filter(k -> k != LoadKind.NONE)
            .min(Comparator.naturalOrder())
            .orElse(LoadKind.NONE);
    Map<String, Double> limiters = new LinkedHashMap<>();
    LimiterWords.limitersByGroup(a.set().gaveOut())
        .forEach(l -> limiters.put(l.getKey(), l.getValue()));
    return new Offer(
        c.id(),
        c.exerciseId(),
        x.family().id(),
        c.name(),
        setup.values(),
        shares.asMap(),
        functions,
        role,
        e.ranked().utility(),
        profile.likes().contains(x.id()) ? 1 : profile.dislikes().contains(x.id()) ? -1 : 0,
        x.family().part(setup) > 0.99,
        Math.min(1, Function.most(a, p -> p.backActivation())),
        oneLeg,
        x.needs(),
        station,
        x.setUpMinutes(),
        kind,
        a.workingKg(),
        Prescriber.usual(x, role, oneLeg, profile.trainingAge()),
        x.exclusions().keySet(),
        limiters,
        e.load(),
        computed.reach().changes(),
        x.cues(),
        x.stopSigns());
  }
}
