package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.MonotoneCurve;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The muscles of one person and their state at one posture.
 *
 * <p>One length potential per muscle, L(q) = -[I_hf(hf) + ha r_ha(hf) + hr r_hr(hf) + I_k(k) +
 * I_a(a)] with I the integral of the tabulated arm, and every moment arm r = -dL/dq of it, so that
 * the work of muscles is exactly the work of moments. Active and passive force-length after Thelen
 * (2003), with the fibre length l = l0 + kappa L / (lopt cos(pennation)). Equations: docs/model.md,
 * 3.
 *
 * <p>A workspace: {@link #at} overwrites the state; one thread, one calculator.
 */
public final class Musculature {
  /**
   * Peak muscle stress, N/m2: 24 N/cm2 for all muscles, from the one fit to isometric curves
   * (IsometricFitTest); physiological estimates run from 22 to 30, leg models often take 60.
   */
  public static final double SPECIFIC_TENSION = 24e4;

  /** Width of the active force-length curve (Thelen 2003). */
  private static final double ACTIVE_WIDTH = 0.45;

  /** Passive exponential shape and strain at peak isometric force (Thelen 2003). */
  private static final double PASSIVE_SHAPE = 5;

  private static final double PASSIVE_STRAIN = 0.6;

  /**
   * Dorsiflexion limit of the ankle for which that strain holds in the calf, rad: at their own
   * limit, stiff and free ankles are stretched equally hard.
   */
  private static final double USUAL_DORSIFLEXION = Math.toRadians(36);

  private static final double SHORTEST = 0.35;

  /** Abduction and rotation beyond which the tabulated arms are not carried further, rad. */
  private static final double ABDUCTION_LIMIT = 0.9;

  private static final double ROTATION_LIMIT = 0.8;

  private final List<Muscle> muscles;
  private final int n;
  private final MonotoneCurve[] hipFlexionArm;
  private final MonotoneCurve[] abductionArm;
  private final MonotoneCurve[] rotationArm;
  private final MonotoneCurve[] kneeArm;
  private final MonotoneCurve[] ankleArm;
  private final double[] peakForce;
  private final double[] pcsa;
  private final double[] perMetre;
  private final double[] sinPennation;
  private final double[] lengthAtZero;
  private final double[] passiveStrain;

  private final double[][] arm;
  private final double[] length;
  private final double[] activeFactor;
  private final double[] passiveFactor;
  private final double[] activeForce;
  private final double[] passiveForce;
  private final double[] excursion;

  /** The usual muscles in a body. */
  public Musculature(Body body) {
    this(body, Muscles.standard().all());
  }

  /** Other muscles than the standard ones, given for the reference adult. */
  public Musculature(Body body, List<Muscle> muscles) {
    this.muscles = List.copyOf(muscles);
    this.n = muscles.size();
    this.hipFlexionArm = new MonotoneCurve[n];
    this.abductionArm = new MonotoneCurve[n];
    this.rotationArm = new MonotoneCurve[n];
    this.kneeArm = new MonotoneCurve[n];
    this.ankleArm = new MonotoneCurve[n];
    this.peakForce = new double[n];
    this.pcsa = new double[n];
    this.perMetre = new double[n];
    this.sinPennation = new double[n];
    this.lengthAtZero = new double[n];
    this.passiveStrain = new double[n];
    this.length = new double[n];
    this.activeFactor = new double[n];
    this.passiveFactor = new double[n];
    this.activeForce = new double[n];
    this.passiveForce = new double[n];
    this.excursion = new double[n];
    this.arm = new double[n][Coordinate.LEG];
    double volume = body.volumeFactor();
    double size = body.lengthFactor();
    for (int i = 0; i < n; i++) {
      Muscle muscle = muscles.get(i);
      hipFlexionArm[i] = scaled(muscle.hipFlexion(), size);
      abductionArm[i] = scaled(muscle.hipAbduction(), size);
      rotationArm[i] = scaled(muscle.hipRotation(), size);
      kneeArm[i] = scaled(muscle.kneeFlexion(), size);
      ankleArm[i] = scaled(muscle.ankleDorsiflexion(), size);
      double lopt = muscle.optimalFibreLengthM() * size;
      pcsa[i] = muscle.volumeM3() * volume / lopt;
      peakForce[i] = SPECIFIC_TENSION * pcsa[i] * muscle.forceFactor();
      perMetre[i] = muscle.fibreShare() / (lopt * Math.cos(muscle.pennationRad()));
      sinPennation[i] = Math.sin(muscle.pennationRad());
      lengthAtZero[i] = muscle.lengthAtZero();
      passiveStrain[i] =
          PASSIVE_STRAIN
              * (muscle.group().equals("calves")
                  ? body.dorsiflexionLimitRad() / USUAL_DORSIFLEXION
                  : 1);
    }
  }

  private static @Nullable MonotoneCurve scaled(Optional<MonotoneCurve> curve, double factor) {
    return curve.map(monotoneCurve -> monotoneCurve.times(factor)).orElse(null);
  }

  /** Sets the state for joint angles in the order of {@link Coordinate}, rad. */
  public void at(double[] q) {
    double hf = q[0];
    double ha = clamp(q[1], ABDUCTION_LIMIT);
    double hr = clamp(q[2], ROTATION_LIMIT);
    for (int i = 0; i < n; i++) {
      double[] r = arm[i];
      double potential = 0;
      double r0 = 0;
      if (hipFlexionArm[i] != null) {
        r0 = hipFlexionArm[i].value(hf);
        potential += hipFlexionArm[i].integralFromZero(hf);
      }
      r[1] = 0;
      r[2] = 0;
      if (abductionArm[i] != null) {
        r[1] = abductionArm[i].value(hf);
        r0 += ha * abductionArm[i].derivative(hf);
        potential += ha * r[1];
      }
      if (rotationArm[i] != null) {
        r[2] = rotationArm[i].value(hf);
        r0 += hr * rotationArm[i].derivative(hf);
        potential += hr * r[2];
      }
      r[0] = r0;
      r[3] = 0;
      if (kneeArm[i] != null) {
        r[3] = kneeArm[i].value(q[3]);
        potential += kneeArm[i].integralFromZero(q[3]);
      }
      r[4] = 0;
      if (ankleArm[i] != null) {
        r[4] = ankleArm[i].value(q[4]);
        potential += ankleArm[i].integralFromZero(q[4]);
      }
      excursion[i] = -potential;
      double l = Math.max(SHORTEST, lengthAtZero[i] - perMetre[i] * potential);
      length[i] = l;
      double sin = Math.min(0.8, sinPennation[i] / l);
      double cos = Math.sqrt(1 - sin * sin);
      activeFactor[i] = Math.exp(-(l - 1) * (l - 1) / ACTIVE_WIDTH);
      passiveFactor[i] =
          l > 1
              ? (Math.exp(PASSIVE_SHAPE * (l - 1) / passiveStrain[i]) - 1)
                  / (Math.exp(PASSIVE_SHAPE) - 1)
              : 0;
      activeForce[i] = peakForce[i] * cos * activeFactor[i];
      passiveForce[i] = peakForce[i] * cos * passiveFactor[i];
    }
  }

  /** The muscles, in the order of their index. */
  public List<Muscle> muscles() {
    return muscles;
  }

  /** Place of a region's muscle in {@link #muscles()}; throws where it is not among them. */
  int indexOf(Region region) {
    for (int i = 0; i < n; i++) {
      if (muscles.get(i).id().equals(region.id())) {
        return i;
      }
    }
    throw new IllegalStateException("no muscle " + region.id() + " among " + muscles);
  }

  /** How many muscles there are. */
  public int size() {
    return n;
  }

  /**
   * Moment arm of muscle i about a leg coordinate, m; positive drives the coordinate in its
   * positive direction.
   */
  public double arm(int i, Coordinate coordinate) {
    return arm[i][coordinate.ordinal()];
  }

  /** Fibre length over optimal fibre length. */
  public double length(int i) {
    return length[i];
  }

  /** Change of muscle-tendon length from the posture with all angles zero, m. */
  public double excursionM(int i) {
    return excursion[i];
  }

  /** Active force-length factor, 0 to 1. */
  public double activeFactor(int i) {
    return activeFactor[i];
  }

  /** Passive tension over peak force. */
  public double passiveFactor(int i) {
    return passiveFactor[i];
  }

  /** Tendon force at full activation without the passive part, N. */
  public double activeForceN(int i) {
    return activeForce[i];
  }

  /** Tendon force at rest, N. */
  public double passiveForceN(int i) {
    return passiveForce[i];
  }

  /** Physiological cross-section of this person's muscle, m2. */
  public double pcsaM2(int i) {
    return pcsa[i];
  }

  private static double clamp(double v, double limit) {
    return Math.max(-limit, Math.min(limit, v));
  }
}
