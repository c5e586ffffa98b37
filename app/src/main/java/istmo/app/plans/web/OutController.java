package istmo.app.plans.web;

import istmo.app.accounts.CoachDays;
import istmo.app.plans.Plan;
import istmo.app.plans.PlanFile;
import istmo.app.plans.Plans;
import istmo.app.plans.Shares;
import istmo.app.plans.out.LengthUnit;
import istmo.app.plans.out.PlanCalendar;
import istmo.app.plans.out.PlanCsv;
import istmo.app.plans.out.SheetPdf;
import istmo.app.plans.out.SheetWords;
import istmo.app.plans.out.Unit;
import istmo.app.plans.web.PlanViews.BoutView;
import istmo.app.plans.web.PlanViews.PlanView;
import istmo.app.plans.web.PlanViews.PlannedDayView;
import istmo.app.plans.web.PlanViews.PlannedItemView;
import istmo.app.plans.web.PlanViews.WorkingLoadView;
import istmo.app.platform.DrawingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.NotFound;
import istmo.app.schools.Schools;
import istmo.app.sessions.Asked;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.SessionItems;
import istmo.app.sessions.Sessions;
import istmo.core.plan.Block;
import istmo.core.plan.Offer;
import istmo.core.plan.Planned;
import istmo.core.quantity.InvalidInput;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** A plan on paper, in a calendar, as a file, behind a link, and on the floor. */
@RestController
class OutController {
  private static final int LONGEST_FILE = 1_000_000;

  private final Plans plans;
  private final Shares shares;
  private final Sessions sessions;
  private final Schools schools;
  private final JsonMapper json;
  private final Clock clock;
  private final CoachDays days;

  OutController(
      Plans plans,
      Shares shares,
      Sessions sessions,
      Schools schools,
      JsonMapper json,
      Clock clock,
      CoachDays days) {
    this.plans = plans;
    this.shares = shares;
    this.sessions = sessions;
    this.schools = schools;
    this.json = json;
    this.clock = clock;
    this.days = days;
  }

  record ImportInput(UUID clientId, UUID gymId, String text) {}

  /** session: an id made by the asker, so that the same message again begins nothing more. */
  record StartDayInput(Integer day, Integer step, @Nullable UUID session) {}

  record StartedView(UUID sessionId) {}

  /** path: where the link leads; it is told this once. */
  record ShareView(String path) {}

  record SharesView(List<Instant> out) {}

  record SharedItemView(
      String name,
      String prescription,
      @Nullable WorkingLoadView load,
      List<String> cues,
      List<String> stopSigns,
      @MayBeMissing DrawingView figure) {}

  record SharedDayView(int weekday, double usedMinutes, List<List<SharedItemView>> bouts) {}

  /** What a client reads: no health notes, nothing of why. */
  record SharedView(
      String name, String gymName, List<SharedDayView> days, List<PlanViews.BlockStepView> block) {}

  /** day: from 0; step: week of the block, from 1. */
  @GetMapping("/api/weeks/{id}/sheet.pdf")
  ResponseEntity<byte[]> sheet(
      @PathVariable UUID id,
      @RequestParam int day,
      @RequestParam Optional<Integer> step,
      @RequestParam(defaultValue = "kg") String unit,
      @RequestParam(defaultValue = "cm") String length) {
    Plan plan = plan(id, step);
    Planned.Day planned = Plans.day(plan, day);
    String title =
        String.format(
            Locale.ROOT,
            "%s, %s%s",
            plan.document().name(),
            SheetWords.weekday(planned.weekday()),
            step.map(s -> ", week " + s).orElse(""));
    return file(
        SheetPdf.of(plan, planned, Unit.get(unit), LengthUnit.get(length), load(plan, step), title),
        MediaType.APPLICATION_PDF,
        title + ".pdf");
  }

