package istmo.core.catalogue;

import istmo.core.body.Body;
import istmo.core.body.Technique;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An exercise with a named usual set-up.
 *
 * @param id "exercise/variant"; of a coach's own "exercise/own-KEY"
 * @param needs equipment: that of the exercise, unless this set-up says otherwise
 * @param yields parameter that gives way upwards when the ankle does not allow the usual set-up
 *     ("as low as the heels stay down"), before depth is taken back
 */
public record Candidate(
    CandidateId id,
    Exercise exercise,
    String name,
    Set<Equipment> needs,
    Setup usual,
    Optional<SetupParameter> yields) {
  /** Id of the exercise of which it is a set-up. */
  public String exerciseId() {
    return exercise.id();
  }

  /**
   * A coach's own variant of an exercise, from a set-up as it stands for one body: what grows with
   * the leg or the mass is kept as it would be for the reference body, so that this body gets it
   * back and others get their own size. Throws {@link InvalidInput} with fields "setup.NAME" for
   * what the exercise does not have, or does not allow on this or on the reference body.
   *
   * @param key what the coach's store knows it by
   */
  public static Candidate own(
      Exercise exercise, String key, String name, Map<String, Double> values, Body body) {
    Setup setup = Setup.of(exercise.family().parameters(), values);
    for (SetupParameter parameter : exercise.family().growWithTheLeg()) {
      setup = setup.with(parameter, forReference(parameter, setup.get(parameter), legSize(body)));
    }
    for (SetupParameter parameter : exercise.family().growWithTheMass()) {
      setup = setup.with(parameter, forReference(parameter, setup.get(parameter), massSize(body)));
    }
    return own(exercise, key, name, setup.values());
  }

  private static double forReference(SetupParameter parameter, double value, double size) {
    double reference = value / size;
    if (!parameter.allowed().contains(reference)) {
      throw InvalidInput.saying(
          "setup." + parameter.id(),
          "would be %.2f %s on an average body, in proportion; allowed is %.2f to %.2f",
          reference,
          parameter.unit(),
          parameter.allowed().min(),
          parameter.allowed().max());
    }
    return reference;
  }

  /**
   * An own variant as it was kept, or, where the exercise has changed since ({@link #fits}), as
   * near to it as the exercise allows now: to be looked at, not to be ordered. What gives way for
   * an ankle is what gives way in the exercise's other variants.
   */
  public static Candidate own(
      Exercise exercise, String key, String name, Map<String, Double> kept) {
    Map<String, Double> usual = new LinkedHashMap<>();
    for (SetupParameter parameter : exercise.family().parameters()) {
      if (kept.containsKey(parameter.id())) {
        usual.put(parameter.id(), parameter.allowed().nearest(kept.get(parameter.id())));
      }
    }
    return new Candidate(
        CandidateId.own(exercise.id(), key),
        exercise,
        name,
        exercise.needs(),
        Setup.of(exercise.family().parameters(), usual),
        exercise.yields());
  }

  /**
   * Whether the exercise still takes a set-up that was kept: a range may have become narrower
   * since, or a parameter may be gone.
   */
  public static boolean fits(Exercise exercise, Map<String, Double> kept) {
    return kept.entrySet().stream()
        .allMatch(
            entry ->
                exercise.family().parameters().stream()
                    .anyMatch(
                        parameter ->
                            parameter.id().equals(entry.getKey())
                                && parameter.allowed().contains(entry.getValue())));
  }

  private static double legSize(Body body) {
    return (body.thighM() + body.shankM()) / Body.REFERENCE_LEG_M;
  }

  private static double massSize(Body body) {
    return body.massKg() / Body.REFERENCE_MASS_KG;
  }

  /**
   * The usual set-up for this body on the machines of a place: what grows with the leg or the
   * body's mass is fitted to it, to the centimetre and the kilogram (of an own variant ten times
   * finer, so that its body gets it back), and what is measured there stands instead of what is
   * generic.
   */
  public Setup usualFor(Body body, GymEquipment equipment) {
    double grain = id.ownKey().isPresent() ? 10 : 1;
    Setup setup = usual;
    for (SetupParameter parameter : exercise.family().growWithTheLeg()) {
      setup =
          setup.with(
              parameter,
              parameter
                  .allowed()
                  .nearest(
                      Math.round(100 * grain * legSize(body) * usual.get(parameter))
                          / (100 * grain)));
    }
    for (SetupParameter parameter : exercise.family().growWithTheMass()) {
      setup =
          setup.with(
              parameter,
              parameter
                  .allowed()
                  .nearest(Math.round(grain * massSize(body) * usual.get(parameter)) / grain));
    }
    for (Map.Entry<String, Double> known : equipment.measuredOf(needs).entrySet()) {
      Optional<SetupParameter> found =
          exercise.family().parameters().stream()
              .filter(parameter -> parameter.id().equals(known.getKey()))
              .findFirst();
      if (found.isPresent()) {
        setup = setup.with(found.get(), known.getValue());
      }
    }
    return id.ownKey().isPresent() ? setup : asSeen(body, exercise, setup);
  }

  /**
   * The usual set-up as far as this body takes it, with what that changed, and what was seen of the
   * client, in words; empty when even the least depth is impossible.
   */
  public Optional<Reach> reachFor(Body body, GymEquipment equipment) {
    Setup usual = usualFor(body, equipment);
    Optional<Reach> reach = Reach.of(body, exercise.family(), usual, yields);
    for (SetupParameter parameter : exercise.family().parameters()) {
      Optional<Technique.Seen> seen =
          id.ownKey().isPresent()
              ? Optional.empty()
              : body.technique().of(exercise.id(), parameter.id());
      if (reach.isPresent() && seen.isPresent()) {
        Reach reached = reach.get();
        reach =
            asSeen(parameter, usual, seen.get())
                .map(otherwise -> reached.with(reached.setup(), otherwise))
                .or(() -> Optional.of(reached));
      }
    }
    return reach;
  }

  /** A parameter stands as it was seen on a day, instead of where it usually does. */
  public record SeenOtherwise(SetupParameter parameter, double seen, double usual, LocalDate on)
      implements Fact {}

  /** What was seen; empty where it is no different in the units that are read. */
  private static Optional<SeenOtherwise> asSeen(
      SetupParameter parameter, Setup usual, Technique.Seen seen) {
    double now = usual.get(parameter);
    double before = parameter.allowed().nearest(now - seen.shift());
    return parameter.shown(now) == parameter.shown(before)
        ? Optional.empty()
        : Optional.of(new SeenOtherwise(parameter, now, before, seen.on()));
  }

  /** The set-up as this client was seen to do the exercise. A coach's own variant stays as made. */
  private static Setup asSeen(Body body, Exercise exercise, Setup usual) {
    Setup setup = usual;
    for (SetupParameter parameter : exercise.family().parameters()) {
      Optional<Technique.Seen> seen = body.technique().of(exercise.id(), parameter.id());
      if (seen.isPresent()) {
        double value = setup.get(parameter) + seen.get().shift();
        setup = setup.with(parameter, parameter.allowed().nearest(value));
      }
    }
    return setup;
  }
}
