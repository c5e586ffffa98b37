package istmo.app.plans.web;

import istmo.app.plans.Plan;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.Plans;
import istmo.app.platform.FactView;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Block;
import istmo.core.plan.Coverage;
import istmo.core.plan.Offer;
import istmo.core.plan.Pairing;
import istmo.core.plan.Planned;
import istmo.core.plan.Remarks;
import istmo.core.plan.Role;
import istmo.core.plan.Timing;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.Required;
import istmo.core.words.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A planned week as screens see it. Time in s and minutes, loads in kg. */
final class PlanViews {
  private PlanViews() {}

  /** startS and seconds from the beginning of the session. */
  record SegmentView(
      Timing.Kind kind, double startS, double seconds, int bout, String itemId, int set) {
    static SegmentView of(Timing.Segment segment) {
      return new SegmentView(
          segment.kind(),
          segment.startS(),
          segment.seconds(),
          segment.bout(),
          segment.itemId(),
          segment.set());
    }
  }

  record WarmUpView(int repetitions, LoadingView load) {}

  /** drop: which drop after its set it is, from 1; 0 for the set itself. */
  record SetLineView(
      int drop,
      int repetitionsLow,
      int repetitionsHigh,
      @MayBeMissing LoadingView load,
      List<Double> putOn,
      String note) {}

  /**
   * lowKg and highKg: between which the load is believed to lie; both 0 where nothing is known;
   * bodyWeight: there is nothing to load.
   */
  record WorkingLoadView(
      double lowKg,
      double highKg,
      boolean bodyWeight,
      String basis,
      List<WarmUpView> warmUps,
      List<SetLineView> sets) {
    static WorkingLoadView of(WorkingLoad workingLoad) {
      return new WorkingLoadView(
          Rounded.of(workingLoad.lowKg()),
          Rounded.of(workingLoad.highKg()),
          workingLoad.basis() instanceof WorkingLoad.Unknown unknown && unknown.bodyWeight(),
          Words.of(workingLoad.basis()),
          workingLoad.warmUps().stream()
              .map(warmUp -> new WarmUpView(warmUp.repetitions(), LoadingView.of(warmUp.load())))
              .toList(),
          workingLoad.sets().stream()
              .map(
                  line ->
                      new SetLineView(
                          line.drop(),
                          line.repetitionsLow(),
                          line.repetitionsHigh(),
                          line.load().map(LoadingView::of).orElse(null),
                          line.putOn(),
                          Words.of(line.note())))
              .toList());
    }
  }

  /**
   * shares: by region id, what a set gives beside the best here; easier: set-ups of the same
   * exercise in which a set can go on at the same load, the nearest first; refusal: why it is left
   * out now, and then nothing else is said of it.
   */
  record PlannedItemView(
      String id,
      CandidateId candidateId,
      String exerciseId,
      String name,
      boolean byWord,
      boolean pinned,
      PrescriptionDocument prescription,
      @MayBeMissing String refusal,
      @MayBeMissing Role role,
      boolean oneLeg,
      Map<String, Double> setup,
      Map<String, Double> shares,
      @MayBeMissing WorkingLoadView load,
      List<FactView> remarks,
      List<String> cues,
      List<String> stopSigns,
      List<String> easier) {}

  /**
   * reason: why it stands where it does by the usual order; trouble: what speaks against taking
   * turns.
   */
  record BoutView(
      String reason, List<String> trouble, double seconds, List<PlannedItemView> items) {}

  record PlannedDayView(
      int weekday,
      int minutes,
      boolean oneStation,
      double usedMinutes,
      List<SegmentView> segments,
      List<String> remarks,
      int sets,
      int thighSets,
      int calfSets,
      double back,
      Map<String, Double> effective,
      List<BoutView> bouts) {}

  record FunctionView(String label, String examples, double has, double asked) {}

  /** filled: share of what is asked that is there, 0 to 1, by region. */
  record CoverageView(
      Map<String, Double> sets,
      Map<String, Double> filled,
      Map<String, Double> targets,
      List<String> held,
      List<FunctionView> functions,
      double front,
      double back,
      boolean balance,
      double most,
      List<FactView> findings) {}

  record BlockStepView(
      int number,
      Block.Kind kind,
      String label,
      int addedSets,
      double addedReserve,
      double load,
      String words) {}

  /** undo and redo: what they would take back or do again. */
  record PlanView(
      UUID id,
      int version,
      Instant changedAt,
      UUID clientId,
      String clientName,
      UUID gymId,
      String gymName,
      PlanBrief brief,
      List<String> statements,
      PlanDocument plan,
      List<PlannedDayView> days,
      CoverageView coverage,
      List<BlockStepView> block,
      List<String> easierWeekSigns,
      @MayBeMissing String undo,
      @MayBeMissing String redo) {}

