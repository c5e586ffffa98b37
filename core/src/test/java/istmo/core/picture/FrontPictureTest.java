package istmo.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Posture;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Vec3;
import istmo.core.words.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Pictures from the front whose truth is known: the model's squat before a {@link Photographer}.
 */
class FrontPictureTest {
  private static final Body MAN = Body.estimated(1.80, 82, Sex.MALE);
  private static final Candidate SQUAT = Catalogue.standard().candidate("back-squat/high-bar");

  private static TechniqueReading.Subject subject(Candidate candidate) {
    return new TechniqueReading.Subject(
        MAN, Set.of(), candidate, GymEquipment.generic(Set.of()), Map.of(), Optional.of(80.0));
  }

  private static final Posture BOTTOM = TechniqueReading.assumed(subject(SQUAT)).scene().posture();

  /**
   * The squat from the front. The client's right is at the left of the picture.
   *
   * @param yawDeg how far the camera stands to the client's right
   * @param tiltDeg how far the picture is turned clockwise
   * @param kneeInM how far the client's left knee falls inwards
   * @param hipDropM how much lower the hip bone of the client's right side is
   */
  private static FrontPicture picture(
      double yawDeg, double tiltDeg, double kneeInM, double hipDropM, double noisePx) {
    Random random = new Random(4);
    Posture.Points at = BOTTOM.points();
    List<Mark> marks = new ArrayList<>();
    Landmark[][] names = {
      {Landmark.TOE_LEFT, Landmark.ANKLE_LEFT, Landmark.KNEE_LEFT, Landmark.HIP_LEFT},
      {Landmark.TOE_RIGHT, Landmark.ANKLE_RIGHT, Landmark.KNEE_RIGHT, Landmark.HIP_RIGHT}
    };
    Vec3 bone = at.hip().plus(0.08, Vec3.UP).plus(0.05, Vec3.RIGHT);
    for (int side = 0; side < 2; side++) { // 0: the client's right, at the left of the picture
      int sign = side == 0 ? 1 : -1;
      Vec3[] places = {
        at.toe(),
        at.ankle(),
        at.knee().plus(side == 1 ? -kneeInM : 0, Vec3.RIGHT),
        bone.plus(side == 0 ? -hipDropM : 0, Vec3.UP)
      };
      for (int k = 0; k < places.length; k++) {
        Vec3 place = new Vec3(places[k].x(), places[k].y(), sign * places[k].z());
        marks.add(mark(names[side][k], place, yawDeg, tiltDeg, noisePx, random));
      }
    }
    Vec3 post = new Vec3(-0.6, 0, 0.9);
    marks.add(mark(Landmark.UPRIGHT_FOOT, post, yawDeg, tiltDeg, 0, random));
    marks.add(mark(Landmark.UPRIGHT_TOP, post.plus(1.6, Vec3.UP), yawDeg, tiltDeg, 0, random));
    return new FrontPicture(Photographer.WIDTH, Photographer.HEIGHT, marks);
  }

  private static Mark mark(
      Landmark landmark, Vec3 place, double yawDeg, double tiltDeg, double noisePx, Random random) {
    double[] at =
        new Photographer(90 - yawDeg, tiltDeg, 3, 0.6, 0).onFilm(place, new Vec3(0, 0.6, 0));
    return new Mark(
        landmark, at[0] + noisePx * random.nextGaussian(), at[1] + noisePx * random.nextGaussian());
  }

  private static FrontPicture.Measures measures(FrontPicture picture) {
    return picture.read(TechniqueReading.assumed(subject(SQUAT)).scene());
  }

  @Test
  void stanceAndToesAreReadFromStraightAheadAndFromASide() {
    double stance = 2 * BOTTOM.points().ankle().z();
    Vec3 foot = BOTTOM.points().toe().minus(BOTTOM.points().ankle());
    double toesOut = Math.atan2(foot.z(), foot.x());
    for (double yaw : new double[] {0, 8, -8}) {
      FrontPicture.Measures measures = measures(picture(yaw, 4, 0, 0, 1));
      assertThat(measures.stance().value()).as("at %s°", yaw).isCloseTo(stance, within(0.03));
      assertThat(measures.toesOutLeft().value()).isCloseTo(toesOut, within(Math.toRadians(5)));
      assertThat(measures.toesOutRight().value()).isCloseTo(toesOut, within(Math.toRadians(5)));
      assertThat(Math.toDegrees(measures.yaw().value())).isCloseTo(yaw, within(4.0));
      assertThat(measures.pelvis().value()).isCloseTo(0, within(Math.toRadians(2)));
    }
  }

  @Test
  void aKneeThatFallsInIsTold() {
    FrontPicture.Measures as = measures(picture(0, 0, 0, 0, 0));
    FrontPicture.Measures in = measures(picture(0, 0, 0.10, 0, 0));
    assertThat(in.kneeInRight().value() - as.kneeInRight().value())
        .as("the client's left knee is at the right of the picture")
        .isCloseTo(0.10, within(0.015));
    assertThat(in.kneeInLeft().value()).isCloseTo(as.kneeInLeft().value(), within(0.01));
    assertThat(Said.all(FrontPicture.findings(in)))
        .anyMatch(words -> words.startsWith("The right knee"));
  }

  @Test
  void aPelvisThatDropsIsTold() {
    FrontPicture.Measures measures = measures(picture(0, 6, 0, 0.05, 0));
    assertThat(Math.toDegrees(measures.pelvis().value())).isBetween(6.0, 16.0);
    assertThat(Said.all(FrontPicture.findings(measures)))
        .anyMatch(words -> words.startsWith("The pelvis is lower at the left"));
  }

  @Test
  void whatIsNotSeenFromTheFrontIsRefused() {
    assertThatThrownBy(() -> measures(picture(35, 0, 0, 0, 0)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("camera stood");
    Candidate split = Catalogue.standard().candidate("split-squat/upright");
    assertThatThrownBy(() -> FrontReading.of(subject(split), picture(0, 0, 0, 0, 0)))
        .hasMessageContaining("candidateId");
    assertThatThrownBy(() -> new FrontPicture(800, 600, List.of()))
        .hasMessageContaining("left toe");
  }

  @Test
  void aReadingStandsBesideWhatWasAssumed() {
    FrontReading reading = FrontReading.of(subject(SQUAT), picture(0, 0, 0, 0, 0));
    TechniqueReading.Compared stance = reading.figures().get(0);
    assertThat(stance.seen().value()).isCloseTo(stance.assumed(), within(0.03));
    assertThat(stance.seen().error()).isBetween(0.005, 0.06);
    assertThat(reading.findings()).isNotEmpty();
  }
}
