package istmo.core.words;

import static istmo.core.words.Say.say;
import static istmo.core.words.Say.side;
import static java.lang.Math.toDegrees;

import istmo.core.body.Measurement.Side;
import istmo.core.movement.SetupParameter;
import istmo.core.picture.Figure;
import istmo.core.picture.Film;
import istmo.core.picture.FrontPicture;
import istmo.core.picture.FrontPicture.KneeInside;
import istmo.core.picture.FrontPicture.PelvisLower;
import istmo.core.picture.PictureReading;
import istmo.core.picture.PictureReading.NotLevel;
import istmo.core.picture.PictureReading.NotSquare;
import istmo.core.picture.PictureReading.NothingFits;
import istmo.core.picture.PictureReading.OneMarkAstray;
import istmo.core.picture.PictureReading.TooOpen;
import istmo.core.picture.TechniqueFit;
import istmo.core.picture.TechniqueFit.LeansUnlikeModel;
import istmo.core.picture.TechniqueFit.ShinBeyondAnkle;
import istmo.core.picture.TechniqueReading;
import istmo.core.watching.WatchedSet;
import java.util.List;
import java.util.stream.Collectors;

/** What is said of pictures, films and sets that a sensor watched. */
public final class PictureWords {
  private PictureWords() {}

  /** Why marks do not tell a posture. */
  public static String reason(PictureReading.Why why) {
    if (why instanceof NothingFits) {
      return "No posture fits these marks.";
    }
    if (why instanceof NotSquare camera) {
      return say(
          "The camera stood %d° %s the client's side.",
          Math.round(toDegrees(Math.abs(camera.yawRad()))), aside(camera.yawRad()));
    }
    if (why instanceof NotLevel) {
      return "The camera looked too much up or down.";
    }
    if (why instanceof TooOpen open) {
      return say(
          "These marks leave the angles open by more than %d°.",
          Math.round(toDegrees(open.mostErrorRad())));
    }
    OneMarkAstray astray = (OneMarkAstray) why;
    return say(
        "The marks do not fit one body: look at the %s first (%s).",
        astray.worst().label(), astray.worst().where());
  }

  /** What to do where marks do not tell a posture. */
  public static String remedy(PictureReading.Why why) {
    if (why instanceof NothingFits) {
      return "Look at each mark again, or take another picture.";
    }
    if (why instanceof NotSquare camera) {
      return "Stand square to the side, further "
          + (camera.yawRad() > 0 ? "back" : "forward")
          + ", with the lens at hip height.";
    }
    if (why instanceof NotLevel) {
      return "Hold the lens at hip height and level.";
    }
    return why instanceof TooOpen
        ? "Mark something upright and the other ankle too, or take a larger picture."
        : "Move the mark, or measure this client's thigh and shank by tape.";
  }

  private static String aside(double yawRad) {
    return yawRad > 0 ? "in front of" : "behind";
  }

  /** What would make a reading surer. */
  public static String of(PictureReading.Surer surer) {
    return switch (surer) {
      case MARK_UPRIGHT ->
          "Mark a rack post or a door frame too: it says how the camera was tilted.";
      case MARK_OTHER_ANKLE ->
          "Mark the other ankle too: it says how far from square the camera stood.";
    };
  }

  /** How the camera stood. */
  public static String camera(PictureReading.Seen seen) {
    Figure yaw = seen.yaw();
    return Math.abs(yaw.value()) < yaw.error()
        ? "The camera stood square to the side, as far as the marks tell."
        : say(
            "The camera stood %d° %s square; the figures allow for it.",
            Math.round(toDegrees(Math.abs(yaw.value()))), aside(yaw.value()));
  }

  /** What of the technique is otherwise than assumed. */
  public static List<String> technique(TechniqueReading reading) {
    List<TechniqueFit.Adjusted> otherwise = reading.otherwise();
    return otherwise.isEmpty()
        ? List.of("Moves as Istmo assumed, as far as this picture can tell.")
        : otherwise.stream().map(PictureWords::of).toList();
  }

