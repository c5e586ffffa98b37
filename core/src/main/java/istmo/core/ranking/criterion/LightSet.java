package istmo.core.ranking.criterion;

import istmo.core.body.Body;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Family;
import istmo.core.movement.Setup;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;

/**
 * What a set counts that has more than the compared repetitions because no heavier load is there,
 * or none can be held. Sets of about 6 to 30 repetitions to failure make muscle grow alike
 * (Schoenfeld et al. 2017 J Strength Cond Res; from memory). The simulated sum over repetitions
 * does not always stay alike: where no muscle ends early, it grows with them. So a light set never
 * counts for more than one of ten repetitions would, with the load that ten would ask for.
 */
final class LightSet {
  private LightSet() {}

  /**
   * A light set to failure, counted for no more than one of ten repetitions.
   *
   * @param ten the set that a heavier load would give
   */
  static Analysis counted(Analysis light, Analysis ten) {
    double share = Math.min(1, work(ten) / Math.max(1e-9, work(light)));
    return light.with(light.set().counted(share));
  }

  /**
   * The same for a load that the arms hold at the chest: beside what arms that end nothing would
   * hold.
   */
  static Analysis heldAtChest(Body body, Family family, Setup setup, Analysis held) {
    Analyser strong = new Analyser(body.holding(Body.HELD_KG.max()));
    return strong.analyse(family, setup, LoadRule.USUAL) instanceof Analysis ten
        ? counted(held, ten)
        : held;
  }

  /** Stimulus of the whole leg. */
  private static double work(Analysis analysis) {
    return Practical.work(Stimulus.byRegion(analysis, School.STRETCH));
  }
}
