package istmo.core.movement;

import istmo.core.body.Technique;
import istmo.core.quantity.Required;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * How far lifters miss what they mean to do, or how far they differ in what nobody measures:
 * standard deviations of technique parameters, each in its own unit (own estimates).
 */
public final class TechniqueSpread {
  private static final Map<String, Double> BY_PARAMETER = new LinkedHashMap<>();

  static {
    BY_PARAMETER.put("kneeTravel", 0.10);
    BY_PARAMETER.put("lean", 5.0);
    BY_PARAMETER.put("pressure", 0.015);
    BY_PARAMETER.put("footShear", 0.15);
    BY_PARAMETER.put("plateGrip", 0.10);
    BY_PARAMETER.put("push", 0.05);
    BY_PARAMETER.put("rearShare", 0.07);
    BY_PARAMETER.put("otherFoot", 0.08);
    BY_PARAMETER.put("trunkShift", 0.15);
    BY_PARAMETER.put("pushOff", 0.10);
    BY_PARAMETER.put("handShare", 0.15);
    BY_PARAMETER.put("help", 4.0);
    BY_PARAMETER.put("shoulders", 0.02);
    BY_PARAMETER.put("kneeBend", 3.0);
    BY_PARAMETER.put("hipBend", 5.0);
    BY_PARAMETER.put("footUp", 12.0);
  }

  private TechniqueSpread() {}

  /** Every spread by parameter id, in a fixed order. */
  public static Map<String, Double> all() {
    return Collections.unmodifiableMap(BY_PARAMETER);
  }

  /** The spread of one parameter; empty for what is not technique. */
  public static OptionalDouble of(SetupParameter parameter) {
    Double spread = BY_PARAMETER.get(parameter.id());
    return spread == null ? OptionalDouble.empty() : OptionalDouble.of(spread);
  }

  /** The share of a parameter's spread that is left once it was seen, 0 to 1. */
  public static double left(String parameterId, Map<String, Technique.Seen> seen) {
    Technique.Seen of = seen.get(parameterId);
    return of == null ? 1 : Math.min(1, of.spread() / Required.entry(BY_PARAMETER, parameterId));
  }
}
