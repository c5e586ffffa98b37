package istmo.core.body;

import java.util.OptionalDouble;

/**
 * How thick this body's legs are, as the stage draws them; nothing is computed from them.
 *
 * @param thighM around the middle of the thigh, m; empty where it is not measured
 * @param calfM around the thickest place of the calf, m; empty where it is not measured
 */
public record Girths(OptionalDouble thighM, OptionalDouble calfM) {
  /** Nothing is measured. */
  public static final Girths UNKNOWN = new Girths(OptionalDouble.empty(), OptionalDouble.empty());
}
