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
      ScoredCandidate candidate,
      Ranked ranked,
      Brief brief,
      RegionValues bestByRegion,
      Exercise exercise,
      String most,
      List<Posterior.Influence> studies) {
    Evaluation.Computed computed = candidate.evaluation();
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
    for (Map.Entry<String, Integer> entry : aimed) {
      double share =
          candidate.stimulus().get(entry.getKey())
              / Math.max(1e-9, bestByRegion.get(entry.getKey()));
      does.add(
          String.format(
              Locale.ROOT,
              "%s %s",
              LimiterWords.name(entry.getKey()),
              share > 0.95
                  ? "about as much as anything here"
                  : String.format(Locale.ROOT, "%.0f %% of the best here", 100 * share)));
    }
    sentences.add("Gives " + String.join("; ", does) + ".");
    sentences.add(where(computed, most, brief.school()));
    sentences.add(LimiterWords.givesOut(computed.analysis().set().gaveOut()));
    Map<Boolean, Double> shift =
        candidate.evidence().influences(ScoredCandidate.index(most)).stream()
            .collect(
                Collectors.partitioningBy(
                    Explanation::ofPractice, Collectors.summingDouble(Posterior.Influence::shift)));
    sentences.add(studied(Required.entry(shift, false), most, studies));
    agreed(Required.entry(shift, true), computed.candidate(), studies).ifPresent(sentences::add);
    computed.reach().changes().forEach(text -> sentences.add("For this client: " + text));
    sentences.addAll(computed.analysis().cautions());
    sentences.addAll(computed.analysis().notes());
    brief.profile().habits().stream()
        .filter(
            habit ->
                habit.family().equals(exercise.family().id()) && aimsAtGroup(aim, habit.group()))
        .forEach(habit -> sentences.add(habit.change()));
    said(
            computed.candidate().id(),
            candidate.said(),
            brief.experience(),
            aimed.stream().map(Map.Entry::getKey).toList(),
            "in this client's order")
        .forEach(sentences::add);
    machine(brief, exercise).ifPresent(sentences::add);
    sentences.add("It costs: " + costs(computed, exercise.setUpMinutes()) + ".");
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

  private static boolean ofPractice(Posterior.Influence influence) {
    return influence.finding().how() == Finding.How.PRACTICE;
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
                finding -> {
                  boolean more =
                      finding
                          .setUpA()
                          .filter(point -> point.candidateId().equals(candidate.id()))
                          .isPresent();
                  boolean less =
                      finding
                          .setUpB()
                          .filter(point -> point.candidateId().equals(candidate.id()))
                          .isPresent();
                  return more
                      ? Stream.of("more than " + finding.conditionB())
                      : less ? Stream.of("less than " + finding.conditionA()) : Stream.of();
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
    List<Posterior.Influence> studies =
        all.stream().filter(influence -> !ofPractice(influence)).toList();
    if (studies.isEmpty()) {
      return "No study was found that tells of the " + LimiterWords.name(region) + " here.";
    }
    Map<String, Double> byStudy = new LinkedHashMap<>();
    studies.forEach(
        influence ->
            byStudy.merge(influence.finding().shortCitation(), influence.shift(), Double::sum));
    List<String> cited =
        byStudy.entrySet().stream()
            .map(
                entry ->
                    entry.getKey()
                        + (Math.abs(entry.getValue()) < 0.005
                            ? ""
                            : entry.getValue() > 0 ? " (up)" : " (down)"))
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

  private static String sure(Ranked ranked) {
    return ranked.rankLow() == ranked.rankHigh()
        ? String.format(Locale.ROOT, "Likely place %d.", ranked.rankLow())
        : String.format(
            Locale.ROOT,
            "Likely place %d to %d; the chance that it is the best is %.0f %%.",
            ranked.rankLow(),
            ranked.rankHigh(),
            100 * ranked.chanceOfBest());
  }

  /**
   * What puts an alternative below the one before it: the points between them, and the criteria by
   * which most of them are lost.
   */
  public static String below(Ranked above, String nameAbove, Ranked ranked) {
    Map<String, Double> points =
        above.contributions().stream()
            .collect(Collectors.toMap(Ranked.Contribution::criterion, Ranked.Contribution::points));
    String lost =
        ranked.contributions().stream()
            .map(
                contribution ->
                    Map.entry(
                        contribution.label(),
                        points.getOrDefault(contribution.criterion(), 0.0) - contribution.points()))
            .filter(entry -> Math.round(100 * entry.getValue()) >= 1)
            .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
            .limit(2)
            .map(
                entry ->
                    String.format(Locale.ROOT, "%s −%.0f", entry.getKey(), 100 * entry.getValue()))
            .collect(Collectors.joining(", "));
    long between = Math.round(100 * (above.utility() - ranked.utility()));
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
      Ranked ranked, List<Ranked> all, Function<String, Candidate> candidate) {
    List<String> sentences = new ArrayList<>();
    ranked
        .back()
        .ifPresent(
            back ->
                sentences.add(
                    String.format(
                        Locale.ROOT,
                        "%.0f points behind the first; loses most on: %s (%.0f).",
                        100 * (all.get(0).utility() - ranked.utility()),
                        back.label(),
                        100 * back.points())));
    ranked
        .raise()
        .ifPresent(raise -> sentences.add(raised(raise, candidate.apply(raise.over()).name())));
    String exercise = candidate.apply(ranked.id()).exerciseId();
    for (int k = 0; k < all.size() && !all.get(k).id().equals(ranked.id()); k++) {
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

  private static String raised(Ranked.Raise raise, String over) {
    if (Math.abs(raise.factor() - 1) < LEVEL) {
      return String.format(Locale.ROOT, "All but level with %s.", over);
    }
    String weight =
        raise.factor() > 1
            ? String.format(Locale.ROOT, "%.1f times the weight", raise.factor())
            : String.format(Locale.ROOT, "%.0f %% of the weight", 100 * raise.factor());
    return String.format(
        Locale.ROOT, "With %s on “%s” it would pass %s.", weight, raise.label(), over);
  }

  /** How much of the machine is known here; empty for what no order hangs on. */
  private static Optional<String> machine(Brief brief, Exercise exercise) {
    long matters = 0;
    long known = 0;
    for (String item : exercise.needs()) {
      for (Detail detail : Equipment.get(item).details()) {
        if (detail.between().isPresent()) {
          matters++;
          known += brief.equipment().measured(item, detail.id()).isPresent() ? 1 : 0;
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

  private static String where(Evaluation.Computed computed, String regionId, School school) {
    int muscle =
        Muscles.standard()
            .indexOf(Regions.standard().get(regionId).muscleShares().keySet().iterator().next());
    AnalysisPoint peak = HeaviestLength.peak(computed.analysis(), school, muscle);
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
  public static String costs(Evaluation.Computed computed, double setUpMinutes) {
    double back = Fit.backActivation(computed.analysis());
    String spine = back > 0.6 ? "heavy on the back" : back > 0.3 ? "some back" : "back spared";
    return String.format(
        Locale.ROOT, "%s · %s min to set up", spine, LimiterWords.minutes(setUpMinutes));
  }
}
