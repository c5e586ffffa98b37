package istmo.core.picture;

import istmo.core.body.Technique;
import istmo.core.catalogue.Candidate;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What one picture told of a client's technique and posture, as it is kept. The picture and its
 * marks are not.
 *
 * @param candidateId what was done
 * @param shifts by technique parameter
 * @param loadKg external load
 */
public record Sighting(
    LocalDate on, String candidateId, double loadKg, Map<String, Shift> shifts, Posed posed) {
  /**
   * What is added to a parameter's usual value, with the standard deviation of what the client will
   * do next time, in the parameter's unit.
   */
  public record Shift(double shift, double spread) {}

  /** The posture as read; angles in rad, lengths in m. */
  public record Posed(
      Figure shank, Figure thigh, Figure trunk, Figure kneePastToe, Figure hipAboveKnee) {}

  public Sighting {
    shifts = Map.copyOf(shifts);
  }

  /** The exercise that was done. */
  public String exerciseId() {
    return Candidate.exerciseId(candidateId);
  }

  /**
   * The technique that pictures of one client tell: of each exercise those of the newest day, each
   * weighted by how sure it is.
   */
  public static Technique technique(List<Sighting> all) {
    Map<String, Map<String, Technique.Seen>> byExercise = new TreeMap<>();
    all.stream()
        .collect(Collectors.groupingBy(Sighting::exerciseId))
        .forEach((exercise, of) -> byExercise.put(exercise, newest(of)));
    return byExercise.isEmpty() ? Technique.USUAL : new Technique(byExercise);
  }

  private static Map<String, Technique.Seen> newest(List<Sighting> of) {
    LocalDate day = of.stream().map(Sighting::on).max(Comparator.naturalOrder()).orElseThrow();
    Map<String, List<Shift>> byParameter = new HashMap<>();
    of.stream()
        .filter(sighting -> sighting.on().equals(day))
        .flatMap(sighting -> sighting.shifts().entrySet().stream())
        .forEach(
            entry ->
                byParameter
                    .computeIfAbsent(entry.getKey(), key -> new java.util.ArrayList<>())
                    .add(entry.getValue()));
    Map<String, Technique.Seen> seen = new HashMap<>();
    byParameter.forEach((parameter, shifts) -> seen.put(parameter, together(shifts, day)));
    return seen;
  }

  private static Technique.Seen together(List<Shift> shifts, LocalDate day) {
    double weights = 0;
    double sum = 0;
    for (Shift shift : shifts) {
      double weight = 1 / (shift.spread() * shift.spread());
      weights += weight;
      sum += weight * shift.shift();
    }
    return new Technique.Seen(sum / weights, Math.sqrt(1 / weights), day);
  }
}
