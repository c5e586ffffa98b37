package istmo.core.ranking.criterion;

import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisResult;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.movement.Family;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Parameters;
import istmo.core.movement.Reach;
import istmo.core.quantity.Fact;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.List;
import java.util.Optional;

/**
 * What the mechanics says of one candidate on one body, in its usual set-up on these machines, as
 * deep as this body takes it.
 */
public sealed interface Evaluation {
  Candidate candidate();

  /** The same mechanics judged by another school. */
  Evaluation judgedBy(School school);

  /**
   * Computed and fit to be ranked.
   *
   * @param reach the set-up used, and what was changed for this body
   * @param stimulus by region id
   */
  record Computed(Candidate candidate, Reach reach, Analysis analysis, RegionValues stimulus)
      implements Evaluation {
    @Override
    public Evaluation judgedBy(School school) {
      return judged(candidate, reach, analysis, school);
    }
  }

  /** This body cannot take the posture. */
  record OutOfReach(Candidate candidate, Fact why) implements Evaluation {
    @Override
    public Evaluation judgedBy(School school) {
      return this;
    }
  }

  /**
   * Computed, but it fails the face check of its kind of machine, so it is not shown in an order.
   */
  record NotComputedWellEnough(
      Candidate candidate, Reach reach, Analysis analysis, NotBelievable why)
      implements Evaluation {
    @Override
    public Evaluation judgedBy(School school) {
      return judged(candidate, reach, analysis, school);
    }
  }

  /**
   * The arms end it before the legs do: it is meant for so many repetitions, with so many in
   * reserve, and so much at the chest, kg.
   */
  record ForMoreRepetitions(int repetitions, int reserve, double kg) implements Fact {}

  /**
   * There is nothing heavier here: it is done for so many repetitions, with so many in reserve, and
   * so much, kg.
   */
  record NothingHeavier(int repetitions, int reserve, double kg) implements Fact {}

  /** With straps; bare hands end the set at so much for ten repetitions, kg. */
  record WithStraps(double bareKg) implements Fact {}

  /** Groups that get more of a machine than its own group should leave them. */
  record NotBelievable(List<RegionGroup> groups, RegionGroup group) implements Fact {}

  /** With a weight that is too light a set goes on to so many repetitions (common practice). */
  int MOST_WITH_LITTLE = 20;

  /** Evaluates a candidate with a given analyser, which must be one for {@code body}. */
  static Evaluation of(
      Body body, Analyser analyser, Candidate candidate, GymEquipment equipment, School school) {
    Exercise exercise = candidate.exercise();
    Optional<Reach> reach = candidate.reachFor(body, equipment);
    if (reach.isEmpty()) {
      return new OutOfReach(
          candidate,
          Reach.obstacle(body, exercise.family(), candidate.usualFor(body, equipment))
              .<Fact>map(Impossible::obstacle)
              .orElse(Hindrance.OUT_OF_REACH));
    }
    AnalysisResult result =
        analyser.analyse(exercise.family(), reach.get().setup(), LoadRule.USUAL);
    if (result instanceof CannotAnalyse cannot) {
      return new OutOfReach(candidate, cannot.why());
    }
    Analysis analysis = (Analysis) result;
    double heaviest =
        equipment
            .heaviestHandWeightKg(candidate.needs(), exercise.oneWeight())
            .orElse(Double.MAX_VALUE);
    return analysis.workingKg() > heaviest
        ? withTheHeaviest(candidate, analyser, reach.get(), heaviest, analysis, school)
        : unheld(candidate, body, analyser, reach.get(), analysis, heaviest, school);
  }

  /** The same with the heaviest weight of the place, which is too light for the usual set. */
  private static Evaluation withTheHeaviest(
      Candidate candidate, Analyser analyser, Reach reach, double kg, Analysis ten, School school) {
    Family family = candidate.exercise().family();
    AnalysisResult result = analyser.analyse(family, reach.setup(), new LoadRule.Fixed(kg));
    if (result instanceof CannotAnalyse cannot) {
      return new OutOfReach(candidate, cannot.why());
    }
    Analysis light = LightSet.counted((Analysis) result, ten);
    int most = Math.max(candidate.exercise().mostRepetitions(), MOST_WITH_LITTLE);
    int could = (int) light.set().repetitions();
    Reach told =
        reach.with(
            reach.setup(),
            new NothingHeavier(Math.min(could, most), Math.max(0, could - most), kg));
    return judged(candidate, told, light.endedAfter(most), school);
  }

  /** The same where the hands do not end the set before the legs do, if straps can be used. */
  private static Evaluation unheld(
      Candidate candidate,
      Body body,
      Analyser analyser,
      Reach reach,
      Analysis bare,
      double heaviestKg,
      School school) {
    Exercise exercise = candidate.exercise();
    Family family = exercise.family();
    if (family.heldAtChest(reach.setup())
        && bare.set().repetitions() > SetSimulation.COMPARED_REPETITIONS + 1) {
      int most = exercise.mostRepetitions();
      Analysis counted = LightSet.heldAtChest(body, family, reach.setup(), bare);
      return judged(candidate, forMore(reach, bare, most), counted.endedAfter(most), school);
    }
    if (bare.set().end() == SimulatedSet.End.GRIP
        && family.parameters().contains(Parameters.STRAPS)) {
      Reach strapped = strapped(reach, bare);
      if (analyser.analyse(family, strapped.setup(), LoadRule.USUAL) instanceof Analysis held) {
        return held.workingKg() > heaviestKg
            ? withTheHeaviest(candidate, analyser, strapped, heaviestKg, held, school)
            : judged(candidate, strapped, held, school);
      }
    }
    return judged(candidate, reach, bare, school);
  }

  /**
   * The arms hold no load that is hard for ten. A set counts to the most repetitions that the
   * exercise is done for; who could do more ends it with those in reserve.
   */
  private static Reach forMore(Reach reach, Analysis held, int most) {
    int could = (int) held.set().repetitions();
    return reach.with(
        reach.setup(),
        new ForMoreRepetitions(Math.min(could, most), Math.max(0, could - most), held.workingKg()));
  }

  /** The same with straps, where the hands would end the set before the legs do. */
  private static Reach strapped(Reach reach, Analysis bare) {
    return reach.with(reach.setup().with(Parameters.STRAPS, 1), new WithStraps(bare.workingKg()));
  }

  private static Evaluation judged(
      Candidate candidate, Reach reach, Analysis analysis, School school) {
    Exercise exercise = candidate.exercise();
    RegionValues stimulus = Stimulus.byRegion(analysis, school);
    if (exercise.group().isPresent()) {
      RegionGroup own = exercise.group().get();
      List<RegionGroup> misses = Stimulus.faceCheckMisses(stimulus, own);
      if (!misses.isEmpty()) {
        return new NotComputedWellEnough(
            candidate, reach, analysis, new NotBelievable(misses, own));
      }
    }
    return new Computed(candidate, reach, analysis, stimulus);
  }
}