  private static String of(TechniqueFit.Adjusted adjusted) {
    SetupParameter parameter = adjusted.parameter();
    return say(
        "%s %s (± %s) instead of %s.",
        parameter.label(),
        MovementWords.value(parameter, adjusted.seen()),
        MovementWords.value(parameter, adjusted.error()),
        MovementWords.value(parameter, adjusted.assumed()));
  }

  /** What a picture says that the model does not know. */
  public static String of(TechniqueFit.Remark remark) {
    if (remark instanceof ShinBeyondAnkle shin) {
      return say(
          "The shin leans by %d°. With the heel down that is more than the ankle was taken to bend"
              + " (%d°): measure knee to wall.",
          Math.round(toDegrees(shin.leanRad())), Math.round(toDegrees(shin.mostRad())));
    }
    LeansUnlikeModel lean = (LeansUnlikeModel) remark;
    return say(
        "No balance that the model knows leans the %s as seen: it would lean by %d° %s. Check its"
            + " marks, the load and the set-up.",
        lean.segment().name().toLowerCase(java.util.Locale.ROOT),
        Math.round(toDegrees(Math.abs(lean.byRad()))),
        lean.byRad() > 0 ? "more" : "less");
  }

  /** What a picture from the front tells. */
  public static String of(FrontPicture.Finding finding) {
    if (finding instanceof KneeInside knee) {
      return say(
          "The %s knee goes %.0f cm (± %.0f cm) %s its toes.",
          side(knee.side()),
          100 * Math.abs(knee.by().value()),
          100 * knee.by().error(),
          knee.by().value() > 0 ? "inside" : "outside");
    }
    return finding instanceof PelvisLower pelvis
        ? say(
            "The pelvis is lower at the %s by %.0f° (± %.0f°).",
            side(pelvis.by().value() > 0 ? Side.LEFT : Side.RIGHT),
            toDegrees(Math.abs(pelvis.by().value())),
            toDegrees(pelvis.by().error()))
        : "The knees stay over the toes, as far as this picture can tell.";
  }

  /** What is otherwise than in the first repetitions of a film. */
  public static String of(Film.Finding finding) {
    String what =
        switch (finding.kind()) {
          case LEANS_MORE -> "Leans further at the low end than in the first";
          case HIPS_FIRST -> "The hips rise before the shoulders";
          case HEELS_LIFT -> "The heel leaves the floor";
        };
    return what + ", in " + numbers(finding.repetitions()) + ".";
  }

  /** A mark that was lost in many frames. */
  public static String of(Film.Lost lost) {
    return say(
        "The %s was lost in %d of %d frames. Mark it on another frame, or put a spot of tape on"
            + " it.",
        lost.landmark().label(), lost.missing(), lost.of());
  }

  /** How watched repetitions differ from what was asked. */
  public static String of(WatchedSet.Deviation deviation) {
    String which = numbers(deviation.repetitions());
    return switch (deviation.kind()) {
      case SHORT_RANGE ->
          say("Less than %.0f %% of the first ones' range in %s.", 100 * deviation.least(), which);
      case DROPPED_LOWERING ->
          say(
              "Lowered in less than %.1f s, %s are asked, in %s.",
              deviation.least(), seconds(deviation.asked()), which);
      case MISSED_PAUSE ->
          say(
              "Still at the long end for less than %.1f s, %s are asked, in %s.",
              deviation.least(), seconds(deviation.asked()), which);
    };
  }

  private static String seconds(double s) {
    return s == Math.rint(s) ? say("%.0f s", s) : say("%.1f s", s);
  }

  private static String numbers(List<Integer> of) {
    return Say.of(of.size(), "repetition")
        + " "
        + of.stream().map(String::valueOf).collect(Collectors.joining(", "));
  }
}
