package istmo.core.movement;

import java.util.List;
import java.util.stream.Stream;

/**
 * Something of a drawing that can be taken hold of, and the set-up parameter that it moves. How far
 * the parameter goes with it follows from the drawing itself ({@code drawing.Grips}).
 *
 * @param parameterId a parameter of the family that is no choice
 */
public record Handle(String parameterId, Part part) {
  /** What is taken hold of, in the side view unless it says otherwise. */
  public enum Part {
    HIP,
    KNEE,
    ANKLE,
    SHOULDER,
    HEEL,
    TOE,
    REAR_FOOT,
    BAR,
    PULLEY,
    /** upper front edge of a bench, box or pad */
    BLOCK_EDGE,
    /** where the right foot presses, seen from above */
    FOOT_FROM_ABOVE,
    /** toes of the right foot, seen from above */
    TOE_FROM_ABOVE;

    /** Whether it is held in the view from above. */
    public boolean isFromAbove() {
      return this == FOOT_FROM_ABOVE || this == TOE_FROM_ABOVE;
    }
  }

  private static final List<Handle> FROM_ABOVE =
      List.of(
          new Handle(Parameters.STANCE.id(), Part.FOOT_FROM_ABOVE),
          new Handle(Parameters.TOE_OUT.id(), Part.TOE_FROM_ABOVE));

  /**
   * Those of some handles whose parameter is among the given ones, and those of the feet seen from
   * above where stance and toes are.
   */
  public static List<Handle> among(List<SetupParameter> parameters, Handle... handles) {
    return Stream.concat(Stream.of(handles), FROM_ABOVE.stream())
        .filter(
            handle ->
                parameters.stream()
                    .anyMatch(parameter -> parameter.id().equals(handle.parameterId())))
        .toList();
  }
}
