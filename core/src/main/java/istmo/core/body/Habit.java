package istmo.core.body;

import istmo.core.anatomy.RegionGroup;

/**
 * Where a client feels a movement that was meant for something else, and the known changes to try
 * (common practice).
 */
public enum Habit {
  HINGE_TO_GLUTES(
      "hinges go to the glutes",
      "hinge",
      RegionGroup.HAMSTRINGS,
      "Hinges go to this client's glutes: straighter knee, stop where the hips go no further"
          + " back."),
  HINGE_TO_HAMSTRINGS(
      "hinges go to the hamstrings",
      "hinge",
      RegionGroup.GLUTES,
      "Hinges go to this client's hamstrings: more knee bend, hips further back."),
  HINGE_TO_BACK(
      "hinges go to the back",
      "hinge",
      RegionGroup.HAMSTRINGS,
      "Hinges go to this client's back: less depth, lighter, brace first."),
  SQUAT_TO_QUADS(
      "squats go to the quads",
      "squat",
      RegionGroup.GLUTES,
      "Squats go to this client's quads: more lean, hips back first, deeper."),
  PRESS_TO_QUADS(
      "presses go to the quads",
      "press",
      RegionGroup.GLUTES,
      "Presses go to this client's quads: feet higher and wider, deeper at the hip.");

  private final String label;
  private final String family;
  private final RegionGroup group;
  private final String change;

  Habit(String label, String family, RegionGroup group, String change) {
    this.label = label;
    this.family = family;
    this.group = group;
    this.change = change;
  }

  /** Name that the coach ticks. */
  public String label() {
    return label;
  }

  /** The family of movements that is felt elsewhere. */
  public String family() {
    return family;
  }

  /** The group of regions that is meant and missed. */
  public RegionGroup group() {
    return group;
  }

  /** What is changed for a client with this habit, in a sentence. */
  public String change() {
    return change;
  }
}
