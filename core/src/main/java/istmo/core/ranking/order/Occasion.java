package istmo.core.ranking.order;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights.Preset;
import istmo.core.ranking.criterion.ScoredCandidate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What a preset takes out of an order besides weighing it: other stations than the one, and what is
 * not at home. And the order in which a beginner learns.
 */
final class Occasion {
  /** A station serves a region as well as the mean of its best so many exercises. */
  private static final int OF_A_STATION = 3;

  /** Exercises worth learning give at least so much of the best fit here. */
  private static final double WORTH_LEARNING = 0.5;

  private static final int MOST_TO_LEARN = 5;

  private Occasion() {}

  /** Where the client trains under a preset: at home, only what may be there. */
  static GymEquipment equipment(Brief brief) {
    return brief.weights().preset() == Preset.HOME
        ? new GymEquipment(
            Preset.AT_HOME,
            brief.equipment().measured().entrySet().stream()
                .filter(entry -> Preset.AT_HOME.contains(entry.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
            brief.equipment().plates())
        : brief.equipment();
  }

  /** The one station that serves the aim best; what is carried to it is not among them. */
  static Set<Equipment> station(Brief brief, Collection<ScoredCandidate> open) {
    Map<String, Set<Equipment>> stations = new TreeMap<>();
    for (ScoredCandidate candidate : open) {
      Set<Equipment> needs = standing(candidate);
      stations.put(needs.toString(), needs);
    }
    return stations.values().stream()
        .filter(texts -> !texts.isEmpty())
        .max(
            Comparator.<Set<Equipment>>comparingDouble(texts -> worth(brief, open, texts))
                .thenComparing(texts -> -texts.size())
                .thenComparing(Object::toString))
        .orElse(Set.of());
  }

  /**
   * Mean over the aimed regions, weighted, of the mean of the best three exercises that can be done
   * there, beside the best of all.
   */
  private static double worth(
      Brief brief, Collection<ScoredCandidate> open, Set<Equipment> station) {
    double sum = 0;
    for (Map.Entry<Region, Integer> entry : brief.aim().weights().entrySet()) {
      double best =
          open.stream()
              .mapToDouble(candidate -> candidate.stimulus().get(entry.getKey()))
              .max()
              .orElse(0);
      Set<String> seen = new HashSet<>();
      List<Double> first =
          open.stream()
              .filter(candidate -> at(candidate, station))
              .sorted(
                  Comparator.comparingDouble(
                      candidate -> -candidate.stimulus().get(entry.getKey())))
              .filter(candidate -> seen.add(candidate.evaluation().candidate().exerciseId()))
              .limit(OF_A_STATION)
              .map(candidate -> candidate.stimulus().get(entry.getKey()))
              .toList();
      sum +=
          entry.getValue()
              * first.stream().mapToDouble(Double::doubleValue).sum()
              / OF_A_STATION
              / Math.max(1e-9, best);
    }
    return sum;
  }

  static boolean at(ScoredCandidate candidate, Set<Equipment> station) {
    return station.containsAll(standing(candidate));
  }

  private static Set<Equipment> standing(ScoredCandidate candidate) {
    return AnyExercise.station(candidate.evaluation().candidate().needs());
  }

  /**
   * From the easiest to the hardest of what is worth it, one of each family: what is learnt carries
   * over to the next.
   */
  static List<CandidateId> learning(List<Order.Entry> entries) {
    double best = entries.stream().mapToDouble(Occasion::fit).max().orElse(0);
    List<Order.Entry> worth =
        entries.stream()
            .filter(entry -> fit(entry) >= WORTH_LEARNING * best)
            .sorted(
                Comparator.comparingDouble(
                    (Order.Entry entry) -> -exercise(entry).easeOfLearning()))
            .toList();
    Set<String> families = new HashSet<>();
    List<CandidateId> result = new ArrayList<>();
    for (Order.Entry entry : worth) {
      if (result.size() < MOST_TO_LEARN && families.add(exercise(entry).family().id())) {
        result.add(entry.id());
      }
    }
    return List.copyOf(result);
  }

  private static double fit(Order.Entry entry) {
    return entry.ranked().contributions().get(0).value();
  }

  private static Exercise exercise(Order.Entry entry) {
    return entry.evaluation().candidate().exercise();
  }
}
