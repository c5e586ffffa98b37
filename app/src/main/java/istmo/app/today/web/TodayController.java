package istmo.app.today.web;

import istmo.app.catalogue.Trainables;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.MayBeMissing;
import istmo.app.sessions.SessionReader;
import istmo.app.today.Today;
import istmo.core.catalogue.Trainable;
import istmo.core.plan.Planned;
import istmo.core.quantity.Required;
import istmo.core.record.Lesson;
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

  TodayController(Today today, Gyms gyms, Trainables trainables) {
    this.today = today;
    this.gyms = gyms;
    this.trainables = trainables;
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

  /** planned: the next session of each client's newest plan, soonest first. */
  record TodayView(
      LocalDate on,
      List<OpenSessionView> open,
      List<PlannedSessionView> planned,
      List<AdviceView> advice) {}

  /** What waits for the coach today, in the coach's own time zone. */
  @GetMapping("/api/today")
  TodayView today() {
    Today.Waiting w = today.now();
    Function<String, Trainable> named = trainables.all();
    Map<UUID, String> places = gyms.all().stream().collect(Collectors.toMap(Gym::id, Gym::name));
    return new TodayView(
        w.on(),
        w.open().stream().map(s -> open(s, w, places, named)).toList(),
        w.ahead().stream().map(a -> planned(a, w, places, named)).toList(),
        w.advice().stream()
            .map(
                a ->
                    new AdviceView(
                        a.clientId(),
                        Required.entry(w.names(), a.clientId()),
                        a.lesson().kind(),
                        a.lesson().kind().label(),
                        a.lesson().name(),
                        a.lesson().figures(),
                        a.lesson().on()))
            .toList());
  }

  private static OpenSessionView open(
      SessionReader.Line s,
      Today.Waiting w,
      Map<UUID, String> places,
      Function<String, Trainable> named) {
    return new OpenSessionView(
        s.id(),
        s.clientId(),
        Required.entry(w.names(), s.clientId()),
        Required.entry(places, s.gymId()),
        s.createdAt(),
        w.sets().getOrDefault(s.id(), 0),
        s.candidateIds().stream().map(c -> named.apply(c).name()).toList());
  }

  private static PlannedSessionView planned(
      Today.Ahead a, Today.Waiting w, Map<UUID, String> places, Function<String, Trainable> named) {
    return new PlannedSessionView(
        a.plan().id(),
        a.plan().document().name(),
        a.plan().clientId(),
        Required.entry(w.names(), a.plan().clientId()),
        Required.entry(places, a.plan().gymId()),
        a.due().on(),
        a.due().session(),
        a.due().step().isPresent() ? a.due().step().getAsInt() : null,
        a.session().minutes(),
        a.session().items().stream()
            .map(Planned.Item::candidateId)
            .map(c -> named.apply(c).name())
            .toList());
  }
}
