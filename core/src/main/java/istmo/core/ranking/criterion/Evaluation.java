package istmo.core.ranking.criterion;

import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
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
  /** What was evaluated. */
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

  /** Groups that get more of a machine than its own group should leave them. */
  record NotBelievable(List<RegionGroup> groups, RegionGroup group) implements Fact {}

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
    UsualSet set =
        UsualSet.withStrapsIfNeeded(
            reach.get(), candidate, body, analyser, UsualSet.heaviestKg(candidate, equipment));
    return set.result() instanceof Analysis analysis
        ? judged(candidate, set.reach(), analysis, school)
        : new OutOfReach(candidate, ((CannotAnalyse) set.result()).why());
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
