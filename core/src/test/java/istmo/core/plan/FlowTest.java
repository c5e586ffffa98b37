package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Flow.Kind;
import istmo.core.plan.Flow.Step;
import istmo.core.record.Progression;
import istmo.core.training.LoadEstimate;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FlowTest {
  private static final Prescription TWO =
      new Prescription(2, 8, 12, 2, new Tempo(2, 0, 1, 0), 90, Scheme.STRAIGHT);
  private static final GymEquipment GYM = Plans.EVERYTHING;

  private static Flow.Exercise exercise(
      String id, Prescription prescription, boolean oneLeg, Equipment station) {
    Offer offer =
        Plans.offer(
            id,
            Map.of(Region.VL, 1.0),
            Role.SINGLE,
            Set.of(station),
            1,
            prescription,
            new Plans.More(0.5, 0, oneLeg, Set.of()));
    return new Flow.Exercise(
        id,
        offer,
        prescription,
        WorkingLoad.of(
            offer,
            prescription,
            GYM,
            Optional.of(
                new WorkingLoad.Recorded(
                    new istmo.core.training.PerformedSet(50, 10, 2),
                    java.time.LocalDate.of(2026, 11, 1))),
            1));
  }

  private static List<String> words(Flow flow) {
    return flow.steps().stream()
        .map(
            step ->
                step.exerciseId()
                    + " "
                    + step.kind()
                    + " "
                    + step.number()
                    + (step.side() == Side.NONE ? "" : " " + step.side()))
        .toList();
  }

  @Test
  void lighterSetsThenSetsWithTheirRest() {
    Flow flow =
        Flow.of(List.of(List.of(exercise("a", TWO, false, Equipment.LEG_EXTENSION))), Side.NONE);
    assertThat(words(flow)).containsExactly("a WARM_UP 1", "a WORK 1", "a WORK 2");
    assertThat(flow.steps()).extracting(Step::ownRestS).containsExactly(0.0, 0.0, 90.0);
    assertThat(flow.steps().get(0).note()).contains(new SetNote.FirstLightSet());
    assertThat(flow.steps().get(0).load().orElseThrow().kg())
        .isLessThan(flow.steps().get(1).load().orElseThrow().kg());
  }

  /** Two in turn, three sets of one and two of the other. */
  @Test
  void supersetsTakeTurnsAndTheLongerGoesOnAlone() {
    Flow flow =
        Flow.of(
            List.of(
                List.of(
                    exercise("a", TWO.withSets(3), false, Equipment.LEG_EXTENSION),
                    exercise("b", TWO, false, Equipment.SEATED_CURL))),
            Side.NONE);
    assertThat(words(flow))
        .containsExactly(
            "a WARM_UP 1",
            "b WARM_UP 1",
            "a WORK 1",
            "b WORK 1",
            "a WORK 2",
            "b WORK 2",
            "a WORK 3");
    Step b1 = flow.steps().get(3);
    assertThat(b1.waitS()).as("another station").isEqualTo(Timing.TURN_AWAY_S);
    assertThat(flow.steps().get(4).ownRestS())
        .as("its own rest goes on while the other works")
        .isEqualTo(90);
    assertThat(flow.steps().get(4).waitS()).isEqualTo(Timing.LEAST_WAIT_S);
  }

  @Test
  void theWeakerSideGoesFirstAndItsCountIsTheOthersLimit() {
    Flow flow =
        Flow.of(List.of(List.of(exercise("a", TWO, true, Equipment.LEG_EXTENSION))), Side.RIGHT);
    assertThat(words(flow))
        .containsExactly(
            "a WARM_UP 1", "a WORK 1 RIGHT", "a WORK 1 LEFT", "a WORK 2 RIGHT", "a WORK 2 LEFT");
    assertThat(flow.steps())
        .extracting(Step::asBefore)
        .containsExactly(false, false, true, false, true);
    assertThat(flow.steps().get(1).note()).contains(new SetNote.WeakerSideFirst());
    assertThat(flow.steps().get(2).waitS()).isEqualTo(Prescription.CHANGE_SIDE_S);
    assertThat(flow.steps().get(3).ownRestS()).isEqualTo(90);
  }

  @Test
  void dropsFollowTheLastSetOfEachSideAtOnceAndLighter() {
    Flow flow =
        Flow.of(
            List.of(
                List.of(
                    exercise(
                        "a",
                        Prescriber.inScheme(Scheme.DROP, TWO),
                        true,
                        Equipment.LEG_EXTENSION))),
            Side.LEFT);
    assertThat(words(flow))
        .containsExactly(
            "a WARM_UP 1",
            "a WORK 1 LEFT",
            "a WORK 1 RIGHT",
            "a WORK 2 LEFT",
            "a DROP 1 LEFT",
            "a DROP 2 LEFT",
            "a WORK 2 RIGHT",
            "a DROP 1 RIGHT",
            "a DROP 2 RIGHT");
    assertThat(flow.steps().get(4).waitS()).isEqualTo(Scheme.DROP_CHANGE_S);
    assertThat(flow.steps().get(5).load().orElseThrow().kg())
        .isLessThan(flow.steps().get(4).load().orElseThrow().kg());
  }

  /** Drops after every set, and a rest between the legs, come where a coach puts them. */
  @Test
  void dropsAndRestsBetweenLegsComeWhereTheyAreSaid() {
    Prescription prescription =
        new Prescription(
            2,
            8,
            12,
            2,
            TWO.tempo(),
            90,
            45,
            Scheme.DROP,
            Optional.of(new Drops(1, 0.3, true, "")));
    Flow flow =
        Flow.of(
            List.of(List.of(exercise("a", prescription, true, Equipment.LEG_EXTENSION))),
            Side.LEFT);
    assertThat(words(flow))
        .containsExactly(
            "a WARM_UP 1",
            "a WORK 1 LEFT",
            "a DROP 1 LEFT",
            "a WORK 1 RIGHT",
            "a DROP 1 RIGHT",
            "a WORK 2 LEFT",
            "a DROP 1 LEFT",
            "a WORK 2 RIGHT",
            "a DROP 1 RIGHT");
    assertThat(flow.steps().get(3).waitS()).isEqualTo(45);
    assertThat(
            prescription.workS(0, true)
                - new Prescription(
                        2, 8, 12, 2, TWO.tempo(), 90, 10, Scheme.DROP, prescription.drops())
                    .workS(0, true))
        .isEqualTo(35);
  }

  @Test
  void toesTakeTurnsFromSetToSet() {
    Prescription prescription = Prescriber.inScheme(Scheme.TOES_IN_TURN, TWO.withSets(4));
    Flow flow =
        Flow.of(
            List.of(List.of(exercise("a", prescription, false, Equipment.LEG_EXTENSION))),
            Side.NONE);
    assertThat(flow.steps().stream().filter(step -> step.kind() == Kind.WORK))
        .extracting(step -> Words.of(step.note().orElseThrow()))
        .containsExactly("toes straight", "toes out", "toes in", "toes straight");
  }

  /** The number of steps is what is prescribed, by every scheme. */
  @ParameterizedTest
  @EnumSource(Scheme.class)
  void everySetOfEverySchemeIsThere(Scheme scheme) {
    Prescription prescription = Prescriber.inScheme(scheme, TWO.withSets(4));
    Flow flow =
        Flow.of(
            List.of(List.of(exercise("a", prescription, false, Equipment.LEG_EXTENSION))),
            Side.NONE);
    assertThat(flow.steps().stream().filter(step -> step.kind() == Kind.WORK)).hasSize(4);
    assertThat(flow.steps().stream().filter(step -> step.kind() == Kind.DROP))
        .hasSize(prescription.drops().map(Drops::number).orElse(0));
  }

  /**
   * Keys alone put the steps in order, whatever order they are found in; also those of an exercise
   * that takes another's place.
   */
  @Test
  void keysSort() {
    List<List<Flow.Exercise>> bouts =
        List.of(
            List.of(
                exercise("a", TWO.withSets(3), false, Equipment.LEG_EXTENSION),
                exercise("b", TWO, true, Equipment.SEATED_CURL)),
            List.of(
                exercise("c", Prescriber.inScheme(Scheme.DROP, TWO), false, Equipment.LEG_PRESS)));
    List<Step> steps = Flow.of(bouts, Side.LEFT).steps();
    List<Step> shuffled = new ArrayList<>(steps);
    Collections.shuffle(shuffled, new Random(3));
    shuffled.sort(java.util.Comparator.comparing(Step::key));
    assertThat(shuffled).isEqualTo(steps);
    assertThat(steps.stream().map(Step::key).distinct()).hasSameSizeAs(steps);
    List<Step> swapped =
        Flow.of(
                List.of(
                    List.of(
                        exercise("x", TWO.withSets(3), false, Equipment.LYING_CURL),
                        bouts.get(0).get(1)),
                    bouts.get(1)),
                Side.LEFT)
            .steps();
    List<Step> mixed =
        Stream.concat(
                steps.stream().filter(step -> !step.exerciseId().equals("a")),
                swapped.stream().filter(step -> step.exerciseId().equals("x")))
            .sorted(java.util.Comparator.comparing(Step::key))
            .toList();
    assertThat(mixed)
        .extracting(Step::exerciseId)
        .isEqualTo(
            steps.stream()
                .map(step -> step.exerciseId().equals("a") ? "x" : step.exerciseId())
                .toList());
  }

  /**
   * After a lay-off, or with less load first for a sore joint, what was lifted before is not where
   * it begins.
   */
  @Test
  void aCautionGoesBeforeTheRecord() {
    Offer offer =
        Plans.offer(
            "a", Map.of(Region.VL, 1.0), Role.SINGLE, Set.of(Equipment.LEG_EXTENSION), 1, TWO);
    Offer first =
        offer.in(
            Map.of("hipAngle", 80.0),
            Optional.of(
                new LoadEstimate(
                    20, 25, "8-12", new LoadEstimate.Basis(LoadEstimate.From.MODEL, 0.5))));
    Optional<WorkingLoad.Recorded> before =
        Optional.of(
            new WorkingLoad.Recorded(
                new istmo.core.training.PerformedSet(60, 12, 2),
                java.time.LocalDate.of(2026, 11, 1)));
    Progression.Next up =
        new Progression.Next(
            Progression.Rule.LOAD,
            Optional.of(new Loading(65, Loading.Kind.STEPS, 0, List.of(), Loading.PlateKind.NONE)),
            8,
            12,
            new Progression.RepetitionsFirst(8, 12));
    assertThat(
            WorkingLoad.of(first, TWO, GYM, before, up, 1, false)
                .sets()
                .get(0)
                .load()
                .orElseThrow()
                .kg())
        .isEqualTo(65);
    assertThat(WorkingLoad.of(first, TWO, GYM, before, up, 1, true).sets())
        .allSatisfy(line -> assertThat(line.load().orElseThrow().kg()).isLessThanOrEqualTo(25));
    assertThat(WorkingLoad.of(first, TWO, GYM, before, 1, true).sets())
        .as("in a planned week too")
        .allSatisfy(line -> assertThat(line.load().orElseThrow().kg()).isLessThanOrEqualTo(25));
    assertThat(
            WorkingLoad.of(first, TWO, GYM, before, 1, false)
                .sets()
                .get(0)
                .load()
                .orElseThrow()
                .kg())
        .isGreaterThan(40);
    assertThat(Words.of(WorkingLoad.of(first, TWO, GYM, before, up, 1, true).basis()))
        .contains("to begin with");
  }
}
