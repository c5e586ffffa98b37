package istmo.core.picture;

import istmo.core.movement.Posture;
import istmo.core.picture.TechniqueReading.Compared;
import istmo.core.quantity.InvalidInput;
import java.util.List;

/**
 * A picture of one client from the front at the bottom of a repetition, beside what Istmo assumed.
 *
 * @param figures angles in deg and lengths in m
 * @param findings what is worth a word
 */
public record FrontReading(List<Compared> figures, List<FrontPicture.Finding> findings) {
  /** A shank stands whose height is a greater share of its length. */
  private static final double STANDS = 0.5;

  /**
   * Reads a picture from the front. Throws {@link InvalidInput} on field "candidateId" where the
   * feet do not stand alike.
   */
  public static FrontReading of(TechniqueReading.Subject subject, FrontPicture picture) {
    TechniqueReading.Assumed assumed = TechniqueReading.assumed(subject);
    if (!assumed.scene().alike() || !stands(assumed.scene())) {
      throw new InvalidInput(
          "candidateId", "is read from the front only where the client stands on both feet alike");
    }
    FrontPicture.Measures measures = picture.read(assumed.scene());
    Posture.Points points = assumed.scene().posture().points();
    double ahead = points.toe().x() - points.ankle().x();
    double aside = points.toe().z() - points.ankle().z();
    double toesOut = Math.atan2(aside, ahead);
    double line =
        points.ankle().z()
            + (points.knee().x() - points.ankle().x()) / Math.max(0.05, ahead) * aside;
    double kneeIn = line - points.knee().z();
    return new FrontReading(
        List.of(
            new Compared(
                "stance", "Stance, ankle to ankle", "m", measures.stance(), 2 * points.ankle().z()),
            Compared.degrees("toesOutLeft", "Left toes out", measures.toesOutLeft(), toesOut),
            Compared.degrees("toesOutRight", "Right toes out", measures.toesOutRight(), toesOut),
            new Compared(
                "kneeInLeft", "Left knee inside its toes", "m", measures.kneeInLeft(), kneeIn),
            new Compared(
                "kneeInRight", "Right knee inside its toes", "m", measures.kneeInRight(), kneeIn),
            Compared.degrees("pelvis", "Pelvis lower at the left", measures.pelvis(), 0)),
        FrontPicture.findings(measures));
  }

  /** Whether the shanks stand, so that their height can be a scale. */
  private static boolean stands(Scene scene) {
    Posture.Points points = scene.posture().points();
    return points.knee().y() - points.ankle().y() > STANDS * scene.body().shankM()
        && points.shoulder().y() > points.hip().y();
  }
}
