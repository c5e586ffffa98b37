package istmo.app.plans.web;

import istmo.app.plans.Composing;
import istmo.app.plans.Plan;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.PlanStore;
import istmo.app.plans.Plans;
import istmo.app.plans.web.PlanViews.PlanView;
import istmo.app.plans.web.PlanViews.PlannedDayView;
import istmo.app.platform.DrawingView;
import istmo.app.platform.FactView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Block;
import istmo.core.plan.Composer;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Role;
import istmo.core.plan.Shortfall;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.PlanWords;
import istmo.core.words.Words;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
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

/** Planned weeks over HTTP. Every change carries the version that the coach saw. */
@RestController
@RequestMapping("/api/weeks")
class PlanController {
  private final Plans plans;
  private final PlanStore store;
  private final Composing composing;

  PlanController(Plans plans, PlanStore store, Composing composing) {
    this.plans = plans;
    this.store = store;
    this.composing = composing;
  }

  /**
   * times: sessions a week, spread over it; without it as many as the client's profile says, or
   * two.
   */
  record PlanInput(
      UUID clientId,
      UUID gymId,
      Map<String, Integer> aim,
      List<String> keepOut,
      String school,
      String preset,
      Map<String, Double> weights,
      String name,
      Integer times,
      Integer minutes,
      Boolean oneStation,
      Pairing pairing) {}

  /** what: the change in a few words, for undo. */
  record PlanChangeInput(Integer version, String what, PlanDocument plan) {}

  record VersionInput(Integer version) {}

  record ArrangeInput(Integer version, Integer day) {}

  /** run: an id made by the asker, by which the search is followed and stopped. */
  record ComposeInput(Integer version, UUID run, Double seconds) {}

  record PlanLine(
      UUID id,
      UUID clientId,
      UUID gymId,
      String name,
      int days,
      int exercises,
      Instant changedAt) {}

  /**
   * points against the week, and the fewest that any week could have; gap: what could still be
   * gained at most, 0 to 1.
   */
  record SearchView(long points, long bound, double gap, boolean proved, double seconds) {}

  /** obstacles: what keeps any week from being composed. */
  record ComposedView(PlanView week, @MayBeMissing SearchView search, List<FactView> obstacles) {}

  record ProgressView(double seconds, long points, long bound) {}

  /** has, asked: effective sets of the region; reason and ways: each with the figures behind it. */
  record ShortfallView(
      String region, double has, double asked, FactView reason, List<FactView> ways) {}

  record SwapView(
      CandidateId candidateId,
      String name,
      double alike,
      List<String> changes,
      PrescriptionDocument prescription) {}

  /** shares: what a set gives of each region beside the best here. */
  record OfferView(
      CandidateId candidateId,
      String exerciseId,
      String name,
      boolean byWord,
      Role role,
      double utility,
      Map<String, Double> shares,
      PrescriptionDocument prescription) {}

  record BlockWeekView(BlockWeekHeadView step, List<PlannedDayView> days) {}

  /** load: beside that of the first week. */
  record BlockWeekHeadView(int number, String label, String words, double load) {}

  record FigureView(DrawingView side, DrawingView plan) {}

  record MissedView(String words, int goOnWith) {}

  /** Every plan, newest first; those of one client when {@code clientId} is given. */
  @GetMapping
  List<PlanLine> list(@RequestParam Optional<UUID> clientId) {
    return store.list(clientId).stream()
        .map(
            line ->
                new PlanLine(
                    line.id(),
                    line.clientId(),
                    line.gymId(),
                    line.document().name(),
                    line.document().days().size(),
                    line.document().week().items().size(),
                    line.changedAt()))
        .toList();
  }

