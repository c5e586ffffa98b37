package istmo.app.bench.web;

import istmo.app.bench.Bench;
import istmo.app.platform.DrawingView;
import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.anatomy.Regions;
import istmo.core.body.Cautions;
import istmo.core.catalogue.Catalogue;
import istmo.core.drawing.Grips;
import istmo.core.drawing.Stage;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.mechanics.RackHeights;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.criterion.LimiterWords;
import istmo.core.ranking.setup.BestSetup;
import istmo.core.ranking.setup.Difference;
import istmo.core.stimulus.HeaviestLength;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * The bench over HTTP: everything that one screen needs for one move of the hand. Lengths m, angles
 * deg.
 */
@RestController
class BenchController {
  private final Bench bench;
  private final Schools schools;

  BenchController(Bench bench, Schools schools) {
    this.bench = bench;
    this.schools = schools;
  }

  /** Without a gym, machines are generic; stiffToday takes some range for one day. */
  record SideInput(
      UUID clientId,
      UUID gymId,
      String candidateId,
      Map<String, Double> setup,
      Boolean stiffToday) {}

  /** One side, or two: the pinned start and now, or two clients. */
  record BenchInput(List<SideInput> sides, String school) {}

  /**
   * One point of the repetition. demand: share of the momentary limit that the working load takes;
   * moments: what muscles supply, as a share of the largest moment of any joint in this repetition,
   * extension, plantarflexion and back extension positive.
   */
  record PhaseView(
      double phase,
      DrawingView side,
      List<GripView> grips,
      Map<String, Double> anglesDeg,
      double leanDeg,
      @MayBeMissing Double demand,
      Map<String, Double> moments) {}

  /**
   * Length strip of one region: fibre length over optimal, and weighted tension, at each phase; and
   * at which length it pulls hardest.
   */
  record StripView(List<Double> length, List<Double> tension, HeaviestLength heaviest) {}

  record LimiterView(String name, double share) {}

  record ObstacleView(double phase, String reason, String missing) {}

  record SideView(
      UUID clientId,
      String clientName,
      String candidateId,
      String name,
      Map<String, Double> setup,
      List<String> changes,
      Set<String> measured,
      List<String> statements,
      @MayBeMissing String refusal,
      @MayBeMissing LoadView load,
      @MayBeMissing ObstacleView obstacle,
      List<PhaseView> phases,
      @MayBeMissing DrawingView plan,
      @MayBeMissing DrawingView front,
      List<GripView> planGrips,
      @MayBeMissing Double stickingPhase,
      List<LimiterView> limiters,
      List<String> cautions,
      List<String> notes,
      Map<String, Double> stimulus,
      Map<String, StripView> strips) {}

  record ChangeView(String regionId, double from, double to, boolean toldApart) {}

  record BenchView(List<SideView> sides, List<ChangeView> changes, List<String> sentences) {}

  /**
   * One exercise in one set-up, or two set-ups or clients side by side: postures, loads, what gives
   * out first, and which regions change.
   */
  @PostMapping("/api/bench")
  BenchView bench(@RequestBody BenchInput input) {
    if (input.sides() == null || input.sides().isEmpty() || input.sides().size() > 2) {
      throw new InvalidInput("sides", "needs one side or two");
    }
    School school = schools.get(input.school());
    List<Bench.Side> sides = new ArrayList<>();
    for (SideInput s : input.sides()) {
      if (s.clientId() == null || s.candidateId() == null) {
        throw new InvalidInput("sides", "each needs clientId and candidateId");
      }
      sides.add(
          bench.side(
              new Bench.SetupRequest(
                  s.clientId(),
                  Optional.ofNullable(s.gymId()),
                  s.candidateId(),
                  Optional.ofNullable(s.setup()),
                  Boolean.TRUE.equals(s.stiffToday())),
              school));
    }
    Optional<Difference> difference =
        sides.size() == 2 ? bench.difference(sides.get(0), sides.get(1)) : Optional.empty();
    return new BenchView(
        sides.stream().map(s -> view(s, school)).toList(),
        difference
            .map(
                d ->
                    d.changes().stream()
                        .map(
                            c ->
                                new ChangeView(
                                    c.regionId(),
                                    Rounded.of(c.from()),
                                    Rounded.of(c.to()),
                                    c.toldApart()))
                        .toList())
            .orElse(List.of()),
        difference.map(Difference::sentences).orElse(List.of()));
  }

