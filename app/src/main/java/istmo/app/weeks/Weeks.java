package istmo.app.weeks;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.orders.OrderBook;
import istmo.app.plans.Plans;
import istmo.app.plans.Session;
import istmo.app.platform.Conflict;
import istmo.app.platform.NotFound;
import istmo.app.schools.Schools;
import istmo.app.weeks.persistence.WeekPlanEntity;
import istmo.app.weeks.persistence.WeekPlanRepository;
import istmo.app.weeks.persistence.WeekRevisionEntity;
import istmo.app.weeks.persistence.WeekRevisionRepository;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Soreness;
import istmo.core.plan.Arrangement;
import istmo.core.plan.Block;
import istmo.core.plan.Coverage;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Planned;
import istmo.core.plan.Shortfall;
import istmo.core.plan.Swap;
import istmo.core.plan.Targets;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Aim;
import istmo.core.ranking.criterion.Order;
import istmo.core.ranking.criterion.Weights;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Planned weeks: kept as revisions, composed, changed, undone. */
@Service
public class Weeks {
  private static final int SWAPS = 6;
  private static final int USUAL_TIMES = 2;
  private static final int USUAL_MINUTES = 60;
  private static final int LONGEST_WHAT = 200;

  private record OffersKey(Order order, Profile profile) {
    @Override
    public boolean equals(Object o) { // an order is kept as it is, and comparing two would take longer than making offers
      return o instanceof OffersKey k && k.order == order && k.profile.equals(profile);
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(order);
    }
  }

  private final Cache<OffersKey, Offers> offers = Caffeine.newBuilder().maximumSize(40).build();
  private final WeekPlanRepository plans;
  private final WeekRevisionRepository revisions;
  private final Clients clients;
  private final Gyms gyms;
  private final OrderBook orders;
  private final Schools schools;
  private final Plans sessions;
  private final CurrentCoach coach;
  private final Clock clock;

  Weeks(WeekPlanRepository plans, WeekRevisionRepository revisions, Clients clients, Gyms gyms, OrderBook orders, Schools schools, Plans sessions, CurrentCoach coach, Clock clock) {
    this.plans = plans;
    this.revisions = revisions;
    this.clients = clients;
    this.gyms = gyms;
    this.orders = orders;
    this.schools = schools;
    this.sessions = sessions;
    this.coach = coach;
    this.clock = clock;
  }

  /** One line of the list. */
  public record Line(UUID id, UUID clientId, UUID gymId, String name, int days, int exercises, Instant changedAt) {}

  @Transactional(readOnly = true)
  public List<Line> list(Optional<UUID> clientId) {
    List<WeekPlanEntity> found = clientId.map(id -> plans.findTop100ByCoachIdAndClientIdAndRemovedAtIsNullOrderByChangedAtDesc(coach.id(), id)).orElseGet(() -> plans.findTop100ByCoachIdAndRemovedAtIsNullOrderByChangedAtDesc(coach.id()));
    Map<UUID, PlanDocument> heads = heads(found);
    return found.stream().map(p -> {
      PlanDocument d = heads.get(p.getId());
      return new Line(p.getId(), p.getClientId(), p.getGymId(), d.name(), d.days().size(), d.week().items().size(), p.getChangedAt());
    }).toList();
  }

  /** A new plan with nothing in its days yet; what is not said comes from the client's profile. */
  @Transactional
  public WeekPlan begin(UUID clientId, UUID gymId, PlanBrief brief, String name, Optional<Integer> times, Optional<Integer> minutes, boolean oneStation, Pairing pairing) {
    Client client = clients.get(clientId);
    int days = times.or(() -> client.profile().daysAWeek()).orElse(USUAL_TIMES);
    int each = minutes.or(() -> client.profile().minutes()).orElse(USUAL_MINUTES);
    PlanDocument document = new PlanDocument(name == null || name.isBlank() ? "Week for " + client.name() : name, PlanDocument.of(new Planned.Week(spread(days, each, oneStation))), pairing, client.profile().trainingAge().filter(a -> a == TrainingAge.WEEKS).isEmpty(), true, Map.of(), null, null);
    return begin(clientId, gymId, brief, document);
  }

