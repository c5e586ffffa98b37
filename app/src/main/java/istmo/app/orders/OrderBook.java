package istmo.app.orders;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.clients.Reports;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Transactions;
import istmo.app.platform.Turns;
import istmo.app.schools.Schools;
import istmo.core.body.Body;
import istmo.core.body.CautionFact;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.computing.Kept;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.Evidence;
import istmo.core.plan.Offers;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.MachineMeasuringValue;
import istmo.core.ranking.order.MeasuringValue;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderChange;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Orders for a client in a gym. What the mechanics say of a body on measured machines is kept by
 * these themselves, so a changed aim orders again without new mechanics; the cache may be lost at
 * any time.
 */
@Service
public class OrderBook implements MeterBinder {
  private record Key(Body body, Map<Equipment, Map<String, Double>> machines) {}

  /** A school's name does not matter to what it makes of the mechanics. */
  private record SchoolKey(
      Key key, double recruitment, double lengthBias, double powerMean, double passiveWeight) {
    static SchoolKey of(Key key, School judging) {
      return new SchoolKey(
          key,
          judging.recruitment(),
          judging.lengthBias(),
          judging.powerMean(),
          judging.passiveWeight());
    }
  }

  private record OwnKey(Key key, CandidateId candidateId) {}

  /** Everything that an order hangs on. */
  private record OrderKey(Brief brief, List<CandidateId> own) {
    static OrderKey of(Brief brief, List<Candidate> own) {
      return new OrderKey(brief, own.stream().map(Candidate::id).toList());
    }
  }

  private record OffersKey(OrderKey order, List<ByWord> byWord, List<Offers.Gone> gone) {}

  private record AnswerKey(OrderKey order, List<CautionFact> statements) {}

  private final Kept<Key, Map<CandidateId, Evaluation>> evaluations;
  private final Kept<SchoolKey, Map<CandidateId, Evaluation>> bySchool;
  private final Kept<OwnKey, Evaluation> ownEvaluations;
  private final Kept<OrderKey, Order> orders;
  private final Kept<OffersKey, Offers> offers;
  private final Kept<AnswerKey, byte[]> answers;
  private final Clients clients;
  private final Gyms gyms;
  private final Trainables trainables;
  private final Schools schools;
  private final Reports reports;
  private final Turns turns;

  /** How much of the heap each kind may take at most, per cent, and what one of it takes, kB. */
  private static final int BODIES_PERCENT = 40;

  private static final int BODY_KB = 14_000;
  private static final int OFFERS_PERCENT = 20;
  private static final int OFFERS_KB = 500;
  private static final int ANSWERS_PERCENT = 5;
  private static final int ANSWER_KB = 60;

  /** So many of each kind are kept however small the heap is. */
  static final int LEAST_KEPT = 4;

  private static int most(long heapBytes, int percent, int eachKb) {
    return Math.max(LEAST_KEPT, (int) (heapBytes / 1000 * percent / 100 / eachKb));
  }

  /**
   * @param heapBytes how much memory Java may take; the more there is, the more is kept
   */
  OrderBook(
      Clients clients,
      Gyms gyms,
      Trainables trainables,
      Schools schools,
      Reports reports,
      Turns turns,
      @Value("#{T(java.lang.Runtime).getRuntime().maxMemory()}") long heapBytes) {
    // an order refers to what was evaluated for its body: each may keep a body of its own
    int bodies = most(heapBytes, BODIES_PERCENT, 2 * BODY_KB);
    this.evaluations = Kept.atMost(bodies);
    this.orders = Kept.atMost(bodies);
    this.offers = Kept.atMost(most(heapBytes, OFFERS_PERCENT, OFFERS_KB));
    this.answers = Kept.atMost(most(heapBytes, ANSWERS_PERCENT, ANSWER_KB));
    this.bySchool = Kept.atMost(bodies);
    this.ownEvaluations = Kept.atMost(20 * bodies);
    this.schools = schools;
    this.reports = reports;
    this.turns = turns;
    this.clients = clients;
    this.gyms = gyms;
    this.trainables = trainables;
  }

  @Override
  public void bindTo(MeterRegistry figures) {
    figures.gauge("istmo.orders.kept.bodies", evaluations, Kept::size);
    figures.gauge("istmo.orders.kept", orders, Kept::size);
    figures.gauge("istmo.orders.kept.offers", offers, Kept::size);
    figures.gauge("istmo.orders.kept.answers", answers, Kept::size);
  }

  /**
   * Who, where, what for, by which school, and what counts how much; stiffToday takes some range
   * for one day.
   */
  public record OrderRequest(
      UUID clientId, UUID gymId, Aim aim, School school, Weights weights, boolean stiffToday) {}

  /** An order, and what to ask or to know about this client before anything is done. */
  public record Answer(Order order, List<CautionFact> statements) {}

  /**
   * The order for a request, as it was written down the first time; must not be asked for inside a
   * transaction. What is written takes little room beside what it was worked out from, so it is
   * kept for many more clients.
   *
   * @param write makes bytes of an answer; it may use nothing else
   */
  public byte[] written(OrderRequest request, Function<Answer, byte[]> write) {
    Client client = clients.get(request.clientId());
    Brief brief = brief(client, gyms.get(request.gymId()), request);
    List<Candidate> own = trainables.ownVariants();
    AnswerKey asked = new AnswerKey(OrderKey.of(brief, own), client.cautions().statements());
    return answers
        .known(asked)
        .orElseGet(
            () ->
                turns.take(
                    () ->
                        answers.get(
                            asked,
                            key -> write.apply(new Answer(order(brief, own), key.statements())))));
  }

