package istmo.app.orders.web;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import istmo.app.orders.OrderBook;
import istmo.app.platform.FactView;
import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.platform.Written;
import istmo.app.schools.Schools;
import istmo.core.body.MeasurementKind;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Improvisation;
import istmo.core.equipment.Equipment;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Posterior;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderChange;
import istmo.core.words.OrderWords;
import istmo.core.words.RankingWords;
import istmo.core.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The order for a brief. */
@RestController
class OrderController {
  private final OrderBook orders;
  private final Schools schools;
  private final Written written;

  OrderController(OrderBook orders, Schools schools, Written written) {
    this.orders = orders;
    this.schools = schools;
    this.written = written;
  }

  /**
   * aim: region id to 1, 2 or 3; keepOut: region ids; preset: what the order is weighed for;
   * weights: criterion id to the weight that the coach has set, 0 to 10.
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
      Aim wanted = Aim.of(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
      Weights weighed =
          new Weights(
              preset == null ? Weights.Preset.GROWTH : Weights.Preset.get(preset),
              weights == null ? Map.of() : weights);
      return new OrderBook.OrderRequest(
          clientId, gymId, wanted, schools.get(school), weighed, Boolean.TRUE.equals(stiffToday));
    }
  }

  record ContributionView(
      String criterion, String label, double points, double value, @MayBeMissing FactView reason) {}

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
      CandidateId candidateId,
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
      List<FactView> why,
      List<FactView> raise,
      List<StudyView> studies,
      String costs,
      String limiter,
      Map<String, Double> stimulus,
      Map<String, Double> mechanics,
      Map<String, Double> setup,
      List<FactView> changes,
      @MayBeMissing LoadView load,
      List<EntryView> variants) {}

  /** What would train the aim elsewhere, and what it needs. */
  record ElsewhereView(CandidateId candidateId, String name, List<String> needs) {}

  /** Nothing here trains the aim well: what would, and how it is done without a machine. */
  record ShortageView(
      FactView fact, List<ElsewhereView> elsewhere, List<ImprovisationView> improvised) {}

  record SubstituteView(CandidateId candidateId, String name, double alikeness, String lost) {}

  record ExcludedView(
      CandidateId candidateId,
      String name,
      Order.Kind kind,
      FactView reason,
      @MayBeMissing SubstituteView instead,
      List<ImprovisationView> improvised) {}

  /**
   * How it is done without the equipment: common practice, not computed. Measures in cm are this
   * client's.
   */
  record ImprovisationView(String title, List<String> setUp, List<String> safety) {}

  record FirstPickView(CandidateId candidateId, List<FactView> decidedBy) {}