  /** A plan that begins with a document: one that is brought in. */
  @Transactional
  public WeekPlan begin(UUID clientId, UUID gymId, PlanBrief brief, PlanDocument document) {
    Client client = clients.get(clientId);
    Gym gym = gyms.get(gymId);
    checkedAim(brief);
    Weights weights = new Weights(Weights.Preset.get(brief.preset()), brief.weights());
    PlanBrief kept = new PlanBrief(brief.aim(), brief.keepOut(), schools.get(brief.school()).id(), weights.preset().id(), weights.moved());
    WeekPlanEntity e = plans.save(new WeekPlanEntity(UUID.randomUUID(), coach.id(), client.id(), gym.id(), kept, clock.instant()));
    revisions.saveAndFlush(new WeekRevisionEntity(UUID.randomUUID(), coach.id(), e.getId(), 0, "begun", document.checked(), clock.instant()));
    return view(e, Optional.empty());
  }

  @Transactional(readOnly = true)
  public WeekPlan get(UUID id) {
    return view(entity(id), Optional.empty());
  }

  /** Throws where this plan is not the coach's. */
  void check(UUID id) {
    entity(id);
  }

  /** The week as a step of its block asks for it, 1 the first. */
  @Transactional(readOnly = true)
  public WeekPlan step(UUID id, int step) {
    return view(entity(id), Optional.of(step));
  }

  /** Keeps an edit as a new revision; what had been undone is gone then. */
  @Transactional
  public WeekPlan change(UUID id, int version, String what, PlanDocument document) {
    WeekPlanEntity e = seen(id, version);
    PlanDocument checked = document.checked();
    Offers on = offers(e);
    Set<String> before = head(e).getDocument().week().items().stream().map(Planned.Item::candidateId).collect(Collectors.toSet());
    checked.week().items().stream().map(Planned.Item::candidateId).filter(c -> !before.contains(c)).forEach(on::get);
    return keep(e, what, checked);
  }

  @Transactional
  public WeekPlan undo(UUID id, int version) {
    WeekPlanEntity e = seen(id, version);
    if (e.getHead() == 0) {
      throw new Conflict("There is nothing to undo.");
    }
    return moved(e, e.getHead() - 1);
  }

  @Transactional
  public WeekPlan redo(UUID id, int version) {
    WeekPlanEntity e = seen(id, version);
    if (revision(e, e.getHead() + 1).isEmpty()) {
      throw new Conflict("There is nothing to do again.");
    }
    return moved(e, e.getHead() + 1);
  }

  /** Takes a plan out of the list; its links end. */
  @Transactional
  public void remove(UUID id) {
    entity(id).remove(clock.instant());
  }

