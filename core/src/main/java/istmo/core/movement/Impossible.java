package istmo.core.movement;

/** A posture that cannot be taken, and what stands in the way. */
public record Impossible(Obstacle obstacle) implements PostureResult {
  /** The kind of what stands in the way. */
  public Obstacle.Limit limit() {
    return obstacle.limit();
  }
}
