package istmo.app.orders.web;

import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.orders.OrderBook;
import istmo.core.body.MeasurementKind;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.criterion.Aim;
import istmo.core.ranking.criterion.Order;
import istmo.core.ranking.criterion.OrderChange;
import istmo.core.stimulus.School;
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

  OrderController(OrderBook orders) {
    this.orders = orders;
  }

  /** aim: region id to 1, 2 or 3; keepOut: region ids or ERECTORS. */
  record BriefInput(UUID clientId, UUID gymId, Map<String, Integer> aim, Set<String> keepOut, String school, Boolean stiffToday) {
    OrderBook.Wish wish() {
      new Needed().field("clientId", clientId).field("gymId", gymId).check();
      Aim wanted = new Aim(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
      return new OrderBook.Wish(clientId, gymId, wanted, school == null ? School.STRETCH : School.get(school), Boolean.TRUE.equals(stiffToday));
    }
  }

  record ContributionView(String criterion, String label, double points, double value, String reason) {}

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
      String costs,
      String limiter,
      Map<String, Double> stimulus,
      Map<String, Double> setup,
      List<String> changes,
      @MayBeMissing LoadView load) {}

  record SubstituteView(String candidateId, String name, double alikeness, String lost) {}

  record ExcludedView(String candidateId, String name, Order.Kind kind, String reason, @MayBeMissing SubstituteView instead, List<ImprovisationView> improvised) {}

  /** How it is done without the equipment: common practice, not computed. Measures in cm are this client's. */
  record ImprovisationView(String title, List<String> setUp, List<String> safety) {}

  record FirstPickView(String candidateId, String decidedBy) {}

  record OrderView(List<String> statements, List<EntryView> entries, List<ExcludedView> excluded, @MayBeMissing FirstPickView firstPick) {}

  /** A measurement that is missing, and how many of the first ten it would move. */
  record MeasuringView(MeasurementKind kind, String label, int affected, String sentence) {}

  /** A generic value of a machine, and how many of the first ten it would move. */
  record MachineMeasuringView(String item, String detail, int affected, String sentence) {}

  record WithMachineInput(BriefInput brief, String item, Map<String, Double> measured) {}

  record OrderChangeView(int moved, List<String> sentences) {}

  @PostMapping("/api/orders/measuring")
  List<MeasuringView> measuring(@RequestBody BriefInput input) {
    return orders.measuring(input.wish()).stream().map(m -> new MeasuringView(m.kind(), m.kind().label(), m.affected(), m.sentence())).toList();
  }

  @PostMapping("/api/orders/machines")
  List<MachineMeasuringView> machines(@RequestBody BriefInput input) {
    return orders.machines(input.wish()).stream().map(m -> new MachineMeasuringView(m.itemId(), m.detailId(), m.affected(), m.sentence())).toList();
  }

  /** What other values of one machine would do to the order; nothing is kept. */
  @PostMapping("/api/orders/with-machine")
  OrderChangeView withMachine(@RequestBody WithMachineInput input) {
    new Needed().field("brief", input.brief()).field("item", input.item()).field("measured", input.measured()).check();
    OrderChange c = orders.withMachine(input.brief().wish(), input.item(), input.measured());
    return new OrderChangeView(c.moved(), c.sentences());
  }

  @PostMapping("/api/orders")
  OrderView order(@RequestBody BriefInput input) {
    OrderBook.Answer answer = orders.order(input.wish());
    Order order = answer.order();
    return new OrderView(
        answer.statements(),
        order.entries().stream().map(OrderController::entry).toList(),
        order.excluded().stream().map(x -> new ExcludedView(x.candidateId(), x.name(), x.kind(), x.reason(), x.instead().map(i -> new SubstituteView(i.candidateId(), i.name(), Rounded.of(i.alikeness()), i.lost())).orElse(null), x.improvised().stream().map(i -> new ImprovisationView(i.title(), i.setUp(), i.safety())).toList())).toList(),
        order.firstPick().map(f -> new FirstPickView(f.candidateId(), f.decidedBy())).orElse(null));
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
        r.contributions().stream().map(x -> new ContributionView(x.criterion(), x.label(), Rounded.of(x.points()), Rounded.of(x.value()), x.reason())).toList(),
        e.why(),
        e.costs(),
        e.limiter(),
        Rounded.of(e.evaluation().stimulus()),
        e.evaluation().reach().setup().values(),
        e.evaluation().reach().changes(),
        LoadView.of(e.load()));
  }
}
