package istmo.core.mechanics;

import static istmo.core.mechanics.Bodies.MAN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.movement.Family;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Families;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The set, repetition by repetition. What published charts say of it stands in docs/validation.md.
 */
class SetSimulationTest {
  private static final Family EXTENSION = Families.get("leg-extension");
  private static final Setup USUAL = Bodies.setup("leg-extension", Map.of());

  private static Analysis at(String family, Map<String, Double> setup, LoadRule rule, Tempo tempo) {
    return (Analysis)
        new Analyser(MAN).analyse(Families.get(family), Bodies.setup(family, setup), rule, tempo);
  }

  private static double repetitions(String family, double share) {
    return at(family, Map.of(), new LoadRule.ShareOfLimit(share), Tempo.USUAL).set().repetitions();
  }

  @ParameterizedTest
  @ValueSource(strings = {"leg-extension", "seated-curl", "press", "standing-calf"})
  void moreLoadNeverGivesMoreRepetitions(String family) {
    double last = Double.POSITIVE_INFINITY;
    for (int percent = 50; percent <= 100; percent += 5) {
      double share = Math.min(0.999, 0.01 * percent);
      double now =
          at(
                  family,
                  family.equals("press") ? Map.of("kneeDepth", 80.0) : Map.of(),
                  new LoadRule.ShareOfLimit(share),
                  Tempo.USUAL)
              .set()
              .repetitions();
      assertThat(now).as("at %.2f", share).isLessThan(last);
      last = now;
    }
    assertThat(last).as("just below the fresh limit one repetition goes").isBetween(1.0, 1.2);
  }

  @Test
  void aboveTheFreshLimitNoRepetitionGoes() {
    double limit = at("leg-extension", Map.of(), LoadRule.USUAL, Tempo.USUAL).limitKg();
    assertThat(
            at("leg-extension", Map.of(), new LoadRule.Fixed(1.01 * limit), Tempo.USUAL)
                .set()
                .repetitions())
        .isZero();
    assertThat(
            at("leg-extension", Map.of(), new LoadRule.Fixed(0.995 * limit), Tempo.USUAL)
                .set()
                .repetitions())
        .isGreaterThan(1);
  }

  @Test
  void repetitionsAreContinuousInTheLoad() {
    double before = repetitions("leg-extension", 0.6);
    for (double share = 0.601; share < 0.9; share += 0.001) {
      double now = repetitions("leg-extension", share);
      assertThat(before - now).as("at %.3f", share).isBetween(0.0, 0.12);
      before = now;
    }
  }

  @Test
  void theLoadForTenRepetitionsGivesTenRepetitions() {
    for (String family : List.of("leg-extension", "hinge", "standing-calf")) {
      Analysis analysis = at(family, Map.of(), new LoadRule.Repetitions(10), Tempo.USUAL);
      assertThat(analysis.set().repetitions()).as(family).isCloseTo(10, within(0.02));
      assertThat(analysis.set().loadKg()).isEqualTo(analysis.workingKg());
      assertThat(analysis.set().listed() - 1 + analysis.set().lastShare())
          .as("listed repetitions")
          .isCloseTo(analysis.set().repetitions(), within(1e-9));
    }
    assertThatThrownBy(() -> new LoadRule.Repetitions(0))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("loadRule.repetitions");
  }

  /**
   * One muscle against a constant moment, worked by hand: left falls by rate x drive, and the set
   * ends when drive reaches one. The vasti at one length are such a muscle, nearly: the simulated
   * count lies within a half repetition of it. A repetition through a part of the range takes, and
   * tires, as the root of the part.
   */
  @Test
  void aSetOfOneMuscleIsTheRecurrenceWorkedByHand() {
    Analysis analysis =
        at(
            "leg-extension",
            Map.of("kneeBent", 62.0, "kneeStraight", 50.0),
            new LoadRule.ShareOfLimit(0.7),
            Tempo.USUAL);
    double part =
        Families.get("leg-extension")
            .part(Bodies.setup("leg-extension", Map.of("kneeBent", 62.0, "kneeStraight", 50.0)));
    assertThat(part).isBetween(0.1, 0.4);
    double left = 1;
    int count = 0;
    while (left > 0.7) {
      left -= Math.sqrt(part) * SetSimulation.FATIGUE * 0.7 / left;
      count++;
    }
    assertThat(analysis.set().repetitions()).isCloseTo(count, within(1.2));
  }

