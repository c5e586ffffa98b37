package istmo.core.ranking.explanation;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.RegionValues;
import istmo.core.anatomy.Regions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Detail;
import istmo.core.equipment.Equipment;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.quantity.Required;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Fit;
import istmo.core.ranking.criterion.LimiterWords;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.record.Experience;
import istmo.core.stimulus.HeaviestLength;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Sentences about an evaluation, made from its figures: what it does, where in the range, what
 * gives out first, what it costs, how sure.
 */
public final class Explanation {
  /** A change of a weight by less is none. */
  private static final double LEVEL = 0.05;

  private Explanation() {}

  /**
   * Why a candidate stands where it does, in sentences.
   *
   * @param bestByRegion greatest stimulus of each region over all candidates of the brief
   * @param most the region most aimed at
   * @param studies the findings that move it most there
   */
  public static List<String> why(
      ScoredCandidate j,
      Ranked ranked,
      Brief brief,
      RegionValues bestByRegion,
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
              LimiterWords.name(a.getKey()),
              share > 0.95
                  ? "about as much as anything here"
                  : String.format(Locale.ROOT, "%.0f %% of the best here", 100 * share)));
    }
    sentences.add("Gives " + String.join("; ", does) + ".");
    sentences.add(where(e, most, brief.school()));
    sentences.add(LimiterWords.givesOut(e.analysis().set().gaveOut()));
    Map<Boolean, Double> shift =
        j.evidence().influences(ScoredCandidate.index(most)).stream()
            .collect(
                Collectors.partitioningBy(
                    Explanation::ofPractice, Collectors.summingDouble(Posterior.Influence::shift)));
    sentences.add(studied(Required.entry(shift, false), most, studies));
    agreed(Required.entry(shift, true), e.candidate(), studies).ifPresent(sentences::add);
    e.reach().changes().forEach(text -> sentences.add("For this client: " + text));
    sentences.addAll(e.analysis().cautions());
    sentences.addAll(e.analysis().notes());
    brief.profile().habits().stream()
        .filter(h -> h.family().equals(x.family().id()) && aimsAtGroup(aim, h.group()))
        .forEach(h -> sentences.add(h.change()));
    said(
            e.candidate().id(),
            j.said(),
            brief.experience(),
            aimed.stream().map(Map.Entry::getKey).toList(),
            "in this client's order")
        .forEach(sentences::add);
    machine(brief, x).ifPresent(sentences::add);
    sentences.add("It costs: " + costs(e, x.setUpMinutes()) + ".");
    sentences.add(sure(ranked));
    return sentences;
  }

  /**
   * What this client has said of an exercise, and what that does.
   *
   * @param said added to ln(stimulus) of each region, by its place in the list
   * @param aimed ids of the regions that are told
   * @param where the figure is that it moves
   */
  static List<String> said(
      String candidateId,
      double[] said,
      Experience experience,
      Collection<String> aimed,
      String where) {
    List<String> words = new ArrayList<>(experience.words(candidateId));
    List<String> moved =
        aimed.stream()
            .filter(id -> Math.abs(said[ScoredCandidate.index(id)]) >= 0.01)
            .map(
                id ->
                    "the "
                        + LimiterWords.name(id)
                        + " by "
                        + percent(said[ScoredCandidate.index(id)]))
            .toList();
    if (!moved.isEmpty()) {
      String from = words.isEmpty() ? "What this client felt in another set-up of it" : "That";
      words.add(from + " moves the figure for " + String.join(", ", moved) + " " + where + ".");
    }
    return words;
  }

  private static boolean ofPractice(Posterior.Influence i) {
    return i.finding().how() == Finding.How.PRACTICE;
  }

  /**
   * What coaches agree on and how far it moves the figure; what they say of this very candidate
   * stands with it, strongest first.
   */
  private static Optional<String> agreed(
      double shift, Candidate candidate, List<Posterior.Influence> influences) {
    List<String> said =
        influences.stream()
            .filter(Explanation::ofPractice)
            .map(Posterior.Influence::finding)
            .flatMap(
                f -> {
                  boolean more =
                      f.setUpA().filter(p -> p.candidateId().equals(candidate.id())).isPresent();
                  boolean less =
                      f.setUpB().filter(p -> p.candidateId().equals(candidate.id())).isPresent();
                  return more
                      ? Stream.of("more than " + f.conditionB())
                      : less ? Stream.of("less than " + f.conditionA()) : Stream.of();
                })
            .limit(2)
            .toList();
    if (said.isEmpty() && !moves(shift)) {
      return Optional.empty();
    }
    String words = said.isEmpty() ? "" : ": " + String.join(", ", said);
    return Optional.of(
        "What coaches agree on (common practice, no source) "
            + (moves(shift) ? "moves it by " + percent(shift) : "leaves it where it is")
            + words
            + ".");
  }

  /** What the studies say beside the mechanics, and how far they move its figure. */
  private static String studied(double shift, String region, List<Posterior.Influence> all) {
    List<Posterior.Influence> studies = all.stream().filter(i -> !ofPractice(i)).toList();
    if (studies.isEmpty()) {
      return "No study was found that tells of the " + LimiterWords.name(region) + " here.";
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
    String moved =
        moves(shift)
            ? "move the mechanics' figure for the "
                + LimiterWords.name(region)
                + " by "
                + percent(shift)
            : "leave the mechanics' figure where it is";
    return "Studies " + moved + ": " + String.join(", ", cited) + ".";
  }

  /** Whether a shift of ln(stimulus) is worth a word. */
  private static boolean moves(double shift) {
    return Math.abs(Math.expm1(shift)) >= 0.03;
  }

  private static String percent(double shift) {
    return String.format(Locale.ROOT, "%+.0f %%", 100 * Math.expm1(shift));
  }

  private static String sure(Ranked r) {
    return r.rankLow() == r.rankHigh()
        ? String.format(Locale.ROOT, "Likely place %d.", r.rankLow())
        : String.format(
            Locale.ROOT,
            "Likely place %d to %d; the chance that it is the best is %.0f %%.",
            r.rankLow(),
            r.rankHigh(),
            100 * r.chanceOfBest());
  }

  /**
   * What puts an alternative below the one before it: the points between them, and the criteria by
   * which most of them are lost.
   */
  public static String below(Ranked above, String nameAbove, Ranked r) {
    Map<String, Double> points =
        above.contributions().stream()
            .collect(Collectors.toMap(Ranked.Contribution::criterion, Ranked.Contribution::points));
    String lost =
        r.contributions().stream()
            .map(c -> Map.entry(c.label(), points.getOrDefault(c.criterion(), 0.0) - c.points()))
            .filter(l -> Math.round(100 * l.getValue()) >= 1)
            .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
            .limit(2)
            .map(l -> String.format(Locale.ROOT, "%s −%.0f", l.getKey(), 100 * l.getValue()))
            .collect(Collectors.joining(", "));
    long between = Math.round(100 * (above.utility() - r.utility()));
    String distance =
        between == 0
            ? "Less than one point"
            : between == 1 ? "One point" : String.format(Locale.ROOT, "%d points", between);
    return distance + " below " + nameAbove + (lost.isEmpty() ? "." : ": " + lost + ".");
  }

  /**
   * What holds it back most, and the least changes that would move it up: a weight, or another
   * set-up of it.
   */
  public static List<String> raise(
      Ranked r, List<Ranked> all, Function<String, Candidate> candidate) {
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
    for (int k = 0; k < all.size() && !all.get(k).id().equals(r.id()); k++) {
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
          known += brief.equipment().measured(item, d.id()).isPresent() ? 1 : 0;
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
    AnalysisPoint peak = HeaviestLength.peak(e.analysis(), school, muscle);
    String phase =
        peak.phase() > 0.75
            ? "near the bottom or start"
            : peak.phase() < 0.25 ? "near the top or end" : "in the middle";
    double length = peak.fibreLength()[muscle];
    String state = HeaviestLength.at(length).label();
    return String.format(
        Locale.ROOT,
        "Counts most for the %s %s of the repetition, where it is %s (%.2f of its best length).",
        LimiterWords.name(regionId),
        phase,
        state,
        length);
  }

  /** What it costs: the back, and minutes to set up. */
  public static String costs(Evaluation.Computed e, double setUpMinutes) {
    double back = Fit.backActivation(e.analysis());
    String spine = back > 0.6 ? "heavy on the back" : back > 0.3 ? "some back" : "back spared";
    return String.format(
        Locale.ROOT, "%s · %s min to set up", spine, LimiterWords.minutes(setUpMinutes));
  }
}
