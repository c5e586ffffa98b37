package istmo.core.picture;

import istmo.core.body.Technique;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.TechniqueSpread;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    LocalDate on, CandidateId candidateId, double loadKg, Map<String, Shift> shifts, Posed posed) {
  /**
   * What is added to a parameter's usual value, with the standard deviation of what the client will
   * do next time, in the parameter's unit.
   */
  public record Shift(double shift, double spread) {}

  /** The posture as read; angles in rad, lengths in m. */
  public record Posed(
      Figure shank, Figure thigh, Figure trunk, Figure kneePastToe, Figure hipAboveKnee) {
    private void check(List<InvalidInput.Fault> faults) {
      check(faults, "shank", shank, Math.PI);
      check(faults, "thigh", thigh, Math.PI);
      check(faults, "trunk", trunk, Math.PI);
      check(faults, "kneePastToe", kneePastToe, MOST_M);
      check(faults, "hipAboveKnee", hipAboveKnee, MOST_M);
    }

    private static void check(
        List<InvalidInput.Fault> faults, String name, Figure figure, double most) {
      boolean believable =
          Math.abs(figure.value()) <= most && figure.error() >= 0 && figure.error() <= most;
      if (!believable) {
        faults.add(new InvalidInput.Fault("posed." + name, "is nothing that a body does"));
      }
    }
  }

  /** No joint is further from another one, m. */
  private static final double MOST_M = 2;

  public Sighting {
    shifts = Map.copyOf(shifts);
  }

  /**
   * Throws {@link InvalidInput} for an exercise that is unknown, a parameter that is no technique
   * of it, and figures that no picture gives. What was kept once is read without this, since an
   * exercise may have changed since.
   */
  public void check() {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    List<SetupParameter> parameters =
        Catalogue.standard().candidate(candidateId).exercise().family().parameters();
    TechniqueReading.LOAD_KG.check(faults, "loadKg", loadKg);
    shifts.forEach((id, shift) -> check(id, shift, parameters, faults));
    posed.check(faults);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private static void check(
      String id, Shift shift, List<SetupParameter> parameters, List<InvalidInput.Fault> faults) {
    Optional<SetupParameter> known =
        parameters.stream()
            .filter(parameter -> parameter.id().equals(id))
            .filter(parameter -> TechniqueSpread.of(parameter).isPresent())
            .findFirst();
    if (known.isEmpty()) {
      faults.add(new InvalidInput.Fault("shifts." + id, "is no technique of this exercise"));
      return;
    }
    double range = known.get().allowed().max() - known.get().allowed().min();
    boolean believable =
        Math.abs(shift.shift()) <= range && shift.spread() > 0 && shift.spread() <= range;
    if (!believable) {
      faults.add(
          new InvalidInput.Fault("shifts." + id, "goes further than the parameter's own range"));
    }
  }

  /** The exercise that was done. */
  public String exerciseId() {
    return candidateId.exerciseId();
  }

  /** A shift with the parameter that it is of. */
  public record Change(SetupParameter parameter, Shift shift) {}

  /**
   * The shifts in the order of the exercise's parameters, without what is no parameter any more.
   */
  public List<Change> changes() {
    return Catalogue.standard().exercises().stream()
        .filter(exercise -> exercise.id().equals(exerciseId()))
        .flatMap(exercise -> exercise.family().parameters().stream())
        .filter(parameter -> shifts.containsKey(parameter.id()))
        .map(parameter -> new Change(parameter, Required.entry(shifts, parameter.id())))
        .toList();
  }

  /** Whether it is of the newest day of its exercise, and so counts. */
  public boolean countsAmong(List<Sighting> all) {
    return all.stream()
        .noneMatch(other -> other.exerciseId().equals(exerciseId()) && other.on().isAfter(on));
  }

  /**
   * The technique that pictures of one client tell: of each exercise those of the newest day, each
   * weighted by how sure it is.
   */
  public static Technique technique(List<Sighting> all) {
    Map<String, Map<String, Technique.Seen>> byExercise = new TreeMap<>();
    all.stream()
        .filter(sighting -> sighting.countsAmong(all))
        .collect(Collectors.groupingBy(Sighting::exerciseId))
        .forEach((exercise, newest) -> byExercise.put(exercise, seen(newest)));
    return byExercise.isEmpty() ? Technique.USUAL : new Technique(byExercise);
  }

  private static Map<String, Technique.Seen> seen(List<Sighting> ofOneDay) {
    Map<String, List<Shift>> byParameter = new HashMap<>();
    for (Sighting sighting : ofOneDay) {
      sighting
          .shifts()
          .forEach(
              (parameter, shift) ->
                  byParameter.computeIfAbsent(parameter, key -> new ArrayList<>()).add(shift));
    }
    Map<String, Technique.Seen> seen = new HashMap<>();
    LocalDate day = ofOneDay.get(0).on();
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
