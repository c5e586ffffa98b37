package istmo.app.sessions.web;

import istmo.app.catalogue.Trainables;
import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.schools.Schools;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionItems;
import istmo.app.sessions.SessionReader;
import istmo.app.sessions.Sessions;
import istmo.app.sessions.SetLog;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import istmo.core.training.PerformedSet;
import istmo.core.words.Words;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sessions over HTTP. Loads in kg; set-ups in the parameters' units. */
@RestController
@RequestMapping("/api/sessions")
class SessionController {
  private final Sessions sessions;
  private final SessionItems items;
  private final SetLog log;
  private final SessionReader reader;
  private final Schools schools;
  private final Trainables trainables;

  SessionController(
      Sessions sessions,
      SessionItems items,
      SetLog log,
      SessionReader reader,
      Trainables trainables,
      Schools schools) {
    this.schools = schools;
    this.sessions = sessions;
    this.items = items;
    this.log = log;
    this.reader = reader;
    this.trainables = trainables;
  }

  record SessionInput(
      UUID clientId,
      UUID gymId,
      Map<String, Integer> aim,
      Set<String> keepOut,
      String school,
      Boolean stiffToday) {}

  record ItemInput(CandidateId candidateId, Map<String, Double> setup) {}

  record SetupInput(Map<String, Double> setup) {}

  record SetInput(Double loadKg, Integer repetitions, Double reserve) {
    PerformedSet set() {
      new Needed()
          .field("loadKg", loadKg)
          .field("repetitions", repetitions)
          .field("reserve", reserve)
          .check();
      return new PerformedSet(loadKg, repetitions, reserve);
    }
  }

  record SessionLine(
      UUID id,
      UUID clientId,
      UUID gymId,
      Instant createdAt,
      @MayBeMissing Instant finishedAt,
      List<String> names) {}

  record SetView(UUID id, double loadKg, int repetitions, double reserve, Instant performedAt) {
    static SetView of(Session.LoggedSet set) {
      return new SetView(
          set.id(),
          set.set().loadKg(),
          set.set().repetitions(),
          set.set().reserve(),
          set.performedAt());
    }
  }

  record LastTimeView(
      Instant performedAt, boolean sameSetup, Map<String, Double> setup, List<SetView> sets) {}

  record ItemView(
      UUID id,
      int position,
      CandidateId candidateId,
      String exerciseId,
      String name,
      boolean byWord,
      String repetitions,
      Map<String, Double> setup,
      List<String> prescribed,
      double reserve,
      List<String> cues,
      List<String> stopSigns,
      List<String> cautions,
      List<SetView> sets,
      @MayBeMissing LastTimeView lastTime,
      @MayBeMissing String refusal,
      @MayBeMissing LoadView load) {}

  record SessionBriefView(
      Map<String, Integer> aim, List<String> keepOut, String school, boolean stiffToday) {}

  record SessionView(
      UUID id,
      UUID clientId,
      String clientName,
      UUID gymId,
      String gymName,
      SessionBriefView brief,
      List<String> statements,
      Instant createdAt,
      @MayBeMissing Instant finishedAt,
      List<ItemView> items) {}

  /** Every session, newest first; those of one client when {@code clientId} is given. */
  @GetMapping
  List<SessionLine> list(@RequestParam Optional<UUID> clientId) {
    Function<CandidateId, Trainable> names = trainables.all();
    return reader.list(clientId).stream()
        .map(
            line ->
                new SessionLine(
                    line.id(),
                    line.clientId(),
                    line.gymId(),
                    line.createdAt(),
                    line.finishedAt().orElse(null),
                    line.candidateIds().stream()
                        .map(candidate -> names.apply(candidate).name())
                        .toList()))
        .toList();
  }

  /** Starts a session from a brief. 201 with the session. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  SessionView start(@RequestBody SessionInput input) {
    new Needed().field("clientId", input.clientId()).field("gymId", input.gymId()).check();
    Aim aim =
        Aim.of(
            input.aim() == null ? Map.of() : input.aim(),
            input.keepOut() == null ? Set.of() : input.keepOut());
    return view(
        sessions.start(
            input.clientId(),
            input.gymId(),
            aim,
            schools.get(input.school()),
            Boolean.TRUE.equals(input.stiffToday())));
  }

  /** One session with its exercises, set-ups and logged sets. */
  @GetMapping("/{id}")
  SessionView one(@PathVariable UUID id) {
    return view(reader.get(id));
  }

