package istmo.app.bench.web;

import istmo.app.platform.FactView;
import istmo.app.platform.MayBeMissing;
import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.AnalysisResult;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.mechanics.Limiter;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.mechanics.Tempo;
import istmo.core.movement.Family;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Families;
import istmo.core.quantity.InvalidInput;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * The model itself, for whoever wants to test it from outside: any body, any set-up. Metres,
 * kilograms, newtons, newton metres; angles in degrees. docs/api.md lists the parameters of each
 * family.
 */
@RestController
class AnalysisController {
  /** Stature, mass and sex are needed; the rest is estimated when left out. */
  record BodyInput(
      Double statureM,
      Double massKg,
      Sex sex,
      Double thighM,
      Double shankM,
      Double trunkM,
      Double dorsiflexionLimitDeg,
      Double hipFlexionLimitDeg,
      Double kneeFlexionLimitDeg,
      Double strength,
      Double lumbarNm) {
    Body body() {
      if (statureM == null || massKg == null || sex == null) {
        throw new InvalidInput("body", "needs statureM, massKg and sex");
      }
      Body estimated = Body.estimated(statureM, massKg, sex);
      estimated =
          estimated.withLengths(
              or(thighM, estimated.thighM()),
              or(shankM, estimated.shankM()),
              or(trunkM, estimated.trunkM()));
      estimated =
          estimated.withLimits(
              rad(dorsiflexionLimitDeg, estimated.dorsiflexionLimitRad()),
              rad(hipFlexionLimitDeg, estimated.hipFlexionLimitRad()),
              rad(kneeFlexionLimitDeg, estimated.kneeFlexionLimitRad()));
      return estimated.withStrength(
          or(strength, estimated.strength()), or(lumbarNm, estimated.lumbarNm()));
    }

    private static double or(Double value, double otherwise) {
      return value == null ? otherwise : value;
    }

    private static double rad(Double deg, double otherwise) {
      return deg == null ? otherwise : Math.toRadians(deg);
    }
  }

  /** One of the three, or none for ten repetitions to failure. */
  record LoadRuleInput(Double shareOfLimit, Double loadKg, Integer repetitions) {
    LoadRule rule() {
      if (Stream.of(shareOfLimit, loadKg, repetitions).filter(Objects::nonNull).count() > 1) {
        throw new InvalidInput("loadRule", "give one of shareOfLimit, loadKg and repetitions");
      }
      return loadKg != null
          ? new LoadRule.Fixed(loadKg)
          : shareOfLimit != null
              ? new LoadRule.ShareOfLimit(shareOfLimit)
              : repetitions != null ? new LoadRule.Repetitions(repetitions) : LoadRule.USUAL;
    }
  }

  /** Seconds of each part of a repetition; what is missing is as usual (2, 0, 1, 0). */
  record TempoInput(Double loweringS, Double lowS, Double liftingS, Double topS) {
    Tempo tempo() {
      return new Tempo(
          or(loweringS, Tempo.USUAL.loweringS()),
          or(lowS, Tempo.USUAL.lowS()),
          or(liftingS, Tempo.USUAL.liftingS()),
          or(topS, Tempo.USUAL.topS()));
    }

    private static double or(Double value, double otherwise) {
      return value == null ? otherwise : value;
    }
  }

  record AnalysisInput(
      BodyInput body,
      String family,
      Map<String, Double> setup,
      LoadRuleInput loadRule,
      TempoInput tempo,
      String school) {}

  record MuscleLimiterView(String id, double share, double kgPerPercent) {}

  /**
   * The set at the working load: repetitions to failure, what ends it, what has given out, and how
   * much of the bearable oxygen debt it made. capacityLeft by muscle id at the start of the last
   * repetition, 1 rested.
   */
  record SimulatedSetView(
      double repetitions,
      SimulatedSet.End end,
      List<MuscleLimiterView> gaveOut,
      double oxygenShare,
      Map<String, Double> capacityLeft) {
    static SimulatedSetView of(SimulatedSet set) {
      return new SimulatedSetView(
          set.repetitions(),
          set.end(),
          limiters(set.gaveOut()),
          set.oxygenShare(),
          byMuscle(set.capacity()[set.capacity().length - 1]));
    }
  }

  /**
   * suppliedNm: moment about each coordinate in its positive direction that muscles, passive tissue
   * and contacts supply; contactNm: the part of it that contact forces supply which statics does
   * not settle. activation, fibreLength, activeTension, passiveTension by muscle id; momentArmM by
   * muscle id and coordinate. residualNm: what is left unbalanced.
   */
  record AnalysisPointView(
      double phase,
      Map<String, Double> anglesDeg,
      double trunkLeanDeg,
      double limitKg,
      Map<String, Double> suppliedNm,
      Map<String, Double> contactNm,
      Map<String, Double> residualNm,
      Map<String, Double> activation,
      Map<String, Double> fibreLength,
      Map<String, Double> activeTension,
      Map<String, Double> passiveTension,
      Map<String, Map<String, Double>> momentArmM,
      double backActivation) {}

  enum Status {
    COMPUTED,
    IMPOSSIBLE
  }

