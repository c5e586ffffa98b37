package istmo.core.evidence;

import org.hipparchus.special.Erf;

/** The standard normal distribution, safe in its lower tail. */
final class Normal {
  private static final double FAR = -25;

  private Normal() {}

  static double probability(double z) {
    return 0.5 * Erf.erfc(-z / Math.sqrt(2));
  }

  static double logProbability(double z) {
    return z < FAR
        ? -0.5 * z * z - Math.log(-z * Math.sqrt(2 * Math.PI))
        : Math.log(probability(z));
  }

  /** phi(z) / Phi(z); -z far down the tail. */
  static double densityOverProbability(double z) {
    return z < FAR ? -z : Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI) / probability(z);
  }
}