  /** Begins an empty plan for a client in a gym. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  PlanView begin(@RequestBody PlanInput input) {
    new Needed().field("clientId", input.clientId()).field("gymId", input.gymId()).check();
    PlanBrief brief =
        new PlanBrief(
            input.aim(), input.keepOut(), input.school(), input.preset(), input.weights());
    return PlanViews.of(
        plans.begin(
            input.clientId(),
            input.gymId(),
            brief,
            input.name(),
            new Plans.Wished(
                Optional.ofNullable(input.times()),
                Optional.ofNullable(input.minutes()),
                Boolean.TRUE.equals(input.oneStation()),
                input.pairing() == null ? Pairing.NONE : input.pairing())));
  }

  /** One plan with its sessions, its coverage by region and what it breaks of its own limits. */
  @GetMapping("/{id}")
  PlanView one(@PathVariable UUID id) {
    return PlanViews.of(plans.get(id));
  }

  /**
   * Keeps a changed plan as a new revision. {@code version} must be the one that was read; 409 if
   * the plan has changed since.
   */
  @PutMapping("/{id}")
  PlanView change(@PathVariable UUID id, @RequestBody PlanChangeInput input) {
    new Needed().field("version", input.version()).field("plan", input.plan()).check();
    return PlanViews.of(plans.change(id, input.version(), input.what(), input.plan()));
  }

  /** Deletes a plan with its revisions and links. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    store.remove(id);
  }

  /** Puts a removed plan back. */
  @PostMapping("/{id}/restore")
  PlanView putBack(@PathVariable UUID id) {
    return PlanViews.of(plans.putBack(id));
  }

  /** Takes back the last change of a plan; 409 if the plan has changed since {@code version}. */
  @PostMapping("/{id}/undo")
  PlanView undo(@PathVariable UUID id, @RequestBody VersionInput input) {
    new Needed().field("version", input.version()).check();
    return PlanViews.of(plans.undo(id, input.version()));
  }

  /**
   * Brings back the change that was taken back last; 409 if the plan has changed since {@code
   * version}.
   */
  @PostMapping("/{id}/redo")
  PlanView redo(@PathVariable UUID id, @RequestBody VersionInput input) {
    new Needed().field("version", input.version()).check();
    return PlanViews.of(plans.redo(id, input.version()));
  }

  /** Puts the exercises of one session, counted from 0, in the usual order. */
  @PostMapping("/{id}/arrange")
  PlanView arrange(@PathVariable UUID id, @RequestBody ArrangeInput input) {
    new Needed().field("version", input.version()).field("day", input.day()).check();
    return PlanViews.of(plans.arrange(id, input.version(), input.day()));
  }

  /**
   * Fills the week beside what is pinned; answers when the time is over or the search is stopped.
   */
  @PostMapping("/{id}/compose")
  ComposedView compose(@PathVariable UUID id, @RequestBody ComposeInput input) {
    new Needed().field("version", input.version()).field("run", input.run()).check();
    Composing.Composed composed =
        composing.compose(
            id,
            input.version(),
            input.run(),
            input.seconds() == null ? Composer.USUAL_S : input.seconds());
    return new ComposedView(
        PlanViews.of(composed.plan()),
        composed
            .answer()
            .map(
                answer ->
                    new SearchView(
                        answer.points(),
                        answer.bound(),
                        Rounded.of(answer.gap()),
                        answer.proved(),
                        Rounded.of(answer.seconds())))
            .orElse(null),
        FactView.of(composed.obstacles()));
  }

  /** How far a search for a plan has come. It ends with the best plan that was found. */
  @GetMapping("/{id}/compose/{run}")
  ProgressView progress(@PathVariable UUID id, @PathVariable UUID run) {
    Composer.Progress progress = composing.progress(id, run);
    return new ProgressView(Rounded.of(progress.seconds()), progress.points(), progress.bound());
  }

  /** Ends a search. The best plan that it has found until then is kept. */
  @DeleteMapping("/{id}/compose/{run}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(@PathVariable UUID id, @PathVariable UUID run) {
    composing.stop(id, run);
  }