  /** The plan as a calendar file with one event a session, in the client's weeks to come. */
  @GetMapping("/api/weeks/{id}/calendar.ics")
  ResponseEntity<byte[]> calendar(@PathVariable UUID id) {
    Plan plan = plans.get(id);
    String ics = PlanCalendar.of(plan, days.today(), clock.instant(), s -> plans.step(id, s));
    return file(
        ics.getBytes(StandardCharsets.UTF_8),
        new MediaType("text", "calendar", StandardCharsets.UTF_8),
        plan.document().name() + ".ics");
  }

  /** The plan as JSON, for other programs. It holds no health notes. */
  @GetMapping("/api/weeks/{id}/plan.json")
  ResponseEntity<byte[]> json(@PathVariable UUID id) {
    Plan plan = plans.get(id);
    return file(
        json.writerWithDefaultPrettyPrinter()
            .writeValueAsBytes(PlanFile.of(plan.brief(), plan.document())),
        MediaType.APPLICATION_JSON,
        plan.document().name() + ".json");
  }

  /** The plan as a table, one row an exercise. It holds no health notes. */
  @GetMapping("/api/weeks/{id}/plan.csv")
  ResponseEntity<byte[]> csv(@PathVariable UUID id) {
    Plan plan = plans.get(id);
    String csv =
        PlanCsv.write(
            plan.brief(),
            plan.document(),
            candidate -> plan.offers().find(candidate).map(Offer::name).orElse(candidate.text()));
    return file(
        csv.getBytes(StandardCharsets.UTF_8),
        new MediaType("text", "csv", StandardCharsets.UTF_8),
        plan.document().name() + ".csv");
  }

  /**
   * A plan from a file of this format, JSON or CSV, for a client in a gym: all of it or nothing.
   * What that client cannot do there is shown as left out.
   */
  @PostMapping("/api/weeks/imports")
  @ResponseStatus(HttpStatus.CREATED)
  PlanView bringIn(@RequestBody ImportInput input) {
    new Needed()
        .field("clientId", input.clientId())
        .field("gymId", input.gymId())
        .field("text", input.text())
        .check();
    if (input.text().length() > LONGEST_FILE) {
      throw new InvalidInput("text", "is longer than a plan can be");
    }
    PlanFile file =
        input.text().stripLeading().startsWith("{")
            ? read(input.text())
            : PlanCsv.read(input.text());
    return PlanViews.of(plans.begin(input.clientId(), input.gymId(), file.brief(), file.plan()));
  }

  private PlanFile read(String text) {
    try {
      PlanFile file = json.readValue(text, PlanFile.class);
      new Needed()
          .field("format", file.format())
          .field("version", file.version())
          .field("brief", file.brief())
          .field("plan", file.plan())
          .check();
      if (!file.format().equals(PlanFile.FORMAT) || file.version() != PlanFile.VERSION) {
        throw new InvalidInput(
            "format",
            "is "
                + PlanFile.FORMAT
                + " version "
                + PlanFile.VERSION
                + ", not "
                + file.format()
                + " version "
                + file.version());
      }
      return file;
    } catch (JacksonException e) {
      throw new InvalidInput("text", "cannot be read as a plan: " + e.getOriginalMessage());
    }
  }

  /**
   * Begins a session on the floor with what a day of the plan asks for. What the client's cautions
   * leave out now is not taken along.
   */
  @PostMapping("/api/weeks/{id}/start")
  @ResponseStatus(HttpStatus.CREATED)
  StartedView start(@PathVariable UUID id, @RequestBody StartDayInput input) {
    new Needed().field("day", input.day()).check();
    Optional<Integer> step = Optional.ofNullable(input.step());
    Plan plan = plan(id, step);
    Planned.Day day = Plans.day(plan, input.day());
    if (day.items().stream()
        .noneMatch(item -> plan.offers().find(item.candidateId()).isPresent())) {
      throw new InvalidInput("day", "has nothing in it that could be done");
    }
    UUID session = Optional.ofNullable(input.session()).orElseGet(UUID::randomUUID);
    sessions.begin(
        session,
        plan.client().id(),
        plan.gym().id(),
        plan.aim(),
        schools.get(plan.brief().school()),
        wanted(plan, day, step));
    return new StartedView(session);
  }

