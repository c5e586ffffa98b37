package istmo.core.evidence;

import istmo.core.stimulus.School;

/**
 * How a finding is written as an observation of ln(stimulus), and how far it scatters about the
 * difference that it sees.
 *
 * @param spread scatter of ln(ratio of growths) of a study that counts whole
 */
record StudyNoise(School school, double spread) {
  /**
   * ln(ratio of growths) for each ln(ratio of stimuli): the fit through the origin over the
   * findings with both growths ({@code PosteriorTest}; docs/validation.md).
   */
  static final double SLOPE = 1.4;

  /**
   * Scatter of ln(ratio of growths) that a study which counts whole has of itself: with it left-out
   * ratios are most likely ({@code PosteriorTest}). Two groups of twenty whose growth varies by
   * seven tenths of its mean have 0.22.
   */
  static final double SPREAD = 0.2;

  /**
   * The same for what is not growth (activity, moments, acute images, opinion): it tells of growth
   * only by the way (own estimate).
   */
  static final double INDIRECT_SPREAD = 0.47;

  /**
   * Added to growth in per cent before its logarithm is taken: what such measurements cannot see.
   */
  static final double UNSEEN_GROWTH = 1;

  /**
   * What was not seen to grow grew less than what was by this factor (own estimate: about ten
   * people a group see 5 to 7 % and do not see 1 to 2 %).
   */
  static final double SEEN_BESIDE = 3;

  /**
   * Half-width of what a study of usual size calls no difference (own estimate: a fifth). Where
   * neither grew it is three times as wide.
   */
  static final double MARGIN = 0.2;

  /**
   * Standard deviation added where muscles are compared: they may answer the same stimulus
   * differently (own estimate).
   */
  static final double MUSCLE_SPREAD = 0.3;

  /** People and weeks from which a study counts whole. */
  private static final double ENOUGH_PEOPLE = 20;

  private static final double ENOUGH_WEEKS = 10;

  /** Where one is not remembered. */
  private static final double UNSTATED = 0.6;

  /** Standard deviation of a finding about the difference that it sees. */
  double of(Finding study) {
    if (study.how() == Finding.How.PRACTICE) {
      return noise(INDIRECT_SPREAD, school.practiceTrust() * CommonPractice.share(study));
    }
    double trust = study.how() == Finding.How.EMG ? school.activityTrust() : study.how().trust();
    trust *=
        Math.min(1, study.people().orElse(UNSTATED * ENOUGH_PEOPLE) / ENOUGH_PEOPLE)
            * study.memory().trust();
    trust /= Studies.standard().shared(study);
    if (study.how().growth()) {
      trust *= Math.min(1, study.weeks().orElse(UNSTATED * ENOUGH_WEEKS) / ENOUGH_WEEKS);
    }
    return Math.hypot(
        noise(spread(study.how()), trust), study.comparesMuscles() ? MUSCLE_SPREAD : 0);
  }

  /** Scatter of a study that counts whole; activity's, as far as the school takes it for growth. */
  private double spread(Finding.How how) {
    double usual = Finding.How.EMG.trust();
    double like =
        how.growth()
            ? 1
            : how == Finding.How.EMG
                ? Math.max(0, (school.activityTrust() - usual) / (1 - usual))
                : 0;
    return INDIRECT_SPREAD + like * (spread - INDIRECT_SPREAD);
  }

  private static double noise(double spread, double trust) {
    return spread / SLOPE / Math.sqrt(Math.max(1e-6, trust));
  }

  /**
   * A finding as an observation.
   *
   * @param mean what mechanics says of the difference
   * @param noise {@link #of}
   */
  static Propagation.Observation observation(Finding study, double mean, double noise) {
    if (study.hasRatio()) {
      return new Propagation.Observation(mean, noise, 0, logRatio(study) / SLOPE);
    }
    return switch (study.direction()) {
      case ALIKE -> new Propagation.Observation(mean, Math.hypot(noise, MARGIN), 0, 0);
      case NEITHER -> new Propagation.Observation(mean, Math.hypot(noise, 3 * MARGIN), 0, 0);
      case MORE -> new Propagation.Observation(mean, noise, 1, 0);
      case ONLY -> new Propagation.Observation(mean, noise, 1, Math.log(SEEN_BESIDE) / SLOPE);
      case LESS -> new Propagation.Observation(mean, noise, -1, 0);
    };
  }

  static double logRatio(Finding study) {
    return Math.log(
        (study.resultA().orElseThrow() + UNSEEN_GROWTH)
            / (study.resultB().orElseThrow() + UNSEEN_GROWTH));
  }
}
