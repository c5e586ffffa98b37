package istmo.core.anatomy;

/**
 * Body segments of people in general. Lengths are fractions of stature (Drillis and Contini 1966,
 * as in Winter 2009, figure 4.1); masses are fractions of body mass and centres of mass fractions
 * of segment length from the proximal end (de Leva 1996, table 4). All from memory of those tables.
 */
public final class Segments {
  public static final double THIGH_LENGTH = 0.245;
  public static final double SHANK_LENGTH = 0.246;
  public static final double HIP_TO_SHOULDER = 0.288;
  public static final double FOOT_LENGTH = 0.152;
  public static final double ANKLE_HEIGHT = 0.039;

  /**
   * Half the distance between the hip joint centres; narrower than half the hip breadth of 0.191
   * (own estimate).
   */
  public static final double HIP_HALF_DISTANCE = 0.0485;

  /**
   * Shoulder to a bar in the closed hand: upper arm 0.186, forearm 0.146, wrist to knuckles 0.053.
   * Heights of shoulder and knuckles in Pheasant 1986 (men, from memory) give the same.
   */
  public static final double SHOULDER_TO_GRIP = 0.385;

  /**
   * What the shoulder blades give under a weight that hangs in the hands, as a share of the arm: 3
   * cm of the 10 and more that they can slide (own estimate).
   */
  public static final double SHOULDERS_GIVE = 0.045;

  public static final double THIGH_MASS_MALE = 0.1416;
  public static final double THIGH_MASS_FEMALE = 0.1478;
  public static final double SHANK_MASS_MALE = 0.0433;
  public static final double SHANK_MASS_FEMALE = 0.0481;
  public static final double FOOT_MASS_MALE = 0.0137;
  public static final double FOOT_MASS_FEMALE = 0.0129;

  public static final double THIGH_COM_MALE = 0.4095;
  public static final double THIGH_COM_FEMALE = 0.3612;
  public static final double SHANK_COM_MALE = 0.4459;
  public static final double SHANK_COM_FEMALE = 0.4416;

  /**
   * Centre of mass of head, arms and trunk above the hip, as a fraction of hip-to-shoulder length:
   * hands at the shoulders (own estimate from de Leva's parts).
   */
  public static final double UPPER_COM_HANDS_UP = 0.70;

  /** The same with the arms hanging. */
  public static final double UPPER_COM_HANGING = 0.63;

  /** Share of body mass that belongs to the trunk but hangs below L5/S1 (own estimate). */
  public static final double PELVIS_MASS = 0.09;

  /** L5/S1 in pelvis axes: behind the hip centres (m) and above them (fraction of stature). */
  public static final double L5_BACK_M = 0.03;

  public static final double L5_UP = 0.055;

  /**
   * Ankle in front of the heel, and ball of the foot in front of the heel, as fractions of foot
   * length.
   */
  public static final double ANKLE_FROM_HEEL = 0.25;

  public static final double BALL_FROM_HEEL = 0.70;
  public static final double MIDDLE_FROM_HEEL = 0.50;

  private Segments() {}
}
