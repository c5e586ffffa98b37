package istmo.core.mechanics;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Families;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * One load sharing, tailored against general-purpose, at the same optimum (that they agree is a
 * test, SolverTest). Both go through the same 21 postures of a squat at three quarters of the
 * limit; read the ratio of the two in one run, not the times.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class SolverBenchmark {
  private static final Body BODY = Body.estimated(1.78, 80, Sex.MALE);
  private static final double LOAD = 85;

  private final List<Equilibrium> problems = new ArrayList<>();
  private final List<LoadSharing> tailored = new ArrayList<>();
  private final List<StrengthLimit> limits = new ArrayList<>();

  /** What is measured, made ready once. */
  @org.openjdk.jmh.annotations.Setup
  public void postures() {
    var family = Families.get("squat");
    var setup = Setup.of(family.parameters(), Map.of("depth", 90.0));
    for (int k = 0; k < 21; k++) {
      Equilibrium eq = new Equilibrium(BODY, new Musculature(BODY));
      eq.set((Posture) family.posture(BODY, setup, k / 20.0, LOAD));
      problems.add(eq);
      tailored.add(new LoadSharing(eq));
      limits.add(new StrengthLimit(eq));
    }
  }

  /** 21 sharings, cold prices each time. */
  @Benchmark
  public void sharingTailored(Blackhole hole) {
    for (LoadSharing sharing : tailored) {
      sharing.reset();
      sharing.solve(LOAD);
      hole.consume(sharing.value(0));
    }
  }

  /** The same 21 sharings by sequential quadratic programmes of ojAlgo. */
  @Benchmark
  public void sharingGeneral(Blackhole hole) {
    for (Equilibrium eq : problems) {
      hole.consume(GeneralSharing.solve(eq, LOAD));
    }
  }

  /** 21 strength limits. */
  @Benchmark
  public void limitTailored(Blackhole hole) {
    for (StrengthLimit limit : limits) {
      limit.solve();
      hole.consume(limit.limitKg());
    }
  }
}
