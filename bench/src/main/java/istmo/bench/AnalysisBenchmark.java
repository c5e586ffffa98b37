package istmo.bench;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.drawing.Stage;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Family;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * One analysis at 21 points; one move on the bench (two sides, drawings and stimuli); one
 * re-ordering of kept evaluations.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class AnalysisBenchmark {
  private static final Body BODY = Body.estimated(1.78, 80, Sex.MALE);

  @Param({
    "back-squat/high-bar",
    "leg-press/high",
    "romanian-deadlift/usual",
    "seated-leg-curl/usual"
  })
  public String candidate;

  private Family family;
  private Setup setup;
  private Map<CandidateId, Evaluation> evaluations;
  private Brief brief;

  /** What is measured, made ready once. */
  @org.openjdk.jmh.annotations.Setup
  public void prepare() {
    Candidate benched = Catalogue.standard().candidate(candidate);
    family = benched.exercise().family();
    setup = Reach.of(BODY, family, benched.usual(), benched.yields()).orElseThrow().setup();
    GymEquipment equipment = GymEquipment.generic(Equipment.everything());
    evaluations = Orders.evaluate(BODY, equipment, School.STRETCH);
    brief =
        new Brief(
            BODY,
            Cautions.none(),
            Profile.unknown(),
            equipment,
            Aim.of(Map.of("VL", 3, "RF", 2), Set.of()),
            School.STRETCH,
            Optional.empty());
  }

  /** One analysis with a new workspace. */
  @Benchmark
  public void analysis(Blackhole hole) {
    hole.consume(new Analyser(BODY).analyse(family, setup, LoadRule.USUAL));
  }

  /**
   * What the server computes for one move: the new side with its stimuli, and every drawing of both
   * sides; the start's analysis is kept.
   */
  @Benchmark
  public void benchMove(Blackhole hole) {
    Analysis analysis = (Analysis) new Analyser(BODY).analyse(family, setup, LoadRule.USUAL);
    hole.consume(Stimulus.byRegion(analysis, School.STRETCH));
    for (int side = 0; side < 2; side++) {
      for (AnalysisPoint point : analysis.points()) {
        hole.consume(Stage.side(BODY, point.posture(), analysis.workingKg()));
      }
    }
  }

  /** An order from evaluations that are at hand. */
  @Benchmark
  public void reorder(Blackhole hole) {
    hole.consume(Orders.order(brief, evaluations));
  }
}
