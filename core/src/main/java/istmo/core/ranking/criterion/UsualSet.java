package istmo.core.ranking.criterion;

import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisResult;
import istmo.core.mechanics.Limiter;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.movement.Family;
import istmo.core.movement.Parameters;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import java.util.List;

/**
 * The set that a lifter does of a candidate in a set-up with the weights of a place: ten
 * repetitions to failure where the load can be chosen, more where the arms hold no more or no
 * heavier weight is there.
 *
 * @param reach the set-up, and what this body and this place change of what was wished
 * @param result the analysis of that set, or why there is none
 */
public record UsualSet(Reach reach, AnalysisResult result) {
  /** What keeps a load light that the muscles could take further. */
  public enum KeptLightBy {
    ARMS,
    BALANCE
  }

  /**
   * Something ends the load before the muscles do: it is meant for so many repetitions, with so
   * many in reserve, and so much, kg.
   */
  public record ForMoreRepetitions(KeptLightBy by, int repetitions, int reserve, double kg)
      implements Fact {}

  /**
   * There is nothing heavier here: it is done for so many repetitions, with so many in reserve, and
   * so much, kg; 0 where it is not loaded at all.
   */
  public record NothingHeavier(int repetitions, int reserve, double kg) implements Fact {}

  /** With straps; bare hands end the set at so much for ten repetitions, kg. */
  public record WithStraps(double bareKg) implements Fact {}

  /** With a weight that is too light a set goes on to so many repetitions (common practice). */
  static final int MOST_WITH_LITTLE = 20;

  /** Whether a set-up can be loaded with what its repetitions ask for. */
  public static boolean heavyEnough(Reach reach) {
    return reach.changes().stream().noneMatch(NothingHeavier.class::isInstance);
  }

  /** The heaviest weight of a place for a candidate, kg; without a bound where it is loaded. */
  public static double heaviestKg(Candidate candidate, GymEquipment equipment) {
    return equipment
        .heaviestWeightKg(candidate.needs(), candidate.exercise().oneWeight())
        .orElse(Double.MAX_VALUE);
  }

  /**
   * The set in just this set-up.
   *
   * @param analyser one for {@code body}
   * @param heaviestKg {@link #heaviestKg}
   */
  public static UsualSet in(
      Setup setup, Candidate candidate, Body body, Analyser analyser, double heaviestKg) {
    return new Maker(candidate, body, analyser, heaviestKg).as(new Reach(setup, List.of()));
  }

  /** The same where straps may be put on, which they are where the hands would end the set. */
  public static UsualSet withStrapsIfNeeded(
      Reach reach, Candidate candidate, Body body, Analyser analyser, double heaviestKg) {
    Maker maker = new Maker(candidate, body, analyser, heaviestKg);
    UsualSet bare = maker.as(reach);
    boolean freelyLoaded = bare.reach().changes().equals(reach.changes());
    if (freelyLoaded
        && bare.result() instanceof Analysis analysis
        && analysis.set().end() == SimulatedSet.End.GRIP
        && candidate.exercise().family().parameters().contains(Parameters.STRAPS)) {
      Setup strapped = reach.setup().with(Parameters.STRAPS, 1);
      UsualSet held = maker.as(reach.with(strapped, new WithStraps(analysis.workingKg())));
      return held.result() instanceof Analysis ? held : bare;
    }
    return bare;
  }

  /** Makes sets of one candidate on one body with the weights of one place. */
  private record Maker(Candidate candidate, Body body, Analyser analyser, double heaviestKg) {
    private UsualSet as(Reach reach) {
      AnalysisResult result = analyser.analyse(family(), reach.setup(), LoadRule.USUAL);
      if (result instanceof Analysis ten) {
        if (ten.workingKg() > heaviestKg) {
          return withTheHeaviest(reach, ten);
        }
        if (ten.set().repetitions() > SetSimulation.COMPARED_REPETITIONS + 1) {
          if (family().heldAtChest(reach.setup())) {
            return keptLight(
                KeptLightBy.ARMS, reach, LightSet.heldAtChest(body, family(), reach.setup(), ten));
          }
          if (ten.limiters().get(0).id().equals(Limiter.BALANCE)) {
            return keptLight(KeptLightBy.BALANCE, reach, ten);
          }
        }
      }
      return new UsualSet(reach, result);
    }

    private UsualSet withTheHeaviest(Reach reach, Analysis ten) {
      AnalysisResult result =
          analyser.analyse(family(), reach.setup(), new LoadRule.Fixed(heaviestKg));
      if (!(result instanceof Analysis alone)) {
        return new UsualSet(reach, result);
      }
      Analysis light = LightSet.counted(alone, ten);
      int most = Math.max(exercise().mostRepetitions(), MOST_WITH_LITTLE);
      int could = (int) light.set().repetitions();
      Fact why = new NothingHeavier(Math.min(could, most), Math.max(0, could - most), heaviestKg);
      return new UsualSet(reach.with(reach.setup(), why), light.endedAfter(most));
    }

    /**
     * No load that is hard for ten can be held. A set counts to the most repetitions that the
     * exercise is done for; who could do more ends it with those in reserve.
     */
    private UsualSet keptLight(KeptLightBy by, Reach reach, Analysis light) {
      int most = exercise().mostRepetitions();
      int could = (int) light.set().repetitions();
      Fact why =
          new ForMoreRepetitions(
              by, Math.min(could, most), Math.max(0, could - most), light.workingKg());
      return new UsualSet(reach.with(reach.setup(), why), light.endedAfter(most));
    }

    private Exercise exercise() {
      return candidate.exercise();
    }

    private Family family() {
      return exercise().family();
    }
  }
}
