package istmo.core.ranking.order;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.computing.Workers;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.Analyser;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.ranking.Alternative;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.Ranking;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Limiters;
import istmo.core.ranking.criterion.Practical;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.ranking.explanation.Explanation;
import istmo.core.ranking.explanation.Reason;
import istmo.core.stimulus.School;
import istmo.core.training.LoadEstimate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * From a brief to an order. Evaluations do not depend on the aim, so they can be kept ({@link
 * #evaluate}) and ordered again ({@link #order}).
 */
public final class Orders {
  /** Findings that move ln(stimulus) by less are not named. */
  private static final double TELLING = 0.01;

  private static final int MOST_STUDIES = 4;
  private static final double[] NO_DRAWS = {};

  private Orders() {}

  /**
   * Every candidate of the catalogue on this body and the machines of this place, by candidate id.
   * Takes some milliseconds a candidate, on as many threads as there are processors; the answer
   * does not hang on how many.
   */
  public static Map<CandidateId, Evaluation> evaluate(
      Body body, GymEquipment equipment, School school) {
    return evaluate(body, Catalogue.standard().candidates(), equipment, school);
  }

  /** The same for some candidates only: a coach's own. */
  public static Map<CandidateId, Evaluation> evaluate(
      Body body, List<Candidate> all, GymEquipment equipment, School school) {
    int parts = Math.min(all.size(), Workers.count());
    Evaluation[] evaluations = new Evaluation[all.size()];
    Workers.run(
        parts,
        part -> {
          Analyser analyser = new Analyser(body);
          for (int k = part;
              k < evaluations.length;
              k += parts) { // every so-many-th, so that costly neighbours are spread
            evaluations[k] = Evaluation.of(body, analyser, all.get(k), equipment, school);
          }
        });
    Map<CandidateId, Evaluation> result = new LinkedHashMap<>();
    for (int k = 0; k < evaluations.length; k++) {
      result.put(all.get(k).id(), evaluations[k]);
    }
    return result;
  }

  /** The same evaluations, with some candidates evaluated anew for another body or place. */
  static Map<CandidateId, Evaluation> reevaluated(
      Map<CandidateId, Evaluation> evaluations,
      Body body,
      List<Candidate> candidates,
      GymEquipment equipment,
      School school) {
    Map<CandidateId, Evaluation> result = new LinkedHashMap<>(evaluations);
    result.putAll(evaluate(body, candidates, equipment, school));
    return result;
  }

  /** The same evaluations judged by another school; no new mechanics. */
  public static Map<CandidateId, Evaluation> judgedBy(
      Map<CandidateId, Evaluation> evaluations, School school) {
    Map<CandidateId, Evaluation> result = new LinkedHashMap<>();
    evaluations.forEach((id, evaluation) -> result.put(id, evaluation.judgedBy(school)));
    return result;
  }

  /**
   * Orders evaluations, which must be those of the brief's limited body by its school; throws
   * {@link InvalidInput} when nothing is aimed at.
   */
  public static Order order(Brief asked, Map<CandidateId, Evaluation> evaluations) {
    Brief brief = asked.at(Occasion.equipment(asked));
    Evidence evidence = Evidence.of(brief.school());
    List<Order.Excluded> excluded = new ArrayList<>();
    List<OrderFact> notes = new ArrayList<>();
    Map<CandidateId, ScoredCandidate> open = open(brief, evidence, evaluations, excluded, notes);
    Catalogue.standard().byWord().forEach(byWord -> excluded.add(Order.Excluded.of(byWord)));
    Map<Evaluation.Computed, Substitute.Shape> shapes =
        Substitute.shapes(
            open.values().stream().map(ScoredCandidate::evaluation).toList(), brief.school());
    List<Order.Excluded> out =
        Workers.map(
            excluded,
            missing ->
                missing.kind() == Order.Kind.GYM
                    ? Exclusions.withSubstitute(
                        brief, missing, Required.entry(evaluations, missing.candidateId()), shapes)
                    : missing);
    RegionValues best = best(open.values());
    List<Ranked> ranked =
        Ranking.rank(
            alternatives(brief, open.values(), candidate -> candidate.fits(brief)),
            brief.weights().of(Weights.Criterion.FIT),
            Weights.Criterion.FIT.label());
    Region most = brief.aim().most();
    List<Order.Entry> all =
        grouped(Workers.map(ranked, place -> entry(brief, place, ranked, open, best, most)));
    Floor floor = Floor.of(brief, evaluations, open.values());
    List<Order.Entry> entries = explained(all.stream().filter(floor::holds).toList());
    List<Order.Entry> hardly = all.stream().filter(entry -> !floor.holds(entry)).toList();
    List<Together> together = new ArrayList<>();
    Together.best(2, entries, brief.aim(), brief.school()).ifPresent(together::add);
    Together.best(3, entries, brief.aim(), brief.school()).ifPresent(together::add);
    List<CandidateId> learning =
        brief.weights().preset() == Weights.Preset.BEGINNER
            ? Occasion.learning(entries)
            : List.of();
    return new Order(
        entries,
        hardly,
        floor.shortage(brief),
        out,
        Leader.of(entries, brief.aim()),
        List.copyOf(together),
        learning,
        List.copyOf(notes));
  }

  /** The most that any candidate gives each region. */
  private static RegionValues best(Collection<ScoredCandidate> open) {
    return RegionValues.of(
        region ->
            open.stream()
                .mapToDouble(candidate -> candidate.stimulus().get(region))
                .max()
                .orElse(0));
  }

  /** Each entry but the first says what puts it below the one before. */
  private static List<Order.Entry> explained(List<Order.Entry> entries) {
    List<Order.Entry> list = new ArrayList<>();
    for (Order.Entry entry : entries) {
      Order.Entry above = list.isEmpty() ? null : list.get(list.size() - 1);
      list.add(
          above == null
              ? entry
              : entry.beginningWith(
                  Explanation.below(
                      above.ranked(), above.evaluation().candidate().name(), entry.ranked())));
    }
    return List.copyOf(list);
  }

  /** One entry for each exercise: its best variant, with the others in it. */
  private static List<Order.Entry> grouped(List<Order.Entry> ranked) {
    Map<String, List<Order.Entry>> byExercise = new LinkedHashMap<>();
    ranked.forEach(
        entry ->
            byExercise
                .computeIfAbsent(
                    entry.evaluation().candidate().exerciseId(), key -> new ArrayList<>())
                .add(entry));
    return byExercise.values().stream()
        .map(entries -> entries.get(0).with(entries.subList(1, entries.size())))
        .toList();
  }

  private static Order.Entry entry(
      Brief brief,
      Ranked place,
      List<Ranked> ranked,
      Map<CandidateId, ScoredCandidate> open,
      RegionValues best,
      Region most) {
    ScoredCandidate candidate = Required.entry(open, new CandidateId(place.id()));
    Evaluation.Computed computed = candidate.evaluation();
    Exercise exercise = computed.candidate().exercise();
    Optional<LoadEstimate> load =
        LoadEstimate.of(
            computed.candidate(),
            computed.reach().setup(),
            computed.analysis(),
            brief.strength(),
            brief.equipment(),
            brief.body().massKg(),
            brief.cautions().loadShare());
    List<Posterior.Influence> studies =
        candidate.evidence().influences(most.ordinal()).stream()
            .filter(influence -> Math.abs(influence.shift()) >= TELLING)
            .filter(influence -> influence.finding().tellsOf(List.of(exercise.id()), most))
            .limit(MOST_STUDIES)
            .toList();
    List<Fact> why = Explanation.why(candidate, place, brief, best, exercise, most, studies);
    List<Reason> raise =
        Explanation.raise(
            place,
            ranked,
            id -> Required.entry(open, new CandidateId(id)).evaluation().candidate());
    return new Order.Entry(
        place,
        computed,
        candidate.stimulus(),
        studies,
        why,
        raise,
        Explanation.costs(computed, exercise.setUpMinutes()),
        Limiters.first(computed.analysis().set().gaveOut()),
        load,
        List.of());
  }

  /**
   * Candidates in order, ids alone, of each exercise the best: what is asked when only places
   * count.
   */
  public static List<CandidateId> places(Brief asked, Map<CandidateId, Evaluation> evaluations) {
    Brief brief = asked.at(Occasion.equipment(asked));
    Map<CandidateId, ScoredCandidate> open =
        open(brief, Evidence.of(brief.school()), evaluations, new ArrayList<>(), new ArrayList<>());
    Floor floor = Floor.of(brief, evaluations, open.values());
    Set<String> exercises = new HashSet<>();
    return Ranking.order(
            alternatives(brief, open.values(), candidate -> NO_DRAWS),
            brief.weights().of(Weights.Criterion.FIT))
        .stream()
        .map(CandidateId::new)
        .filter(id -> floor.holds(Required.entry(open, id)))
        .filter(id -> exercises.add(Required.entry(open, id).evaluation().candidate().exerciseId()))
        .toList();
  }

  private static List<Alternative> alternatives(
      Brief brief, Collection<ScoredCandidate> open, Function<ScoredCandidate, double[]> draws) {
    double mostWork =
        open.stream()
            .mapToDouble(candidate -> Practical.work(candidate.stimulus()))
            .max()
            .orElse(0);
    return Workers.map(
        List.copyOf(open),
        candidate ->
            new Alternative(
                candidate.evaluation().candidate().id().text(),
                candidate.evaluation().candidate().exerciseId(),
                plain(candidate.evaluation().candidate()),
                candidate.fit(brief.aim()),
                draws.apply(candidate),
                Practical.criteria(
                    brief,
                    candidate.evaluation().candidate().exercise(),
                    candidate.evaluation(),
                    candidate.stimulus(),
                    mostWork)));
  }

  private static boolean plain(Candidate candidate) {
    return candidate.exercise().plain().equals(Optional.of(candidate.id()));
  }

  /** What may be ranked, by id; what may not is added to {@code excluded} with its reason. */
  private static Map<CandidateId, ScoredCandidate> open(
      Brief brief,
      Evidence evidence,
      Map<CandidateId, Evaluation> evaluations,
      List<Order.Excluded> excluded,
      List<OrderFact> notes) {
    if (brief.aim().isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    List<Evaluation.Computed> admitted = new ArrayList<>();
    for (Evaluation evaluation : evaluations.values()) {
      Exclusions.of(brief, evaluation.candidate(), evaluation)
          .ifPresentOrElse(excluded::add, () -> admitted.add((Evaluation.Computed) evaluation));
    }
    Map<CandidateId, ScoredCandidate> open = new LinkedHashMap<>();
    Workers.map(admitted, computed -> ScoredCandidate.of(computed, evidence, brief.experience()))
        .forEach(scored -> open.put(scored.evaluation().candidate().id(), scored));
    if (brief.weights().preset() == Weights.Preset.ONE_STATION) {
      Set<Equipment> station = Occasion.station(brief, open.values());
      notes.add(new OrderFact.OneStation(Equipment.names(station)));
      for (ScoredCandidate candidate : List.copyOf(open.values())) {
        if (!Occasion.at(candidate, station)) {
          Candidate elsewhere = candidate.evaluation().candidate();
          open.remove(elsewhere.id());
          excluded.add(
              Order.Excluded.of(elsewhere, Order.Kind.PRESET, new OrderFact.AnotherStation()));
        }
      }
    }
    return open;
  }
}
