package istmo.core.movement;

/**
 * Why a posture cannot be taken.
 *
 * @param reason a sentence for the coach
 * @param missing what is missing, and how much of it, in the coach's units
 */
public record Impossible(String reason, String missing) implements PostureResult {}
