package istmo.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * The tailored solvers against a general-purpose optimiser (ojAlgo): same optimum. Postures are
 * solved side by side, because this is the longest class of the core.
 */
@Execution(ExecutionMode.CONCURRENT)
class SolverTest {
  private static final Body BODY = Bodies.MAN;

  static Stream<Object[]> postures() {
    List<Object[]> list = new ArrayList<>();
    for (Candidate candidate : Catalogue.standard().candidates()) {
      for (double phase : new double[] {0.1, 0.6, 1}) {
        PostureResult result =
            candidate.exercise().family().posture(BODY, candidate.usual(), phase, 60);
        if (result instanceof Posture posture) {
          list.add(new Object[] {candidate.id().text(), posture});
        }
      }
    }
    return list.stream();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("postures")
  void theStrengthLimitIsThatOfAGeneralLinearProgramme(String id, Posture posture) {
    Equilibrium eq = new Equilibrium(BODY, new Musculature(BODY));
    eq.set(posture);
    StrengthLimit limit = new StrengthLimit(eq);
    boolean solved = limit.solve();

    ExpressionsBasedModel model = new ExpressionsBasedModel();
    List<Variable> variables = new ArrayList<>();
    for (int j = 0; j < eq.columns; j++) {
      Variable variable = model.newVariable("x" + j);
      if (j < eq.muscles + 1) {
        variable.lower(0).upper(1);
      } else if (j == eq.muscles + 1) {
        variable.lower(-eq.rotationReserve()).upper(eq.rotationReserve());
      }
      variables.add(variable);
    }
    Variable unknown =
        model
            .newVariable("W")
            .lower(StrengthLimit.LOWEST_KG)
            .upper(StrengthLimit.HIGHEST_KG)
            .weight(1);
    for (int r = 0; r < eq.rows; r++) {
      Expression row = model.newExpression("row" + r).level(eq.b0[r]);
      for (int j = 0; j < eq.columns; j++) {
        row.set(variables.get(j), eq.a[r][j]);
      }
      row.set(unknown, -eq.b1[r]);
    }
    for (int f = 0; f < eq.free; f++) {
      Variable variable = variables.get(eq.muscles + Equilibrium.SOURCES + f);
      model
          .newExpression("up" + f)
          .upper(eq.freeBound[f])
          .set(variable, 1)
          .set(unknown, -eq.freeBoundPerKg[f]);
      if (eq.freeOneSided[f]) {
        variable.lower(0);
      } else {
        model
            .newExpression("down" + f)
            .lower(-eq.freeBound[f])
            .set(variable, 1)
            .set(unknown, eq.freeBoundPerKg[f]);
      }
    }
    Optimisation.Result result = model.maximise();
    assertThat(solved).isEqualTo(result.getState().isFeasible());
    if (solved) {
      assertThat(limit.limitKg())
          .isCloseTo(result.getValue(), within(1e-6 * Math.max(1, Math.abs(result.getValue()))));
    }
  }

  /** Sensitivities against a rerun with one muscle a little stronger. */
  @Test
  void limiterSensitivitiesAreDerivatives() {
    Posture posture = Bodies.posture(BODY, "press", java.util.Map.of("kneeDepth", 85.0), 1, 100);
    Equilibrium eq = new Equilibrium(BODY, new Musculature(BODY));
    eq.set(posture);
    StrengthLimit limit = new StrengthLimit(eq);
    assertThat(limit.solve()).isTrue();
    double base = limit.limitKg();
    double[] sensitivity = new double[eq.muscles];
    for (int j = 0; j < eq.muscles; j++) {
      sensitivity[j] = limit.sensitivity(j);
    }
    double h = 1e-5;
    for (int j = 0; j < eq.muscles; j++) {
      eq.set(posture);
      for (int r = 0; r < eq.rows; r++) {
        eq.a[r][j] *= 1 + h;
      }
      limit.solve();
      assertThat(sensitivity[j])
          .as("muscle %d", j)
          .isCloseTo((limit.limitKg() - base) / h, within(0.01));
    }
  }

  /**
   * The cubic price by sequential quadratic programmes of the general optimiser, to convergence.
   * Residual and free contacts are variables there too, so it is the same problem.
   */
  @ParameterizedTest(name = "{0}")
  @MethodSource("postures")
  void loadSharingIsTheOptimumOfAGeneralQuadraticProgramme(String id, Posture posture) {
    Equilibrium eq = new Equilibrium(BODY, new Musculature(BODY));
    eq.set(posture);
    StrengthLimit limit = new StrengthLimit(eq);
    assumeTrue(
        limit.solve() && limit.limitKg() > 0,
        "no load can be held at this posture under the trial load");
    double load = Math.min(150, 0.75 * limit.limitKg());
    LoadSharing sharing = new LoadSharing(eq);
    sharing.solve(load);

    double[] x = GeneralSharing.solve(eq, load, amounts(eq, sharing));
    // compare the price of the whole: the optimum, not one of several equal answers
    assertThat(price(eq, load, sharing))
        .isCloseTo(price(eq, load, x), within(1e-6 * Math.max(1, price(eq, load, x))));
    // near zero the price is flat, and the programmes of the other side end a little beside it;
    // more
    // where their answer is the dearer one, for then it is they that stopped early
    boolean oursIsCheaper = price(eq, load, sharing) < price(eq, load, x) - 1e-7;
    for (int j = 0; j < eq.muscles + 1; j++) {
      assertThat(sharing.value(j))
          .as("column %d", j)
          .isCloseTo(x[j], within(oursIsCheaper ? 1e-3 : 3e-4));
    }
  }

  private static double price(Equilibrium eq, double load, LoadSharing sharing) {
    return price(eq, load, amounts(eq, sharing));
  }

  private static double[] amounts(Equilibrium eq, LoadSharing sharing) {
    double[] x = new double[eq.columns];
    for (int j = 0; j < eq.columns; j++) {
      x[j] = sharing.value(j);
    }
    return x;
  }

  private static double price(Equilibrium eq, double load, double[] x) {
    double sum = 0;
    for (int j = 0; j < eq.columns; j++) {
      if (j < eq.muscles + 1) {
        sum +=
            eq.weight[j]
                * LoadSharing.WEIGHT_SCALE
                * (x[j] * x[j] * x[j] / 3 + LoadSharing.SMOOTHING * x[j] * x[j] / 2);
      } else {
        double bound = GeneralSharing.bound(eq, load, j);
        sum +=
            bound > 0 ? 0.5 * GeneralSharing.contactWeight(eq, j) * x[j] * x[j] / bound / bound : 0;
      }
    }
    for (int r = 0; r < eq.rows; r++) {
      double rest = eq.b0[r] + load * eq.b1[r];
      for (int j = 0; j < eq.columns; j++) {
        rest -= eq.a[r][j] * x[j];
      }
      sum += rest * rest / 2 / LoadSharing.RHO;
    }
    return sum;
  }
}