  /**
   * Which missing measurements of the client would change this order, most first. Some seconds of
   * mechanics.
   */
  public List<MeasuringValue> measuring(OrderRequest request) {
    Client client = clients.get(request.clientId());
    Brief brief = brief(client, gyms.get(request.gymId()), request).of(client.estimate().body());
    return turns.take(() -> MeasuringValue.of(client.estimate(), brief, evaluated(brief)));
  }

  /** Which generic values of this gym's machines would change this order, most first. */
  public List<MachineMeasuringValue> machines(OrderRequest request) {
    Brief brief = brief(clients.get(request.clientId()), gyms.get(request.gymId()), request);
    return turns.take(() -> MachineMeasuringValue.of(brief, evaluated(brief)));
  }

  /** What other values of one machine do to this order. */
  public OrderChange withMachine(OrderRequest request, Equipment item, Map<String, Double> values) {
    Brief before = brief(clients.get(request.clientId()), gyms.get(request.gymId()), request);
    GymEquipment equipment = before.equipment();
    for (Map.Entry<String, Double> entry : values.entrySet()) {
      equipment = equipment.with(item, entry.getKey(), entry.getValue());
    }
    Brief after = before.at(equipment);
    return turns.take(() -> OrderChange.between(order(before), order(after)));
  }

  /** What can be put into a plan by this order; must not be asked for inside a transaction. */
  public Offers offers(OrderRequest request) {
    Brief brief = brief(clients.get(request.clientId()), gyms.get(request.gymId()), request);
    List<Candidate> own = trainables.ownVariants();
    OffersKey asked =
        new OffersKey(OrderKey.of(brief, own), trainables.byWord(), trainables.gone());
    return offers
        .known(asked)
        .orElseGet(
            () ->
                turns.take(
                    () ->
                        offers.get(
                            asked,
                            key ->
                                new Offers(order(brief, own), brief, key.byWord(), key.gone()))));
  }

  private Brief brief(Client client, Gym gym, OrderRequest request) {
    Transactions.mustBeOutside("an order");
    return client
        .brief(gym.equipment(), request.aim(), request.school(), request.stiffToday())
        .weighed(request.weights())
        .learning(reports.of(client));
  }

  private Order order(Brief brief) {
    return order(brief, trainables.ownVariants());
  }

  private Order order(Brief brief, List<Candidate> own) {
    return orders.get(OrderKey.of(brief, own), key -> Orders.order(brief, evaluated(brief, own)));
  }

  private Map<CandidateId, Evaluation> evaluated(Brief brief) {
    return evaluated(brief, trainables.ownVariants());
  }

  private Map<CandidateId, Evaluation> evaluated(Brief brief, List<Candidate> own) {
    Key key = new Key(brief.limitedBody(), brief.equipment().measured());
    Map<CandidateId, Evaluation> mechanics =
        evaluations.get(
            key, wanted -> Orders.evaluate(wanted.body(), brief.equipment(), School.STRETCH));
    Map<CandidateId, Evaluation> all =
        new LinkedHashMap<>(
            bySchool.get(
                SchoolKey.of(key, brief.school()),
                schoolKey -> Orders.judgedBy(mechanics, brief.school())));
    for (Candidate candidate : own) { // a kept variant never changes
      all.put(
          candidate.id(),
          ownEvaluations
              .get(
                  new OwnKey(key, candidate.id()),
                  ownKey ->
                      Orders.evaluate(
                              key.body(), List.of(candidate), brief.equipment(), School.STRETCH)
                          .get(candidate.id()))
              .judgedBy(brief.school()));
    }
    return all;
  }

  /** Places of the candidates by another school. */
  public record BySchool(School school, List<CandidateId> places) {}

  /**
   * The same brief by every school that this coach can choose: who moves when the school changes.
   * No new mechanics.
   */
  public List<BySchool> bySchool(OrderRequest request) {
    Brief brief = brief(clients.get(request.clientId()), gyms.get(request.gymId()), request);
    List<Candidate> own = trainables.ownVariants();
    List<School> all = schools.all();
    return turns.take(
        () ->
            all.stream()
                .map(
                    school ->
                        new BySchool(
                            school,
                            Orders.places(
                                brief.withSchool(school),
                                evaluated(brief.withSchool(school), own))))
                .toList());
  }

  /**
   * A cold machine takes some seconds over its first order: one of nobody's is made while the
   * application waits, and the evidence of the stated schools after it. An order that is asked
   * earlier waits no longer than without.
   */
  @EventListener(ApplicationReadyEvent.class)
  void warm() {
    Thread warming =
        new Thread(
            () -> {
              Body nobody = Body.estimated(1.75, 75, Sex.MALE);
              GymEquipment everything = GymEquipment.generic(Equipment.everything());
              Brief brief =
                  new Brief(
                      nobody,
                      Cautions.none(),
                      Profile.unknown(),
                      everything,
                      Aim.of(Map.of("VL", 2), List.of()),
                      School.STRETCH,
                      Optional.empty());
              Orders.order(brief, Orders.evaluate(nobody, everything, School.STRETCH));
              School.all().forEach(Evidence::of);
            },
            "warming");
    warming.setDaemon(true);
    warming.start();
  }
}
