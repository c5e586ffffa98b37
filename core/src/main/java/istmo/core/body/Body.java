package istmo.core.body;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Segments;
import istmo.core.quantity.Allowed;

/**
 * One person, as the mechanics needs them: lengths in m, masses in kg, limits in rad, moments in N
 * m.
 *
 * @param thighM hip centre to knee centre
 * @param shankM knee centre to ankle centre
 * @param trunkM hip centres to shoulder centres
 * @param strength factor on all muscle volumes; 1 is the reference adult scaled by mass and stature
 * @param dorsiflexionLimitRad most dorsiflexion under load
 * @param hipFlexionLimitRad hip flexion at which the pelvis begins to tuck
 * @param kneeFlexionLimitRad most knee flexion under load
 * @param hipOpeningLimitRad most hip abduction in a wide stance
 * @param lumbarNm largest extension moment of the back about L5/S1
 * @param heldKg largest mass on a bar that one hand holds before the fingers are pulled open
 * @param technique how this client was seen to move otherwise than people usually do
 * @param girths how thick the legs are drawn
 */
public record Body(
    double statureM,
    double massKg,
    Sex sex,
    double thighM,
    double shankM,
    double trunkM,
    double footM,
    double armM,
    double strength,
    double dorsiflexionLimitRad,
    double hipFlexionLimitRad,
    double kneeFlexionLimitRad,
    double hipOpeningLimitRad,
    double lumbarNm,
    double heldKg,
    Technique technique,
    Girths girths) {

  /** Thigh and shank of a person of 1.75 m, m (Drillis and Contini 1966). */
  public static final double REFERENCE_LEG_M =
      (Segments.THIGH_LENGTH + Segments.SHANK_LENGTH) * 1.75;

  public static final double REFERENCE_MASS_KG = 75;

  public static final Allowed THIGH_M = new Allowed(0.25, 0.65, "m");
  public static final Allowed SHANK_M = new Allowed(0.25, 0.65, "m");
  public static final Allowed TRUNK_M = new Allowed(0.30, 0.75, "m");
  public static final Allowed STRENGTH = new Allowed(0.3, 4, "");
  public static final Allowed DORSIFLEXION_DEG = new Allowed(5, 60, "deg");
  public static final Allowed HIP_FLEXION_DEG = new Allowed(70, 150, "deg");
  public static final Allowed KNEE_FLEXION_DEG = new Allowed(60, 160, "deg");
  public static final Allowed HIP_OPENING_DEG = new Allowed(15, 90, "deg");
  public static final Allowed LUMBAR_NM = new Allowed(30, 1200, "N m");

  /** What one hand can hold of a bar. */
  public static final Allowed HELD_KG = new Allowed(7, 170, "kg");

  /** On a hand-grip dynamometer. */
  public static final Allowed GRIP_KG = new Allowed(5, 110, "kg");

  /** Median of young adults on the dynamometer, kg (Dodds et al. 2014, from memory). */
  private static final double GRIP_MAN_KG = 51;

  private static final double GRIP_WOMAN_KG = 31;

  /**
   * A level bar is pulled out of the hand at about so many times what the hand squeezes (Young et
   * al. 2009, breakaway strength, from memory).
   */
  private static final double BAR_OVER_SQUEEZE = 1.5;

  /**
   * How much a stiff day takes from the ankle, the hip's bend and its opening, deg (common practice
   * says "stiff today"; the sizes are own estimates, near one and a half times what such readings
   * repeat to).
   */
  private static final double STIFF_ANKLE_DEG = 5;

  private static final double STRAIGHT_KNEE_SHARE = 0.75;
  private static final double STIFF_HIP_DEG = 10;
  private static final double STIFF_OPENING_DEG = 5;

  /**
   * Lumbar extension capacity of a man of 75 kg and 1.75 m who lifts: isometric strength of 300 to
   * 350 N m, passive tissue and the pressure of the belly; scaled by mass times stature. An input,
   * not a measurement (docs/model.md, 6).
   */
  static final double REFERENCE_LUMBAR_NM = 500;

  /**
   * Strength of women beside men of equal mass times stature, leg and back: women's legs have about
   * 0.7 and their backs about 0.6 of men's strength at about 0.73 of men's mass times stature
   * (Miller et al. 1993; Janssen et al. 2000; Nuzzo 2023; from memory). Their hands have 0.61
   * (above).
   */
  private static final double WOMAN_LEG = 0.95;

  private static final double WOMAN_BACK = 0.85;

  public Body {
    Intake.STATURE_M.check("statureM", statureM);
    Intake.MASS_KG.check("massKg", massKg);
    THIGH_M.check("thighM", thighM);
    SHANK_M.check("shankM", shankM);
    TRUNK_M.check("trunkM", trunkM);
    STRENGTH.check("strength", strength);
    DORSIFLEXION_DEG.check("dorsiflexionLimitDeg", Math.toDegrees(dorsiflexionLimitRad));
    HIP_FLEXION_DEG.check("hipFlexionLimitDeg", Math.toDegrees(hipFlexionLimitRad));
    KNEE_FLEXION_DEG.check("kneeFlexionLimitDeg", Math.toDegrees(kneeFlexionLimitRad));
    HIP_OPENING_DEG.check("hipOpeningLimitDeg", Math.toDegrees(hipOpeningLimitRad));
    LUMBAR_NM.check("lumbarNm", lumbarNm);
    HELD_KG.check("heldKg", heldKg);
  }

  /** A body of usual proportions and mobility. */
  public static Body estimated(double statureM, double massKg, Sex sex) {
    Intake.STATURE_M.check("statureM", statureM);
    Intake.MASS_KG.check("massKg", massKg);
    return new Body(
        statureM,
        massKg,
        sex,
        Segments.THIGH_LENGTH * statureM,
        Segments.SHANK_LENGTH * statureM,
        Segments.HIP_TO_SHOULDER * statureM,
        Segments.FOOT_LENGTH * statureM,
        Segments.SHOULDER_TO_GRIP * statureM,
        1,
        Math.toRadians(36),
        Math.toRadians(120),
        Math.toRadians(145),
        Math.toRadians(60),
        REFERENCE_LUMBAR_NM
            * (sex == Sex.MALE ? 1 : WOMAN_BACK)
            * massKg
            * statureM
            / (REFERENCE_MASS_KG * 1.75),
        BAR_OVER_SQUEEZE * (sex == Sex.MALE ? GRIP_MAN_KG : GRIP_WOMAN_KG),
        Technique.USUAL,
        Girths.UNKNOWN);
  }

  /** The same stature with another thigh: what the thigh gains the trunk gives. */
  public Body withThighFactor(double factor) {
    double thigh = thighM * factor;
    return withLengths(thigh, shankM, trunkM - (thigh - thighM));
  }

  /** The same body with measured lengths of thigh, shank and trunk, m. */
  public Body withLengths(double thigh, double shank, double trunk) {
    Change change = new Change(this);
    change.thighM = thigh;
    change.shankM = shank;
    change.trunkM = trunk;
    return change.made();
  }

  /** The same body with a measured length of the foot, m. */
  public Body withFoot(double foot) {
    Change change = new Change(this);
    change.footM = foot;
    return change.made();
  }

  /** The same body with another end of dorsiflexion, rad. */
  public Body withDorsiflexionLimit(double limitRad) {
    return withLimits(limitRad, hipFlexionLimitRad, kneeFlexionLimitRad);
  }

  /**
   * The same body with other ends of dorsiflexion, hip flexion (knee bent) and knee flexion, rad.
   */
  public Body withLimits(double dorsiflexionRad, double hipFlexionRad, double kneeFlexionRad) {
    return withLimits(dorsiflexionRad, hipFlexionRad, kneeFlexionRad, hipOpeningLimitRad);
  }

  /** The same body with another end of opening the hips to the side, rad. */
  public Body withHipOpening(double limitRad) {
    return withLimits(dorsiflexionLimitRad, hipFlexionLimitRad, kneeFlexionLimitRad, limitRad);
  }

  private Body withLimits(double ankleRad, double hipRad, double kneeRad, double openingRad) {
    Change change = new Change(this);
    change.dorsiflexionLimitRad = ankleRad;
    change.hipFlexionLimitRad = hipRad;
    change.kneeFlexionLimitRad = kneeRad;
    change.hipOpeningLimitRad = openingRad;
    return change.made();
  }

  /** With another squeeze on a hand-grip dynamometer, kg. */
  public Body withGrip(double dynamometerKg) {
    Change change = new Change(this);
    change.heldKg = BAR_OVER_SQUEEZE * dynamometerKg;
    return change.made();
  }

  /** The same body, drawn as thick as it was measured. */
  public Body withGirths(Girths measured) {
    Change change = new Change(this);
    change.girths = measured;
    return change.made();
  }

  /** The same body that moves as it was seen to. */
  public Body moving(Technique seen) {
    Change change = new Change(this);
    change.technique = seen;
    return change.made();
  }

  /** With hands that hold at least so much of a bar each, kg. */
  public Body holding(double leastKg) {
    return leastKg > heldKg ? withGrip(Math.min(HELD_KG.max(), leastKg) / BAR_OVER_SQUEEZE) : this;
  }

  /** What the hand squeezes on a dynamometer, kg. */
  public double gripKg() {
    return heldKg / BAR_OVER_SQUEEZE;
  }

  /** This body on a stiff day: less range at ankle and hip, for one session. */
  public Body stiffToday() {
    double ankle = DORSIFLEXION_DEG.nearest(Math.toDegrees(dorsiflexionLimitRad) - STIFF_ANKLE_DEG);
    double hip = HIP_FLEXION_DEG.nearest(Math.toDegrees(hipFlexionLimitRad) - STIFF_HIP_DEG);
    double opening =
        HIP_OPENING_DEG.nearest(Math.toDegrees(hipOpeningLimitRad) - STIFF_OPENING_DEG);
    return withLimits(Math.toRadians(ankle), Math.toRadians(hip), kneeFlexionLimitRad)
        .withHipOpening(Math.toRadians(opening));
  }

  /**
   * The same body with another strength of the legs (a factor on muscle forces) and of the lower
   * back, N m.
   */
  public Body withStrength(double factor, double lumbar) {
    Change change = new Change(this);
    change.strength = factor;
    change.lumbarNm = lumbar;
    return change.made();
  }

  /**
   * Hip flexion at which the pelvis begins to tuck with the knee at an angle, rad: with a straight
   * knee the hamstrings end it at three quarters of the bent-knee limit (90 of 120 deg: a passive
   * straight-leg raise of about 80, a little more under load; from memory), and each degree of knee
   * bend gives back a half.
   */
  public double hipFlexionLimitRad(double kneeFlexionRad) {
    return Math.min(
        hipFlexionLimitRad, STRAIGHT_KNEE_SHARE * hipFlexionLimitRad + 0.5 * kneeFlexionRad);
  }

  /** Height of the ankle joint over the sole, m. */
  public double ankleHeightM() {
    return Segments.ANKLE_HEIGHT * statureM;
  }

  /** Half the distance between the hip joints, m. */
  public double hipHalfDistanceM() {
    return Segments.HIP_HALF_DISTANCE * statureM;
  }

  /** Mass of one thigh, kg. */
  public double thighMassKg() {
    return massKg * (sex == Sex.MALE ? Segments.THIGH_MASS_MALE : Segments.THIGH_MASS_FEMALE);
  }

  /** Mass of one shank, kg. */
  public double shankMassKg() {
    return massKg * (sex == Sex.MALE ? Segments.SHANK_MASS_MALE : Segments.SHANK_MASS_FEMALE);
  }

  /** Mass of one foot, kg. */
  public double footMassKg() {
    return massKg * (sex == Sex.MALE ? Segments.FOOT_MASS_MALE : Segments.FOOT_MASS_FEMALE);
  }

  /** Head, arms and trunk: the rest. */
  public double upperMassKg() {
    return massKg - 2 * (thighMassKg() + shankMassKg() + footMassKg());
  }

  /** Centre of mass of the thigh from the hip, as a share of its length. */
  public double thighComFraction() {
    return sex == Sex.MALE ? Segments.THIGH_COM_MALE : Segments.THIGH_COM_FEMALE;
  }

  /** Centre of mass of the shank from the knee, as a share of its length. */
  public double shankComFraction() {
    return sex == Sex.MALE ? Segments.SHANK_COM_MALE : Segments.SHANK_COM_FEMALE;
  }

  /**
   * Factor from the reference adult's muscle volumes to this person's: mass times stature
   * (Handsfield et al. 2014), times strength; a little less in women, who carry more of their mass
   * as fat.
   */
  public double volumeFactor() {
    return strength
        * (sex == Sex.MALE ? 1 : WOMAN_LEG)
        * massKg
        * statureM
        / (Muscles.REFERENCE_MASS_KG * Muscles.REFERENCE_STATURE_M);
  }

  /** Shoulder to a weight that hangs in the hand: the arm, and what the shoulders give, m. */
  public double hangM() {
    return (1 + Segments.SHOULDERS_GIVE) * armM;
  }

  /** Factor from the reference adult's lengths and moment arms to this person's. */
  public double lengthFactor() {
    return statureM / Muscles.REFERENCE_STATURE_M;
  }

  /** This body while one or more of its values are changed. */
  private static final class Change {
    private double statureM;
    private double massKg;
    private Sex sex;
    private double thighM;
    private double shankM;
    private double trunkM;
    private double footM;
    private double armM;
    private double strength;
    private double dorsiflexionLimitRad;
    private double hipFlexionLimitRad;
    private double kneeFlexionLimitRad;
    private double hipOpeningLimitRad;
    private double lumbarNm;
    private double heldKg;
    private Technique technique;
    private Girths girths;

    Change(Body of) {
      statureM = of.statureM;
      massKg = of.massKg;
      sex = of.sex;
      thighM = of.thighM;
      shankM = of.shankM;
      trunkM = of.trunkM;
      footM = of.footM;
      armM = of.armM;
      strength = of.strength;
      dorsiflexionLimitRad = of.dorsiflexionLimitRad;
      hipFlexionLimitRad = of.hipFlexionLimitRad;
      kneeFlexionLimitRad = of.kneeFlexionLimitRad;
      hipOpeningLimitRad = of.hipOpeningLimitRad;
      lumbarNm = of.lumbarNm;
      heldKg = of.heldKg;
      technique = of.technique;
      girths = of.girths;
    }

    Body made() {
      return new Body(
          statureM,
          massKg,
          sex,
          thighM,
          shankM,
          trunkM,
          footM,
          armM,
          strength,
          dorsiflexionLimitRad,
          hipFlexionLimitRad,
          kneeFlexionLimitRad,
          hipOpeningLimitRad,
          lumbarNm,
          heldKg,
          technique,
          girths);
    }
  }
}