  /**
   * Either computed, with everything but obstacle, or impossible, with phase, reason and what is
   * missing.
   */
  record AnalysisView(
      Status status,
      @MayBeMissing BenchController.ObstacleView obstacle,
      Map<String, Double> setup,
      @MayBeMissing Double limitKg,
      @MayBeMissing Double workingKg,
      @MayBeMissing Double stickingPhase,
      List<MuscleLimiterView> limiters,
      @MayBeMissing SimulatedSetView set,
      @MayBeMissing Double worstResidualNm,
      Map<String, Double> regionStimulus,
      List<FactView> cautions,
      List<FactView> notes,
      List<AnalysisPointView> points) {}

  /**
   * One repetition of an exercise computed in full, for other programs: angles, moments, fibre
   * lengths and forces at every phase.
   */
  @PostMapping("/api/analyses")
  AnalysisView analyse(@RequestBody AnalysisInput input) {
    if (input.body() == null) {
      throw new InvalidInput("body", "is needed");
    }
    if (input.family() == null) {
      throw new InvalidInput(
          "family", "is needed; there are " + Families.all().stream().map(Family::id).toList());
    }
    Family family = Families.get(input.family());
    Setup setup = Setup.of(family.parameters(), input.setup() == null ? Map.of() : input.setup());
    LoadRule rule = input.loadRule() == null ? LoadRule.USUAL : input.loadRule().rule();
    Tempo tempo = input.tempo() == null ? Tempo.USUAL : input.tempo().tempo();
    School school = input.school() == null ? School.STRETCH : School.get(input.school());
    AnalysisResult result = new Analyser(input.body().body()).analyse(family, setup, rule, tempo);
    if (result instanceof CannotAnalyse analyse) {
      return new AnalysisView(
          Status.IMPOSSIBLE,
          BenchController.ObstacleView.of(analyse),
          setup.values(),
          null,
          null,
          null,
          List.of(),
          null,
          null,
          Map.of(),
          List.of(),
          List.of(),
          List.of());
    }
    Analysis analysis = (Analysis) result;
    return new AnalysisView(
        Status.COMPUTED,
        null,
        setup.values(),
        analysis.limitKg(),
        analysis.workingKg(),
        analysis.stickingPhase(),
        limiters(analysis.limiters()),
        SimulatedSetView.of(analysis.set()),
        analysis.worstResidualNm(),
        byRegion(Stimulus.byRegion(analysis, school)),
        FactView.of(analysis.cautions()),
        FactView.of(analysis.notes()),
        analysis.points().stream().map(AnalysisController::point).toList());
  }

  private static List<MuscleLimiterView> limiters(List<Limiter> of) {
    return of.stream()
        .map(
            limiter -> new MuscleLimiterView(limiter.id(), limiter.share(), limiter.kgPerPercent()))
        .toList();
  }

  private static AnalysisPointView point(AnalysisPoint point) {
    Map<String, Double> angles = new LinkedHashMap<>();
    Map<String, Double> supplied = new LinkedHashMap<>();
    Map<String, Double> contact = new LinkedHashMap<>();
    Map<String, Double> residual = new LinkedHashMap<>();
    for (Coordinate coordinate : Coordinate.values()) {
      angles.put(coordinate.name(), Math.toDegrees(point.posture().angle(coordinate)));
      if (point.posture().carried().contains(coordinate)) {
        supplied.put(coordinate.name(), point.suppliedNm(coordinate));
        contact.put(coordinate.name(), point.contactNm()[coordinate.ordinal()]);
        residual.put(coordinate.name(), point.residualNm()[coordinate.ordinal()]);
      }
    }
    Map<String, Map<String, Double>> arms = new LinkedHashMap<>();
    List<Muscle> muscles = Muscles.standard().all();
    for (int i = 0; i < muscles.size(); i++) {
      Map<String, Double> byAxis = new LinkedHashMap<>();
      for (int c = 0; c < Coordinate.LEG; c++) {
        Coordinate axis = Coordinate.values()[c];
        byAxis.put(axis.name(), point.momentArmM(i, axis));
      }
      arms.put(muscles.get(i).id(), byAxis);
    }
    return new AnalysisPointView(
        point.phase(),
        angles,
        Math.toDegrees(point.posture().trunkLeanRad()),
        point.limitKg(),
        supplied,
        contact,
        residual,
        byMuscle(point.activation()),
        byMuscle(point.fibreLength()),
        byMuscle(point.activeTension()),
        byMuscle(point.passiveTension()),
        arms,
        point.backActivation());
  }

  private static Map<String, Double> byRegion(RegionValues values) {
    Map<String, Double> map = new LinkedHashMap<>();
    values.asMap().forEach((region, value) -> map.put(region.id(), value));
    return map;
  }

  private static Map<String, Double> byMuscle(double[] values) {
    Map<String, Double> map = new LinkedHashMap<>();
    List<Muscle> muscles = Muscles.standard().all();
    for (int i = 0; i < muscles.size(); i++) {
      map.put(muscles.get(i).id(), values[i]);
    }
    return map;
  }
}
