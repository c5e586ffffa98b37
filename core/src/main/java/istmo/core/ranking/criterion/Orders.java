package istmo.core.ranking.criterion;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.body.Body;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Limiter;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Alternative;
import istmo.core.ranking.Alternative.Criterion;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.Ranking;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** From a brief to an order. Evaluations do not depend on the aim, so they can be kept ({@link #evaluate}) and ordered again ({@link #order}). */
public final class Orders {
  /** Weight of the fit beside the practical criteria, whose weights add up to 2.6 (judgement; docs/model.md, 9). */
  static final double FIT_WEIGHT = 6;
  /** How much of a kept-out region's stimulus is taken from the fit. */
  static final double KEEP_OUT_SHARE = 0.5;

  private static final long SEED = 20261124;

  private Orders() {}

  /** Every candidate of the catalogue on this body, by candidate id. Takes some milliseconds a candidate. */
  public static Map<String, Evaluation> evaluate(Body body, School school) {
    Analyser analyser = new Analyser(body);
    Map<String, Evaluation> result = new LinkedHashMap<>();
    for (Candidate c : Catalogue.standard().candidates()) {
      result.put(c.id(), Evaluation.of(body, analyser, c, school));
    }
    return result;
  }

  /** Orders evaluations, which must be those of the brief's limited body; throws {@link InvalidInput} when nothing is aimed at. */
  public static Order order(Brief brief, Map<String, Evaluation> evaluations) {
    if (brief.aim().isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    List<Order.Excluded> excluded = new ArrayList<>();
    Map<String, Evaluation.Computed> open = new LinkedHashMap<>();
    for (Candidate c : Catalogue.standard().candidates()) {
      Optional<Order.Excluded> out = exclusion(brief, c, evaluations.get(c.id()));
      if (out.isPresent()) {
        excluded.add(out.get());
      } else {
        open.put(c.id(), (Evaluation.Computed) evaluations.get(c.id()));
      }
    }
    excluded.replaceAll(x -> withSubstitute(x, evaluations.get(x.candidateId()), open, brief.school()));
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
      entries.add(new Order.Entry(r, e, Explanation.why(e, brief.aim(), brief.school(), best, x.modelError()), Explanation.costs(e, x.setUpMinutes()), Explanation.firstLimiter(e.analysis().limiters())));
    }
    return new Order(List.copyOf(entries), List.copyOf(excluded), firstPick(entries));
  }

  private static Order.Excluded withSubstitute(Order.Excluded x, Evaluation evaluation, Map<String, Evaluation.Computed> open, School school) {
    if (x.kind() == Order.Kind.GYM && evaluation instanceof Evaluation.Computed missing) {
      return new Order.Excluded(x.candidateId(), x.name(), x.kind(), x.reason(), Substitute.of(missing, open.values(), school));
    }
    return x;
  }

  private static Optional<Order.Excluded> exclusion(Brief brief, Candidate c, Evaluation evaluation) {
    Exercise x = Catalogue.standard().exerciseOf(c);
    for (PainFlag flag : PainFlag.values()) {
      if (brief.pain().contains(flag) && x.exclusions().containsKey(flag)) {
        return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.PAIN, capital(flag.label()) + ": " + x.exclusions().get(flag), Optional.empty()));
      }
    }
    List<String> missing = x.needs().stream().filter(id -> !brief.equipment().contains(id)).map(id -> Equipment.get(id).name().toLowerCase(Locale.ROOT)).sorted().toList();
    if (!missing.isEmpty()) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.GYM, "Not here: " + String.join(", ", missing) + ".", Optional.empty()));
    }
    double back = evaluation instanceof Evaluation.Computed computed ? Explanation.backActivation(computed.analysis()) : 0;
    Optional<String> caution = brief.cautions().excludes(x.prone(), back);
    if (caution.isPresent()) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.CAUTION, caution.get(), Optional.empty()));
    }
    if (evaluation instanceof Evaluation.OutOfReach o) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.BODY, o.reason(), Optional.empty()));
    }
    if (evaluation instanceof Evaluation.NotComputedWellEnough n) {
      return Optional.of(new Order.Excluded(c.id(), c.name(), Order.Kind.NOT_COMPUTED, n.reason(), Optional.empty()));
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
    List<Criterion> criteria = new ArrayList<>();
    criteria.add(targetLimits(brief.aim(), e));
    criteria.add(new Criterion("stability", "stability", 0.6, x.stability(), x.stability() >= 0.9 ? "Pads and rails hold the body." : x.stability() >= 0.7 ? "A track or pad helps." : "Free: some of the effort goes into balance."));
    double back = Explanation.backActivation(e.analysis());
    criteria.add(new Criterion("spine", "load on the back", 0.4, 1 - Math.min(1, back), String.format(Locale.ROOT, "The lower back works at %.0f %% of what it can.", 100 * back)));
    criteria.add(progression(x, e));
    criteria.add(new Criterion("time", "time to set up", 0.3, Math.max(0, 1 - x.setUpMinutes() / 5), "About " + Explanation.minutes(x.setUpMinutes()) + " min to set up and load."));
    criteria.add(new Criterion("learning", "ease of learning", 0.3, x.easeOfLearning(), x.easeOfLearning() >= 0.8 ? "Learnt in one session." : "Takes practice."));
    return new Alternative(e.candidate().id(), fit(brief.aim(), e), x.modelError(), x.id(), criteria);
  }

  private static Criterion targetLimits(Aim aim, Evaluation.Computed e) {
    double share = e.analysis().limiters().stream().filter(l -> aim.weights().containsKey(l.id())).mapToDouble(Limiter::share).sum();
    return new Criterion("target", "the target gives out first", 0.7, Math.min(1, share), String.format(Locale.ROOT, "%s The aimed regions are %.0f %% of it.", Explanation.givesOut(e.analysis().limiters()), 100 * share));
  }

  private static Criterion progression(Exercise x, Evaluation.Computed e) {
    double step = x.needs().stream().mapToDouble(id -> Equipment.get(id).smallestStepKg()).max().orElse(0);
    double relative = step / Math.max(1, e.analysis().workingKg());
    return new Criterion("progression", "small steps in load", 0.3, Math.max(0, Math.min(1, (0.10 - relative) / 0.09)), String.format(Locale.ROOT, "The smallest step is about %.0f %% of a working load.", Math.max(1, 100 * relative)));
  }

  /** The first strip; when its band holds others, what decided between them. */
  private static Optional<Order.FirstPick> firstPick(List<Order.Entry> entries) {
    if (entries.isEmpty()) {
      return Optional.empty();
    }
    Order.Entry first = entries.get(0);
    List<Order.Entry> band = entries.stream().filter(e -> e.ranked().band() == 1).toList();
    if (band.size() == 1) {
      return Optional.of(new Order.FirstPick(first.ranked().id(), "It clearly leads for this aim."));
    }
    Map<String, Double> mean = band.stream().skip(1).flatMap(e -> e.ranked().contributions().stream()).collect(Collectors.groupingBy(Ranked.Contribution::criterion, Collectors.averagingDouble(Ranked.Contribution::points)));
    List<Ranked.Contribution> lead =
        first.ranked().contributions().stream().filter(c -> c.points() - mean.getOrDefault(c.criterion(), 0.0) > 0.004).sorted(Comparator.comparingDouble((Ranked.Contribution c) -> mean.getOrDefault(c.criterion(), 0.0) - c.points())).limit(2).toList();
    String by = lead.isEmpty() ? "nothing in particular: take the one this client likes" : lead.stream().map(Ranked.Contribution::label).collect(Collectors.joining(", then "));
    return Optional.of(new Order.FirstPick(first.ranked().id(), String.format(Locale.ROOT, "The first %d cannot be told apart by the model; decided by: %s.", band.size(), by)));
  }

  private static String capital(String s) {
    return Character.toUpperCase(s.charAt(0)) + s.substring(1);
  }
}
