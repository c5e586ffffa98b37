package istmo.core.mechanics;

/**
 * Why a candidate has no analysis for this body.
 *
 * @param phase where in the range, 0 top to 1 bottom
 */
public record CannotAnalyse(double phase, String reason, String missing)
    implements AnalysisResult {}
