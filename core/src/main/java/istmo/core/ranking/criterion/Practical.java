package istmo.core.ranking.criterion;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Soreness;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.Limiter;
import istmo.core.movement.Family;
import istmo.core.movement.Load;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import istmo.core.ranking.Alternative;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights.Criterion;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The practical criteria of one candidate for a brief: each 0 to 1 with its weight and a reason.
 * Every candidate of a brief has the same ones in the same order.
 */
public final class Practical {
  /**
   * How stable a curl is without a pad that holds the thigh (common practice: pull yourself down,
   * or skip it).
   */
  private static final double WITHOUT_PAD = 0.5;

  /** How stable a machine is whose seat or roller does not fit this leg (judgement). */
  private static final double OUT_OF_LINE = 0.7;

  /** Place of the roller on the shank, as the families have it: a share of knee to ankle. */
  private static final double ROLLER_ON_SHANK = 0.88;

  /** A sore joint that is worked, with less load or less range (judgement). */
  private static final double SORE_WORKED = 0.3;

  /**
   * Force on the kneecap in body weights at which nothing is spared: deep heavy squats (order of
   * size in the literature; from memory).
   */
  private static final double KNEECAP_BODY_WEIGHTS = 8;

  /** Moment arm of the quadriceps at the knee for that, m. */
  private static final double QUADRICEPS_ARM_M = 0.045;

  /** Steps of a school of heavy basics: how much more steps in load, and the whole leg, count. */
  private static final double BASICS_STEPS = 2;

  private final Brief brief;
  private final Exercise exercise;
  private final Evaluation.Computed e;
  private final List<Alternative.Criterion> criteria = new ArrayList<>();

  private Practical(Brief brief, Evaluation.Computed computed, Exercise exercise) {
    this.brief = brief;
    this.exercise = exercise;
    this.e = computed;
  }

  /**
   * The value of a candidate by every criterion, 0 to 1.
   *
   * @param stimulus by region, with what studies add
   * @param mostWork greatest {@link #work} of all candidates of the brief
   */
  public static List<Alternative.Criterion> criteria(
      Brief brief,
      Exercise exercise,
      Evaluation.Computed computed,
      RegionValues stimulus,
      double mostWork) {
    Practical practical = new Practical(brief, computed, exercise);
    practical.target();
    practical.stability();
    practical.curve();
    practical.reach();
    practical.comfort();
    if (!brief.aim().weights().containsKey(Region.ERECTORS)) {
      double back = Fit.backActivation(computed.analysis());
      practical.add(Criterion.SPINE, 1 - Math.min(1, back), new CriterionFact.BackWorks(back));
    }
    double aimed = aimedWork(brief.aim(), stimulus) / Math.max(1e-9, work(stimulus));
    practical.add(Criterion.ELSEWHERE, Math.min(1, aimed), new CriterionFact.AimedWork(aimed));
    practical.progression();
    practical.add(
        Criterion.TIME,
        Math.max(0, 1 - exercise.setUpMinutes() / 5),
        new CriterionFact.SetUpTime(exercise.setUpMinutes()));
    practical.learning();
    practical.liked();
    practical.rerack();
    practical.knee();
    double whole = work(stimulus) / Math.max(1e-9, mostWork);
    practical.add(
        Criterion.RETURN,
        brief.weights().of(Criterion.RETURN) + brief.school().basics(),
        Math.min(1, whole),
        new CriterionFact.WholeWork(whole));
    return practical.criteria;
  }

  /** Stimulus of the whole leg: the sum over regions, by volume. */
  public static double work(RegionValues stimulus) {
    double sum = 0;
    for (Region region : Region.values()) {
      sum += volume(region) * stimulus.get(region);
    }
    return sum;
  }

  private static double aimedWork(Aim aim, RegionValues stimulus) {
    return aim.weights().keySet().stream()
        .mapToDouble(region -> volume(region) * stimulus.get(region))
        .sum();
  }

  private static double volume(Region region) {
    return region.muscle().volumeM3();
  }

  private void add(Criterion criterion, double value, Fact reason) {
    add(criterion, brief.weights().of(criterion), value, reason);
  }

