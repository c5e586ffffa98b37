package istmo.core.mechanics;

import istmo.core.quantity.Allowed;

/**
 * How a repetition is timed, s: lowering, low end, lifting, top end. The low end is the lengthened
 * one.
 */
public record Tempo(double loweringS, double lowS, double liftingS, double topS) {
  public static final Allowed PHASE_S = new Allowed(0, 20, "s");

  /**
   * What sets behind the published repetition charts are likely to have been: no count is given
   * with them (judgement).
   */
  public static final Tempo USUAL = new Tempo(2, 0, 1, 0);

  /**
   * What a second of lowering tires against a second of lifting: force in lengthening costs about
   * half (Bigland-Ritchie and Woods 1976, order of magnitude, from memory).
   */
  static final double LOWERING_COST = 0.5;

  public Tempo {
    PHASE_S.check("tempo.loweringS", loweringS);
    PHASE_S.check("tempo.lowS", lowS);
    PHASE_S.check("tempo.liftingS", liftingS);
    PHASE_S.check("tempo.topS", topS);
  }

  /** The same with the moving phases so many times as long; holds stay. */
  Tempo moving(double factor) {
    return new Tempo(loweringS * factor, lowS, liftingS * factor, topS);
  }

  /** Length of a whole repetition, s. */
  public double secondsARepetition() {
    return loweringS + lowS + liftingS + topS;
  }

  /** Seconds of moving, in lifting seconds. */
  double movingCost() {
    return LOWERING_COST * loweringS + liftingS;
  }
}
