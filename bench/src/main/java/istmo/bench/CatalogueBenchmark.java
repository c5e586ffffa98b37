package istmo.bench;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Equilibrium;
import istmo.core.mechanics.GeneralSharing;
import istmo.core.mechanics.LoadSharing;
import istmo.core.mechanics.Musculature;
import istmo.core.mechanics.Tempo;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
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
 * A new client: the catalogue's fresh limits and sharing, by how many candidates; one simulated
 * set; the whole evaluation of an order; and the sharing against a general-purpose solver.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(1)
public class CatalogueBenchmark {
  private static final Body BODY = Body.estimated(1.78, 80, Sex.MALE);
  private static final GymEquipment PLACE = GymEquipment.generic(Set.of());

  private record Case(Family family, Setup setup) {}

  /** What share of the catalogue: every fourth, every second, every candidate. */
  @State(Scope.Benchmark)
  public static class Part {
    @Param({"4", "2", "1"})
    public int every;

    private List<Case> cases;

    /** The cases of this part. */
    @org.openjdk.jmh.annotations.Setup
    public void prepare() {
      cases = cases(every);
    }
  }

  private Equilibrium squat;
  private LoadSharing sharing;
  private Case opened;
  private double tenKg;

  private static List<Case> cases(int every) {
    List<Case> cases = new ArrayList<>();
    List<Candidate> all = Catalogue.standard().candidates();
    for (int k = 0; k < all.size(); k += every) {
      Family family = all.get(k).exercise().family();
      Reach.of(BODY, family, all.get(k).usualFor(BODY, PLACE), all.get(k).yields())
          .ifPresent(reach -> cases.add(new Case(family, reach.setup())));
    }
    return cases;
  }

  /** What is measured, made ready once. */
  @org.openjdk.jmh.annotations.Setup
  public void prepare() {
    opened = cases(1).get(0);
    squat = new Equilibrium(BODY, new Musculature(BODY));
    squat.set((Posture) opened.family().posture(BODY, opened.setup(), 0.9, 80));
    sharing = new LoadSharing(squat);
    tenKg = 80;
  }

  /**
   * Two threads, each with a part of the candidates: fresh limit with its limiters, and sharing at
   * three quarters of it at 21 points.
   */
  @Benchmark
  public void freshLimitsAndSharing(Part part, Blackhole hole) {
    int threads = 2;
    IntStream.range(0, threads)
        .parallel()
        .forEach(
            t -> {
              Analyser analyser = new Analyser(BODY);
              Equilibrium eq = new Equilibrium(BODY, new Musculature(BODY));
              LoadSharing own = new LoadSharing(eq);
              for (int k = t; k < part.cases.size(); k += threads) {
                Case example = part.cases.get(k);
                double load =
                    0.75
                        * analyser
                            .fresh(example.family(), example.setup())
                            .map(Analyser.Fresh::limitKg)
                            .orElse(0.0);
                own.reset();
                for (int p = 0; p < Analyser.POINTS; p++) {
                  if (example
                          .family()
                          .posture(BODY, example.setup(), p / (Analyser.POINTS - 1.0), load)
                      instanceof Posture posture) {
                    eq.set(posture);
                    own.solve(load);
                    hole.consume(own.value(0));
                  }
                }
              }
            });
  }

  /**
   * What an order of a new client needs: every candidate at the load of ten repetitions to failure.
   */
  @Benchmark
  public void wholeEvaluation(Blackhole hole) {
    hole.consume(Orders.evaluate(BODY, PLACE, School.STRETCH));
  }

  /** One set to failure at a given load, with what gave out. */
  @Benchmark
  public void oneSimulatedSet(Blackhole hole) {
    hole.consume(
        new Analyser(BODY).dropSet(opened.family(), opened.setup(), List.of(tenKg), Tempo.USUAL));
  }

  /** Load sharing by the tailored solver. */
  @Benchmark
  public void sharingOwn(Blackhole hole) {
    sharing.reset();
    sharing.solve(80);
    hole.consume(sharing.value(0));
  }

  /** The same by a general-purpose optimiser. */
  @Benchmark
  public void sharingGeneralPurpose(Blackhole hole) {
    hole.consume(GeneralSharing.solve(squat, 80));
  }
}
