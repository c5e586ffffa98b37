package istmo.app.floor.web;

import istmo.app.floor.Changes;
import istmo.app.floor.Changes.Message;
import istmo.app.floor.web.FloorViews.FloorSetView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.SetLog;
import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What devices have to say of sessions over HTTP (docs/floor.md). Loads in kg, times in s. */
@RestController
@RequestMapping("/api/floor")
class FloorChangesController {
  private static final int MOST_CHANGES = 500;

  private final Changes changes;

  FloorChangesController(Changes changes) {
    this.changes = changes;
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
              Region.all("felt", felt == null ? List.of() : felt),
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
      CandidateId candidateId,
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

  record MarkChange(UUID clientId, UUID gymId, CandidateId candidateId, String words, Instant at) {
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
