package istmo.core.catalogue;

import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Caution;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.movement.Family;
import istmo.core.movement.SetupParameter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An exercise as the trade knows it: one file in {@code catalogue/}.
 *
 * @param alsoCalled nicknames, so that it is found
 * @param needs equipment
 * @param group the group of an isolated machine, for the face check; empty otherwise
 * @param exclusions pain flag to the reason why it takes the exercise out
 * @param waits caution to the reason why it waits until that is cleared
 * @param onBelly done lying face down, or with a bar or belt across the hips
 * @param braced what seat, pads or track hold, so that muscles need not
 * @param oneWeight whether one dumbbell is held or lies on the body, where others need a pair
 * @param stability how little of the effort goes into balance, 0 to 1 (common practice)
 * @param setUpMinutes time to set up and load (common practice)
 * @param easeOfLearning 0 to 1 (common practice)
 * @param faults what goes wrong or is felt elsewhere, and the change to try (common practice)
 * @param plain the candidate that the name alone means; empty where it means none of them
 * @param yields what gives way for an ankle in its variants; empty where nothing does
 * @param modelError standard deviation of ln(stimulus) that the model leaves open for this family
 *     (docs/validation.md)
 */
public record Exercise(
    String id,
    String name,
    List<String> alsoCalled,
    Family family,
    Set<Equipment> needs,
    Optional<RegionGroup> group,
    Map<PainFlag, String> exclusions,
    Map<Caution, String> waits,
    boolean onBelly,
    String braced,
    boolean oneWeight,
    double stability,
    double setUpMinutes,
    double easeOfLearning,
    Optional<CandidateId> plain,
    double modelError,
    String repetitions,
    List<String> cues,
    List<String> stopSigns,
    Map<String, String> faults,
    List<String> cautions,
    Optional<SetupParameter> yields)
    implements AnyExercise {
  /** The most repetitions it is usually done for: the end of its range. */
  public int mostRepetitions() {
    return Integer.parseInt(repetitions.substring(repetitions.indexOf('-') + 1));
  }

  /** An exercise is told apart from others by its id. */
  @Override
  public boolean equals(Object other) {
    return other instanceof Exercise exercise && id.equals(exercise.id);
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }

  @Override
  public String toString() {
    return id;
  }

  @Override
  public List<SetupParameter> parameters() {
    return family.parameters();
  }

  /**
   * Families that move the whole body or a load through hips and legs together: what coaches call
   * compound exercises. All others work one joint (common practice).
   */
  private static final Set<String> COMPOUND =
      Set.of(
          "squat",
          "belt-squat",
          "hanging-squat",
          "guided-squat",
          "hack",
          "lever-squat",
          "press",
          "hinge",
          "guided-hinge",
          "one-leg-hinge",
          "pull-through",
          "deadlift",
          "split",
          "guided-split",
          "step",
          "side-lunge",
          "thrust");

  /** Whether coaches call it a compound exercise. */
  public boolean compound() {
    return COMPOUND.contains(family.id());
  }
}
