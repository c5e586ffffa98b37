package istmo.core.training;

/** How much a set counts by how near to failure it ended. */
public final class Effort {
  /**
   * Sets further from failure than this count less, and half of them at six (Robinson, Pelland,
   * Remmert et al. 2024: growth falls slowly with repetitions in reserve; from memory, the line is
   * judgement).
   */
  private static final double FULL_RESERVE = 4;

  private Effort() {}

  /** 1 for a hard set, less for one that ended with many repetitions in reserve, never below 0. */
  public static double counts(double reserve) {
    return reserve <= FULL_RESERVE ? 1 : Math.max(0, 1 - 0.25 * (reserve - FULL_RESERVE));
  }
}
