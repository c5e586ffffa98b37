package istmo.app.floor.web;

import istmo.app.floor.Changes;
import istmo.app.floor.Changes.Message;
import istmo.app.floor.Floor;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.Session;
import istmo.app.sessions.SetLog;
import istmo.core.anatomy.Regions;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.AnyExercise;
import istmo.core.movement.SetupParameter;
import istmo.core.plan.Flow;
import istmo.core.plan.Offer;
import istmo.core.plan.Prescription;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.record.Outing;
import istmo.core.record.Pain;
import istmo.core.record.Progression;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.training.PerformedSet;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The floor over HTTP: a session to take along, and what devices have to say of it (docs/floor.md).
 * Loads in kg, times in s.
 */
@RestController
@RequestMapping("/api/floor")
class FloorController {
  private static final int MOST_CHANGES = 500;

  private final Floor floor;
  private final Changes changes;
  private final Clock clock;

  FloorController(Floor floor, Changes changes, Clock clock) {
    this.floor = floor;
    this.changes = changes;
    this.clock = clock;
  }

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
          step.note());
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
          List.copyOf(record.felt()),
          record.pain().map(felt -> new PainView(felt.joint(), felt.level())).orElse(null),
          at);
    }
  }

  record LastSetView(
      SetRecord.Kind kind, Side side, double loadKg, int repetitions, double reserve) {}

  record OutingView(LocalDate on, List<LastSetView> sets) {}

  /** An exercise that could take the place of another. */
  record FloorSwapView(
      String candidateId, String name, Map<String, Double> setup, FloorExerciseView exercise) {}

  /**
   * refusal: why it is left out, or empty; reserve: repetitions to leave, asked or usual; basis:
   * what the load rests on.
   */
  record FloorExerciseView(
      String candidateId,
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

  private static final List<PainAdviceView> PAIN =
      Arrays.stream(PainFlag.values())
          .map(
              flag ->
                  new PainAdviceView(
                      flag,
                      flag.label().replace("sore ", ""),
                      IntStream.rangeClosed(0, (int) Pain.LEVEL.max())
                          .mapToObj(l -> new Pain(flag, l).next())
                          .toList()))
          .toList();

  /**
   * Everything that the floor needs for one session, so that it can go on without a network:
   * set-ups, loads, rests, substitutes and cautions.
   */
  @GetMapping("/{sessionId}")
  FloorView walk(@PathVariable UUID sessionId) {
    Floor.Walk walk = floor.walk(sessionId);
    Session session = walk.session();
    return new FloorView(
        session.id(),
        session.client().id(),
        session.client().name(),
        session.gym().id(),
        session.gym().name(),
        session.createdAt(),
        session.finishedAt().orElse(null),
        session.client().cautions().statements(),
        walk.weaker().side(),
        walk.weaker().why(),
        walk.exercises().stream()
            .filter(exercise -> !exercise.item().ended() || !exercise.item().sets().isEmpty())
            .map(
                exercise ->
                    new FloorItemView(
                        exercise.item().id(),
                        exercise.item().ended(),
                        exercise(exercise, exercise.item().candidateId(), exercise.item().setup()),
                        exercise.item().sets().stream()
                            .map(
                                loggedSet ->
                                    FloorSetView.of(
                                        loggedSet.id(),
                                        loggedSet.revision(),
                                        false,
                                        loggedSet.record(),
                                        loggedSet.performedAt()))
                            .toList()))
            .toList(),
        PAIN,
        Regions.standard().all().stream()
            .map(region -> new FloorRegionView(region.id(), region.coachName(), region.group()))
            .toList(),
        clock.instant());
  }

  private static FloorExerciseView exercise(
      Floor.Exercise exercise, String candidateId, Map<String, Double> setup) {
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
        load.map(WorkingLoad::basis).orElse(""),
        exercise.loads().stream().map(LoadingView::of).toList(),
        exercise.last().map(FloorController::outing).orElse(null),
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
                    parameter.label(), parameter.words(Required.entry(setup, parameter.id()))))
        .toList();
  }

  record PainInput(PainFlag joint, Integer level) {}

  /**
   * One set: revision counts what this device made of it, base is the revision that it had seen of
   * the server.
   */
  record SetChange(
      UUID sessionId,
      UUID itemId,
      UUID setId,
      Integer revision,
      Integer base,
      Boolean removed,
      SetRecord.Kind kind,
      @MayBeMissing Integer number,
      Side side,
      Double loadKg,
      Integer repetitions,
      Double reserve,
      @MayBeMissing SetRecord.Range range,
      @MayBeMissing Boolean tempoKept,
      List<String> felt,
      @MayBeMissing PainInput pain,
      Instant performedAt) {
    Message message(String device) {
      new Needed()
          .field("sessionId", sessionId)
          .field("itemId", itemId)
          .field("setId", setId)
          .field("revision", revision)
          .field("base", base)
          .field("loadKg", loadKg)
          .field("repetitions", repetitions)
          .field("reserve", reserve)
          .field("performedAt", performedAt)
          .check();
      Optional<Pain> hurt =
          Optional.ofNullable(pain)
              .map(
                  input -> {
                    new Needed()
                        .field("pain.joint", input.joint())
                        .field("pain.level", input.level())
                        .check();
                    return new Pain(input.joint(), input.level());
                  });
      SetRecord record =
          new SetRecord(
              new PerformedSet(loadKg, repetitions, reserve),
              kind == null ? SetRecord.Kind.WORK : kind,
              Optional.ofNullable(number),
              side == null ? Side.NONE : side,
              Optional.ofNullable(range),
              Optional.ofNullable(tempoKept),
              felt == null ? Set.of() : Set.copyOf(felt),
              hurt);
      return new Message.OfSet(
          sessionId,
          itemId,
          setId,
          new SetRegister.State<>(revision, base, device, Boolean.TRUE.equals(removed), record),
          performedAt);
    }
  }

  record ItemChange(
      UUID sessionId,
      UUID itemId,
      String candidateId,
      @MayBeMissing Map<String, Double> setup,
      @MayBeMissing PrescriptionDocument prescription,
      @MayBeMissing UUID replaces) {
    Message message() {
      new Needed()
          .field("sessionId", sessionId)
          .field("itemId", itemId)
          .field("candidateId", candidateId)
          .check();
      return new Message.OfItem(
          sessionId,
          itemId,
          candidateId,
          Optional.ofNullable(setup),
          Optional.ofNullable(prescription),
          Optional.ofNullable(replaces));
    }
  }

  record MarkChange(UUID clientId, UUID gymId, String candidateId, String words, Instant at) {
    Message message() {
      new Needed()
          .field("clientId", clientId)
          .field("gymId", gymId)
          .field("candidateId", candidateId)
          .field("at", at)
          .check();
      return new Message.OfMark(clientId, gymId, candidateId, words, at);
    }
  }

  record FinishChange(UUID sessionId, Instant at) {
    Message message() {
      new Needed().field("sessionId", sessionId).field("at", at).check();
      return new Message.OfFinish(sessionId, at);
    }
  }

  /** One message: just one of these. */
  record ChangeInput(
      @MayBeMissing SetChange set,
      @MayBeMissing ItemChange item,
      @MayBeMissing MarkChange mark,
      @MayBeMissing FinishChange finish) {
    Message message(String device) {
      if (set != null) {
        return set.message(device);
      }
      if (item != null) {
        return item.message();
      }
      if (mark != null) {
        return mark.message();
      }
      if (finish != null) {
        return finish.message();
      }
      throw new InvalidInput("changes", "each needs a set, an item, a mark or a finish");
    }
  }

  /** device: a name that the device made for itself once; sentAt by its own clock. */
  record ChangesInput(String device, Instant sentAt, List<ChangeInput> changes) {}

  record ChangeResult(
      Changes.Outcome outcome, @MayBeMissing FloorSetView stored, @Nullable String detail) {}

  record ChangesView(List<ChangeResult> results) {}

  /**
   * Takes messages in their order; each is judged by itself, so one that is refused does not keep
   * the others back.
   */
  @PostMapping("/changes")
  ChangesView take(@RequestBody ChangesInput input) {
    new Needed()
        .field("device", input.device())
        .field("sentAt", input.sentAt())
        .field("changes", input.changes())
        .check();
    if (input.changes().size() > MOST_CHANGES) {
      throw new InvalidInput("changes", "takes at most " + MOST_CHANGES + " at once");
    }
    Map<Integer, ChangeResult> results = new LinkedHashMap<>();
    List<Message> messages = new ArrayList<>();
    List<Integer> at = new ArrayList<>();
    for (int k = 0; k < input.changes().size(); k++) {
      try {
        messages.add(input.changes().get(k).message(input.device()));
        at.add(k);
      } catch (InvalidInput e) {
        results.put(k, new ChangeResult(Changes.Outcome.REFUSED, null, e.getMessage()));
      }
    }
    List<Changes.Result> taken = changes.take(input.sentAt(), messages);
    for (int k = 0; k < taken.size(); k++) {
      results.put(at.get(k), result(messages.get(k), taken.get(k)));
    }
    return new ChangesView(
        IntStream.range(0, input.changes().size()).mapToObj(results::get).toList());
  }

  private static ChangeResult result(Message message, Changes.Result result) {
    FloorSetView stored =
        result.stored().isPresent() && message instanceof Message.OfSet set
            ? stored(set.setId(), result.stored().get())
            : null;
    return new ChangeResult(result.outcome(), stored, result.detail());
  }

  private static FloorSetView stored(UUID id, SetLog.Taken taken) {
    return FloorSetView.of(
        id,
        taken.now().revision(),
        taken.now().removed(),
        taken.now().figures(),
        taken.performedAt());
  }
}
