package istmo.core.ranking.criterion;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Detail;
import istmo.core.equipment.Equipment;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.Limiter;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.ranking.Ranked;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Sentences about an evaluation, made from its figures: what it does, where in the range, what
 * gives out first, what it costs, how sure.
 */
public final class Explanation {
  /** A change of a weight by less is none. */
  private static final double LEVEL = 0.05;

  private Explanation() {}

  /**
   * @param bestByRegion greatest stimulus of each region over all candidates of the brief
   * @param most the region most aimed at
   * @param studies the findings that move it most there
   */
  static List<String> why(
      Judged j,
      Ranked ranked,
      Brief brief,
      Map<String, Double> bestByRegion,
      Exercise x,
      String most,
      List<Posterior.Influence> studies) {
    Evaluation.Computed e = j.evaluation();
    Aim aim = brief.aim();
    List<String> sentences = new ArrayList<>();
    List<String> does = new ArrayList<>();
    List<Map.Entry<String, Integer>> aimed =
        aim.weights().entrySet().stream()
            .sorted(
                Map.Entry.<String, Integer>comparingByValue()
                    .reversed()
                    .thenComparing(Map.Entry.comparingByKey()))
            .toList();
    for (Map.Entry<String, Integer> a : aimed) {
      double share = j.stimulus().get(a.getKey()) / Math.max(1e-9, bestByRegion.get(a.getKey()));
      does.add(
          String.format(
              Locale.ROOT,
              "%s %s",
              name(a.getKey()),
              share > 0.95
                  ? "about as much as anything here"
                  : String.format(Locale.ROOT, "%.0f %% of the best here", 100 * share)));
    }
    sentences.add("Gives " + String.join("; ", does) + ".");
    sentences.add(where(e, most, brief.school()));
    sentences.add(givesOut(e.analysis().set().gaveOut()));
    sentences.add(studied(e.stimulus().get(most), j.stimulus().get(most), most, studies));
    e.reach().changes().forEach(text -> sentences.add("For this client: " + text));
    e.analysis().notes().forEach(sentences::add);
    brief.profile().habits().stream()
        .filter(h -> h.family().equals(x.family().id()) && aimsAtGroup(aim, h.group()))
        .forEach(h -> sentences.add(h.change()));
    said(j, brief, aimed.stream().map(Map.Entry::getKey).toList()).forEach(sentences::add);
    machine(brief, x).ifPresent(sentences::add);
    sentences.add("It costs: " + costs(e, x.setUpMinutes()) + ".");
    sentences.add(sure(ranked));
    return sentences;
  }

  /** What this client has said of it, and what that does. */
  private static List<String> said(Judged j, Brief brief, List<String> aimed) {
    List<String> words = new ArrayList<>(brief.experience().words(j.evaluation().candidate().id()));
    List<String> moved =
        aimed.stream()
            .filter(id -> Math.abs(j.said()[Judged.index(id)]) >= 0.01)
            .map(
                id ->
                    String.format(
                        Locale.ROOT,
                        "the %s by %+.0f %%",
                        name(id),
                        100 * Math.expm1(j.said()[Judged.index(id)])))
            .toList();
    if (!moved.isEmpty()) {
      String from = words.isEmpty() ? "What this client felt in another set-up of it" : "That";
      words.add(
          from + " moves the figure for " + String.join(", ", moved) + " in this client's order.");
    }
    return words;
  }

  /** What the studies say beside the mechanics. */
  private static String studied(
      double mechanics, double both, String region, List<Posterior.Influence> studies) {
    if (studies.isEmpty()) {
      return "Mechanics only: no study found that tells of the " + name(region) + " here.";
    }
    Map<String, Double> byStudy = new LinkedHashMap<>();
    studies.forEach(i -> byStudy.merge(i.finding().shortCitation(), i.shift(), Double::sum));
    List<String> cited =
        byStudy.entrySet().stream()
            .map(
                e ->
                    e.getKey()
                        + (Math.abs(e.getValue()) < 0.005
                            ? ""
                            : e.getValue() > 0 ? " (up)" : " (down)"))
            .limit(3)
            .toList();
    double change = (both + Stimulus.FLOOR) / (mechanics + Stimulus.FLOOR) - 1;
    String moved =
        Math.abs(change) < 0.03
            ? "leave the mechanics' figure where it is"
            : String.format(
                Locale.ROOT,
                "move the mechanics' figure for the %s by %+.0f %%",
                name(region),
                100 * change);
    return "Studies " + moved + ": " + String.join(", ", cited) + ".";
  }

  private static String sure(Ranked r) {
    return r.rankLow() == r.rankHigh()
        ? String.format(
            Locale.ROOT, "Place %d in eight of ten draws of what is not known.", r.rankLow())
        : String.format(
            Locale.ROOT,
            "In eight of ten draws of what is not known it stands between place %d and %d; first in"
                + " %.0f %%.",
            r.rankLow(),
            r.rankHigh(),
            100 * r.chanceOfBest());
  }

  /**
   * What holds it back most, and the least changes that would move it up: a weight, or another
   * set-up of it.
   */
  static List<String> raise(Ranked r, List<Ranked> all, Function<String, Candidate> candidate) {
    List<String> sentences = new ArrayList<>();
    r.back()
        .ifPresent(
            b ->
                sentences.add(
                    String.format(
                        Locale.ROOT,
                        "%.0f points behind the first; loses most on: %s (%.0f).",
                        100 * (all.get(0).utility() - r.utility()),
                        b.label(),
                        100 * b.points())));
    r.raise().ifPresent(x -> sentences.add(raised(x, candidate.apply(x.over()).name())));
    String exercise = candidate.apply(r.id()).exerciseId();
    for (int k = 0; k < all.size() && all.get(k) != r; k++) {
      if (candidate.apply(all.get(k).id()).exerciseId().equals(exercise)) {
        sentences.add(
            String.format(
                Locale.ROOT,
                "In another set-up it stands at %d: %s.",
                k + 1,
                candidate.apply(all.get(k).id()).name()));
        break;
      }
    }
    return List.copyOf(sentences);
  }

