package istmo.core.movement;

import istmo.core.body.Body;
import java.util.List;
import java.util.Optional;

/**
 * A family of exercises that share how the posture follows from the set-up. Implementations keep no
 * state.
 */
public interface Family {
  /** Name in the catalogue and in tables. */
  String id();

  /** Everything that can be moved, with usual values for the family. */
  List<SetupParameter> parameters();

  /** What can be taken hold of in a drawing. Everything else moves by its number alone. */
  List<Handle> handles();

  /** Whether the posture depends on the external load, as it does where the body must balance. */
  boolean balances();

  /**
   * A load with which a set-up is tried where the posture depends on it, kg: heavy, because what
   * stands over the feet steadies, and no heavier than the exercise is loaded.
   */
  default double triedWithKg(Setup setup) {
    return 100;
  }

  /**
   * The parameter that says how deep the repetition goes, if depth can be lowered for a body that
   * does not reach it.
   */
  default Optional<SetupParameter> depth() {
    return Optional.empty();
  }

  /** Whether a repetition begins at the bottom although its depth can be chosen, as a step does. */
  default boolean beginsLow() {
    return false;
  }

  /**
   * How far the trunk may lean from the vertical before the load does not stay where it is held,
   * rad; a right angle and more where nothing is held that could slide off.
   */
  default double mostLeanRad(Setup setup) {
    return Math.PI;
  }

  /**
   * The set-up with another value of {@link #depth}; where the repetition is a part of the whole,
   * it stays that part.
   */
  default Setup atDepth(Setup setup, double value) {
    return setup.with(depth().orElseThrow(), value);
  }

  /**
   * How much of the whole repetition this set-up goes through: 1, or less for partial repetitions.
   */
  default double part(Setup setup) {
    return 1;
  }

  /**
   * Parameters whose usual values are for {@link istmo.core.body.Body#REFERENCE_LEG_M} of leg and
   * change in proportion with it, as a stride does.
   */
  default List<SetupParameter> growWithTheLeg() {
    return List.of();
  }

  /**
   * Parameters whose usual values are for {@link istmo.core.body.Body#REFERENCE_MASS_KG} and change
   * in proportion with body mass, as help of the hands does.
   */
  default List<SetupParameter> growWithTheMass() {
    return List.of();
  }

  /**
   * Share of the external load that hangs in one hand by its grip: nothing where no hand holds it,
   * or straps do.
   */
  default double inOneHand(Setup setup) {
    return 0;
  }

  /** Whether the load is held at the chest, where the arms end it and no hook or strap helps. */
  default boolean heldAtChest(Setup setup) {
    return false;
  }

  /**
   * How many legs carry the external load alike: two, or one where the leg works alone or for the
   * most part.
   */
  default int legs(Setup setup) {
    return 2;
  }

  /**
   * Posture at a phase of the repetition under an external load.
   *
   * @param phase 0 top or shortened end, 1 bottom or lengthened end
   * @param loadKg external load W, kg; counts for both legs together
   */
  PostureResult posture(Body body, Setup setup, double phase, double loadKg);
}
