package istmo.core.plan;

import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Exercise;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Stage;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.mechanics.Analysis;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import istmo.core.quantity.NotPossible;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Limiters;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderFact;
import istmo.core.training.RackHeights;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What can be put into a plan: what an order offers, and exercises by word. What is left out
 * (cautions, gym, reach) is not on offer, and says why when it is asked for.
 */
public final class Offers {
  /** Carried to where one trains, so that they tie an exercise to no place. */
  private static final Set<Equipment> HAND_WEIGHTS =
      Set.of(Equipment.DUMBBELLS, Equipment.KETTLEBELL, Equipment.ANKLE_WEIGHTS);

  /** A range of repetitions with too light a weight begins so many below its end (judgement). */
  private static final int LESS_REPETITIONS = 5;

  /**
   * Stimulus of a region from which the best that is here counts as a whole effective set; where
   * the best gives less, it counts as its share of this (judgement).
   */
  private static final double FULL_SHARE_FROM = 0.5;

  /** A set-up is easier where it carries so many times the load (judgement). */
  private static final double EASIER = 1.1;

  /** It is left out, and why. */
  public record LeftOut(String name, Fact reason) implements Fact {}

  /** What earlier plans may name and no list has any more, and why. */
  public record Gone(CandidateId candidateId, String name, Fact why) {}

  /** No such candidate is known. */
  public record NotKnown(CandidateId candidateId) implements Fact {}

  /** The lengthened end: all that is kept of the mechanics, which would take much more room. */
  private record Low(Posture posture, double workingKg) {
    static Low of(Analysis analysis) {
      return new Low(
          analysis.points().get(analysis.points().size() - 1).posture(), analysis.workingKg());
    }
  }

  private final Map<CandidateId, Offer> byId = new LinkedHashMap<>();
  private final Map<CandidateId, Offer> byWord = new LinkedHashMap<>();
  private final Map<CandidateId, Low> lows = new HashMap<>();
  private final Map<CandidateId, LeftOut> leftOut = new HashMap<>();

  /**
   * What an order offers, and what its brief lets in of exercises by word.
   *
   * @param brief the one that was ordered
   * @param exercises by word: those of the catalogue and the coach's own
   * @param gone what earlier plans may name
   */
  public Offers(Order order, Brief brief, Collection<ByWord> exercises, Collection<Gone> gone) {
    Profile profile = brief.profile();
    RegionValues best =
        RegionValues.of(
            region ->
                Math.max(
                    FULL_SHARE_FROM,
                    order.all().stream()
                        .mapToDouble(entry -> entry.stimulus().get(region))
                        .max()
                        .orElse(0)));
    order
        .all()
        .forEach(
            entry -> {
              byId.put(entry.id(), offer(entry, best, profile));
              lows.put(entry.id(), Low.of(entry.evaluation().analysis()));
            });
    gone.forEach(each -> leaveOut(each.candidateId(), each.name(), each.why()));
    order
        .excluded()
        .forEach(excluded -> leaveOut(excluded.candidateId(), excluded.name(), excluded.reason()));
    for (ByWord exercise : exercises) {
      Optional<Fact> reason = whyNot(brief, exercise);
      if (reason.isPresent()) {
        leaveOut(exercise.candidateId(), exercise.name(), reason.get());
      } else {
        byWord.put(exercise.candidateId(), offer(exercise, profile));
      }
    }
  }

  private void leaveOut(CandidateId candidateId, String name, Fact reason) {
    leftOut.put(candidateId, new LeftOut(name, reason));
  }