  @Test
  void whatDidMostHasLostMostAndGivesOut() {
    SimulatedSet set = at("leg-extension", Map.of(), LoadRule.USUAL, Tempo.USUAL).set();
    assertThat(set.end()).isEqualTo(SimulatedSet.End.STRENGTH);
    assertThat(set.gaveOut())
        .extracting(Limiter::id)
        .containsExactlyInAnyOrder("VL", "VM", "VI", "RF");
    assertThat(set.gaveOut().stream().mapToDouble(Limiter::share).sum()).isCloseTo(1, within(1e-9));
    int vl = Muscles.standard().indexOf("VL");
    int hamstring = Muscles.standard().indexOf("SM");
    double[] last = set.capacity()[set.capacity().length - 1];
    assertThat(last[vl]).isLessThan(0.85);
    assertThat(last[hamstring]).isEqualTo(1);
    for (int r = 1; r < set.capacity().length; r++) {
      assertThat(set.capacity()[r][vl]).isLessThanOrEqualTo(set.capacity()[r - 1][vl]);
      assertThat(set.drive(r, 5, vl))
          .as("drive rises as capacity falls")
          .isGreaterThan(set.drive(r - 1, 5, vl) - 1e-9);
    }
  }

  @Test
  void longerRepetitionsAndPausesWhereItIsHeavyCostRepetitions() {
    LoadRule load =
        new LoadRule.Fixed(at("leg-extension", Map.of(), LoadRule.USUAL, Tempo.USUAL).workingKg());
    double slow = at("leg-extension", Map.of(), load, new Tempo(4, 0, 2, 0)).set().repetitions();
    double pausedTop =
        at("leg-extension", Map.of(), load, new Tempo(2, 0, 1, 2)).set().repetitions();
    assertThat(slow).isBetween(4.0, 7.0);
    assertThat(pausedTop).isLessThan(10);
    assertThatThrownBy(() -> new Tempo(-1, 0, 1, 0))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("tempo.loweringS");
  }

  @Test
  void aDropSetGoesOnWithWhatIsLeft() {
    Analysis ten = at("leg-extension", Map.of(), LoadRule.USUAL, Tempo.USUAL);
    List<SimulatedSet> drop =
        new Analyser(MAN)
            .dropSet(
                EXTENSION,
                USUAL,
                List.of(ten.workingKg(), 0.8 * ten.workingKg(), 0.6 * ten.workingKg()),
                Tempo.USUAL);
    assertThat(drop).hasSize(3);
    assertThat(drop.get(0).repetitions()).isCloseTo(10, within(0.02));
    double fresh =
        at("leg-extension", Map.of(), new LoadRule.Fixed(0.8 * ten.workingKg()), Tempo.USUAL)
            .set()
            .repetitions();
    assertThat(drop.get(1).repetitions()).isGreaterThan(2).isLessThan(0.6 * fresh);
    int vl = Muscles.standard().indexOf("VL");
    double[] end = drop.get(0).capacity()[drop.get(0).capacity().length - 1];
    assertThat(drop.get(1).capacity()[0][vl]).isCloseTo(end[vl], within(1e-9));
  }

  /**
   * Breath on the press once more, without a joint's moment: the work is the sled's and the legs'
   * rise, the debt is summed in steps of a hundredth of a second. 20 % efficiency, a third more for
   * lowering, 20.9 J/ml, 45 ml/kg/min with 35 s, 30 ml/kg of debt (textbook sizes, from memory:
   * docs/model.md, 8).
   */
  @Test
  void breathOnThePressIsTheSledsRise() {
    double load = 240;
    Tempo brisk = new Tempo(1, 0, 0.5, 0);
    double sled = 45;
    Map<String, Double> planar =
        Map.of(
            "kneeDepth",
            80.0,
            "sledMass",
            sled,
            "stance",
            2 * MAN.hipHalfDistanceM(),
            "toeOut",
            0.0,
            "backAngle",
            130.0,
            "footHeight",
            0.10); // so that no joint is left out and the pelvis stays
    SimulatedSet set = at("press", planar, new LoadRule.Fixed(load), brisk).set();
    Posture out = Bodies.posture(MAN, "press", planar, 0, load);
    Posture in = Bodies.posture(MAN, "press", planar, 1, load);
    assertThat(out.angle(Coordinate.LUMBAR_FLEXION) + in.angle(Coordinate.LUMBAR_FLEXION))
        .as("no tuck")
        .isZero();
    Vec3 rail = new Vec3(Math.cos(Math.PI / 4), Math.sin(Math.PI / 4), 0);
    double joules =
        (sled + load)
            * Load.G
            * rail.y()
            * out.points().ankle().minus(in.points().ankle()).dot(rail);
    for (int k = 0; k < out.loads().size(); k++) {
      Load weight = out.loads().get(k);
      if (weight.on() != Load.Segment.UPPER && weight.forcePerKg().norm() == 0) {
        joules -= 2 * weight.force().y() * (weight.at().y() - in.loads().get(k).at().y());
      }
    }
    double demand = joules * 1.35 / 0.2 / 20.9 / MAN.massKg() / brisk.secondsARepetition();
    double debt = 0;
    double t = 0;
    for (; debt < 30 && t < 1000; t += 0.01) {
      debt += 0.01 * (demand - 45.0 / 60 * (1 - Math.exp(-t / 35)));
    }
    assertThat(set.repetitions() / set.oxygenShare())
        .isCloseTo(t / brisk.secondsARepetition(), withinPercentage(2));
  }

