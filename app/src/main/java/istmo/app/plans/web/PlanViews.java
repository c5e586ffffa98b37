package istmo.app.plans.web;

import istmo.app.plans.Plan;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.Plans;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.catalogue.Candidate;
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
    static SegmentView of(Timing.Segment s) {
      return new SegmentView(s.kind(), s.startS(), s.seconds(), s.bout(), s.itemId(), s.set());
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

  /** lowKg and highKg: between which the load is believed to lie; both 0 where nothing is known. */
  record WorkingLoadView(
      double lowKg, double highKg, String basis, List<WarmUpView> warmUps, List<SetLineView> sets) {
    static WorkingLoadView of(WorkingLoad w) {
      return new WorkingLoadView(
          Rounded.of(w.lowKg()),
          Rounded.of(w.highKg()),
          w.basis(),
          w.warmUps().stream()
              .map(x -> new WarmUpView(x.repetitions(), LoadingView.of(x.load())))
              .toList(),
          w.sets().stream()
              .map(
                  s ->
                      new SetLineView(
                          s.drop(),
                          s.repetitionsLow(),
                          s.repetitionsHigh(),
                          s.load().map(LoadingView::of).orElse(null),
                          s.putOn(),
                          s.note()))
              .toList());
    }
  }

  /**
   * shares: by region id, what a set gives beside the best here; refusal: why it is left out now,
   * and then nothing else is said of it.
   */
  record PlannedItemView(
      String id,
      String candidateId,
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
      List<String> remarks,
      List<String> cues,
      List<String> stopSigns) {}

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
      List<String> findings) {}

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

  static PlanView of(Plan p) {
    return new PlanView(
        p.id(),
        p.version(),
        p.changedAt(),
        p.client().id(),
        p.client().name(),
        p.gym().id(),
        p.gym().name(),
        p.brief(),
        p.client().cautions().statements(),
        p.document(),
        days(p, 1),
        coverage(p),
        Plans.block(p.document(), p.client().profile().trainingAge())
            .map(PlanViews::block)
            .orElse(List.of()),
        Block.EASIER_WEEK_SIGNS,
        p.undo().orElse(null),
        p.redo().orElse(null));
  }

  static List<BlockStepView> block(Block b) {
    return b.weeks().stream()
        .map(
            s ->
                new BlockStepView(
                    s.number(),
                    s.kind(),
                    s.kind().label(),
                    s.addedSets(),
                    s.addedReserve(),
                    Rounded.of(s.load()),
                    s.words()))
        .toList();
  }

  /**
   * @param load beside the planned one, as a step of a block asks
   */
  static List<PlannedDayView> days(Plan p, double load) {
    List<PlannedDayView> days = new ArrayList<>();
    for (int d = 0; d < p.week().days().size(); d++) {
      Planned.Day day = p.week().days().get(d);
      Timing timing = Timing.of(day, p.offers());
      Coverage.OfDay of = p.coverage().days().get(d);
      List<BoutView> bouts = new ArrayList<>();
      for (int b = 0; b < day.bouts().size(); b++) {
        Planned.Bout bout = day.bouts().get(b);
        bouts.add(
            new BoutView(
                p.arrangement().reason(bout),
                trouble(p, bout),
                timing.secondsOf(b),
                bout.items().stream().map(i -> item(p, i, load)).toList()));
      }
      days.add(
          new PlannedDayView(
              day.weekday(),
              day.minutes(),
              day.oneStation(),
              Rounded.of(timing.minutes()),
              timing.segments().stream().map(SegmentView::of).toList(),
              p.arrangement().remarks(day.bouts()),
              of.sets(),
              of.thighSets(),
              of.calfSets(),
              Rounded.of(of.back()),
              Rounded.of(of.effective()),
              bouts));
    }
    return days;
  }

  private static List<String> trouble(Plan p, Planned.Bout bout) {
    List<String> list = new ArrayList<>();
    List<Offer> offers =
        bout.items().stream()
            .map(i -> p.offers().find(i.candidateId()))
            .flatMap(Optional::stream)
            .toList();
    for (int a = 0; a < offers.size(); a++) {
      for (int b = a + 1; b < offers.size(); b++) {
        Pairing.trouble(offers.get(a), offers.get(b)).ifPresent(list::add);
      }
    }
    return list;
  }

  private static PlannedItemView item(Plan p, Planned.Item i, double load) {
    PrescriptionDocument prescription = PrescriptionDocument.of(i.prescription());
    Optional<Offer> found = p.offers().find(i.candidateId());
    if (found.isEmpty()) {
      return new PlannedItemView(
          i.id(),
          i.candidateId(),
          Candidate.exerciseId(i.candidateId()),
          p.offers().name(i.candidateId()),
          false,
          i.pinned(),
          prescription,
          p.offers().whyNot(i.candidateId()),
          null,
          false,
          Map.of(),
          Map.of(),
          null,
          List.of(),
          List.of(),
          List.of());
    }
    Offer o = found.get();
    return new PlannedItemView(
        i.id(),
        o.candidateId(),
        o.exerciseId(),
        o.name(),
        o.byWord(),
        i.pinned(),
        prescription,
        null,
        o.role(),
        o.oneLeg(),
        o.setup(),
        Rounded.of(o.shares()),
        WorkingLoadView.of(p.load(i, load)),
        Remarks.of(o, i.prescription(), p.aim(), p.client().profile()),
        o.cues(),
        o.stopSigns());
  }

  private static CoverageView coverage(Plan p) {
    Coverage c = p.coverage();
    List<FunctionView> functions = new ArrayList<>();
    c.functions()
        .forEach(
            (f, has) ->
                functions.add(
                    new FunctionView(
                        f.label(),
                        f.examples(),
                        Rounded.of(has),
                        Rounded.of(Required.entry(p.targets().functions(), f)))));
    Map<String, Double> sets = new LinkedHashMap<>();
    Map<String, Double> filled = new LinkedHashMap<>();
    for (Region r : Regions.standard().all()) {
      sets.put(r.id(), Rounded.of(c.sets().getOrDefault(r.id(), 0.0)));
      filled.put(r.id(), Rounded.of(c.filled(r.id(), p.targets().least())));
    }
    return new CoverageView(
        sets,
        filled,
        Rounded.of(p.targets().least()),
        List.copyOf(p.targets().held()),
        functions,
        Rounded.of(c.front()),
        Rounded.of(c.back()),
        p.targets().balance(),
        p.targets().most(),
        c.findings());
  }
}