  /**
   * aim: region id to 1, 2 or 3; keepOut: region ids or ERECTORS; the side without a set-up begins
   * with the usual one.
   */
  record AimedSideInput(
      SideInput side, Map<String, Integer> aim, Set<String> keepOut, String school) {
    Bench.SetupRequest request() {
      if (side == null || side.clientId() == null || side.candidateId() == null) {
        throw new InvalidInput("side", "needs clientId and candidateId");
      }
      return new Bench.SetupRequest(
          side.clientId(),
          Optional.ofNullable(side.gymId()),
          side.candidateId(),
          Optional.ofNullable(side.setup()),
          Boolean.TRUE.equals(side.stiffToday()));
    }

    Aim wanted() {
      return new Aim(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
    }
  }

  record MovedView(String parameterId, double from, double to) {}

  /**
   * gain: share of the fit at the beginning; flat: controls of which one step either way changes
   * next to nothing; bounded: why the best goes no further; elsewhere: what changes in regions that
   * are not aimed at; tried: set-ups computed, there is no bound.
   */
  record BestView(
      Map<String, Double> setup,
      double gain,
      boolean toldApart,
      String sentence,
      List<MovedView> moved,
      List<String> flat,
      List<String> bounded,
      String elsewhere,
      int tried) {}

  /**
   * One way of one control: where it is then, what the aim gains as a share, and every region's
   * change of stimulus; or why it cannot go there.
   */
  record WayView(
      double value,
      @MayBeMissing Double gain,
      @MayBeMissing String obstacle,
      Map<String, Double> change) {}

  record StepView(String parameterId, double step, WayView more, WayView less) {}

  record StepsView(Map<String, Double> setup, List<StepView> steps) {}

  /** The set-up of an exercise that gives an aim most on this body, and why it goes no further. */
  @PostMapping("/api/bench/best")
  BestView best(@RequestBody AimedSideInput input) {
    BestSetup.Best b = bench.best(input.request(), input.wanted(), schools.get(input.school()));
    return new BestView(
        b.to().values(),
        Rounded.of(b.gain()),
        b.toldApart(),
        BestSetup.sentence(b),
        b.moved().stream().map(m -> new MovedView(m.parameter().id(), m.from(), m.to())).toList(),
        b.flat().stream().map(SetupParameter::id).toList(),
        b.bounded(),
        b.elsewhere(),
        b.tried());
  }

  /** What one step of each control either way changes for the aim. */
  @PostMapping("/api/bench/steps")
  StepsView steps(@RequestBody AimedSideInput input) {
    BestSetup.Steps found =
        bench.steps(input.request(), input.wanted(), schools.get(input.school()));
    return new StepsView(
        found.at().values(),
        found.steps().stream()
            .map(
                s ->
                    new StepView(
                        s.parameter().id(),
                        s.parameter().step(),
                        way(found, s.more()),
                        way(found, s.less())))
            .toList());
  }

  private static WayView way(BestSetup.Steps from, BestSetup.Move m) {
    Map<String, Double> change =
        m.byRegion()
            .map(to -> Rounded.of(RegionValues.of(r -> to.get(r) - from.byRegion().get(r))))
            .orElse(Map.of());
    return m.obstacle().isEmpty()
        ? new WayView(m.value(), Rounded.of(from.gain(m)), null, change)
        : new WayView(m.value(), null, m.obstacle(), Map.of());
  }

  static SideView view(Bench.Side s, School school) {
    Optional<Analysis> analysis = s.analysis();
    double working = analysis.map(Analysis::workingKg).orElse(0.0);
    double greatest = analysis.map(BenchController::greatestMoment).orElse(1.0);
    List<PhaseView> phases = new ArrayList<>();
    for (int k = 0; k < s.postures().size(); k++) {
      Posture p = s.postures().get(k);
      AnalysisPoint point = analysis.isPresent() ? analysis.get().points().get(k) : null;
      phases.add(phase(s, p, point, working, greatest));
    }
    CannotAnalyse obstacle = Bench.obstacle(s).orElse(null);
    Posture last = s.postures().isEmpty() ? null : s.postures().get(s.postures().size() - 1);
    return new SideView(
        s.client().id(),
        s.client().name(),
        s.candidate().id(),
        s.candidate().name(),
        s.setup().values(),
        s.changes(),
        s.measured(),
        s.client().cautions().statements(),
        s.refusal().map(Cautions.Refusal::reason).orElse(null),
        LoadView.of(s.load()),
        obstacle == null
            ? null
            : new ObstacleView(obstacle.phase(), obstacle.reason(), obstacle.missing()),
        phases,
        last == null ? null : DrawingView.of(Stage.plan(s.body(), last)),
        last == null
            ? null
            : Stage.front(s.body(), s.setup(), last).map(DrawingView::of).orElse(null),
        last == null
            ? List.of()
            : GripView.of(Grips.plan(s.body(), family(s), s.setup(), last, working)),
        analysis.map(Analysis::stickingPhase).orElse(null),
        analysis.map(a -> limiters(a)).orElse(List.of()),
        analysis.map(Analysis::cautions).orElse(List.of()),
        analysis.map(a -> notes(s, a)).orElse(List.of()),
        s.stimulus().map(Rounded::of).orElse(Map.of()),
        analysis.map(a -> strips(a, school)).orElse(Map.of()));
  }

  private static PhaseView phase(
      Bench.Side s, Posture p, @Nullable AnalysisPoint point, double working, double greatest) {
    Map<String, Double> angles = new LinkedHashMap<>();
    for (Coordinate c : Coordinate.values()) {
      angles.put(c.label(), Math.round(10 * Math.toDegrees(p.angle(c))) / 10.0);
    }
    Map<String, Double> moments = new LinkedHashMap<>();
    if (point != null) {
      for (Coordinate c :
          new Coordinate[] {
            Coordinate.HIP_FLEXION,
            Coordinate.KNEE_FLEXION,
            Coordinate.ANKLE_DORSIFLEXION,
            Coordinate.LUMBAR_FLEXION
          }) {
        if (p.carried().contains(c)) {
          moments.put(
              c.label(), Rounded.of(sideShare(c) * point.externalNm()[c.ordinal()] / greatest));
        }
      }
    }
    return new PhaseView(
        p.phase(),
        DrawingView.of(Stage.side(s.body(), p, working)),
        GripView.of(Grips.side(s.body(), family(s), s.setup(), p, working)),
        angles,
        Math.round(10 * Math.toDegrees(p.trunkLeanRad())) / 10.0,
        point == null ? null : Rounded.of(Math.min(1, working / point.limitKg())),
        moments);
  }

  /** What the analysis notes, and how high hooks and safeties go. */
  private static List<String> notes(Bench.Side s, Analysis a) {
    Set<String> needs = Catalogue.standard().exerciseOf(s.candidate()).needs();
    return Stream.concat(
            a.notes().stream(), RackHeights.of(needs, a).map(RackHeights::words).stream())
        .toList();
  }

  private static Family family(Bench.Side s) {
    return Catalogue.standard().exerciseOf(s.candidate()).family();
  }

  /** The back's moment is of both sides; half of it compares with one leg's. */
  private static double sideShare(Coordinate c) {
    return c == Coordinate.LUMBAR_FLEXION ? 0.5 : 1;
  }

  private static double greatestMoment(Analysis a) {
    double greatest = 1;
    for (AnalysisPoint p : a.points()) {
      for (Coordinate c : p.posture().carried()) {
        if (c != Coordinate.HIP_ABDUCTION && c != Coordinate.HIP_INTERNAL_ROTATION) {
          greatest = Math.max(greatest, Math.abs(sideShare(c) * p.externalNm()[c.ordinal()]));
        }
      }
    }
    return greatest;
  }

  private static List<LimiterView> limiters(Analysis a) {
    return LimiterWords.limitersByGroup(a.set().gaveOut()).stream()
        .map(e -> new LimiterView(e.getKey(), Rounded.of(e.getValue())))
        .toList();
  }

  private static Map<String, StripView> strips(Analysis a, School school) {
    Map<String, StripView> strips = new LinkedHashMap<>();
    for (Region r : Regions.standard().all()) {
      int muscle = Muscles.standard().indexOf(r.muscleShares().keySet().iterator().next());
      strips.put(
          r.id(),
          new StripView(
              a.points().stream().map(p -> Rounded.of(p.fibreLength()[muscle])).toList(),
              a.points().stream()
                  .map(p -> Rounded.of(Stimulus.tension(p, school, muscle)))
                  .toList(),
              HeaviestLength.of(a, school, muscle)));
    }
    return strips;
  }
}