  /** Puts back what was taken out. */
  @Transactional
  public WeekPlan putBack(UUID id) {
    WeekPlanEntity e = plans.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("plan"));
    e.putBack();
    return view(plans.saveAndFlush(e), Optional.empty());
  }

  /** Erases every plan of a client. */
  @Transactional
  public void erase(UUID clientId) {
    plans.deleteAllInBatch(plans.findByCoachIdAndClientIdOrderByCreatedAt(coach.id(), clientId));
    plans.flush();
  }

  /**
   * A plan as it stands, for a client's file: its newest document, without the edits before it.
   *
   * @param removedAt when it was taken out of the list, if it was
   */
  public record Kept(UUID gymId, Instant createdAt, Instant changedAt, Optional<Instant> removedAt, PlanBrief brief, PlanDocument document) {
    /** The same with everything checked that can be without knowing whose it is; candidates are checked by who knows them. */
    public Kept checked() {
      List<InvalidInput.Fault> faults = new ArrayList<>();
      List<PlanDocument> plan = new ArrayList<>();
      InvalidInput.gather(faults, "brief.", () -> checkedAim(brief));
      InvalidInput.gather(faults, "brief.", () -> new Weights(Weights.Preset.get(brief.preset()), brief.weights()));
      InvalidInput.gather(faults, "plan.", () -> plan.add(document.checked()));
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return new Kept(gymId, createdAt, changedAt, removedAt, brief, plan.get(0));
    }
  }

  /** Every plan of a client, those taken out too, oldest first. */
  @Transactional(readOnly = true)
  public List<Kept> kept(UUID clientId) {
    List<WeekPlanEntity> found = plans.findByCoachIdAndClientIdOrderByCreatedAt(coach.id(), clientId);
    Map<UUID, PlanDocument> heads = heads(found);
    return found.stream().map(p -> new Kept(p.getGymId(), p.getCreatedAt(), p.getChangedAt(), Optional.ofNullable(p.getRemovedAt()), p.getBrief(), heads.get(p.getId()))).toList();
  }

  /** Keeps a plan from elsewhere as it is. */
  @Transactional
  public void bringIn(UUID clientId, Kept kept) {
    Kept k = kept.checked();
    WeekPlanEntity e = new WeekPlanEntity(UUID.randomUUID(), coach.id(), clients.get(clientId).id(), gyms.get(k.gymId()).id(), k.brief(), k.createdAt());
    e.moveTo(0, k.changedAt());
    k.removedAt().ifPresent(e::remove);
    plans.saveAndFlush(e);
    revisions.saveAndFlush(new WeekRevisionEntity(UUID.randomUUID(), coach.id(), e.getId(), 0, "brought in", k.document(), clock.instant()));
  }

  /** Why the week falls short, if it does. Some seconds of solver. */
  public Optional<Shortfall> shortfall(UUID id) {
    WeekPlan plan = get(id);
    return Shortfall.of(plan.task(), plan.week());
  }

  /** Other exercises for the job of one in the week. */
  public List<Swap> swaps(UUID id, String itemId, Set<String> taken, Set<PainFlag> hurting) {
    WeekPlan plan = get(id);
    Planned.Day day = plan.week().days().stream().filter(d -> d.items().stream().anyMatch(i -> i.id().equals(itemId))).findFirst().orElseThrow(() -> new NotFound("exercise in this week"));
    Planned.Item item = day.items().stream().filter(i -> i.id().equals(itemId)).findFirst().orElseThrow();
    Offer now = plan.offers().get(item.candidateId());
    return Swap.of(now, plan.offers(), plan.aim(), taken, hurting, day.items().stream().map(Planned.Item::candidateId).toList(), SWAPS);
  }

  /** Puts the exercises of a session in the usual order. */
  @Transactional
  public WeekPlan arrange(UUID id, int version, int day) {
    WeekPlan plan = get(id);
    Planned.Day d = day(plan, day);
    List<Planned.Day> days = new ArrayList<>(plan.week().days());
    days.set(day, d.with(plan.arrangement().of(d.bouts())));
    return change(id, version, "put in order", plan.document().with(new Planned.Week(days)));
  }

  public static Planned.Day day(WeekPlan plan, int day) {
    if (day < 0 || day >= plan.week().days().size()) {
      throw new NotFound("session in this week");
    }
    return plan.week().days().get(day);
  }

  private WeekPlan keep(WeekPlanEntity e, String what, PlanDocument document) {
    if (what == null || what.isBlank() || what.length() > LONGEST_WHAT) {
      throw new InvalidInput("what", "needs what was changed, in at most " + LONGEST_WHAT + " characters");
    }
    revisions.deleteByCoachIdAndPlanIdAndNumberGreaterThan(coach.id(), e.getId(), e.getHead());
    revisions.flush();
    revisions.save(new WeekRevisionEntity(UUID.randomUUID(), coach.id(), e.getId(), e.getHead() + 1, what, document, clock.instant()));
    return moved(e, e.getHead() + 1);
  }

  private WeekPlan moved(WeekPlanEntity e, int head) {
    e.moveTo(head, clock.instant());
    return view(plans.saveAndFlush(e), Optional.empty());
  }

  private WeekPlanEntity entity(UUID id) {
    return plans.findByIdAndCoachId(id, coach.id()).filter(p -> !p.isRemoved()).orElseThrow(() -> new NotFound("plan"));
  }

  private WeekPlanEntity seen(UUID id, int version) {
    WeekPlanEntity e = entity(id);
    if (e.getVersion() != version) {
      throw changedElsewhere();
    }
    return e;
  }

  static Conflict changedElsewhere() {
    return new Conflict("This plan was changed elsewhere meanwhile. Load again; nothing was overwritten.");
  }

  private Optional<WeekRevisionEntity> revision(WeekPlanEntity e, int number) {
    return revisions.findByCoachIdAndPlanIdAndNumber(coach.id(), e.getId(), number);
  }

  /** The newest document of each plan, in one query. */
  private Map<UUID, PlanDocument> heads(List<WeekPlanEntity> of) {
    return of.isEmpty() ? Map.of() : revisions.heads(coach.id(), of.stream().map(WeekPlanEntity::getId).toList()).stream().collect(Collectors.toMap(WeekRevisionEntity::getPlanId, WeekRevisionEntity::getDocument));
  }

  private WeekRevisionEntity head(WeekPlanEntity e) {
    return revision(e, e.getHead()).orElseThrow();
  }

  private static Aim checkedAim(PlanBrief b) {
    Aim aim = new Aim(b.aim(), new HashSet<>(b.keepOut()));
    if (aim.isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    return aim;
  }

  private Order order(WeekPlanEntity e) {
    PlanBrief b = e.getBrief();
    return orders.order(new OrderBook.Wish(e.getClientId(), e.getGymId(), checkedAim(b), schools.get(b.school()), new Weights(Weights.Preset.get(b.preset()), b.weights()), false)).order();
  }

  private Offers offers(WeekPlanEntity e) {
    return offers.get(new OffersKey(order(e), clients.get(e.getClientId()).profile()), k -> new Offers(k.order(), k.profile()));
  }

  private WeekPlan view(WeekPlanEntity e, Optional<Integer> step) {
    Client client = clients.get(e.getClientId());
    Gym gym = gyms.get(e.getGymId());
    Aim aim = checkedAim(e.getBrief());
    WeekRevisionEntity head = head(e);
    PlanDocument document = head.getDocument();
    Offers on = offers(e);
    Optional<TrainingAge> age = client.profile().trainingAge();
    Targets targets = Targets.of(aim, age, !Boolean.FALSE.equals(document.hold()), on.all()).with(document.targets());
    Planned.Week week = step.map(s -> applied(document, s, on, aim, age)).orElseGet(document::week);
    Set<PainFlag> sore = client.cautions().sores().stream().map(Soreness::joint).collect(Collectors.toSet());
    return new WeekPlan(
        e.getId(),
        e.getVersion(),
        e.getChangedAt(),
        client,
        gym,
        e.getBrief(),
        aim,
        document,
        week,
        on,
        targets,
        Coverage.of(week, on, targets),
        new Arrangement(on, aim, sore),
        records(client.id(), week, on),
        e.getHead() == 0 ? Optional.empty() : Optional.of(head.getWhat()),
        revision(e, e.getHead() + 1).map(WeekRevisionEntity::getWhat));
  }

  private static Planned.Week applied(PlanDocument document, int step, Offers on, Aim aim, Optional<TrainingAge> age) {
    Block block = block(document, age).orElseThrow(() -> new NotFound("block of this plan"));
    if (step < 1 || step > block.weeks().size()) {
      throw new NotFound("week " + step + " of this block");
    }
    Function<String, Boolean> serves = id -> on.find(id).filter(o -> aim.weights().keySet().stream().anyMatch(r -> o.share(r) >= 0.5)).isPresent();
    return Block.applied(document.week(), block.weeks().get(step - 1), serves::apply, age);
  }

  /** The block of weeks, where the plan has one. */
  public static Optional<Block> block(PlanDocument document, Optional<TrainingAge> age) {
    return Optional.ofNullable(document.blockWeeks()).map(n -> Block.of(n, age));
  }

  private Map<String, WorkingLoad.Recorded> records(UUID clientId, Planned.Week week, Offers on) {
    Map<String, WorkingLoad.Recorded> result = new HashMap<>();
    Map<String, Session.LastTime> last = sessions.lastTimes(clientId, week.items().stream().map(Planned.Item::candidateId).distinct().toList());
    last.forEach((id, l) -> on.find(id).filter(o -> o.setup().equals(l.setup())).flatMap(o -> WorkingLoad.Recorded.bestOf(l.sets().stream().map(Session.LoggedSet::set).toList(), l.performedAt().atZone(ZoneOffset.UTC).toLocalDate())).ifPresent(r -> result.put(id, r)));
    return new LinkedHashMap<>(result);
  }

  /** A new plan's days: so many a week, spread over it (common practice: one leg day, two, or the whole body three or four times). */
  public static List<Planned.Day> spread(int times, int minutes, boolean oneStation) {
    int[][] weekdays = {{3}, {1, 4}, {1, 3, 5}, {1, 2, 4, 5}, {1, 2, 3, 4, 5}, {1, 2, 3, 4, 5, 6}, {1, 2, 3, 4, 5, 6, 7}};
    new Allowed(1, 7, "sessions a week").check("times", times);
    List<Planned.Day> days = new ArrayList<>();
    for (int weekday : weekdays[times - 1]) {
      days.add(new Planned.Day(weekday, minutes, oneStation, List.of()));
    }
    return days;
  }
}
