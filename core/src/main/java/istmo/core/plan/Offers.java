package istmo.core.plan;

import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Trainable;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Stage;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.RackHeights;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.LimiterWords;
import istmo.core.ranking.order.Order;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What can be put into a plan: what an order offers, and exercises by word. What is left out
 * (cautions, gym, reach) is not on offer, and says why when it is asked for.
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

  private record LeftOut(String name, String reason) {}

  private final Map<String, Offer> byId = new LinkedHashMap<>();
  private final Map<String, Offer> byWord = new LinkedHashMap<>();
  private final Map<String, Evaluation.Computed> evaluations = new HashMap<>();
  private final Map<String, LeftOut> leftOut = new HashMap<>();

  /**
   * What an order offers, and what its brief lets in of exercises by word.
   *
   * @param brief the one that was ordered
   * @param exercises by word: those of the catalogue and the coach's own
   * @param takenOut what the coach has taken out, which earlier plans may name
   */
  public Offers(
      Order order, Brief brief, Collection<ByWord> exercises, Collection<Trainable> takenOut) {
    Profile profile = brief.profile();
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
    takenOut.forEach(t -> leaveOut(t.id(), t.name(), "You have taken it out."));
    order.excluded().forEach(x -> leaveOut(x.candidateId(), x.name(), x.reason()));
    for (ByWord x : exercises) {
      Optional<String> reason = whyNot(brief, x);
      if (reason.isPresent()) {
        leaveOut(x.candidateId(), x.name(), reason.get());
      } else {
        byWord.put(x.candidateId(), offer(x, profile));
      }
    }
  }

  private void leaveOut(String candidateId, String name, String reason) {
    leftOut.put(candidateId, new LeftOut(name, reason));
  }

  private static Optional<String> whyNot(Brief brief, ByWord x) {
    List<String> missing = brief.equipment().missing(x.needs());
    return Admission.refusal(brief.cautions(), x)
        .map(Cautions.Refusal::reason)
        .or(() -> brief.experience().out(x.candidateId()))
        .or(
            () ->
                missing.isEmpty()
                    ? Optional.empty()
                    : Optional.of("Not here: " + String.join(", ", missing) + "."));
  }

  /** Offers that are at hand already. */
  Offers(Collection<Offer> offers) {
    offers.forEach(o -> byId.put(o.candidateId(), o));
  }

  /** All that is computed, in the order's order. */
  public Collection<Offer> all() {
    return byId.values();
  }

  /** Exercises by word: a coach may choose them, nothing proposes them. */
  public Collection<Offer> byWord() {
    return byWord.values();
  }

  /** The offer of this candidate, computed or by word; empty where it is not offered. */
  public Optional<Offer> find(String candidateId) {
    return Optional.ofNullable(byId.get(candidateId))
        .or(() -> Optional.ofNullable(byWord.get(candidateId)));
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

  /** Name of what is on offer or left out; the id of what is not known here. */
  public String name(String candidateId) {
    return find(candidateId)
        .map(Offer::name)
        .or(() -> Optional.ofNullable(leftOut.get(candidateId)).map(LeftOut::name))
        .orElse(candidateId);
  }

  /** Why a candidate is not on offer. */
  public String whyNot(String candidateId) {
    return Optional.ofNullable(leftOut.get(candidateId))
        .map(x -> x.name() + " is left out. " + x.reason())
        .orElseGet(() -> "\"" + candidateId + "\" is not known here");
  }

  /** Its cues; where its bar leaves hooks, first how high they go for this client. */
  private static List<String> cues(Exercise x, Analysis a) {
    return Stream.concat(
            RackHeights.of(x.needs(), a).map(RackHeights::words).stream(), x.cues().stream())
        .toList();
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
        liking(x, profile),
        x.family().part(setup) > 0.99,
        Math.min(1, Function.most(a, p -> p.backActivation())),
        oneLeg,
        x.needs(),
        station(x),
        x.setUpMinutes(),
        loadKind(x),
        a.workingKg(),
        Prescriber.usual(x, role, oneLeg, profile.trainingAge()),
        x.exclusions().keySet(),
        limiters,
        e.load(),
        computed.reach().changes(),
        cues(x, a),
        x.stopSigns(),
        false);
  }

  private static Offer offer(ByWord x, Profile profile) {
    Map<String, Double> shares = new LinkedHashMap<>();
    x.mainly().forEach(r -> shares.put(r, x.share(r)));
    x.partly().forEach(r -> shares.put(r, x.share(r)));
    Set<Function> functions = EnumSet.noneOf(Function.class);
    for (Function f : Function.values()) {
      if (f.trainedBy(x)) {
        functions.add(f);
      }
    }
    Role role = Role.of(x);
    return new Offer(
        x.candidateId(),
        x.id(),
        x.id(),
        x.name(),
        Map.of(),
        shares,
        functions,
        role,
        0,
        liking(x, profile),
        true,
        x.back().share(),
        x.oneLeg(),
        x.needs(),
        station(x),
        x.setUpMinutes(),
        loadKind(x),
        0,
        Prescriber.usual(x, role, x.oneLeg(), profile.trainingAge()),
        x.exclusions().keySet(),
        Map.of(),
        Optional.empty(),
        List.of(),
        x.cues(),
        x.stopSigns(),
        true);
  }

  private static int liking(AnyExercise x, Profile profile) {
    return profile.likes().contains(x.id()) ? 1 : profile.dislikes().contains(x.id()) ? -1 : 0;
  }

  private static Set<String> station(AnyExercise x) {
    Set<String> station = new TreeSet<>(x.station());
    station.removeAll(HAND_WEIGHTS);
    return station;
  }

  private static LoadKind loadKind(AnyExercise x) {
    return x.needs().stream()
        .map(id -> Equipment.get(id).load())
        .filter(k -> k != LoadKind.NONE)
        .min(Comparator.naturalOrder())
        .orElse(LoadKind.NONE);
  }
}
