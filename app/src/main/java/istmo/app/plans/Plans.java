package istmo.app.plans;

import istmo.app.accounts.CoachDays;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.orders.OrderBook;
import istmo.app.platform.NotFound;
import istmo.app.schools.Schools;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Arrangement;
import istmo.core.plan.Block;
import istmo.core.plan.Coverage;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Planned;
import istmo.core.plan.Shortfall;
import istmo.core.plan.Spread;
import istmo.core.plan.Swap;
import istmo.core.plan.Targets;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Planned weeks: kept as revisions, composed, changed, undone. */
@Service
public class Plans {
  private static final int SWAPS = 6;
  private static final int USUAL_TIMES = 2;
  private static final int USUAL_MINUTES = 60;

  private final PlanStore store;
  private final Clients clients;
  private final Gyms gyms;
  private final OrderBook orders;
  private final Schools schools;
  private final SessionReader reader;
  private final CoachDays days;

  Plans(
      PlanStore store,
      Clients clients,
      Gyms gyms,
      OrderBook orders,
      Schools schools,
      SessionReader reader,
      CoachDays days) {
    this.store = store;
    this.clients = clients;
    this.gyms = gyms;
    this.orders = orders;
    this.schools = schools;
    this.reader = reader;
    this.days = days;
  }

  /**
   * How the days of a new plan are to be.
   *
   * @param times a week; empty for the client's usual
   * @param minutes each; empty for the client's usual
   */
  public record Wished(
      Optional<Integer> times, Optional<Integer> minutes, boolean oneStation, Pairing pairing) {}

  /** A new plan with nothing in its days yet; what is not said comes from the client's profile. */
  public Plan begin(UUID clientId, UUID gymId, PlanBrief brief, String name, Wished wished) {
    Client client = clients.get(clientId);
    int days = wished.times().or(() -> client.profile().daysAWeek()).orElse(USUAL_TIMES);
    int each = wished.minutes().or(() -> client.profile().minutes()).orElse(USUAL_MINUTES);
    InvalidInput.together(
        () -> aim(brief),
        () -> schools.get(brief.school()),
        () -> Spread.weekdays(days),
        () -> new Planned.Day(1, each, wished.oneStation(), List.of()));
    PlanDocument document =
        new PlanDocument(
            name == null || name.isBlank() ? "Week for " + client.name() : name,
            PlanDocument.of(new Planned.Week(days(days, each, wished.oneStation()))),
            wished.pairing(),
            client
                .profile()
                .trainingAge()
                .filter(trainingAge -> trainingAge == TrainingAge.WEEKS)
                .isEmpty(),
            true,
            Map.of(),
            null,
            null);
    return begin(clientId, gymId, brief, document);
  }

  /** A plan that begins with a document: one that is brought in. */
  public Plan begin(UUID clientId, UUID gymId, PlanBrief brief, PlanDocument document) {
    clients.check(clientId);
    gyms.inUse(gymId);
    aim(brief);
    Weights weights = new Weights(Weights.Preset.get(brief.preset()), brief.weights());
    PlanBrief kept =
        new PlanBrief(
            brief.aim(),
            brief.keepOut(),
            schools.get(brief.school()).id(),
            weights.preset().id(),
            weights.moved());
    return view(store.add(clientId, gymId, kept, document.checked()), Optional.empty());
  }

  /**
   * A plan of this coach; throws {@link NotFound} for any other, and for one that was taken out.
   */
  public Plan get(UUID id) {
    return view(store.get(id), Optional.empty());
  }

  /** The week as a step of its block asks for it, 1 the first. */
  public Plan step(UUID id, int step) {
    return view(store.get(id), Optional.of(step));
  }

  /** Keeps an edit as a new revision; what had been undone is gone then. */
  public Plan change(UUID id, int version, String what, PlanDocument document) {
    PlanStore.Stored before = store.seen(id, version);
    PlanDocument checked = document.checked();
    Offers on = offers(before);
    Set<CandidateId> known = candidates(before.document());
    candidates(checked).stream().filter(candidate -> !known.contains(candidate)).forEach(on::get);
    return view(store.keep(id, version, what, checked), Optional.empty());
  }

  private static Set<CandidateId> candidates(PlanDocument document) {
    return document.week().items().stream()
        .map(Planned.Item::candidateId)
        .collect(Collectors.toSet());
  }

  /** Takes the newest edit back. */
  public Plan undo(UUID id, int version) {
    return view(store.undo(id, version), Optional.empty());
  }

  /** Does again what was taken back. */
  public Plan redo(UUID id, int version) {
    return view(store.redo(id, version), Optional.empty());
  }

  /** Puts back what was taken out of the list. */
  public Plan putBack(UUID id) {
    return view(store.putBack(id), Optional.empty());
  }

  /** Why the week falls short, if it does. Some seconds of solver. */
  public Optional<Shortfall> shortfall(UUID id) {
    Plan plan = get(id);
    return Shortfall.of(plan.task(), plan.week());
  }