  private void add(Criterion criterion, double weight, double value, Fact reason) {
    criteria.add(
        new Alternative.Criterion(criterion.id(), criterion.label(), weight, value, reason));
  }

  private void target() {
    double share =
        e.analysis().set().gaveOut().stream()
            .filter(limiter -> limiter.isOneOf(brief.aim().weights().keySet()))
            .mapToDouble(Limiter::share)
            .sum();
    add(
        Criterion.TARGET,
        Math.min(1, share),
        new CriterionFact.EndsInTarget(Limiters.byGroup(e.analysis().set().gaveOut()), share));
  }

  private void stability() {
    boolean noPad =
        e.candidate().needs().stream()
            .anyMatch(item -> brief.equipment().measured(item, "thighPad").orElse(1) == 0);
    OptionalDouble seat = measured("thighMost");
    double thigh = brief.body().thighM();
    OptionalDouble roller = measured("rollerMost");
    double ankle = ROLLER_ON_SHANK * brief.body().shankM();
    if (noPad) {
      add(
          Criterion.STABILITY,
          Math.min(WITHOUT_PAD, exercise.stability()),
          new CriterionFact.NoThighPad());
    } else if (seat.orElse(thigh) < thigh) {
      add(
          Criterion.STABILITY,
          Math.min(OUT_OF_LINE, exercise.stability()),
          new CriterionFact.SeatTooShort(seat.getAsDouble(), thigh));
    } else if (roller.orElse(ankle) < ankle) {
      add(
          Criterion.STABILITY,
          Math.min(OUT_OF_LINE, exercise.stability()),
          new CriterionFact.RollerTooShort(roller.getAsDouble(), ankle));
    } else {
      add(Criterion.STABILITY, exercise.stability(), new CriterionFact.Held(exercise.stability()));
    }
  }

  private OptionalDouble measured(String detail) {
    return e.candidate().needs().stream()
        .map(item -> brief.equipment().measured(item, detail))
        .filter(OptionalDouble::isPresent)
        .findFirst()
        .orElse(OptionalDouble.empty());
  }

  /** Mean over the peak of what counts for the aimed regions. */
  private void curve() {
    List<AnalysisPoint> points = e.analysis().points();
    double[] counts = new double[points.size()];
    for (Map.Entry<Region, Integer> entry : brief.aim().weights().entrySet()) {
      int muscle = entry.getKey().muscleIndex();
      for (int k = 0; k < counts.length; k++) {
        counts[k] += entry.getValue() * Stimulus.tension(points.get(k), brief.school(), muscle);
      }
    }
    double peak = 0;
    double sum = 0;
    double top = 0;
    double bottom = 0;
    for (int k = 0; k < counts.length; k++) {
      peak = Math.max(peak, counts[k]);
      sum += counts[k];
      top += k < counts.length / 4 ? counts[k] : 0;
      bottom += k >= counts.length - counts.length / 4 ? counts[k] : 0;
    }
    double even =
        peak > 0
            ? Math.min(1, sum / counts.length / peak)
            : 0; // a mean may round to above its peak
    CriterionFact.Light light =
        even > 0.7
            ? CriterionFact.Light.NOWHERE
            : top < bottom ? CriterionFact.Light.NEAR_TOP : CriterionFact.Light.NEAR_BOTTOM;
    add(Criterion.CURVE, even, new CriterionFact.Evenness(light, even));
  }

  private void reach() {
    Family family = exercise.family();
    double share = 1;
    if (family.depth().isPresent()) {
      SetupParameter depth = family.depth().get();
      double wished = e.candidate().usualFor(brief.limitedBody(), brief.equipment()).get(depth);
      share = Math.min(1, Math.max(0, e.reach().setup().get(depth) / Math.max(1e-9, wished)));
    }
    add(Criterion.REACH, share, new CriterionFact.Depth(share));
  }

