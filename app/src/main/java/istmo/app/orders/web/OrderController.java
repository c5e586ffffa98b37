package istmo.app.orders.web;

import istmo.app.orders.OrderBook;
import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.body.MeasurementKind;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Improvisation;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Posterior;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderChange;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The order for a brief. */
@RestController
class OrderController {
  private final OrderBook orders;
  private final Schools schools;

  OrderController(OrderBook orders, Schools schools) {
    this.orders = orders;
    this.schools = schools;
  }

  /**
   * aim: region id to 1, 2 or 3; keepOut: region ids or ERECTORS; preset: what the order is weighed
   * for; weights: criterion id to the weight that the coach has set, 0 to 10.
   */
  record BriefInput(
      UUID clientId,
      UUID gymId,
      Map<String, Integer> aim,
      Set<String> keepOut,
      String school,
      String preset,
      Map<String, Double> weights,
      Boolean stiffToday) {
    OrderBook.OrderRequest request(Schools schools) {
      new Needed().field("clientId", clientId).field("gymId", gymId).check();
      Aim wanted = new Aim(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
      Weights weighed =
          new Weights(
              preset == null ? Weights.Preset.GROWTH : Weights.Preset.get(preset),
              weights == null ? Map.of() : weights);
      return new OrderBook.OrderRequest(
          clientId, gymId, wanted, schools.get(school), weighed, Boolean.TRUE.equals(stiffToday));
    }
  }

  record ContributionView(
      String criterion, String label, double points, double value, String reason) {}

  /** A finding that moves this candidate: shift of ln(stimulus), up or down. */
  record StudyView(
      String findingId,
      String citation,
      String conditions,
      String direction,
      String how,
      double shift) {}

  /**
   * stimulus: by mechanics, studies and practice; mechanics: by mechanics alone; raise: what would
   * move it up; variants: the same exercise in its other set-ups, best first.
   */
  record EntryView(
      String candidateId,
      String exerciseId,
      String name,
      double utility,
      double low,
      double high,
      int rankLow,
      int rankHigh,
      double chanceOfBest,
      int band,
      List<ContributionView> contributions,
      List<String> why,
      List<String> raise,
      List<StudyView> studies,
      String costs,
      String limiter,
      Map<String, Double> stimulus,
      Map<String, Double> mechanics,
      Map<String, Double> setup,
      List<String> changes,
      @MayBeMissing LoadView load,
      List<EntryView> variants) {}

  /** What would train the aim elsewhere, and what it needs. */
  record ElsewhereView(String candidateId, String name, List<String> needs) {}

  /** Nothing here trains the aim well: what would, and how it is done without a machine. */
  record ShortageView(
      String sentence, List<ElsewhereView> elsewhere, List<ImprovisationView> improvised) {}

  record SubstituteView(String candidateId, String name, double alikeness, String lost) {}

  record ExcludedView(
      String candidateId,
      String name,
      Order.Kind kind,
      String reason,
      @MayBeMissing SubstituteView instead,
      List<ImprovisationView> improvised) {}

  /**
   * How it is done without the equipment: common practice, not computed. Measures in cm are this
   * client's.
   */
  record ImprovisationView(String title, List<String> setUp, List<String> safety) {}

  record FirstPickView(String candidateId, String decidedBy) {}

  /**
   * The best two or three together: what each is there for, and how much of what the aim asks they
   * cover.
   */
  record TogetherView(List<String> candidateIds, double coverage, List<String> sentences) {}

  /**
   * entries: one for each exercise, best first; hardly: what is here and hardly trains the aim, no
   * places; shortage: said first where nothing here trains it; learning: candidates in an order to
   * learn them in; notes: what the preset did.
   */
  record OrderView(
      List<String> statements,
      List<EntryView> entries,
      List<EntryView> hardly,
      @MayBeMissing ShortageView shortage,
      List<ExcludedView> excluded,
      @MayBeMissing FirstPickView firstPick,
      List<TogetherView> together,
      List<String> learning,
      List<String> notes) {}

  /** Places by one school: exercise id to its place. */
  record SchoolPlacesView(String school, String label, Map<String, Integer> places) {}

  /** A measurement that is missing, and how many of the first ten it would move. */
  record MeasuringView(MeasurementKind kind, String label, int affected, String sentence) {}

  /** A generic value of a machine, and how many of the first ten it would move. */
  record MachineMeasuringView(String item, String detail, int affected, String sentence) {}

  record WithMachineInput(BriefInput brief, String item, Map<String, Double> measured) {}

  record OrderChangeView(int moved, List<String> sentences) {}

  /** Which measurement of the client would narrow this order most. */
  @PostMapping("/api/orders/measuring")
  List<MeasuringView> measuring(@RequestBody BriefInput input) {
    return orders.measuring(input.request(schools)).stream()
        .map(m -> new MeasuringView(m.kind(), m.kind().label(), m.affected(), m.sentence()))
        .toList();
  }

  /** Which measurement of a machine would narrow this order most. */
  @PostMapping("/api/orders/machines")
  List<MachineMeasuringView> machines(@RequestBody BriefInput input) {
    return orders.machines(input.request(schools)).stream()
        .map(m -> new MachineMeasuringView(m.itemId(), m.detailId(), m.affected(), m.sentence()))
        .toList();
  }

  /** What other values of one machine would do to the order; nothing is kept. */
  @PostMapping("/api/orders/with-machine")
  OrderChangeView withMachine(@RequestBody WithMachineInput input) {
    new Needed()
        .field("brief", input.brief())
        .field("item", input.item())
        .field("measured", input.measured())
        .check();
    OrderChange c =
        orders.withMachine(input.brief().request(schools), input.item(), input.measured());
    return new OrderChangeView(c.moved(), c.sentences());
  }

  /**
   * Exercises for a client, a gym and an aim, best first, each with its rank range, reasons, costs
   * and first load; and what is left out, with its reason.
   */
  @PostMapping("/api/orders")
  OrderView order(@RequestBody BriefInput input) {
    OrderBook.Answer answer = orders.order(input.request(schools));
    Order order = answer.order();
    return new OrderView(
        answer.statements(),
        order.entries().stream().map(OrderController::entry).toList(),
        order.hardly().stream().map(OrderController::entry).toList(),
        order.shortage().map(OrderController::shortage).orElse(null),
        order.excluded().stream()
            .map(
                x ->
                    new ExcludedView(
                        x.candidateId(),
                        x.name(),
                        x.kind(),
                        x.reason(),
                        x.instead()
                            .map(
                                i ->
                                    new SubstituteView(
                                        i.candidateId(),
                                        i.name(),
                                        Rounded.of(i.alikeness()),
                                        i.lost()))
                            .orElse(null),
                        improvised(x.improvised())))
            .toList(),
        order.firstPick().map(f -> new FirstPickView(f.candidateId(), f.decidedBy())).orElse(null),
        order.together().stream()
            .map(t -> new TogetherView(t.candidateIds(), Rounded.of(t.coverage()), t.sentences()))
            .toList(),
        order.learning(),
        order.notes());
  }

  /** Who moves when the school changes: places by every school that this coach can choose. */
  @PostMapping("/api/orders/schools")
  List<SchoolPlacesView> schools(@RequestBody BriefInput input) {
    return orders.bySchool(input.request(schools)).stream()
        .map(
            b -> {
              Map<String, Integer> places = new LinkedHashMap<>();
              b.places().forEach(id -> places.put(Candidate.exerciseId(id), places.size() + 1));
              return new SchoolPlacesView(b.school().id(), b.school().label(), places);
            })
        .toList();
  }

  private static StudyView study(Posterior.Influence i) {
    Finding f = i.finding();
    return new StudyView(
        f.id(),
        f.shortCitation(),
        f.conditionA() + " against " + f.conditionB() + ", " + f.regionWords(),
        f.direction().label(),
        f.how().label(),
        Rounded.of(i.shift()));
  }

  private static List<ImprovisationView> improvised(List<Improvisation> ways) {
    return ways.stream().map(i -> new ImprovisationView(i.title(), i.setUp(), i.safety())).toList();
  }

  private static ShortageView shortage(Order.Shortage s) {
    return new ShortageView(
        s.sentence(),
        s.elsewhere().stream()
            .map(e -> new ElsewhereView(e.candidateId(), e.name(), e.needs()))
            .toList(),
        improvised(s.improvised()));
  }

  private static EntryView entry(Order.Entry e) {
    Ranked r = e.ranked();
    var c = e.evaluation().candidate();
    return new EntryView(
        c.id(),
        c.exerciseId(),
        c.name(),
        Rounded.of(r.utility()),
        Rounded.of(r.low()),
        Rounded.of(r.high()),
        r.rankLow(),
        r.rankHigh(),
        Rounded.of(r.chanceOfBest()),
        r.band(),
        r.contributions().stream()
            .map(
                x ->
                    new ContributionView(
                        x.criterion(),
                        x.label(),
                        Rounded.of(x.points()),
                        Rounded.of(x.value()),
                        x.reason()))
            .toList(),
        e.why(),
        e.raise(),
        e.studies().stream().map(OrderController::study).toList(),
        e.costs(),
        e.limiter(),
        Rounded.of(e.stimulus()),
        Rounded.of(e.evaluation().stimulus()),
        e.evaluation().reach().setup().values(),
        e.evaluation().reach().changes(),
        LoadView.of(e.load()),
        e.variants().stream().map(OrderController::entry).toList());
  }
}
