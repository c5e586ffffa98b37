package istmo.core.ranking.criterion;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.body.Body;
import istmo.core.equipment.Place;
import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Improvisation;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Alternative;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.Ranking;
import istmo.core.stimulus.School;
import istmo.core.training.LoadEstimate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** From a brief to an order. Evaluations do not depend on the aim, so they can be kept ({@link #evaluate}) and ordered again ({@link #order}). */
public final class Orders {
  /** Weight of the fit beside the practical criteria, whose weights add up to 2.6 (judgement; docs/model.md, 9). */
  static final double FIT_WEIGHT = 6;
  /** How much of a kept-out region's stimulus is taken from the fit. */
  static final double KEEP_OUT_SHARE = 0.5;

  /** Share of what gives out first under which an exercise hardly is one for the aim. */
  private static final double HARDLY = 0.15;

  /** The lowest place within its interval that a clear leader may have. */
  private static final int CLEAR_RANK = 3;

  private static final long SEED = 20261124;

  private Orders() {}

  /** Every candidate of the catalogue on this body and the machines of this place, by candidate id. Takes some milliseconds a candidate, on as many threads as there are processors; the answer does not hang on how many. */
  public static Map<String, Evaluation> evaluate(Body body, Place place, School school) {
    return evaluate(body, Catalogue.standard().candidates(), place, school);
  }

  /** The same for some candidates only: a coach's own. */
  public static Map<String, Evaluation> evaluate(Body body, List<Candidate> all, Place place, School school) {
    int parts = Math.min(all.size(), Runtime.getRuntime().availableProcessors());
    Evaluation[] evaluations = new Evaluation[all.size()];
    IntStream.range(0, parts).parallel().forEach(part -> {
      Analyser analyser = new Analyser(body);
      for (int k = part; k < evaluations.length; k += parts) { // every so-many-th, so that costly neighbours are spread
        evaluations[k] = Evaluation.of(body, analyser, all.get(k), place, school);
      }
    });
    Map<String, Evaluation> result = new LinkedHashMap<>();
    for (int k = 0; k < evaluations.length; k++) {
      result.put(all.get(k).id(), evaluations[k]);
    }
    return result;
  }

  /** The same evaluations, with some candidates evaluated anew for another body or place. */
  static Map<String, Evaluation> again(Map<String, Evaluation> evaluations, Body body, List<Candidate> candidates, Place place, School school) {
    Map<String, Evaluation> result = new LinkedHashMap<>(evaluations);
    result.putAll(evaluate(body, candidates, place, school));
    return result;
  }

  /** Orders evaluations, which must be those of the brief's limited body; throws {@link InvalidInput} when nothing is aimed at. */
  public static Order order(Brief brief, Map<String, Evaluation> evaluations) {
    List<Order.Excluded> excluded = new ArrayList<>();
    Map<String, Evaluation.Computed> open = open(brief, evaluations, excluded);
    Catalogue.standard().notComputed().forEach(n -> excluded.add(new Order.Excluded(n.id(), n.name(), Order.Kind.NOT_COMPUTED, n.why(), Optional.empty(), List.of())));
    Map<Evaluation.Computed, Substitute.Shape> shapes = Substitute.shapes(open.values(), brief.school());
    excluded.replaceAll(x -> x.kind() == Order.Kind.GYM ? withSubstitute(brief, x, evaluations.get(x.candidateId()), shapes) : x);
    Map<String, Double> best = new LinkedHashMap<>();
    for (Region r : Regions.standard().all()) {
      best.put(r.id(), open.values().stream().mapToDouble(e -> e.stimulus().get(r.id())).max().orElse(0));
    }
    List<Alternative> alternatives = open.values().stream().map(e -> alternative(brief, e)).toList();
    List<Ranked> ranked = Ranking.rank(alternatives, FIT_WEIGHT, "how it serves the aim", SEED);
    List<Order.Entry> entries = new ArrayList<>();
    for (Ranked r : ranked) {
      Evaluation.Computed e = open.get(r.id());
      Exercise x = Catalogue.standard().exerciseOf(e.candidate());
      Optional<LoadEstimate> load = LoadEstimate.of(e.candidate(), e.reach().setup(), e.analysis(), brief.strength(), brief.place(), brief.cautions().loadShare());
      entries.add(new Order.Entry(r, e, Explanation.why(e, brief, best, x), Explanation.costs(e, x.setUpMinutes()), Explanation.firstLimiter(e.analysis().set().gaveOut()), load));
    }
    return new Order(List.copyOf(entries), List.copyOf(excluded), firstPick(entries));
  }

  /** Candidates in order, ids alone: what is asked when only places count. */
  static List<String> places(Brief brief, Map<String, Evaluation> evaluations) {
    return Ranking.order(open(brief, evaluations, new ArrayList<>()).values().stream().map(e -> alternative(brief, e)).toList(), FIT_WEIGHT);
  }

  /** What may be ranked, by id; what may not is added to {@code excluded} with its reason. */
  private static Map<String, Evaluation.Computed> open(Brief brief, Map<String, Evaluation> evaluations, List<Order.Excluded> excluded) {
    if (brief.aim().isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    Map<String, Evaluation.Computed> open = new LinkedHashMap<>();
    for (Evaluation e : evaluations.values()) {
      Candidate c = e.candidate();
      Optional<Order.Excluded> out = exclusion(brief, c, e);
      if (out.isPresent()) {
        excluded.add(out.get());
      } else {
        open.put(c.id(), (Evaluation.Computed) e);
      }
    }
    return open;
  }

  private static Order.Excluded withSubstitute(Brief brief, Order.Excluded x, Evaluation evaluation, Map<Evaluation.Computed, Substitute.Shape> open) {
    Optional<Substitute> instead = evaluation instanceof Evaluation.Computed missing ? Substitute.of(missing, open, brief.school()) : Optional.empty();
    List<String> lacking = Catalogue.standard().exerciseOf(evaluation.candidate()).needs().stream().filter(id -> !brief.place().equipment().contains(id)).toList();
    return new Order.Excluded(x.candidateId(), x.name(), x.kind(), x.reason(), instead, Improvisation.instead(lacking, brief.place().equipment(), brief.body(), brief.cautions()));
  }

  private static Optional<Order.Excluded> exclusion(Brief brief, Candidate c, Evaluation evaluation) {
    Exercise x = Catalogue.standard().exerciseOf(c);
    Optional<Analysis> analysis = evaluation instanceof Evaluation.Computed computed ? Optional.of(computed.analysis()) : Optional.empty();
    Optional<Cautions.Refusal> refusal = Admission.refusal(brief.cautions(), x, analysis);
    if (refusal.isPresent()) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), refusal.get().byPain() ? Order.Kind.PAIN : Order.Kind.CAUTION, refusal.get().reason(), Optional.empty(), List.of()));
    }
    List<String> missing = x.needs().stream().filter(id -> !brief.place().equipment().contains(id)).map(id -> Equipment.get(id).name().toLowerCase(Locale.ROOT)).sorted().toList();
    if (!missing.isEmpty()) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.GYM, "Not here: " + String.join(", ", missing) + ".", Optional.empty(), List.of()));
    }
    if (evaluation instanceof Evaluation.OutOfReach o) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.BODY, o.reason(), Optional.empty(), List.of()));
    }
    if (evaluation instanceof Evaluation.NotComputedWellEnough n) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.NOT_COMPUTED, n.reason(), Optional.empty(), List.of()));
    }
    return Optional.empty();
  }

  /** Weighted mean stimulus of the aimed regions, less half of the mean of what is to be kept out. */
  static double fit(Aim aim, Evaluation.Computed e) {
    double weight = 0;
    double sum = 0;
    for (Map.Entry<String, Integer> a : aim.weights().entrySet()) {
      weight += a.getValue();
      sum += a.getValue() * e.stimulus().get(a.getKey());
    }
    double out = 0;
    for (String id : aim.keepOut()) {
      out += id.equals(Regions.LOWER_BACK) ? Explanation.backActivation(e.analysis()) : e.stimulus().get(id);
    }
    return sum / weight - (aim.keepOut().isEmpty() ? 0 : KEEP_OUT_SHARE * out / aim.keepOut().size());
  }

  private static Alternative alternative(Brief brief, Evaluation.Computed e) {
    Exercise x = Catalogue.standard().exerciseOf(e.candidate());
    return new Alternative(e.candidate().id(), fit(brief.aim(), e), e.modelError(), x.id(), Practical.criteria(brief, x, e));
  }

  private static String leads(Ranked first) {
    return first.rankHigh() <= CLEAR_RANK ? "It clearly leads for this aim." : String.format(Locale.ROOT, "It leads in most draws, but what the model leaves open lets it stand anywhere down to place %d.", first.rankHigh());
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
      return Optional.of(new Order.FirstPick(first.ranked().id(), leads(first.ranked()) + butOthersEndIt));
    }
    Map<String, Double> mean = band.stream().skip(1).flatMap(e -> e.ranked().contributions().stream()).collect(Collectors.groupingBy(Ranked.Contribution::criterion, Collectors.averagingDouble(Ranked.Contribution::points)));
    List<Ranked.Contribution> lead =
        first.ranked().contributions().stream().filter(c -> c.points() - mean.getOrDefault(c.criterion(), 0.0) > 0.004).sorted(Comparator.comparingDouble((Ranked.Contribution c) -> mean.getOrDefault(c.criterion(), 0.0) - c.points())).limit(2).toList();
    String by = lead.isEmpty() ? "nothing in particular: take the one this client likes" : lead.stream().map(Ranked.Contribution::label).collect(Collectors.joining(", then "));
    return Optional.of(new Order.FirstPick(first.ranked().id(), String.format(Locale.ROOT, "The first %d cannot be told apart by the model; decided by: %s.%s", band.size(), by, butOthersEndIt)));
  }

  /** A first pick that is ended by other muscles than those aimed at says so: the best of what is here may still be no exercise for them. */
  private static String othersEndIt(Order.Entry first) {
    double share = first.ranked().contributions().stream().filter(c -> c.criterion().equals(Practical.TARGET)).mapToDouble(Ranked.Contribution::value).sum();
    return share < HARDLY ? String.format(Locale.ROOT, " But other muscles end it: what is aimed at is %.0f %% of what gives out first.", 100 * share) : "";
  }

  private static String capital(String s) {
    return Character.toUpperCase(s.charAt(0)) + s.substring(1);
  }
}