  /**
   * Why the week falls short, and what would help; an empty list where it does not. Some seconds of
   * work.
   */
  @GetMapping("/{id}/shortfall")
  List<ShortfallView> shortfall(@PathVariable UUID id) {
    Optional<Shortfall> found = plans.shortfall(id);
    return found
        .map(
            shortfall ->
                new ShortfallView(
                    shortfall.region().id(),
                    Rounded.of(shortfall.has()),
                    shortfall.asked(),
                    FactView.of((Record) shortfall.reason(), PlanWords.of(shortfall)),
                    shortfall.ways().stream()
                        .map(way -> FactView.of((Record) way, PlanWords.of(shortfall, way)))
                        .toList()))
        .stream()
        .toList();
  }

  /**
   * What could stand in the place of one item, most alike first, without the equipment in {@code
   * taken} and without what would hurt where {@code hurting} says.
   */
  @GetMapping("/{id}/items/{itemId}/swaps")
  List<SwapView> swaps(
      @PathVariable UUID id,
      @PathVariable String itemId,
      @RequestParam Optional<Set<String>> taken,
      @RequestParam Optional<Set<PainFlag>> hurting) {
    return plans
        .swaps(id, itemId, Equipment.all(taken.orElse(Set.of())), hurting.orElse(Set.of()))
        .stream()
        .map(
            swap ->
                new SwapView(
                    swap.offer().candidateId(),
                    swap.offer().name(),
                    Rounded.of(swap.alike()),
                    PlanWords.of(swap),
                    PrescriptionDocument.of(swap.offer().usual())))
        .toList();
  }

  /** Everything that may be put into this week, in the order's order; exercises by word last. */
  @GetMapping("/{id}/offers")
  List<OfferView> offers(@PathVariable UUID id) {
    Offers offers = plans.get(id).offers();
    return Stream.concat(offers.all().stream(), offers.byWord().stream())
        .map(
            offer ->
                new OfferView(
                    offer.candidateId(),
                    offer.exerciseId(),
                    offer.name(),
                    offer.byWord(),
                    offer.role(),
                    Rounded.of(offer.utility()),
                    Rounded.of(offer.shares()),
                    PrescriptionDocument.of(offer.usual())))
        .toList();
  }

  /** The client at the lengthened end of one exercise. */
  @GetMapping("/{id}/figures/{exerciseId}/{variant}")
  FigureView figure(
      @PathVariable UUID id, @PathVariable String exerciseId, @PathVariable String variant) {
    Plan plan = plans.get(id);
    CandidateId candidate =
        plan.offers().get(new CandidateId(exerciseId + "/" + variant)).candidateId();
    return plan.offers()
        .figure(candidate, plan.client().body(false))
        .map(figure -> new FigureView(DrawingView.of(figure.side()), DrawingView.of(figure.plan())))
        .orElseThrow(() -> new InvalidInput("variant", "has no figure"));
  }

  /** The week as a step of its block asks for it, 1 the first. */
  @GetMapping("/{id}/steps/{step}")
  BlockWeekView step(@PathVariable UUID id, @PathVariable int step) {
    Plan plan = plans.step(id, step);
    Block.Step week =
        Plans.block(plan.document(), plan.client().profile().trainingAge())
            .orElseThrow()
            .weeks()
            .get(step - 1);
    return new BlockWeekView(
        new BlockWeekHeadView(
            week.number(), week.kind().label(), Words.of(week), Rounded.of(week.load())),
        PlanViews.days(plan, week.load()));
  }

  /** What changes after missed weeks: with which step of the block to go on. */
  @GetMapping("/{id}/missed")
  MissedView missed(
      @PathVariable UUID id, @RequestParam int lastDone, @RequestParam int weeksMissed) {
    plans.get(id);
    return new MissedView(
        Words.of(Block.missed(weeksMissed)), Block.goOnWith(lastDone, weeksMissed));
  }
}