  /**
   * Common practice (T01): a lifter's free squat beyond ten to fifteen repetitions is ended by
   * breath, a leg press is not.
   */
  @Test
  void breathEndsLongFreeSquatsAndNotThePress() {
    assertThat(lifters("squat", Map.of("depth", 90.0)).end()).isEqualTo(SimulatedSet.End.BREATH);
    assertThat(lifters("press", Map.of("kneeDepth", 80.0)).end())
        .isNotEqualTo(SimulatedSet.End.BREATH);
  }

  private static SimulatedSet lifters(String family, Map<String, Double> setup) {
    return ((Analysis)
            new Analyser(Bodies.LIFTER)
                .analyse(
                    Families.get(family),
                    Bodies.setup(family, setup),
                    new LoadRule.ShareOfLimit(0.6)))
        .set();
  }

  /**
   * The price of a muscle is additive: cut into two lines of half the volume, nothing changes;
   * neither the limit, nor the sharing, nor the set.
   */
  @ParameterizedTest
  @ValueSource(strings = {"squat", "hinge", "seated-curl"})
  void aMuscleCutInTwoSharesAsOne(String family) {
    List<Muscle> cut = new ArrayList<>();
    for (Muscle muscle : Muscles.standard().all()) {
      if (muscle.id().equals("VL") || muscle.id().equals("SM")) {
        cut.add(part(muscle, 0.5));
        cut.add(part(muscle, 0.5));
      } else {
        cut.add(muscle);
      }
    }
    Map<String, Double> changes = family.equals("squat") ? Map.of("depth", 85.0) : Map.of();
    Setup setup = Bodies.setup(family, changes);
    LoadRule rule = new LoadRule.Repetitions(8);
    Analysis whole = (Analysis) new Analyser(MAN).analyse(Families.get(family), setup, rule);
    Analysis halves =
        (Analysis)
            new Analyser(MAN, new Musculature(MAN, cut)).analyse(Families.get(family), setup, rule);
    assertThat(halves.limitKg()).isCloseTo(whole.limitKg(), within(0.05));
    assertThat(halves.workingKg()).isCloseTo(whole.workingKg(), within(0.1));
    int j = 0;
    for (int i = 0; i < Bodies.MUSCLES; i++) {
      String id = Muscles.standard().all().get(i).id();
      for (int r : new int[] {0, 7}) {
        assertThat(halves.set().drive(r, 5, j))
            .as("%s in repetition %d", id, r + 1)
            .isCloseTo(whole.set().drive(r, 5, i), within(3e-3));
      }
      j += id.equals("VL") || id.equals("SM") ? 2 : 1;
    }
  }

  private static Muscle part(Muscle muscle, double share) {
    return new Muscle(
        muscle.id(),
        muscle.group(),
        muscle.label(),
        share * muscle.volumeM3(),
        muscle.optimalFibreLengthM(),
        muscle.pennationRad(),
        muscle.forceFactor(),
        muscle.lengthAtZero(),
        muscle.fibreShare(),
        muscle.hipFlexion(),
        muscle.hipAbduction(),
        muscle.hipRotation(),
        muscle.kneeFlexion(),
        muscle.ankleDorsiflexion(),
        muscle.source());
  }
}
