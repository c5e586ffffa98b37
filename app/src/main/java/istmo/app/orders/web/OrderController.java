package istmo.app.orders.web;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.orders.OrderBook;
import istmo.core.body.MeasurementKind;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.criterion.Aim;
import istmo.core.ranking.criterion.Order;
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
  record BriefInput(UUID clientId, UUID gymId, Map<String, Integer> aim, Set<String> keepOut, String school) {
    void checkPlace() {
      if (clientId == null || gymId == null) {
        throw new InvalidInput(clientId == null ? "clientId" : "gymId", "is needed");
      }
    }

    Aim toAim() {
      return new Aim(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
    }

    School toSchool() {
      return school == null ? School.STRETCH : School.get(school);
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
      List<String> changes) {}

  record SubstituteView(String candidateId, String name, double alikeness, String lost) {}

  record ExcludedView(String candidateId, String name, Order.Kind kind, String reason, @MayBeMissing SubstituteView instead) {}

  record FirstPickView(String candidateId, String decidedBy) {}

  record OrderView(List<String> statements, List<EntryView> entries, List<ExcludedView> excluded, @MayBeMissing FirstPickView firstPick) {}

  /** A measurement that is missing, and how many of the first ten it would move. */
  record MeasuringView(MeasurementKind kind, String label, int affected, String sentence) {}

  @PostMapping("/api/orders/measuring")
  List<MeasuringView> measuring(@RequestBody BriefInput input) {
    input.checkPlace();
    return orders.measuring(input.clientId(), input.gymId(), input.toAim(), input.toSchool()).stream().map(m -> new MeasuringView(m.kind(), m.kind().label(), m.affected(), m.sentence())).toList();
  }

  @PostMapping("/api/orders")
  OrderView order(@RequestBody BriefInput input) {
    input.checkPlace();
    Order order = orders.order(input.clientId(), input.gymId(), input.toAim(), input.toSchool());
    return new OrderView(
        orders.statements(input.clientId()),
        order.entries().stream().map(OrderController::entry).toList(),
        order.excluded().stream().map(x -> new ExcludedView(x.candidateId(), x.name(), x.kind(), x.reason(), x.instead().map(i -> new SubstituteView(i.candidateId(), i.name(), Rounded.of(i.alikeness()), i.lost())).orElse(null))).toList(),
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
        e.evaluation().reach().changes());
  }
}