  /** Counts only where a joint is sore, or something has hurt this client. */
  private void comfort() {
    if (brief.cautions().sores().isEmpty() && !brief.experience().anyPain()) {
      return;
    }
    double hurt = brief.experience().pain(e.candidate().id());
    Optional<Soreness> worked =
        brief.cautions().sores().stream()
            .filter(soreness -> exercise.exclusions().containsKey(soreness.joint()))
            .findFirst();
    double calm = worked.isPresent() ? SORE_WORKED : 1;
    if (1 - hurt < calm) {
      add(
          Criterion.COMFORT,
          1 - hurt,
          brief.experience().reports(e.candidate().id()).orElseThrow());
      return;
    }
    add(
        Criterion.COMFORT,
        calm,
        worked
            .<CriterionFact>map(
                soreness ->
                    new CriterionFact.WorksSoreJoint(
                        soreness.joint(), Required.entry(exercise.exclusions(), soreness.joint())))
            .orElse(new CriterionFact.WorksNoSoreJoint()));
  }

  private void progression() {
    double relative =
        brief.equipment().smallestStepKg(e.candidate().needs())
            / Math.max(1, e.analysis().workingKg());
    add(
        Criterion.PROGRESSION,
        brief.weights().of(Criterion.PROGRESSION) * (1 + BASICS_STEPS * brief.school().basics()),
        Math.max(0, Math.min(1, (0.10 - relative) / 0.09)),
        new CriterionFact.SmallestStep(relative));
  }

  /** A beginner learns first; who has trained for years needs it little. */
  private void learning() {
    Optional<TrainingAge> age =
        brief.weights().set(Criterion.LEARNING) ? Optional.empty() : brief.profile().trainingAge();
    double factor =
        age.map(
                trainingAge ->
                    trainingAge == TrainingAge.WEEKS
                        ? 2.0
                        : trainingAge == TrainingAge.YEARS ? 1.0 / 3 : 1)
            .orElse(1.0);
    add(
        Criterion.LEARNING,
        factor * brief.weights().of(Criterion.LEARNING),
        exercise.easeOfLearning(),
        new CriterionFact.EaseOfLearning(exercise.easeOfLearning()));
  }

  /** What the client enjoys is done longer; counts only where somebody has said something. */
  private void liked() {
    if (brief.profile().likes().isEmpty() && brief.profile().dislikes().isEmpty()) {
      return;
    }
    boolean likes = brief.profile().likes().contains(exercise.id());
    boolean dislikes = brief.profile().dislikes().contains(exercise.id());
    double value = likes ? 1 : dislikes ? 0 : 0.5;
    add(Criterion.LIKED, value, new CriterionFact.ClientLikes(value));
  }

  private void rerack() {
    boolean whole = exercise.family().part(e.reach().setup()) > 0.99;
    OptionalDouble low = measured("lowRerack");
    boolean held =
        (low.isPresent() && low.getAsDouble() == 0)
            || (low.isEmpty()
                && e.candidate().needs().contains(Equipment.BARBELL)
                && !e.candidate().needs().contains(Equipment.RACK));
    add(
        Criterion.RERACK,
        whole || !held ? 1 : 0,
        whole
            ? CriterionFact.Rerack.AT_THE_TOP
            : held ? CriterionFact.Rerack.NOT_LOW : CriterionFact.Rerack.LOW);
  }

  /**
   * Force on the kneecap: the quadriceps' pull times twice the sine of half the knee bend, no more
   * than at a right angle, where the tendon lies on the bone beyond.
   */
  private void knee() {
    double most = 0;
    for (AnalysisPoint point : e.analysis().points()) {
      double pull = Math.max(0, -point.suppliedNm(Coordinate.KNEE_FLEXION)) / QUADRICEPS_ARM_M;
      most =
          Math.max(
              most,
              pull
                  * 2
                  * Math.sin(
                      Math.min(
                              Math.PI / 2,
                              Math.max(0, point.posture().angle(Coordinate.KNEE_FLEXION)))
                          / 2));
    }
    double weights = most / (brief.body().massKg() * Load.G);
    add(
        Criterion.KNEE,
        Math.max(0, 1 - weights / KNEECAP_BODY_WEIGHTS),
        new CriterionFact.KneecapForce(weights));
  }
}
