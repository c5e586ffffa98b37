package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.quantity.Vec3;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The balance of moments at one posture, linear in everything unknown: A x = b0 + W b1, rows the
 * carried coordinates, x the activations (0..1) of muscles, of the back and trunk, and what free
 * contacts do as a share of their bound.
 *
 * <p>External moment about coordinate j: e_j . sum over loads distal to j of [(p - J) x F + M]; for
 * the lower back, over loads above it. A workspace: {@link #set} overwrites it.
 */
public final class Equilibrium {
  /** Trunk flexors over extensors by strength (trunk-strength literature, from memory). */
  private static final double ABDOMINAL_SHARE = 0.55;

  /**
   * Hip rotation that capsule and small rotators add at a bent hip, N m, and what the ligaments of
   * the capsule add to it at the straight hip, where they are wound tight (sizes are own estimates;
   * that they tighten as the hip opens is anatomy, Hewitt et al. 2002, from memory). Without them
   * gluteus maximus, an outward rotator, could not be used whole at an open hip.
   */
  private static final double ROTATION_RESERVE_NM = 15;

  private static final double LIGAMENTS_NM = 25;

  /** Hip flexion from which the ligaments are slack. */
  private static final double SLACK_RAD = Math.toRadians(60);

  /**
   * Peak force per cross-section turns a moment into a cross-section for its price: 1 m2 of muscle
   * at 5 cm.
   */
  private static final double NM_PER_M2 = Musculature.SPECIFIC_TENSION * 0.05;

  /** Columns beside muscles: abdominals, rotation reserve; then free contacts. */
  static final int SOURCES = 2;

  private static final int MOST_FREE = 8;

  final int muscles;

  /** Column of the lower back. */
  final int back;

  private final Musculature musculature;
  private final Body body;
  int rows;
  int columns;
  final int[] rowOf = new int[Coordinate.ALL];
  final Coordinate[] coordinate = new Coordinate[Coordinate.ALL];

  /** A[row][column], N m at the column's full amount; free contacts hold moment per unit of x. */
  final double[][] a;

  /** The columns of rested muscles, back and trunk. */
  private final double[][] rested;

  final double[] b0 = new double[Coordinate.ALL];
  final double[] b1 = new double[Coordinate.ALL];

  /** Price weight of each column: cross-section, m2. */
  final double[] weight;

  int free;
  final double[] freeBound = new double[MOST_FREE];
  private double rotationReserveNm;
  final double[] freeBoundPerKg = new double[MOST_FREE];
  final boolean[] freeOneSided = new boolean[MOST_FREE];
  final double[] external0 = new double[Coordinate.ALL];
  final double[] external1 = new double[Coordinate.ALL];
  final double[] passive = new double[Coordinate.ALL];

  /** A workspace for one body and its muscles. */
  public Equilibrium(Body body, Musculature musculature) {
    this.body = body;
    this.musculature = musculature;
    this.muscles = musculature.size();
    this.back = musculature.indexOf(Region.ERECTORS);
    int most = muscles + SOURCES + MOST_FREE;
    this.a = new double[Coordinate.ALL][most];
    this.rested = new double[Coordinate.ALL][muscles + 1];
    this.weight = new double[most];
  }

  /** Rows and columns for a posture; also sets the musculature to it. */
  public void set(Posture posture) {
    musculature.at(posture.angles());
    rows = 0;
    for (Coordinate axis : Coordinate.values()) {
      rowOf[axis.ordinal()] = -1;
      externalMoment(posture, axis);
      if (posture.carried().contains(axis)) {
        coordinate[rows] = axis;
        rowOf[axis.ordinal()] = rows++;
      }
    }
    List<FreeContact> contacts = posture.freeContacts();
    if (contacts.size() > MOST_FREE) {
      throw new IllegalStateException(contacts.size() + " free contacts; at most " + MOST_FREE);
    }
    free = contacts.size();
    columns = muscles + SOURCES + free;
    double spring = ABDOMINAL_SHARE * body.lumbarNm();
    for (int r = 0; r < rows; r++) {
      Coordinate axis = coordinate[r];
      int j = axis.ordinal();
      double rest = 0;
      for (int i = 0; i < muscles; i++) {
        double arm = j < Coordinate.LEG ? musculature.arm(i, axis) : 0;
        a[r][i] = arm * musculature.activeForceN(i);
        rest += arm * musculature.passiveForceN(i);
      }
      passive[j] = rest;
      a[r][back] = axis == Coordinate.LUMBAR_FLEXION ? -body.lumbarNm() : 0;
      a[r][muscles] = axis == Coordinate.LUMBAR_FLEXION ? spring : 0;
      System.arraycopy(a[r], 0, rested[r], 0, muscles + 1);
      a[r][muscles + 1] = axis == Coordinate.HIP_INTERNAL_ROTATION ? 1 : 0;
      for (int f = 0; f < free; f++) {
        a[r][muscles + SOURCES + f] = freeMoment(posture, contacts.get(f), axis);
      }
      b0[r] = -external0[j] - rest;
      b1[r] = -external1[j];
    }
    for (int i = 0; i < muscles; i++) {
      weight[i] = musculature.pcsaM2(i);
    }
    weight[back] = body.lumbarNm() / 2 / NM_PER_M2; // half to each side
    weight[muscles] = spring / 2 / NM_PER_M2;
    double tight = 1 - posture.angle(Coordinate.HIP_FLEXION) / SLACK_RAD;
    rotationReserveNm = ROTATION_RESERVE_NM + LIGAMENTS_NM * Math.max(0, Math.min(1, tight));
    weight[muscles + 1] = rotationReserveNm / NM_PER_M2;
    for (int f = 0; f < free; f++) {
      FreeContact contact = contacts.get(f);
      freeBound[f] = contact.bound();
      freeBoundPerKg[f] = contact.boundPerKg();
      freeOneSided[f] = contact.oneSided();
      weight[muscles + SOURCES + f] = 0;
    }
  }

  /** The rotation reserve is a two-sided source of its own: its bound, N m. */
  double rotationReserve() {
    return rotationReserveNm;
  }

  /** Whether muscles have to hold this coordinate at the posture that is set. */
  boolean carries(Coordinate coordinate) {
    return rowOf[coordinate.ordinal()] >= 0;
  }

  /** Makes the back stronger or weaker by a factor until the next {@link #set} or {@link #tire}. */
  void scaleBack(double factor) {
    int r = rowOf[Coordinate.LUMBAR_FLEXION.ordinal()];
    if (r >= 0) {
      a[r][back] = factor * rested[r][back];
    }
  }

  /**
   * Leaves each muscle, the back and the trunk only a share of its rested active force, until the
   * next {@link #set}.
   */
  void tire(double[] capacity) {
    for (int r = 0; r < rows; r++) {
      for (int i = 0; i < muscles + 1; i++) {
        a[r][i] = capacity[i] * rested[r][i];
      }
    }
  }

  private void externalMoment(Posture posture, Coordinate coordinate) {
    double t0 = 0;
    double t1 = 0;
    Vec3 axis = posture.axes()[coordinate.ordinal()];
    Vec3 joint = joint(posture, coordinate);
    for (Load load : posture.loads()) {
      if (!acts(load.on(), coordinate)) {
        continue;
      }
      Vec3 r = load.at().minus(joint);
      t0 += axis.dot(r.cross(load.force()));
      t1 += axis.dot(r.cross(load.forcePerKg()).plus(load.couplePerKg()));
    }
    external0[coordinate.ordinal()] = t0;
    external1[coordinate.ordinal()] = t1;
  }

  private static double freeMoment(Posture posture, FreeContact contact, Coordinate coordinate) {
    Load.@Nullable Segment on = contact.on();
    if (on == null) {
      return contact.joint() == coordinate ? contact.sign() : 0;
    }
    if (!acts(on, coordinate)) {
      return 0;
    }
    return posture.axes()[coordinate.ordinal()].dot(
        contact
            .at()
            .minus(joint(posture, coordinate))
            .cross(contact.direction())
            .plus(contact.couple()));
  }

  private static Vec3 joint(Posture posture, Coordinate coordinate) {
    return switch (coordinate) {
      case HIP_FLEXION, HIP_ABDUCTION, HIP_INTERNAL_ROTATION -> posture.points().hip();
      case KNEE_FLEXION -> posture.points().knee();
      case ANKLE_DORSIFLEXION -> posture.points().ankle();
      case LUMBAR_FLEXION -> posture.points().l5();
    };
  }

  private static boolean acts(Load.Segment on, Coordinate coordinate) {
    return switch (coordinate) {
      case HIP_FLEXION, HIP_ABDUCTION, HIP_INTERNAL_ROTATION -> on != Load.Segment.UPPER;
      case KNEE_FLEXION -> on == Load.Segment.SHANK || on == Load.Segment.FOOT;
      case ANKLE_DORSIFLEXION -> on == Load.Segment.FOOT;
      case LUMBAR_FLEXION -> on == Load.Segment.UPPER;
    };
  }

  /**
   * Moment of external loads about a coordinate at load W, N m, in its positive direction; what
   * muscles and passive tissue supply is the opposite.
   */
  public double externalNm(Coordinate coordinate, double loadKg) {
    return external0[coordinate.ordinal()] + loadKg * external1[coordinate.ordinal()];
  }

  double freeBoundAt(int f, double loadKg) {
    return Math.max(0, freeBound[f] + loadKg * freeBoundPerKg[f]);
  }
}
