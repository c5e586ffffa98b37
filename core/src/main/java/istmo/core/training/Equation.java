package istmo.core.training;

import java.util.function.DoubleUnaryOperator;

/**
 * Published equations for the largest load of one repetition from a set to failure: a factor on the
 * load for so many repetitions. Formulas as LeSuer, McCormick, Mayhew et al. (1997) compare them;
 * from memory of that paper.
 */
public enum Equation {
  EPLEY("Epley 1985", r -> r <= 1 ? 1 : 1 + r / 30),
  BRZYCKI("Brzycki 1993", r -> 36 / (37 - r)),
  LANDER("Lander 1985", r -> 100 / (101.3 - 2.67123 * r)),
  LOMBARDI("Lombardi 1989", r -> Math.pow(r, 0.10)),
  MAYHEW("Mayhew et al. 1992", r -> 100 / (52.2 + 41.9 * Math.exp(-0.055 * r))),
  OCONNER("O'Conner et al. 1989", r -> 1 + 0.025 * r),
  WATHAN("Wathan 1994", r -> 100 / (48.8 + 53.8 * Math.exp(-0.075 * r)));

  private final String source;
  private final DoubleUnaryOperator factor;

  Equation(String source, DoubleUnaryOperator factor) {
    this.source = source;
    this.factor = factor;
  }

  /** Where the equation is published. */
  public String source() {
    return source;
  }

  /** Largest load for one repetition beside a load that can be moved so often and no more. */
  public double factor(double repetitionsToFailure) {
    return factor.applyAsDouble(repetitionsToFailure);
  }
}