  private static List<SessionItems.Wanted> wanted(
      Plan plan, Planned.Day day, Optional<Integer> step) {
    List<SessionItems.Wanted> wanted = new ArrayList<>();
    for (int b = 0; b < day.bouts().size(); b++) {
      for (Planned.Item item : day.bouts().get(b).items()) {
        Optional<Offer> found = plan.offers().find(item.candidateId());
        if (found.isPresent()) {
          Asked asked =
              new Asked(
                  SheetWords.lines(plan, item, load(plan, step)),
                  Optional.of(PrescriptionDocument.of(item.prescription())),
                  Optional.of(b + 1),
                  load(plan, step));
          wanted.add(new SessionItems.Wanted(item.candidateId(), found.get().setup(), asked));
        }
      }
    }
    return wanted;
  }

  /**
   * Opens a link under which a client reads the plan without an account. The link is shown once;
   * only its hash is kept.
   */
  @PostMapping("/api/weeks/{id}/shares")
  @ResponseStatus(HttpStatus.CREATED)
  ShareView share(@PathVariable UUID id) {
    return new ShareView("/shared/" + shares.share(id));
  }

  /** How many links to this plan are open. */
  @GetMapping("/api/weeks/{id}/shares")
  SharesView sharesOf(@PathVariable UUID id) {
    return new SharesView(shares.out(id));
  }

  /** Revokes every link to this plan. */
  @DeleteMapping("/api/weeks/{id}/shares")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void revoke(@PathVariable UUID id) {
    shares.revoke(id);
  }

  /** For whoever has the link. */
  @GetMapping("/api/shared/{token}")
  SharedView shared(@PathVariable String token) {
    Plan plan = shares.read(token);
    PlanView view = PlanViews.of(plan);
    return new SharedView(
        plan.document().name(),
        plan.gym().name(),
        view.days().stream().map(plannedDayView -> day(plan, plannedDayView)).toList(),
        view.block());
  }

  private static SharedDayView day(Plan plan, PlannedDayView view) {
    return new SharedDayView(
        view.weekday(),
        view.usedMinutes(),
        view.bouts().stream()
            .map(BoutView::items)
            .map(
                items ->
                    items.stream()
                        .filter(plannedItemView -> plannedItemView.refusal() == null)
                        .map(plannedItemView -> item(plan, plannedItemView))
                        .toList())
            .filter(items -> !items.isEmpty())
            .toList());
  }

  private static SharedItemView item(Plan plan, PlannedItemView view) {
    return new SharedItemView(
        view.name(),
        SheetWords.prescription(view.prescription().prescription(), view.oneLeg()),
        view.load(),
        view.cues(),
        view.stopSigns(),
        plan.offers()
            .figure(view.candidateId(), plan.client().body(false))
            .map(figure -> DrawingView.of(figure.side()))
            .orElse(null));
  }

  private Plan plan(UUID id, Optional<Integer> step) {
    return step.isPresent() ? plans.step(id, step.get()) : plans.get(id);
  }

  private static double load(Plan plan, Optional<Integer> step) {
    return step.map(
            s ->
                Plans.block(plan.document(), plan.client().profile().trainingAge())
                    .map(Block::weeks)
                    .orElseThrow(() -> new NotFound("block of this plan"))
                    .get(s - 1)
                    .load())
        .orElse(1.0);
  }

  private static ResponseEntity<byte[]> file(byte[] content, MediaType type, String name) {
    ContentDisposition download =
        ContentDisposition.attachment().filename(name, StandardCharsets.UTF_8).build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, download.toString())
        .body(content);
  }
}
