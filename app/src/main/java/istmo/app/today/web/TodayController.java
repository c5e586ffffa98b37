package istmo.app.today.web;

import istmo.app.catalogue.Trainables;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Backups;
import istmo.app.platform.MayBeMissing;
import istmo.app.sessions.SessionReader;
import istmo.app.today.Today;
import istmo.app.today.Upkeep;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.plan.Planned;
import istmo.core.quantity.Required;
import istmo.core.record.Lesson;
import istmo.core.words.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What waits, over HTTP. */
@RestController
class TodayController {
  private final Today today;
  private final Gyms gyms;
  private final Trainables trainables;
  private final Upkeep upkeep;

  TodayController(Today today, Gyms gyms, Trainables trainables, Upkeep upkeep) {
    this.today = today;
    this.gyms = gyms;
    this.trainables = trainables;
    this.upkeep = upkeep;
  }

  /** sets: how many were logged in it. */
  record OpenSessionView(
      UUID id,
      UUID clientId,
      String clientName,
      String gymName,
      Instant createdAt,
      int sets,
      List<String> names) {}

  /** day: which session of the plan's week, from 0; step: week of its block, from 1. */
  record PlannedSessionView(
      UUID planId,
      String planName,
      UUID clientId,
      String clientName,
      String gymName,
      LocalDate on,
      int day,
      @MayBeMissing Integer step,
      int minutes,
      List<String> names) {}

  record AdviceView(
      UUID clientId,
      String clientName,
      Lesson.Kind kind,
      String label,
      String name,
      String figures,
      LocalDate on) {}

  /** late: whether a night's backup was missed. */
  record BackupView(@MayBeMissing Instant last, @MayBeMissing Instant tried, boolean late) {
    static BackupView of(Backups.State state) {
      return new BackupView(state.last().orElse(null), state.tried().orElse(null), state.late());
    }
  }

  /** planned: the next session of each client's newest plan, soonest first. */
  record TodayView(
      LocalDate on,
      List<OpenSessionView> open,
      List<PlannedSessionView> planned,
      List<AdviceView> advice,
      @MayBeMissing BackupView backup) {}

  /** What waits for the coach today, in the coach's own time zone. */
  @GetMapping("/api/today")
  TodayView today() {
    Today.Waiting waiting = today.now();
    Function<CandidateId, Trainable> named = trainables.all();
    Map<UUID, String> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, Gym::name));
    return new TodayView(
        waiting.on(),
        waiting.open().stream().map(line -> open(line, waiting, places, named)).toList(),
        waiting.ahead().stream().map(ahead -> planned(ahead, waiting, places, named)).toList(),
        waiting.advice().stream()
            .map(
                advice ->
                    new AdviceView(
                        advice.clientId(),
                        Required.entry(waiting.names(), advice.clientId()),
                        advice.lesson().kind(),
                        advice.lesson().kind().label(),
                        advice.lesson().name(),
                        Words.of(advice.lesson().found()),
                        advice.lesson().on()))
            .toList(),
        upkeep.backup().map(BackupView::of).orElse(null));
  }

  private static OpenSessionView open(
      SessionReader.Line line,
      Today.Waiting waiting,
      Map<UUID, String> places,
      Function<CandidateId, Trainable> named) {
    return new OpenSessionView(
        line.id(),
        line.clientId(),
        Required.entry(waiting.names(), line.clientId()),
        Required.entry(places, line.gymId()),
        line.createdAt(),
        waiting.sets().getOrDefault(line.id(), 0),
        line.candidateIds().stream().map(candidate -> named.apply(candidate).name()).toList());
  }

  private static PlannedSessionView planned(
      Today.Ahead ahead,
      Today.Waiting waiting,
      Map<UUID, String> places,
      Function<CandidateId, Trainable> named) {
    return new PlannedSessionView(
        ahead.plan().id(),
        ahead.plan().document().name(),
        ahead.plan().clientId(),
        Required.entry(waiting.names(), ahead.plan().clientId()),
        Required.entry(places, ahead.plan().gymId()),
        ahead.due().on(),
        ahead.due().session(),
        ahead.due().step().isPresent() ? ahead.due().step().getAsInt() : null,
        ahead.session().minutes(),
        ahead.session().items().stream()
            .map(Planned.Item::candidateId)
            .map(candidate -> named.apply(candidate).name())
            .toList());
  }
}
