package istmo.core.body;

/**
 * What a caution limits or leaves out until it is cleared.
 *
 * @param kneeDeg most bend of the knee, degrees; infinite without a limit
 * @param hipDeg most bend of the hip, degrees; infinite without a limit
 * @param backShare most that the lower back may be asked, of what it can
 * @param noProne whether lying face down is left out, and a load across the hips
 * @param nothing whether nothing at all is proposed
 */
record CautionLimits(
    double kneeDeg, double hipDeg, double backShare, boolean noProne, boolean nothing) {
  static final CautionLimits NONE =
      new CautionLimits(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, 1, false, false);

  static final CautionLimits EVERYTHING =
      new CautionLimits(NONE.kneeDeg, NONE.hipDeg, 1, false, true);

  static final CautionLimits FACE_DOWN =
      new CautionLimits(NONE.kneeDeg, NONE.hipDeg, 1, true, false);

  static CautionLimits knee(double deg) {
    return new CautionLimits(deg, NONE.hipDeg, 1, false, false);
  }

  static CautionLimits hip(double deg) {
    return new CautionLimits(NONE.kneeDeg, deg, 1, false, false);
  }

  static CautionLimits back(double share) {
    return new CautionLimits(NONE.kneeDeg, NONE.hipDeg, share, false, false);
  }
}