  /** Other exercises for the job of one in the week. */
  public List<Swap> swaps(UUID id, String itemId, Set<Equipment> taken, Set<PainFlag> hurting) {
    Plan plan = get(id);
    Planned.Day day =
        plan.week().days().stream()
            .filter(
                otherDay ->
                    otherDay.items().stream().anyMatch(otherItem -> otherItem.id().equals(itemId)))
            .findFirst()
            .orElseThrow(() -> new NotFound("exercise in this week"));
    Planned.Item item =
        day.items().stream()
            .filter(otherItem -> otherItem.id().equals(itemId))
            .findFirst()
            .orElseThrow();
    Offer now = plan.offers().get(item.candidateId());
    return Swap.of(
        now,
        plan.offers(),
        plan.aim(),
        taken,
        hurting,
        day.items().stream().map(Planned.Item::candidateId).toList(),
        SWAPS);
  }

  /** Puts the exercises of a session in the usual order. */
  public Plan arrange(UUID id, int version, int day) {
    Plan plan = get(id);
    Planned.Day otherDay = day(plan, day);
    List<Planned.Day> days = new ArrayList<>(plan.week().days());
    days.set(day, otherDay.with(plan.arrangement().of(otherDay.bouts())));
    return change(id, version, "put in order", plan.document().with(new Planned.Week(days)));
  }

  /** A session of a plan by its index; throws {@code NotFound} when there is none. */
  public static Planned.Day day(Plan plan, int day) {
    if (day < 0 || day >= plan.week().days().size()) {
      throw new NotFound("session in this week");
    }
    return plan.week().days().get(day);
  }

  /** What a brief aims at; throws {@link InvalidInput} where that is nothing. */
  static Aim aim(PlanBrief brief) {
    Aim aim = Aim.of(brief.aim(), brief.keepOut());
    if (aim.isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    return aim;
  }

  private Offers offers(PlanStore.Stored stored) {
    PlanBrief brief = stored.brief();
    return orders.offers(
        new OrderBook.OrderRequest(
            stored.clientId(),
            stored.gymId(),
            aim(brief),
            schools.get(brief.school()),
            new Weights(Weights.Preset.get(brief.preset()), brief.weights()),
            false));
  }

  private Plan view(PlanStore.Stored stored, Optional<Integer> step) {
    Client client = clients.get(stored.clientId());
    Gym gym = gyms.get(stored.gymId());
    Aim aim = aim(stored.brief());
    PlanDocument document = stored.document();
    Offers on = offers(stored);
    Optional<TrainingAge> age = client.profile().trainingAge();
    Targets targets =
        Targets.of(aim, age, !Boolean.FALSE.equals(document.hold()), on.all())
            .with(document.targetsByRegion());
    Planned.Week week = step.map(s -> applied(document, s, on, aim, age)).orElseGet(document::week);
    Set<PainFlag> sore =
        client.cautions().sores().stream().map(Soreness::joint).collect(Collectors.toSet());
    Coverage coverage = Coverage.of(week, on, targets);
    Arrangement arrangement = new Arrangement(on, aim, sore);
    Map<CandidateId, WorkingLoad.Recorded> records = records(client.id(), week, on);
    return new Plan(
        stored.id(),
        stored.version(),
        stored.changedAt(),
        client,
        gym,
        stored.brief(),
        aim,
        document,
        week,
        on,
        targets,
        coverage,
        arrangement,
        records,
        stored.undo(),
        stored.redo());
  }

  private static Planned.Week applied(
      PlanDocument document, int step, Offers on, Aim aim, Optional<TrainingAge> age) {
    Block block = block(document, age).orElseThrow(() -> new NotFound("block of this plan"));
    if (step < 1 || step > block.weeks().size()) {
      throw new NotFound("week " + step + " of this block");
    }
    Predicate<CandidateId> serves =
        id -> on.find(id).filter(offer -> offer.serves(aim)).isPresent();
    return Block.applied(document.week(), block.weeks().get(step - 1), serves, age);
  }

  /** The block of weeks, where the plan has one. */
  public static Optional<Block> block(PlanDocument document, Optional<TrainingAge> age) {
    return Optional.ofNullable(document.blockWeeks()).map(n -> Block.of(n, age));
  }

  private Map<CandidateId, WorkingLoad.Recorded> records(
      UUID clientId, Planned.Week week, Offers on) {
    Map<CandidateId, WorkingLoad.Recorded> result = new HashMap<>();
    ZoneId zone = days.zone();
    Map<CandidateId, Session.LastTime> last =
        reader.lastTimes(
            clientId, week.items().stream().map(Planned.Item::candidateId).distinct().toList());
    last.forEach(
        (id, time) ->
            on.find(id)
                .filter(offer -> offer.setup().equals(time.setup()))
                .flatMap(
                    offer ->
                        WorkingLoad.Recorded.bestOf(
                            time.sets().stream().map(Session.LoggedSet::set).toList(),
                            LocalDate.ofInstant(time.performedAt(), zone)))
                .ifPresent(recorded -> result.put(id, recorded)));
    return new LinkedHashMap<>(result);
  }

  private static List<Planned.Day> days(int times, int minutes, boolean oneStation) {
    return Spread.weekdays(times).stream()
        .map(weekday -> new Planned.Day(weekday, minutes, oneStation, List.of()))
        .toList();
  }
}
