package istmo.core.mechanics;

/** An analysis, or the reason why there is none. */
public sealed interface AnalysisResult permits Analysis, CannotAnalyse {}
