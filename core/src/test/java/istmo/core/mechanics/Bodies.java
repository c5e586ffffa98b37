package istmo.core.mechanics;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Families;
import java.util.Map;

/** Bodies and short cuts for tests. */
public final class Bodies {
  public static final Body MAN = Body.estimated(1.78, 80, Sex.MALE);

  /**
   * One who lifts: half as strong again as the average adult of the isometric studies, to whom the
   * muscle table is fitted; legs and back, and hands that end nothing.
   */
  public static final Body LIFTER = MAN.withStrength(1.5, 1.5 * MAN.lumbarNm()).withGrip(110);

  public static final Body WOMAN = Body.estimated(1.65, 62, Sex.FEMALE);

  /** A knee machine with a round pulley. */
  public static final Map<String, Double> ROUND =
      Map.of("curve0", 1.0, "curve30", 1.0, "curve60", 1.0, "curve90", 1.0, "curve120", 1.0);

  public static final int MUSCLES = istmo.core.anatomy.Muscles.standard().all().size();

  private Bodies() {}

  /** The usual set-up of a family with some values changed. */
  public static Setup setup(String family, Map<String, Double> changes) {
    return Setup.of(Families.get(family).parameters(), changes);
  }

  /** A posture that must be possible. */
  public static Posture posture(
      Body body, String family, Map<String, Double> changes, double phase, double load) {
    Family known = Families.get(family);
    return (Posture) known.posture(body, setup(family, changes), phase, load);
  }

  /** The analysis of a set that must be possible. */
  public static Analysis analysis(Body body, String family, Map<String, Double> changes) {
    AnalysisResult result =
        new Analyser(body).analyse(Families.get(family), setup(family, changes), LoadRule.USUAL);
    if (result instanceof CannotAnalyse analyse) {
      throw new AssertionError(family + " " + changes + ": " + analyse);
    }
    return (Analysis) result;
  }
}