  /** Adds an exercise to a session, with the set-up that it is done in. */
  @PostMapping("/{id}/items")
  @ResponseStatus(HttpStatus.CREATED)
  SessionView pin(@PathVariable UUID id, @RequestBody ItemInput input) {
    new Needed().field("candidateId", input.candidateId()).check();
    return view(items.pin(id, input.candidateId(), Optional.ofNullable(input.setup())));
  }

  /** Changes the set-up of one exercise of a session. */
  @PutMapping("/{id}/items/{itemId}/setup")
  SessionView changeSetup(
      @PathVariable UUID id, @PathVariable UUID itemId, @RequestBody SetupInput input) {
    new Needed().field("setup", input.setup()).check();
    return view(items.changeSetup(id, itemId, input.setup()));
  }

  /** Takes an exercise out of a session. 409 if sets of it are logged. */
  @DeleteMapping("/{id}/items/{itemId}")
  SessionView unpin(@PathVariable UUID id, @PathVariable UUID itemId) {
    return view(items.unpin(id, itemId));
  }

  /**
   * Logs one set, or corrects it. The device makes the id of the set, so that sending twice stores
   * once.
   */
  @PutMapping("/{id}/items/{itemId}/sets/{setId}")
  SessionView log(
      @PathVariable UUID id,
      @PathVariable UUID itemId,
      @PathVariable UUID setId,
      @RequestBody SetInput input) {
    return view(log.log(id, itemId, setId, input.set()));
  }

  /** Takes a logged set out. */
  @DeleteMapping("/{id}/items/{itemId}/sets/{setId}")
  SessionView removeSet(
      @PathVariable UUID id, @PathVariable UUID itemId, @PathVariable UUID setId) {
    return view(log.removeSet(id, itemId, setId));
  }

  /** Ends a session. Its sets can still be corrected. */
  @PostMapping("/{id}/finish")
  SessionView finish(@PathVariable UUID id) {
    return view(sessions.finish(id));
  }

  /** Goes on with a session that was ended. */
  @PostMapping("/{id}/reopen")
  SessionView reopen(@PathVariable UUID id) {
    return view(sessions.reopen(id));
  }

  /** Takes a session out in which no set was logged. 409 where one was. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOut(@PathVariable UUID id) {
    sessions.takeOut(id);
  }

  /** Puts a session back that was taken out. */
  @PostMapping("/{id}/restore")
  SessionView putBack(@PathVariable UUID id) {
    return view(sessions.putBack(id));
  }

  private SessionView view(Session session) {
    Function<CandidateId, Trainable> names = trainables.all();
    return new SessionView(
        session.id(),
        session.client().id(),
        session.client().name(),
        session.gym().id(),
        session.gym().name(),
        new SessionBriefView(
            session.brief().aim(),
            session.brief().keepOut(),
            Objects.requireNonNullElse(session.brief().school(), School.STRETCH.id()),
            session.brief().stiffDay()),
        Words.of(session.client().cautions().statements()),
        session.createdAt(),
        session.finishedAt().orElse(null),
        session.items().stream().map(item -> item(item, names.apply(item.candidateId()))).toList());
  }

  private static ItemView item(Session.Item item, Trainable trainable) {
    AnyExercise exercise = trainable.exercise();
    return new ItemView(
        item.id(),
        item.position(),
        trainable.id(),
        exercise.id(),
        trainable.name(),
        exercise instanceof ByWord,
        exercise.repetitions(),
        item.setup(),
        item.asked().words(),
        item.asked().reserve(),
        exercise.cues(),
        exercise.stopSigns(),
        exercise.cautions(),
        item.sets().stream().map(SetView::of).toList(),
        item.lastTime()
            .map(
                time ->
                    new LastTimeView(
                        time.performedAt(),
                        time.sameSetup(),
                        time.setup(),
                        time.sets().stream().map(SetView::of).toList()))
            .orElse(null),
        item.refusal().orElse(null),
        LoadView.of(item.load()));
  }
}