  static PlanView of(Plan plan) {
    return new PlanView(
        plan.id(),
        plan.version(),
        plan.changedAt(),
        plan.client().id(),
        plan.client().name(),
        plan.gym().id(),
        plan.gym().name(),
        plan.brief(),
        Words.of(plan.client().cautions().statements()),
        plan.document(),
        days(plan, 1),
        coverage(plan),
        Plans.block(plan.document(), plan.client().profile().trainingAge())
            .map(PlanViews::block)
            .orElse(List.of()),
        Block.EASIER_WEEK_SIGNS,
        plan.undo().orElse(null),
        plan.redo().orElse(null));
  }

  static List<BlockStepView> block(Block block) {
    return block.weeks().stream()
        .map(
            step ->
                new BlockStepView(
                    step.number(),
                    step.kind(),
                    step.kind().label(),
                    step.addedSets(),
                    step.addedReserve(),
                    Rounded.of(step.load()),
                    Words.of(step)))
        .toList();
  }

  /**
   * @param load beside the planned one, as a step of a block asks
   */
  static List<PlannedDayView> days(Plan plan, double load) {
    List<PlannedDayView> days = new ArrayList<>();
    for (int d = 0; d < plan.week().days().size(); d++) {
      Planned.Day day = plan.week().days().get(d);
      Timing timing = Timing.of(day, plan.offers());
      Coverage.OfDay of = plan.coverage().days().get(d);
      List<BoutView> bouts = new ArrayList<>();
      for (int b = 0; b < day.bouts().size(); b++) {
        Planned.Bout bout = day.bouts().get(b);
        bouts.add(
            new BoutView(
                Words.of(plan.arrangement().reason(bout)),
                trouble(plan, bout),
                timing.secondsOf(b),
                bout.items().stream().map(item -> item(plan, item, load)).toList()));
      }
      days.add(
          new PlannedDayView(
              day.weekday(),
              day.minutes(),
              day.oneStation(),
              Rounded.of(timing.minutes()),
              timing.segments().stream().map(SegmentView::of).toList(),
              Words.of(plan.arrangement().remarks(day.bouts())),
              of.sets(),
              of.thighSets(),
              of.calfSets(),
              Rounded.of(of.back()),
              Rounded.of(of.effective()),
              bouts));
    }
    return days;
  }

  private static List<String> trouble(Plan plan, Planned.Bout bout) {
    List<String> list = new ArrayList<>();
    List<Offer> offers =
        bout.items().stream()
            .map(item -> plan.offers().find(item.candidateId()))
            .flatMap(Optional::stream)
            .toList();
    for (int a = 0; a < offers.size(); a++) {
      for (int b = a + 1; b < offers.size(); b++) {
        Pairing.trouble(offers.get(a), offers.get(b)).map(Words::of).ifPresent(list::add);
      }
    }
    return list;
  }

  private static PlannedItemView item(Plan plan, Planned.Item item, double load) {
    PrescriptionDocument prescription = PrescriptionDocument.of(item.prescription());
    Optional<Offer> found = plan.offers().find(item.candidateId());
    if (found.isEmpty()) {
      return new PlannedItemView(
          item.id(),
          item.candidateId(),
          item.candidateId().exerciseId(),
          plan.offers().name(item.candidateId()),
          false,
          item.pinned(),
          prescription,
          Words.of(plan.offers().whyNot(item.candidateId())),
          null,
          false,
          Map.of(),
          Map.of(),
          null,
          List.of(),
          List.of(),
          List.of(),
          List.of());
    }
    Offer offer = found.get();
    return new PlannedItemView(
        item.id(),
        offer.candidateId(),
        offer.exerciseId(),
        offer.name(),
        offer.byWord(),
        item.pinned(),
        prescription,
        null,
        offer.role(),
        offer.oneLeg(),
        offer.setup(),
        Rounded.of(offer.shares()),
        WorkingLoadView.of(plan.load(item, load)),
        FactView.of(Remarks.of(offer, item.prescription(), plan.aim(), plan.client().profile())),
        Words.of(offer.cues()),
        offer.stopSigns(),
        plan.offers().easier(offer).stream().map(Offer::name).toList());
  }

  private static CoverageView coverage(Plan plan) {
    Coverage coverage = plan.coverage();
    List<FunctionView> functions = new ArrayList<>();
    coverage
        .functions()
        .forEach(
            (function, has) ->
                functions.add(
                    new FunctionView(
                        function.label(),
                        function.examples(),
                        Rounded.of(has),
                        Rounded.of(Required.entry(plan.targets().functions(), function)))));
    Map<String, Double> filled = new LinkedHashMap<>();
    for (Region region : Region.values()) {
      filled.put(region.id(), Rounded.of(coverage.filled(region, plan.targets().least())));
    }
    return new CoverageView(
        Rounded.of(coverage.sets()),
        filled,
        Rounded.of(plan.targets().least()),
        Region.ids(plan.targets().held()),
        functions,
        Rounded.of(coverage.front()),
        Rounded.of(coverage.back()),
        plan.targets().balance(),
        plan.targets().most(),
        FactView.of(coverage.findings()));
  }
}
