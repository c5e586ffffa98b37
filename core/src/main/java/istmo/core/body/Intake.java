package istmo.core.body;

import istmo.core.quantity.Allowed;

/**
 * The sixty-second intake: what a coach knows without a tape.
 *
 * @param statureM stature, m
 * @param massKg body mass, kg
 */
public record Intake(double statureM, double massKg, Sex sex, Thigh thigh, Ankle ankle) {
  public static final Allowed STATURE_M = new Allowed(1.30, 2.20, "m");
  public static final Allowed MASS_KG = new Allowed(35, 220, "kg");

  /**
   * Thigh length for the stature. One standard deviation of thigh length at a given stature is
   * about 3 % of it (from memory of anthropometric surveys); long and short stand for about one and
   * a half.
   */
  public enum Thigh {
    SHORT(0.955),
    USUAL(1),
    LONG(1.045);

    private final double factor;

    Thigh(double factor) {
      this.factor = factor;
    }

    /** Length of the thigh beside the usual one for the stature. */
    public double factor() {
      return factor;
    }
  }

  /**
   * Dorsiflexion under load, knee bent. Usual is 36 deg: knee-to-wall 10 cm (Bennell et al. 1998,
   * from memory); stiff is about 7 cm, free about 13 cm.
   */
  public enum Ankle {
    STIFF(25),
    USUAL(36),
    FREE(45);

    private final double dorsiflexionDeg;

    Ankle(double dorsiflexionDeg) {
      this.dorsiflexionDeg = dorsiflexionDeg;
    }

    /** End of dorsiflexion under load, rad. */
    public double dorsiflexionRad() {
      return Math.toRadians(dorsiflexionDeg);
    }
  }

  public Intake {
    STATURE_M.check("statureM", statureM);
    MASS_KG.check("massKg", massKg);
  }

  /** The body that these answers estimate. */
  public Body body() {
    return Body.estimated(statureM, massKg, sex)
        .withThighFactor(thigh.factor())
        .withDorsiflexionLimit(ankle.dorsiflexionRad());
  }
}