  /**
   * The best two or three together: what each is there for, and how much of what the aim asks they
   * cover.
   */
  record TogetherView(List<CandidateId> candidateIds, double coverage, List<FactView> members) {}

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
      List<CandidateId> learning,
      List<FactView> notes) {}

  /** Places by one school: exercise id to its place. */
  record SchoolPlacesView(String school, String label, Map<String, Integer> places) {}

  /** A measurement that is missing, and how many of the first ten it would move. */
  record MeasuringView(MeasurementKind kind, String label, int affected, String sentence) {}

  /** A generic value of a machine, and how many of the first ten it would move. */
  record MachineMeasuringView(String item, String detail, int affected, String sentence) {}

  record WithMachineInput(BriefInput brief, String item, Map<String, Double> measured) {}

  record OrderChangeView(int moved, List<FactView> moves) {}

  /** Which measurement of the client would narrow this order most. */
  @PostMapping("/api/orders/measuring")
  List<MeasuringView> measuring(@RequestBody BriefInput input) {
    return orders.measuring(input.request(schools)).stream()
        .map(
            value ->
                new MeasuringView(
                    value.kind(), value.kind().label(), value.affected(), Words.of(value)))
        .toList();
  }

  /** Which measurement of a machine would narrow this order most. */
  @PostMapping("/api/orders/machines")
  List<MachineMeasuringView> machines(@RequestBody BriefInput input) {
    return orders.machines(input.request(schools)).stream()
        .map(
            value ->
                new MachineMeasuringView(
                    value.item().id(), value.detailId(), value.affected(), Words.of(value)))
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
    OrderChange change =
        orders.withMachine(
            input.brief().request(schools), Equipment.of(input.item()), input.measured());
    return new OrderChangeView(change.moved(), FactView.of(change.moves()));
  }

  /**
   * Exercises for a client, a gym and an aim, best first, each with its rank range, reasons, costs
   * and first load; and what is left out, with its reason.
   */
  @PostMapping("/api/orders")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = OrderView.class)))
  ResponseEntity<byte[]> order(
      @RequestBody BriefInput input,
      @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, required = false)
          @Nullable String accepted) {
    return written.answer(
        orders.written(input.request(schools), answer -> written.packed(view(answer))), accepted);
  }

  private static OrderView view(OrderBook.Answer answer) {
    Order order = answer.order();
    return new OrderView(
        Words.of(answer.statements()),
        order.entries().stream().map(OrderController::entry).toList(),
        order.hardly().stream().map(OrderController::entry).toList(),
        order.shortage().map(OrderController::shortage).orElse(null),
        order.excluded().stream()
            .map(
                excluded ->
                    new ExcludedView(
                        excluded.candidateId(),
                        excluded.name(),
                        excluded.kind(),
                        FactView.of(excluded.reason()),
                        excluded
                            .instead()
                            .map(
                                substitute ->
                                    new SubstituteView(
                                        substitute.candidateId(),
                                        substitute.name(),
                                        Rounded.of(substitute.alikeness()),
                                        OrderWords.lost(substitute.lost())))
                            .orElse(null),
                        improvised(excluded.improvised())))
            .toList(),
        order
            .firstPick()
            .map(pick -> new FirstPickView(pick.candidateId(), FactView.of(pick.decidedBy())))
            .orElse(null),
        order.together().stream()
            .map(
                together ->
                    new TogetherView(
                        together.candidateIds(),
                        Rounded.of(together.coverage()),
                        FactView.of(together.members())))
            .toList(),
        order.learning(),
        FactView.of(order.notes()));
  }

  /** Who moves when the school changes: places by every school that this coach can choose. */
  @PostMapping("/api/orders/schools")
  List<SchoolPlacesView> schools(@RequestBody BriefInput input) {
    return orders.bySchool(input.request(schools)).stream()
        .map(
            school -> {
              Map<String, Integer> places = new LinkedHashMap<>();
              school.places().forEach(id -> places.put(id.exerciseId(), places.size() + 1));
              return new SchoolPlacesView(school.school().id(), school.school().label(), places);
            })
        .toList();
  }

  private static StudyView study(Posterior.Influence influence) {
    Finding finding = influence.finding();
    return new StudyView(
        finding.id(),
        finding.shortCitation(),
        finding.conditionA() + " against " + finding.conditionB() + ", " + finding.regionWords(),
        finding.direction().label(),
        finding.how().label(),
        Rounded.of(influence.shift()));
  }

  private static List<ImprovisationView> improvised(List<Improvisation> ways) {
    return ways.stream()
        .map(
            improvisation ->
                new ImprovisationView(
                    improvisation.title(), improvisation.setUp(), improvisation.safety()))
        .toList();
  }

  private static ShortageView shortage(Order.Shortage shortage) {
    return new ShortageView(
        FactView.of(shortage.fact()),
        shortage.elsewhere().stream()
            .map(
                elsewhere ->
                    new ElsewhereView(elsewhere.candidateId(), elsewhere.name(), elsewhere.needs()))
            .toList(),
        improvised(shortage.improvised()));
  }

  private static EntryView entry(Order.Entry entry) {
    Ranked ranked = entry.ranked();
    var candidate = entry.evaluation().candidate();
    return new EntryView(
        candidate.id(),
        candidate.exerciseId(),
        candidate.name(),
        Rounded.of(ranked.utility()),
        Rounded.of(ranked.low()),
        Rounded.of(ranked.high()),
        ranked.rankLow(),
        ranked.rankHigh(),
        Rounded.of(ranked.chanceOfBest()),
        ranked.band(),
        ranked.contributions().stream()
            .map(
                contribution ->
                    new ContributionView(
                        contribution.criterion(),
                        contribution.label(),
                        Rounded.of(contribution.points()),
                        Rounded.of(contribution.value()),
                        contribution.reason().map(FactView::of).orElse(null)))
            .toList(),
        FactView.of(entry.why()),
        FactView.of(entry.raise()),
        entry.studies().stream().map(OrderController::study).toList(),
        RankingWords.costs(entry.costs()),
        RankingWords.limiter(entry.limiter()),
        Rounded.of(entry.stimulus()),
        Rounded.of(entry.evaluation().stimulus()),
        entry.evaluation().reach().setup().values(),
        FactView.of(entry.evaluation().reach().changes()),
        LoadView.of(entry.load()),
        entry.variants().stream().map(OrderController::entry).toList());
  }
}
