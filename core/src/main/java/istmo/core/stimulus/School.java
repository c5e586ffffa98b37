package istmo.core.stimulus;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;

/**
 * A school: how a coach weighs tension over a repetition, and what else of a school moves the
 * order. A setting, not a truth.
 *
 * @param recruitment exponent of the drive: 0 counts tension alone, 2 makes loads from light to
 *     heavy alike when taken to failure
 * @param lengthBias how much more a fibre counts for each optimal length that it is longer
 * @param powerMean exponent of the mean over the range: 1 counts the whole range alike, high counts
 *     the peak
 * @param passiveWeight how much stretch tension counts beside active tension
 * @param activityTrust how much a finding of muscle activity counts beside one of growth, 0 to 1
 * @param practiceTrust how much common practice that hardly anybody disputes counts beside a growth
 *     study, 0 to 1
 * @param basics how much more ease of adding load and return for the whole leg count, 0 for not at
 *     all
 */
public record School(
    String id,
    String label,
    String reason,
    double recruitment,
    double lengthBias,
    double powerMean,
    double passiveWeight,
    double activityTrust,
    double practiceTrust,
    double basics) {
  public static final Allowed LENGTH_BIAS = new Allowed(-1.5, 1.5, "");
  public static final Allowed PASSIVE_WEIGHT = new Allowed(0, 1, "");
  public static final Allowed ACTIVITY_TRUST = new Allowed(0, 1, "");
  public static final Allowed PRACTICE_TRUST = new Allowed(0, 1, "");
  public static final Allowed BASICS = new Allowed(0, 3, "");

  /**
   * What a finding of activity counts unless a school says otherwise (judgement; docs/model.md, 9).
   */
  public static final double USUAL_ACTIVITY_TRUST = 0.2;

  /** What common practice counts unless a school says otherwise: little (judgement). */
  public static final double USUAL_PRACTICE_TRUST = 0.1;

  /**
   * Exponent of the mean over the range: above 1, so that what is heavy for a part of a long range
   * is not worth less than what is heavy throughout a short one (chosen in docs/decisions.md).
   */
  public static final double USUAL_POWER_MEAN = 1.5;

  public static final int LONGEST_NAME = 60;
  private static final int LONGEST_REASON = 400;

  public static final School STRETCH =
      new School(
          "stretch",
          "by stretch under load",
          "Most of the newer growth studies favour long muscle lengths; it also orders the"
              + " exercises as practitioners would.",
          2,
          1.0,
          USUAL_POWER_MEAN,
          0.5);
  public static final School WHOLE_RANGE =
      new School(
          "whole-range",
          "by the whole range",
          "All lengths alike; what is heavy only at one end counts less.",
          2,
          0,
          USUAL_POWER_MEAN,
          0);
  public static final School SQUEEZE =
      new School(
          "squeeze",
          "by the squeeze",
          "Short lengths and no slack count more; least support in growth studies.",
          2,
          -1,
          USUAL_POWER_MEAN,
          0);
  public static final School ACTIVATION =
      new School(
          "activation",
          "by activation first",
          "Muscle activity counts like growth. Activity has failed to foretell growth where both"
              + " were measured (thrust against squat).",
          2,
          0,
          USUAL_POWER_MEAN,
          0,
          1,
          USUAL_PRACTICE_TRUST,
          0);
  public static final School BASICS_FIRST =
      new School(
          "basics",
          "by heavy basics",
          "Lengths as by stretch, and what is easily made heavier and trains much of the leg in one"
              + " set counts more.",
          2,
          1.0,
          USUAL_POWER_MEAN,
          0.5,
          USUAL_ACTIVITY_TRUST,
          USUAL_PRACTICE_TRUST,
          1);

  public static final School STUDIES_ONLY =
      new School(
          "studies",
          "by studies and mechanics only",
          "Lengths as by stretch, and what coaches agree on without a study counts for nothing.",
          2,
          1.0,
          USUAL_POWER_MEAN,
          0.5,
          USUAL_ACTIVITY_TRUST,
          0,
          0);

  /** A school that counts the basics as usual and trusts practice as usual. */
  public School(
      String id,
      String label,
      String reason,
      double recruitment,
      double lengthBias,
      double powerMean,
      double passiveWeight) {
    this(
        id,
        label,
        reason,
        recruitment,
        lengthBias,
        powerMean,
        passiveWeight,
        USUAL_ACTIVITY_TRUST,
        USUAL_PRACTICE_TRUST,
        0);
  }

  /** The stated schools. */
  public static List<School> all() {
    return List.of(STRETCH, WHOLE_RANGE, SQUEEZE, ACTIVATION, BASICS_FIRST, STUDIES_ONLY);
  }

  /** The stated school with this id; throws {@code InvalidInput} when there is none. */
  public static School get(String id) {
    return all().stream()
        .filter(school -> school.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    "school",
                    "\""
                        + id
                        + "\" is not a school; there are "
                        + all().stream().map(School::id).toList()));
  }

  /** What a coach could set of it. */
  public Leanings leanings() {
    return new Leanings(lengthBias, passiveWeight, activityTrust, practiceTrust, basics);
  }

  /** What a coach sets of an own school; the components are those of {@link School}. */
  public record Leanings(
      double lengthBias,
      double passiveWeight,
      double activityTrust,
      double practiceTrust,
      double basics) {}

  /**
   * A coach's own school; drive and mean over the range stay the model's. Throws {@link
   * InvalidInput} that names every field out of range.
   */
  public static School own(String id, String label, String reason, Leanings leanings) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if (label == null || label.isBlank() || label.length() > LONGEST_NAME) {
      faults.add(
          new InvalidInput.Fault(
              "label", "needs a name of at most " + LONGEST_NAME + " characters"));
    }
    if (reason == null || reason.isBlank() || reason.length() > LONGEST_REASON) {
      faults.add(
          new InvalidInput.Fault(
              "reason", "needs the reason, in at most " + LONGEST_REASON + " characters"));
    }
    LENGTH_BIAS.check(faults, "lengthBias", leanings.lengthBias());
    PASSIVE_WEIGHT.check(faults, "passiveWeight", leanings.passiveWeight());
    ACTIVITY_TRUST.check(faults, "activityTrust", leanings.activityTrust());
    PRACTICE_TRUST.check(faults, "practiceTrust", leanings.practiceTrust());
    BASICS.check(faults, "basics", leanings.basics());
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return new School(
        id,
        label,
        reason,
        STRETCH.recruitment(),
        leanings.lengthBias(),
        STRETCH.powerMean(),
        leanings.passiveWeight(),
        leanings.activityTrust(),
        leanings.practiceTrust(),
        leanings.basics());
  }
}
