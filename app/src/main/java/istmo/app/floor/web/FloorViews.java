package istmo.app.floor.web;

import istmo.app.floor.Floor;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.CandidateId;
import istmo.core.movement.SetupParameter;
import istmo.core.plan.Flow;
import istmo.core.plan.Offer;
import istmo.core.plan.Prescription;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.Required;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.SetRecord;
import istmo.core.words.MovementWords;
import istmo.core.words.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** What a telephone is told of a session. Loads in kg, times in s. */
final class FloorViews {
  private FloorViews() {}

  record SetupWordView(String label, String value) {}

  /**
   * A step of the session. key sorts them; asBefore: as many repetitions as the other side had;
   * waitS and ownRestS: least time since the step before, and since this exercise's own last set.
   */
  record FloorStepView(
      String key,
      Flow.Kind kind,
      int number,
      Side side,
      int repetitionsLow,
      int repetitionsHigh,
      boolean asBefore,
      @MayBeMissing LoadingView load,
      List<Double> putOn,
      double waitS,
      double ownRestS,
      String note) {
    static FloorStepView of(Flow.Step step) {
      return new FloorStepView(
          step.key(),
          step.kind(),
          step.number(),
          step.side(),
          step.repetitionsLow(),
          step.repetitionsHigh(),
          step.asBefore(),
          step.load().map(LoadingView::of).orElse(null),
          step.putOn(),
          step.waitS(),
          step.ownRestS(),
          step.note().map(Words::of).orElse(""));
    }
  }

  record PainView(PainFlag joint, int level) {}

  /** A set as it stands. */
  record FloorSetView(
      UUID id,
      int revision,
      boolean removed,
      SetRecord.Kind kind,
      @MayBeMissing Integer number,
      Side side,
      double loadKg,
      int repetitions,
      double reserve,
      @MayBeMissing SetRecord.Range range,
      @MayBeMissing Boolean tempoKept,
      List<String> felt,
      @MayBeMissing PainView pain,
      Instant performedAt) {
    static FloorSetView of(UUID id, int revision, boolean removed, SetRecord record, Instant at) {
      return new FloorSetView(
          id,
          revision,
          removed,
          record.kind(),
          record.number().orElse(null),
          record.side(),
          record.done().loadKg(),
          record.done().repetitions(),
          record.done().reserve(),
          record.range().orElse(null),
          record.tempoKept().orElse(null),
          Region.ids(record.felt()),
          record.pain().map(felt -> new PainView(felt.joint(), felt.level())).orElse(null),
          at);
    }
  }

  record LastSetView(
      SetRecord.Kind kind, Side side, double loadKg, int repetitions, double reserve) {}

  record OutingView(LocalDate on, List<LastSetView> sets) {}

  /** An exercise that could take the place of another. */
  record FloorSwapView(
      CandidateId candidateId,
      String name,
      Map<String, Double> setup,
      FloorExerciseView exercise) {}

  /**
   * refusal: why it is left out, or empty; reserve: repetitions to leave, asked or usual; basis:
   * what the load rests on.
   */
  record FloorExerciseView(
      CandidateId candidateId,
      String exerciseId,
      String name,
      boolean oneLeg,
      String refusal,
      List<SetupWordView> setup,
      String mark,
      List<String> agreed,
      @MayBeMissing PrescriptionDocument prescription,
      double reserve,
      Progression.Rule rule,
      double lowKg,
      double highKg,
      String basis,
      List<LoadingView> loads,
      @MayBeMissing OutingView last,
      List<String> cues,
      List<String> stopSigns,
      List<String> cautions,
      List<FloorStepView> steps,
      List<FloorSwapView> swaps) {}

  record FloorItemView(
      UUID id, boolean ended, FloorExerciseView exercise, List<FloorSetView> sets) {}

  /** weaker: the side that goes first, NONE where none is known to be weaker. */
  record FloorView(
      UUID sessionId,
      UUID clientId,
      String clientName,
      UUID gymId,
      String gymName,
      Instant createdAt,
      @MayBeMissing Instant finishedAt,
      List<String> statements,
      Side weaker,
      String weakerWhy,
      List<FloorItemView> items,
      List<PainAdviceView> pain,
      List<FloorRegionView> regions,
      Instant takenAt) {}

  record FloorRegionView(String id, String coachName, String group) {}

  /** What to do next, by level from 0 to 10. */
  record PainAdviceView(PainFlag joint, String label, List<List<String>> byLevel) {}

  static FloorExerciseView exercise(
      Floor.Exercise exercise, CandidateId candidateId, Map<String, Double> setup) {
    AnyExercise anyExercise = exercise.trainable().exercise();
    Optional<WorkingLoad> load = exercise.load();
    return new FloorExerciseView(
        candidateId,
        anyExercise.id(),
        exercise.trainable().name(),
        exercise.offer().map(Offer::oneLeg).orElse(false),
        exercise.refusal(),
        words(anyExercise, setup),
        exercise.mark(),
        exercise.agreed(),
        exercise.prescription() == null ? null : PrescriptionDocument.of(exercise.prescription()),
        exercise.prescription() == null
            ? Prescription.USUAL_RESERVE
            : exercise.prescription().reserve(),
        exercise.next().rule(),
        load.map(workingLoad -> Rounded.of(workingLoad.lowKg())).orElse(0.0),
        load.map(workingLoad -> Rounded.of(workingLoad.highKg())).orElse(0.0),
        load.map(WorkingLoad::basis).map(Words::of).orElse(""),
        exercise.loads().stream().map(LoadingView::of).toList(),
        exercise.last().map(FloorViews::outing).orElse(null),
        anyExercise.cues(),
        anyExercise.stopSigns(),
        anyExercise.cautions(),
        exercise.steps().stream().map(FloorStepView::of).toList(),
        exercise.swaps().stream()
            .map(
                shown ->
                    new FloorSwapView(
                        shown.offer().orElseThrow().candidateId(),
                        shown.offer().orElseThrow().name(),
                        shown.offer().orElseThrow().setup(),
                        exercise(
                            shown,
                            shown.offer().orElseThrow().candidateId(),
                            shown.offer().orElseThrow().setup())))
            .toList());
  }

  private static OutingView outing(Outing outing) {
    return new OutingView(
        outing.on(),
        outing.sets().stream()
            .map(
                record ->
                    new LastSetView(
                        record.kind(),
                        record.side(),
                        record.done().loadKg(),
                        record.done().repetitions(),
                        record.done().reserve()))
            .toList());
  }

  /** What the coach sets, in words. */
  private static List<SetupWordView> words(AnyExercise exercise, Map<String, Double> setup) {
    return exercise.parameters().stream()
        .filter(
            parameter ->
                parameter.kind() == SetupParameter.Kind.SETUP
                    && setup.containsKey(parameter.id())
                    && !(parameter.unit().equals("kg")
                        && Required.entry(setup, parameter.id()) == 0))
        .map(
            parameter ->
                new SetupWordView(
                    parameter.label(),
                    MovementWords.value(parameter, Required.entry(setup, parameter.id()))))
        .toList();
  }
}
