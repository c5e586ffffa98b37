package istmo.core.evidence;

import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An exercise in one set-up, whatever the body: what a study's condition, a claim's side or a
 * candidate is to the evidence.
 *
 * @param key names it: a candidate's id, with what differs from its usual set-up
 *     ("back-squat/high-bar depth=62"), or any other name for a point that the reference table does
 *     not hold
 * @param setup for a body of reference proportions
 * @param yields what gives way when the ankle does not allow it
 */
public record Point(String key, Exercise exercise, Setup setup, Optional<SetupParameter> yields) {
  /**
   * Set-ups so many natural steps of one parameter apart share little more than the exercise does.
   */
  private static final double STEPS = 4;

  /**
   * Shares of the model's own error that are common to a kind of exercise, to a family, to an
   * exercise, and to like set-ups; they add up to 1 (judgement; docs/model.md, 9).
   */
  static final double KIND_SHARE = 0.2;

  static final double FAMILY_SHARE = 0.2;
  static final double EXERCISE_SHARE = 0.3;
  static final double SETUP_SHARE = 0.3;

  /** Families that ask for the same thing in kind; others stand alone. */
  private static final Map<String, String> KINDS =
      Map.ofEntries(
          Map.entry("squat", "squats and presses"),
          Map.entry("belt-squat", "squats and presses"),
          Map.entry("hanging-squat", "squats and presses"),
          Map.entry("guided-squat", "squats and presses"),
          Map.entry("hack", "squats and presses"),
          Map.entry("lever-squat", "squats and presses"),
          Map.entry("press", "squats and presses"),
          Map.entry("hinge", "hinges"),
          Map.entry("guided-hinge", "hinges"),
          Map.entry("pull-through", "hinges"),
          Map.entry("one-leg-hinge", "hinges"),
          Map.entry("deadlift", "hinges"),
          Map.entry("split", "one-leg"),
          Map.entry("guided-split", "one-leg"),
          Map.entry("step", "one-leg"),
          Map.entry("side-lunge", "one-leg"),
          Map.entry("standing-calf", "straight-knee calf raises"),
          Map.entry("bent-over-calf", "straight-knee calf raises"),
          Map.entry("press-calf", "straight-knee calf raises"),
          Map.entry("seated-curl", "curls"),
          Map.entry("lying-curl", "curls"),
          Map.entry("standing-curl", "curls"),
          Map.entry("kneeling-curl", "curls"));

  /**
   * Reads "candidate" or "candidate name=value,name=value"; throws for what the catalogue does not
   * have.
   */
  public static Point parse(String key) {
    String[] part = key.trim().split(" ", 2);
    Candidate candidate = Catalogue.standard().candidate(part[0]);
    Map<String, Double> values = new LinkedHashMap<>(candidate.usual().values());
    if (part.length > 1) {
      for (String pair : part[1].split(",")) {
        String[] kv = pair.split("=");
        values.put(kv[0].trim(), Double.parseDouble(kv[1].trim()));
      }
    }
    Exercise exercise = candidate.exercise();
    return new Point(
        key.trim(), exercise, Setup.of(exercise.family().parameters(), values), candidate.yields());
  }

  /** The point of a candidate, by its id. */
  public static Point of(Candidate candidate) {
    return new Point(
        candidate.id().text(), candidate.exercise(), candidate.usual(), candidate.yields());
  }

  String kind() {
    return KINDS.getOrDefault(exercise.family().id(), exercise.family().id());
  }

  /** Names it wholly: a key may be a coach's own, which says nothing of the set-up. */
  String name() {
    return key + " " + setup.values();
  }

  /**
   * Squared distance between two set-ups of one exercise, in units of {@value #STEPS} natural
   * steps; a choice that differs counts 1.
   */
  double squaredDistance(Point other) {
    double sum = 0;
    for (SetupParameter parameter : exercise.family().parameters()) {
      if (parameter.kind() == SetupParameter.Kind.MACHINE) {
        continue;
      }
      double d = setup.get(parameter) - other.setup.get(parameter);
      sum +=
          parameter.choices().isEmpty()
              ? d * d / (STEPS * STEPS * parameter.step() * parameter.step())
              : d != 0 ? 1 : 0;
    }
    return sum;
  }

  /** Correlation of the model's own error between two points, 0 to 1. */
  double correlation(Point other) {
    double sum = kind().equals(other.kind()) ? KIND_SHARE : 0;
    sum += exercise.family().id().equals(other.exercise.family().id()) ? FAMILY_SHARE : 0;
    if (exercise.id().equals(other.exercise.id())) {
      sum += EXERCISE_SHARE + SETUP_SHARE * Math.exp(-squaredDistance(other) / 2);
    }
    return sum;
  }

  /** The candidate of the catalogue that it names. */
  public CandidateId candidateId() {
    return new CandidateId(key.split(" ", 2)[0]);
  }

  /** A parameter that is otherwise than in the candidate's usual set-up, in its own unit. */
  public record Otherwise(SetupParameter parameter, double value) {}

  /** What differs from the candidate's usual set-up, in the order of its key. */
  public List<Otherwise> otherwise() {
    String[] part = key.split(" ", 2);
    if (part.length == 1) {
      return List.of();
    }
    return Arrays.stream(part[1].split(","))
        .map(pair -> pair.split("="))
        .map(pair -> new Otherwise(parameter(pair[0].trim()), Double.parseDouble(pair[1].trim())))
        .toList();
  }

  private SetupParameter parameter(String id) {
    return exercise.family().parameters().stream()
        .filter(parameter -> parameter.id().equals(id))
        .findFirst()
        .orElseThrow();
  }
}
