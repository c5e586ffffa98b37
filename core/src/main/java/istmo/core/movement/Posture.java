package istmo.core.movement;

import istmo.core.anatomy.Coordinate;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * The right leg and trunk at one point of a repetition, with everything that pushes on them. Frame:
 * x forward, y up, z right; m, rad, N. A lifter who lies on a side keeps the frame of one who
 * stands, with the weights across it.
 *
 * @param phase 0 at the top or shortened end, 1 at the bottom or lengthened end
 * @param angles joint angles in the order of {@link Coordinate}, rad; the sixth is the part of hip
 *     flexion beyond the limit that the lower back takes
 * @param points joint centres and landmarks
 * @param axes unit axes about which each coordinate turns, order of {@link Coordinate}
 * @param trunkLeanRad lean of the trunk from the vertical, forward positive
 * @param carried coordinates that muscles must hold; the others are braced by a seat or pad
 * @param view from where it is drawn
 */
public record Posture(
    double phase,
    double[] angles,
    Points points,
    Vec3[] axes,
    double trunkLeanRad,
    List<Load> loads,
    List<FreeContact> freeContacts,
    Set<Coordinate> carried,
    List<Prop> props,
    View view)
    implements PostureResult {

  /** Landmarks, m. {@code ball}: ball of the foot; {@code pressure}: where the foot is pushed. */
  public record Points(
      Vec3 heel,
      Vec3 ball,
      Vec3 toe,
      Vec3 ankle,
      Vec3 knee,
      Vec3 hip,
      Vec3 l5,
      Vec3 shoulder,
      Vec3 pressure) {}

  public Posture {
    loads = List.copyOf(loads);
    freeContacts = List.copyOf(freeContacts);
    carried = EnumSet.copyOf(carried);
    props = List.copyOf(props);
  }

  /** The same with other forces. */
  public Posture with(List<Load> otherLoads, List<FreeContact> otherContacts) {
    return new Posture(
        phase, angles, points, axes, trunkLeanRad, otherLoads, otherContacts, carried, props, view);
  }

  /** Angle of a coordinate, rad, in its positive direction. */
  public double angle(Coordinate coordinate) {
    return angles[coordinate.ordinal()];
  }
}