  private static String raised(Ranked.Raise x, String over) {
    if (Math.abs(x.factor() - 1) < LEVEL) {
      return String.format(Locale.ROOT, "All but level with %s.", over);
    }
    String weight =
        x.factor() > 1
            ? String.format(Locale.ROOT, "%.1f times the weight", x.factor())
            : String.format(Locale.ROOT, "%.0f %% of the weight", 100 * x.factor());
    return String.format(Locale.ROOT, "With %s on “%s” it would pass %s.", weight, x.label(), over);
  }

  /** How much of the machine is known here; empty for what no order hangs on. */
  private static Optional<String> machine(Brief brief, Exercise x) {
    long matters = 0;
    long known = 0;
    for (String item : x.needs()) {
      for (Detail d : Equipment.get(item).details()) {
        if (d.between().isPresent()) {
          matters++;
          known += brief.place().measured(item, d.id()).isPresent() ? 1 : 0;
        }
      }
    }
    if (matters == 0) {
      return Optional.empty();
    }
    return Optional.of(
        known == 0
            ? "Computed for a generic machine: nothing of this one is measured."
            : String.format(
                Locale.ROOT,
                "Of this machine %d of %d values that matter are measured; the rest is generic.",
                known,
                matters));
  }

  private static boolean aimsAtGroup(Aim aim, String group) {
    return aim.weights().keySet().stream()
        .anyMatch(id -> Regions.standard().get(id).group().equals(group));
  }

  private static String where(Evaluation.Computed e, String regionId, School school) {
    int muscle =
        Muscles.standard()
            .indexOf(Regions.standard().get(regionId).muscleShares().keySet().iterator().next());
    AnalysisPoint peak =
        e.analysis().points().stream()
            .max(Comparator.comparingDouble(p -> Stimulus.tension(p, school, muscle)))
            .orElseThrow();
    String place =
        peak.phase() > 0.75
            ? "near the bottom or start"
            : peak.phase() < 0.25 ? "near the top or end" : "in the middle";
    double length = peak.fibreLength()[muscle];
    String state = length > 1.1 ? "long" : length < 0.9 ? "short" : "near its best length";
    return String.format(
        Locale.ROOT,
        "Counts most for the %s %s of the repetition, where it is %s (%.2f of its best length).",
        name(regionId),
        place,
        state,
        length);
  }

  /** What gives out first, as shares. */
  static String givesOut(List<Limiter> limiters) {
    List<String> parts =
        limitersByGroup(limiters).stream()
            .limit(3)
            .filter(x -> x.getValue() >= 0.05)
            .map(x -> String.format(Locale.ROOT, "%s %.0f %%", x.getKey(), 100 * x.getValue()))
            .toList();
    return parts.isEmpty()
        ? "Nothing gives out within the repetitions that are counted."
        : "Gives out first: " + String.join(", ", parts) + ".";
  }

  /** The group that limits most: alone, or with the next when that is not far behind. */
  static String firstLimiter(List<Limiter> limiters) {
    List<Map.Entry<String, Double>> groups = limitersByGroup(limiters);
    if (groups.isEmpty()) {
      return "nothing in range";
    }
    boolean shared = groups.size() > 1 && groups.get(1).getValue() > 0.6 * groups.get(0).getValue();
    return shared
        ? groups.get(0).getKey() + " and " + groups.get(1).getKey()
        : groups.get(0).getKey();
  }

  /** Shares of what limits by group (quads, lower back ...), greatest first; they add up to 1. */
  public static List<Map.Entry<String, Double>> limitersByGroup(List<Limiter> limiters) {
    Map<String, Double> byName = new LinkedHashMap<>();
    for (Limiter l : limiters) {
      byName.merge(limiterGroup(l.id()), l.share(), Double::sum);
    }
    return byName.entrySet().stream()
        .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
        .toList();
  }

  /** Group by which limiters are named: the region's group, or lower back. */
  static String limiterGroup(String id) {
    if (id.equals(Regions.LOWER_BACK)) {
      return "lower back";
    }
    if (id.equals(SimulatedSet.BREATH)) {
      return "breath";
    }
    if (id.equals(Limiter.GRIP)) {
      return "grip";
    }
    if (id.equals(Limiter.BALANCE)) {
      return "balance";
    }
    if (id.equals("ABDOMINALS")) {
      return "abdominals";
    }
    return Regions.standard().has(id)
        ? Regions.standard().get(id).group()
        : Muscles.standard().get(id).label();
  }

  /** Coach's name of a region, or lower back. */
  static String name(String regionId) {
    if (regionId.equals(Regions.LOWER_BACK)) {
      return "lower back";
    }
    Region r = Regions.standard().get(regionId);
    return r.coachName();
  }

  static String costs(Evaluation.Computed e, double setUpMinutes) {
    double back = backActivation(e.analysis());
    String spine = back > 0.6 ? "heavy on the back" : back > 0.3 ? "some back" : "back spared";
    return String.format(Locale.ROOT, "%s · %s min to set up", spine, minutes(setUpMinutes));
  }

  /** Minutes without a needless ".0". */
  static String minutes(double m) {
    return m == Math.rint(m) ? String.valueOf((int) m) : String.valueOf(m);
  }

  /** Greatest activation of the lower back over the range at the working load. */
  static double backActivation(Analysis a) {
    return a.points().stream().mapToDouble(AnalysisPoint::backActivation).max().orElse(0);
  }
}
