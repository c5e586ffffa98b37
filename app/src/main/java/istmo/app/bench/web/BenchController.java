package istmo.app.bench.web;

import istmo.app.bench.Bench;
import istmo.app.platform.DrawingView;
import istmo.app.platform.FactView;
import istmo.app.platform.LoadView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.catalogue.CandidateId;
import istmo.core.drawing.Grips;
import istmo.core.drawing.Stage;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Limiters;
import istmo.core.ranking.setup.Difference;
import istmo.core.stimulus.HeaviestLength;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.training.RackHeights;
import istmo.core.words.MovementWords;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
      CandidateId candidateId,
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

  /** reason: what stands in the way, in words; missing: how much of what. */
  record ObstacleView(double phase, String reason, String missing) {
    static ObstacleView of(CannotAnalyse cannot) {
      return new ObstacleView(
          cannot.phase(), MovementWords.reason(cannot.why()), MovementWords.missing(cannot.why()));
    }
  }

  record SideView(
      UUID clientId,
      String clientName,
      CandidateId candidateId,
      String name,
      Map<String, Double> setup,
      List<FactView> changes,
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
      List<FactView> cautions,
      List<FactView> notes,
      Map<String, Double> stimulus,
      Map<String, StripView> strips) {}

  record ChangeView(String regionId, double from, double to, boolean toldApart) {}

  record BenchView(List<SideView> sides, List<ChangeView> changes, List<FactView> differences) {}

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
    for (SideInput sideInput : input.sides()) {
      if (sideInput.clientId() == null || sideInput.candidateId() == null) {
        throw new InvalidInput("sides", "each needs clientId and candidateId");
      }
      sides.add(
          bench.side(
              new Bench.SetupRequest(
                  sideInput.clientId(),
                  Optional.ofNullable(sideInput.gymId()),
                  sideInput.candidateId(),
                  Optional.ofNullable(sideInput.setup()),
                  Boolean.TRUE.equals(sideInput.stiffToday())),
              school));
    }
    Optional<Difference> difference =
        sides.size() == 2 ? bench.difference(sides.get(0), sides.get(1)) : Optional.empty();
    return new BenchView(
        sides.stream().map(one -> view(one, school)).toList(),
        difference
            .map(
                told ->
                    told.changes().stream()
                        .map(
                            regionChange ->
                                new ChangeView(
                                    regionChange.region().id(),
                                    Rounded.of(regionChange.from()),
                                    Rounded.of(regionChange.to()),
                                    regionChange.toldApart()))
                        .toList())
            .orElse(List.of()),
        difference.map(told -> FactView.of(told.facts())).orElse(List.of()));
  }

  static SideView view(Bench.Side side, School school) {
    Optional<Analysis> analysis = side.analysis();
    double working = analysis.map(Analysis::workingKg).orElse(0.0);
    double greatest = analysis.map(BenchController::greatestMoment).orElse(1.0);
    List<PhaseView> phases = new ArrayList<>();
    for (int k = 0; k < side.postures().size(); k++) {
      Posture posture = side.postures().get(k);
      AnalysisPoint point = analysis.isPresent() ? analysis.get().points().get(k) : null;
      phases.add(phase(side, posture, point, working, greatest));
    }
    CannotAnalyse obstacle = Bench.obstacle(side).orElse(null);
    Posture last =
        side.postures().isEmpty() ? null : side.postures().get(side.postures().size() - 1);
    return new SideView(
        side.client().id(),
        side.client().name(),
        side.candidate().id(),
        side.candidate().name(),
        side.setup().values(),
        FactView.of(side.changes()),
        side.measured(),
        Words.of(side.client().cautions().statements()),
        side.refusal().map(Cautions.Refusal::why).map(Words::of).orElse(null),
        LoadView.of(side.load()),
        obstacle == null ? null : ObstacleView.of(obstacle),
        phases,
        last == null ? null : DrawingView.of(Stage.plan(side.body(), last)),
        last == null
            ? null
            : Stage.front(side.body(), side.setup(), last).map(DrawingView::of).orElse(null),
        last == null
            ? List.of()
            : GripView.of(Grips.plan(side.body(), family(side), side.setup(), last, working)),
        analysis.map(Analysis::stickingPhase).orElse(null),
        analysis.map(done -> limiters(done)).orElse(List.of()),
        analysis.map(done -> FactView.of(done.cautions())).orElse(List.of()),
        analysis.map(done -> notes(side, done)).orElse(List.of()),
        side.stimulus().map(Rounded::of).orElse(Map.of()),
        analysis.map(done -> strips(done, school)).orElse(Map.of()));
  }

  private static PhaseView phase(
      Bench.Side side,
      Posture posture,
      @Nullable AnalysisPoint point,
      double working,
      double greatest) {
    Map<String, Double> angles = new LinkedHashMap<>();
    for (Coordinate coordinate : Coordinate.values()) {
      angles.put(
          coordinate.label(), Math.round(10 * Math.toDegrees(posture.angle(coordinate))) / 10.0);
    }
    Map<String, Double> moments = new LinkedHashMap<>();
    if (point != null) {
      for (Coordinate coordinate :
          new Coordinate[] {
            Coordinate.HIP_FLEXION,
            Coordinate.KNEE_FLEXION,
            Coordinate.ANKLE_DORSIFLEXION,
            Coordinate.LUMBAR_FLEXION
          }) {
        if (posture.carried().contains(coordinate)) {
          moments.put(
              coordinate.label(),
              Rounded.of(
                  sideShare(coordinate) * point.externalNm()[coordinate.ordinal()] / greatest));
        }
      }
    }
    return new PhaseView(
        posture.phase(),
        DrawingView.of(Stage.side(side.body(), posture, working)),
        GripView.of(Grips.side(side.body(), family(side), side.setup(), posture, working)),
        angles,
        Math.round(10 * Math.toDegrees(posture.trunkLeanRad())) / 10.0,
        point == null ? null : Rounded.of(Math.min(1, working / point.limitKg())),
        moments);
  }

  /** What the analysis notes, and how high hooks and safeties go. */
  private static List<FactView> notes(Bench.Side side, Analysis analysis) {
    List<Fact> notes = new ArrayList<>(analysis.notes());
    RackHeights.of(side.candidate(), analysis).ifPresent(notes::add);
    return FactView.of(notes);
  }

  private static Family family(Bench.Side side) {
    return side.candidate().exercise().family();
  }

  /** The back's moment is of both sides; half of it compares with one leg's. */
  private static double sideShare(Coordinate coordinate) {
    return coordinate == Coordinate.LUMBAR_FLEXION ? 0.5 : 1;
  }

  private static double greatestMoment(Analysis analysis) {
    double greatest = 1;
    for (AnalysisPoint point : analysis.points()) {
      for (Coordinate coordinate : point.posture().carried()) {
        if (coordinate != Coordinate.HIP_ABDUCTION
            && coordinate != Coordinate.HIP_INTERNAL_ROTATION) {
          greatest =
              Math.max(
                  greatest,
                  Math.abs(sideShare(coordinate) * point.externalNm()[coordinate.ordinal()]));
        }
      }
    }
    return greatest;
  }

  private static List<LimiterView> limiters(Analysis analysis) {
    return Limiters.byGroup(analysis.set().gaveOut()).stream()
        .map(limiter -> new LimiterView(limiter.group(), Rounded.of(limiter.share())))
        .toList();
  }

  private static Map<String, StripView> strips(Analysis analysis, School school) {
    Map<String, StripView> strips = new LinkedHashMap<>();
    for (Region region : Region.values()) {
      int muscle = region.muscleIndex();
      strips.put(
          region.id(),
          new StripView(
              analysis.points().stream()
                  .map(point -> Rounded.of(point.fibreLength()[muscle]))
                  .toList(),
              analysis.points().stream()
                  .map(point -> Rounded.of(Stimulus.tension(point, school, muscle)))
                  .toList(),
              HeaviestLength.of(analysis, school, muscle)));
    }
    return strips;
  }
}
