package istmo.core.movement;

/** A posture, or the reason why there is none. */
public sealed interface PostureResult permits Posture, Impossible {}
