package istmo.core.mechanics;

import istmo.core.quantity.Fact;

/**
 * Why a candidate has no analysis for this body.
 *
 * @param phase where in the range, 0 top to 1 bottom
 * @param why what stands in the way; {@code words.MovementWords} says it and what is missing
 */
public record CannotAnalyse(double phase, Fact why) implements AnalysisResult {}