  private static Optional<Fact> whyNot(Brief brief, ByWord byWord) {
    Set<Equipment> missing = brief.equipment().missing(byWord.needs());
    return Admission.refusal(brief.cautions(), byWord)
        .<Fact>map(Cautions.Refusal::why)
        .or(() -> brief.experience().out(byWord.candidateId()))
        .or(
            () ->
                missing.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new OrderFact.NotHere(false, Equipment.names(missing))));
  }

  /** Offers that are at hand already. */
  Offers(Collection<Offer> offers) {
    offers.forEach(offer -> byId.put(offer.candidateId(), offer));
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
  public Optional<Offer> find(CandidateId candidateId) {
    return Optional.ofNullable(byId.get(candidateId))
        .or(() -> Optional.ofNullable(byWord.get(candidateId)));
  }

  /**
   * Other set-ups of the same exercise that carry clearly more for as many repetitions, so that a
   * set can go on in them at the same load; the nearest first. None for what has no load, or is
   * told by word.
   */
  public List<Offer> easier(Offer than) {
    return byId.values().stream()
        .filter(
            offer ->
                offer.exerciseId().equals(than.exerciseId())
                    && offer.loadKind() == than.loadKind()
                    && than.workingKg() > 0
                    && offer.workingKg() >= EASIER * than.workingKg())
        .sorted(Comparator.comparingDouble(Offer::workingKg))
        .toList();
  }

  /** The offer, or {@link InvalidInput} on field "candidateId" that says why there is none. */
  public Offer get(CandidateId candidateId) {
    return find(candidateId).orElseThrow(() -> new NotPossible("candidateId", whyNot(candidateId)));
  }

  /**
   * The client at the lengthened end of an exercise on offer, from the side and from above; empty
   * for offers that were not computed.
   */
  public Optional<Figure> figure(CandidateId candidateId, Body body) {
    return Optional.ofNullable(lows.get(candidateId))
        .map(
            low ->
                new Figure(
                    Stage.side(body, low.posture(), low.workingKg()),
                    Stage.plan(body, low.posture())));
  }

  /** Side view and plan of a candidate on this body. */
  public record Figure(Drawing side, Drawing plan) {}

  /** Name of what is on offer or left out; the id of what is not known here. */
  public String name(CandidateId candidateId) {
    return find(candidateId)
        .map(Offer::name)
        .or(() -> Optional.ofNullable(leftOut.get(candidateId)).map(LeftOut::name))
        .orElse(candidateId.text());
  }

  /** Why a candidate is not on offer. */
  public Fact whyNot(CandidateId candidateId) {
    LeftOut out = leftOut.get(candidateId);
    return out != null ? out : new NotKnown(candidateId);
  }

  /** Its cues; where its bar leaves hooks, first how high they go for this client. */
  private static List<Fact> cues(Candidate candidate, Analysis analysis) {
    return Stream.concat(
            RackHeights.of(candidate, analysis).stream(), written(candidate.exercise().cues()))
        .toList();
  }

  private static Stream<Fact> written(List<String> sentences) {
    return sentences.stream().map(Fact.Written::new);
  }

  private static Offer offer(Order.Entry entry, RegionValues best, Profile profile) {
    Evaluation.Computed computed = entry.evaluation();
    Candidate candidate = computed.candidate();
    Exercise exercise = candidate.exercise();
    Analysis analysis = computed.analysis();
    Setup setup = computed.reach().setup();
    RegionValues shares =
        RegionValues.of(
            region -> best.get(region) > 0 ? entry.stimulus().get(region) / best.get(region) : 0);
    Set<Function> functions = EnumSet.noneOf(Function.class);
    for (Function function : Function.values()) {
      if (function.trainedBy(analysis)) {
        functions.add(function);
      }
    }
    Role role = Role.of(candidate, analysis, entry.stimulus());
    boolean oneLeg = exercise.family().legs(setup) == 1;
    Map<String, Double> limiters = new LinkedHashMap<>();
    Limiters.byGroup(analysis.set().gaveOut())
        .forEach(limiter -> limiters.put(limiter.group(), limiter.share()));
    return new Offer(
        candidate.id(),
        candidate.exerciseId(),
        exercise.family().id(),
        candidate.name(),
        setup.values(),
        shares,
        functions,
        role,
        entry.ranked().utility(),
        liking(exercise, profile),
        exercise.family().part(setup) > 0.99,
        Math.min(1, Function.most(analysis, point -> point.backActivation())),
        oneLeg,
        candidate.needs(),
        station(candidate.needs()),
        exercise.setUpMinutes(),
        loadKind(candidate.needs()),
        analysis.workingKg(),
        withWhatIsHere(
            Prescriber.usual(exercise, role, oneLeg, profile.trainingAge()), computed.reach()),
        exercise.exclusions().keySet(),
        limiters,
        entry.load(),
        computed.reach().changes(),
        cues(candidate, analysis),
        exercise.stopSigns(),
        false);
  }

  /** More repetitions where there is nothing heavier. */
  private static Prescription withWhatIsHere(Prescription usual, Reach reach) {
    return reach.changes().stream()
        .filter(UsualSet.NothingHeavier.class::isInstance)
        .map(UsualSet.NothingHeavier.class::cast)
        .findFirst()
        .map(
            light ->
                usual.with(
                    usual.sets(),
                    Math.max(usual.repetitionsLow(), light.repetitions() - LESS_REPETITIONS),
                    Math.max(usual.repetitionsHigh(), light.repetitions()),
                    usual.reserve()))
        .orElse(usual);
  }

  private static Offer offer(ByWord byWord, Profile profile) {
    RegionValues shares = RegionValues.of(region -> byWord.share(region));
    Set<Function> functions = EnumSet.noneOf(Function.class);
    for (Function function : Function.values()) {
      if (function.trainedBy(byWord)) {
        functions.add(function);
      }
    }
    Role role = Role.of(byWord);
    return new Offer(
        byWord.candidateId(),
        byWord.id(),
        byWord.id(),
        byWord.name(),
        Map.of(),
        shares,
        functions,
        role,
        0,
        liking(byWord, profile),
        true,
        byWord.back().share(),
        byWord.oneLeg(),
        byWord.needs(),
        station(byWord.needs()),
        byWord.setUpMinutes(),
        loadKind(byWord.needs()),
        0,
        Prescriber.usual(byWord, role, byWord.oneLeg(), profile.trainingAge()),
        byWord.exclusions().keySet(),
        Map.of(),
        Optional.empty(),
        List.of(),
        written(byWord.cues()).toList(),
        byWord.stopSigns(),
        true);
  }

  private static int liking(AnyExercise exercise, Profile profile) {
    return profile.likes().contains(exercise.id())
        ? 1
        : profile.dislikes().contains(exercise.id()) ? -1 : 0;
  }

  private static Set<Equipment> station(Set<Equipment> needs) {
    Set<Equipment> station = AnyExercise.station(needs);
    station.removeAll(HAND_WEIGHTS);
    return station;
  }

  private static LoadKind loadKind(Set<Equipment> needs) {
    return needs.stream()
        .map(Equipment::load)
        .filter(kind -> kind != LoadKind.NONE)
        .min(Comparator.naturalOrder())
        .orElse(LoadKind.NONE);
  }
}
