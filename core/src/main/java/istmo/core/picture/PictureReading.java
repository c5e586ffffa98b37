package istmo.core.picture;

import istmo.core.quantity.Fact;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Map;

/** What the marks on a picture tell. */
public sealed interface PictureReading {
  /**
   * The posture as seen. Leans are those of the segments seen exactly from the side.
   *
   * @param shank lean of the shank, knee in front of the ankle positive, rad
   * @param thigh lean of the thigh, hip behind the knee positive, rad; a right angle is parallel
   * @param trunk lean of the trunk, forward positive, rad
   * @param kneeBend shank and thigh together, rad
   * @param hipBend thigh and trunk together, rad
   * @param kneePastToe how far the knee is in front of the toes, m
   * @param hipAboveKnee height of the hip over the knee, m
   * @param yaw how far the camera stood in front of square, rad; negative behind
   * @param covariance of shank, thigh and trunk, rad2
   * @param fitted where the posture as read has each landmark of the body in the picture, pixels
   * @param expected where the posture that the model expected would have it
   * @param through the camera
   * @param places where the landmarks are, m; the ankle is the origin
   * @param remarks what would make it surer
   */
  record Seen(
      Figure shank,
      Figure thigh,
      Figure trunk,
      Figure kneeBend,
      Figure hipBend,
      Figure kneePastToe,
      Figure hipAboveKnee,
      Figure yaw,
      double[][] covariance,
      List<Mark> fitted,
      List<Mark> expected,
      Camera through,
      Map<Landmark, Vec3> places,
      List<Surer> remarks)
      implements PictureReading {
    public Seen {
      fitted = List.copyOf(fitted);
      expected = List.copyOf(expected);
      places = Map.copyOf(places);
      remarks = List.copyOf(remarks);
    }
  }

  /** What would make a reading surer. */
  enum Surer implements Fact {
    MARK_UPRIGHT,
    MARK_OTHER_ANKLE
  }

  /** The marks do not tell a posture; {@code words.PictureWords} says why and what to do. */
  record NotSeen(Why why) implements PictureReading, Outcome {}

  /** Why marks do not tell a posture. */
  sealed interface Why extends Fact {}

  /** No posture fits the marks. */
  record NothingFits() implements Why {}

  /** The camera stood so far in front of square, rad; behind it where negative. */
  record NotSquare(double yawRad) implements Why {}

  /** The camera looked too much up or down. */
  record NotLevel() implements Why {}

  /** The marks leave the angles open by more than so much, rad. */
  record TooOpen(double mostErrorRad) implements Why {}

  /** The marks do not fit one body; this one fits it least. */
  record OneMarkAstray(Landmark worst) implements Why {}
}
