package istmo.core.ranking.order;

import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.computing.Workers;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.Analyser;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.ranking.Alternative;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.Ranking;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.LimiterWords;
import istmo.core.ranking.criterion.Practical;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.ranking.explanation.Explanation;
import istmo.core.stimulus.School;
import istmo.core.training.LoadEstimate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * From a brief to an order. Evaluations do not depend on the aim, so they can be kept ({@link
 * #evaluate}) and ordered again ({@link #order}).
 */
public final class Orders {
  /** Share of what gives out first under which an exercise hardly is one for the aim. */
  private static final double HARDLY = 0.15;

  /** The lowest place within its interval that a clear leader may have. */
  private static final int CLEAR_RANK = 3;

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
  public static Map<String, Evaluation> evaluate(Body body, GymEquipment equipment, School school) {
    return evaluate(body, Catalogue.standard().candidates(), equipment, school);
  }

  /** The same for some candidates only: a coach's own. */
  public static Map<String, Evaluation> evaluate(
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
    Map<String, Evaluation> result = new LinkedHashMap<>();
    for (int k = 0; k < evaluations.length; k++) {
      result.put(all.get(k).id(), evaluations[k]);
    }
    return result;
  }

  /** The same evaluations, with some candidates evaluated anew for another body or place. */
  static Map<String, Evaluation> reevaluated(
      Map<String, Evaluation> evaluations,
      Body body,
      List<Candidate> candidates,
      GymEquipment equipment,
      School school) {
    Map<String, Evaluation> result = new LinkedHashMap<>(evaluations);
    result.putAll(evaluate(body, candidates, equipment, school));
    return result;
  }

  /** The same evaluations judged by another school; no new mechanics. */
  public static Map<String, Evaluation> judgedBy(
      Map<String, Evaluation> evaluations, School school) {
    Map<String, Evaluation> result = new LinkedHashMap<>();
    evaluations.forEach((id, e) -> result.put(id, e.judgedBy(school)));
    return result;
  }

  /**
   * Orders evaluations, which must be those of the brief's limited body by its school; throws
   * {@link InvalidInput} when nothing is aimed at.
   */
  public static Order order(Brief asked, Map<String, Evaluation> evaluations) {
    Brief brief = asked.at(Occasion.equipment(asked));
    Evidence evidence = Evidence.of(brief.school());
    List<Order.Excluded> excluded = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    Map<String, ScoredCandidate> open = open(brief, evidence, evaluations, excluded, notes);
    Catalogue.standard()
        .byWord()
        .forEach(
            n ->
                excluded.add(
                    new Order.Excluded(
                        n.candidateId(),
                        n.name(),
                        Order.Kind.BY_WORD,
                        n.why(),
                        Optional.empty(),
                        List.of())));
    Map<Evaluation.Computed, Substitute.Shape> shapes =
        Substitute.shapes(
            open.values().stream().map(ScoredCandidate::evaluation).toList(), brief.school());
    List<Order.Excluded> out =
        Workers.map(
            excluded,
            x ->
                x.kind() == Order.Kind.GYM
                    ? Exclusions.withSubstitute(
                        brief, x, Required.entry(evaluations, x.candidateId()), shapes)
                    : x);
    RegionValues best =
        RegionValues.of(
            r -> open.values().stream().mapToDouble(j -> j.stimulus().get(r)).max().orElse(0));
    List<Ranked> ranked =
        Ranking.rank(
            alternatives(brief, open.values(), j -> j.fits(brief)),
            brief.weights().of(Weights.Criterion.FIT),
            Weights.Criterion.FIT.label());
    String most =
        brief.aim().weights().entrySet().stream()
            .max(
                Map.Entry.<String, Integer>comparingByValue()
                    .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
            .orElseThrow()
            .getKey();
    List<Order.Entry> all =
        grouped(Workers.map(ranked, r -> entry(brief, r, ranked, open, best, most)));
    Floor floor = Floor.of(brief, evaluations, open.values());
    List<Order.Entry> entries = explained(all.stream().filter(floor::holds).toList());
    List<Order.Entry> hardly = all.stream().filter(e -> !floor.holds(e)).toList();
    List<Together> together = new ArrayList<>();
    Together.best(2, entries, brief.aim(), brief.school()).ifPresent(together::add);
    Together.best(3, entries, brief.aim(), brief.school()).ifPresent(together::add);
    List<String> learning =
        brief.weights().preset() == Weights.Preset.BEGINNER
            ? Occasion.learning(entries)
            : List.of();
    return new Order(
        entries,
        hardly,
        floor.shortage(brief),
        out,
        firstPick(entries),
        List.copyOf(together),
        learning,
        List.copyOf(notes));
  }

  /** Each entry but the first says what puts it below the one before. */
  private static List<Order.Entry> explained(List<Order.Entry> entries) {
    List<Order.Entry> list = new ArrayList<>();
    for (Order.Entry e : entries) {
      Order.Entry above = list.isEmpty() ? null : list.get(list.size() - 1);
      list.add(
          above == null
              ? e
              : e.beginningWith(
                  Explanation.below(
                      above.ranked(), above.evaluation().candidate().name(), e.ranked())));
    }
    return List.copyOf(list);
  }

  /** One entry for each exercise: its best variant, with the others in it. */
  private static List<Order.Entry> grouped(List<Order.Entry> ranked) {
    Map<String, List<Order.Entry>> byExercise = new LinkedHashMap<>();
    ranked.forEach(
        e ->
            byExercise
                .computeIfAbsent(e.evaluation().candidate().exerciseId(), k -> new ArrayList<>())
                .add(e));
    return byExercise.values().stream().map(v -> v.get(0).with(v.subList(1, v.size()))).toList();
  }

  private static Order.Entry entry(
      Brief brief,
      Ranked r,
      List<Ranked> ranked,
      Map<String, ScoredCandidate> open,
      RegionValues best,
      String most) {
    ScoredCandidate j = Required.entry(open, r.id());
    Evaluation.Computed e = j.evaluation();
    Exercise x = Catalogue.standard().exerciseOf(e.candidate());
    Optional<LoadEstimate> load =
        LoadEstimate.of(
            e.candidate(),
            e.reach().setup(),
            e.analysis(),
            brief.strength(),
            brief.equipment(),
            brief.body().massKg(),
            brief.cautions().loadShare());
    List<Posterior.Influence> studies =
        j.evidence().influences(ScoredCandidate.index(most)).stream()
            .filter(i -> Math.abs(i.shift()) >= TELLING)
            .filter(i -> i.finding().tellsOf(List.of(x.id()), most))
            .limit(MOST_STUDIES)
            .toList();
    List<String> why = Explanation.why(j, r, brief, best, x, most, studies);
    List<String> raise =
        Explanation.raise(r, ranked, id -> Required.entry(open, id).evaluation().candidate());
    return new Order.Entry(
        r,
        e,
        j.stimulus(),
        studies,
        why,
        raise,
        Explanation.costs(e, x.setUpMinutes()),
        LimiterWords.firstLimiter(e.analysis().set().gaveOut()),
        load,
        List.of());
  }

  /**
   * Candidates in order, ids alone, of each exercise the best: what is asked when only places
   * count.
   */
  public static List<String> places(Brief asked, Map<String, Evaluation> evaluations) {
    Brief brief = asked.at(Occasion.equipment(asked));
    Map<String, ScoredCandidate> open =
        open(brief, Evidence.of(brief.school()), evaluations, new ArrayList<>(), new ArrayList<>());
    Floor floor = Floor.of(brief, evaluations, open.values());
    Set<String> exercises = new HashSet<>();
    return Ranking.order(
            alternatives(brief, open.values(), j -> NO_DRAWS),
            brief.weights().of(Weights.Criterion.FIT))
        .stream()
        .filter(id -> floor.holds(Required.entry(open, id)))
        .filter(id -> exercises.add(Required.entry(open, id).evaluation().candidate().exerciseId()))
        .toList();
  }

  private static List<Alternative> alternatives(
      Brief brief, Collection<ScoredCandidate> open, Function<ScoredCandidate, double[]> draws) {
    double mostWork = open.stream().mapToDouble(j -> Practical.work(j.stimulus())).max().orElse(0);
    return Workers.map(
        List.copyOf(open),
        j ->
            new Alternative(
                j.evaluation().candidate().id(),
                j.evaluation().candidate().exerciseId(),
                j.fit(brief.aim()),
                draws.apply(j),
                Practical.criteria(
                    brief,
                    Catalogue.standard().exerciseOf(j.evaluation().candidate()),
                    j.evaluation(),
                    j.stimulus(),
                    mostWork)));
  }

  /** What may be ranked, by id; what may not is added to {@code excluded} with its reason. */
  private static Map<String, ScoredCandidate> open(
      Brief brief,
      Evidence evidence,
      Map<String, Evaluation> evaluations,
      List<Order.Excluded> excluded,
      List<String> notes) {
    if (brief.aim().isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    Map<String, ScoredCandidate> open = new LinkedHashMap<>();
    for (Evaluation e : evaluations.values()) {
      Candidate c = e.candidate();
      Optional<Order.Excluded> out = Exclusions.of(brief, c, e);
      if (out.isPresent()) {
        excluded.add(out.get());
      } else {
        open.put(c.id(), ScoredCandidate.of((Evaluation.Computed) e, evidence, brief.experience()));
      }
    }
    if (brief.weights().preset() == Weights.Preset.ONE_STATION) {
      Set<String> station = Occasion.station(brief, open.values());
      notes.add(
          station.isEmpty()
              ? "Nothing here needs a station."
              : "One station: "
                  + Occasion.names(station)
                  + ". What stands elsewhere is listed below.");
      for (ScoredCandidate j : List.copyOf(open.values())) {
        if (!Occasion.at(j, station)) {
          Candidate c = j.evaluation().candidate();
          open.remove(c.id());
          excluded.add(Order.Excluded.of(c, Order.Kind.PRESET, "Another station."));
        }
      }
    }
    return open;
  }

  private static String leads(Ranked first) {
    return first.rankHigh() <= CLEAR_RANK
        ? "It clearly leads for this target."
        : String.format(
            Locale.ROOT,
            "It leads, but what is not known lets it stand anywhere down to place %d.",
            first.rankHigh());
  }

  /** The first strip; when its band holds others, what decided between them. */
  private static Optional<Order.FirstPick> firstPick(List<Order.Entry> entries) {
    if (entries.isEmpty()) {
      return Optional.empty();
    }
    Order.Entry first = entries.get(0);
    List<Order.Entry> band = entries.stream().filter(e -> e.ranked().band() == 1).toList();
    String butOthersEndIt = othersEndIt(first);
    if (band.size() == 1) {
      return Optional.of(
          new Order.FirstPick(first.ranked().id(), leads(first.ranked()) + butOthersEndIt));
    }
    Map<String, Double> mean =
        band.stream()
            .skip(1)
            .flatMap(e -> e.ranked().contributions().stream())
            .collect(
                Collectors.groupingBy(
                    Ranked.Contribution::criterion,
                    Collectors.averagingDouble(Ranked.Contribution::points)));
    List<Ranked.Contribution> lead =
        first.ranked().contributions().stream()
            .filter(c -> c.points() - mean.getOrDefault(c.criterion(), 0.0) > 0.004)
            .sorted(
                Comparator.comparingDouble(
                    (Ranked.Contribution c) -> mean.getOrDefault(c.criterion(), 0.0) - c.points()))
            .limit(2)
            .toList();
    String by =
        lead.isEmpty()
            ? "nothing in particular: take the one this client likes"
            : lead.stream().map(Ranked.Contribution::label).collect(Collectors.joining(", then "));
    return Optional.of(
        new Order.FirstPick(
            first.ranked().id(),
            String.format(
                Locale.ROOT,
                "The first %d are about equal; what put it first: %s.%s",
                band.size(),
                by,
                butOthersEndIt)));
  }

  /**
   * A first pick that is ended by other muscles than those aimed at says so: the best of what is
   * here may still be no exercise for them.
   */
  private static String othersEndIt(Order.Entry first) {
    double share =
        first.ranked().contributions().stream()
            .filter(c -> c.criterion().equals(Weights.Criterion.TARGET.id()))
            .mapToDouble(Ranked.Contribution::value)
            .sum();
    return share < HARDLY
        ? String.format(
            Locale.ROOT,
            " But other muscles end it: what is aimed at is %.0f %% of what gives out first.",
            100 * share)
        : "";
  }
}
