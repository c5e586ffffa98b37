package istmo.core.picture;

import istmo.core.picture.PictureReading.Seen;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.quantity.Vec3;
import istmo.core.watching.RepetitionFinder;
import istmo.core.watching.RepetitionFinder.Repetition;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.WatchedSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A set read from a film: marks set on one frame and followed through the others. The camera and
 * the body's lengths are those of the marked frame.
 *
 * @param moments the posture over time
 * @param repetitions what was found in them
 * @param watched the repetitions beside what was asked
 * @param findings what else was otherwise than in the first repetitions
 * @param lost marks that were lost in many frames
 */
public record Film(
    List<Moment> moments,
    List<FilmedRepetition> repetitions,
    WatchedSet watched,
    List<Finding> findings,
    List<Lost> lost) {
  public static final Allowed FRAMES = new Allowed(5, 5000, "frames");

  /** The lean changes by so much before it is told, rad (own estimate: twice the marks' error). */
  private static final double LEANS_MORE = Math.toRadians(8);

  /** Share of a lifting at which hips that rise first have made the trunk lean more. */
  private static final double EARLY = 0.35;

  /** A heel that rises so much has left the floor, m (own estimate: twice the marks' error). */
  private static final double HEEL_LIFTS_M = 0.025;

  /** A mark that is lost in a greater share of the frames is told. */
  private static final double LOST_SHARE = 0.1;

  private static final List<Landmark> FOLLOWED =
      List.of(Landmark.ANKLE, Landmark.KNEE, Landmark.HIP, Landmark.SHOULDER);

  /** One frame: where followed marks are; marks that were lost are missing. */
  public record Frame(double timeS, List<Mark> marks) {
    public Frame {
      marks = List.copyOf(marks);
    }
  }

  /**
   * The posture at one moment, angles in rad and lengths in m.
   *
   * @param height of what goes up and down with the repetition
   * @param heel height of the heel over where it was marked; empty where it is not followed
   */
  public record Moment(
      double timeS,
      double shank,
      double thigh,
      double trunk,
      double height,
      Optional<Double> heel) {
    /** Shank and thigh together. */
    public double kneeBend() {
      return shank + thigh;
    }
  }

  /** One repetition, with the posture at its low end. */
  public record FilmedRepetition(Repetition timing, Moment low) {}

  /** What differs. */
  public enum Kind {
    LEANS_MORE,
    HIPS_FIRST,
    HEELS_LIFT
  }

  /** What differs, and in which repetitions, from 1. */
  public record Finding(Kind kind, List<Integer> repetitions) implements Fact {}

  /** A mark that was lost in many of the frames. */
  public record Lost(Landmark landmark, long missing, int of) implements Fact {}

  public Film {
    moments = List.copyOf(moments);
    repetitions = List.copyOf(repetitions);
    findings = List.copyOf(findings);
    lost = List.copyOf(lost);
  }

  /**
   * Reads followed marks.
   *
   * @param marked the picture on which they were set
   * @param seen what it told
   * @param asked of each repetition
   */
  static Film of(SidePicture marked, Seen seen, List<Frame> frames, WatchedSet.Asked asked) {
    FRAMES.check("frames", frames.size());
    for (int k = 1; k < frames.size(); k++) {
      if (!(frames.get(k).timeS() > frames.get(k - 1).timeS())) {
        throw new InvalidInput("frames[" + k + "].timeS", "is later than the frame before it");
      }
    }
    SidePicture.Righted righted = marked.righted();
    List<Map<Landmark, Vec3>> places = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    for (Frame frame : frames) {
      Map<Landmark, Vec3> at = places(righted, seen, frame);
      if (at.keySet().containsAll(FOLLOWED)) {
        places.add(at);
        times.add(frame.timeS());
      }
    }
    if (places.size() < FRAMES.min()) {
      throw new InvalidInput(
          "frames", "keep ankle, knee, hip and shoulder in too few of them; mark another frame");
    }
    Landmark mover = mover(places);
    List<Moment> moments = new ArrayList<>();
    for (int k = 0; k < places.size(); k++) {
      moments.add(moment(times.get(k), places.get(k), mover, seen));
    }
    List<Repetition> found =
        RepetitionFinder.ofBar()
            .find(
                moments.stream()
                    .map(moment -> new Sample(moment.timeS(), moment.height()))
                    .toList());
    List<FilmedRepetition> repetitions =
        found.stream()
            .map(repetition -> new FilmedRepetition(repetition, at(moments, repetition.startS())))
            .toList();
    return new Film(
        moments,
        repetitions,
        WatchedSet.of(found, asked),
        findings(moments, repetitions),
        lost(marked, frames));
  }

  private static List<Lost> lost(SidePicture marked, List<Frame> frames) {
    List<Lost> lost = new ArrayList<>();
    for (Landmark landmark : Landmark.values()) {
      long missing =
          frames.stream()
              .filter(
                  frame -> frame.marks().stream().noneMatch(mark -> mark.landmark() == landmark))
              .count();
      boolean followed = missing < frames.size() && marked.times(landmark) > 0;
      if (followed && missing > LOST_SHARE * frames.size()) {
        lost.add(new Lost(landmark, missing, frames.size()));
      }
    }
    return lost;
  }

  private static Map<Landmark, Vec3> places(SidePicture.Righted righted, Seen seen, Frame frame) {
    return frame.marks().stream()
        .filter(mark -> seen.places().containsKey(mark.landmark()))
        .collect(
            Collectors.toMap(
                Mark::landmark,
                mark ->
                    seen.through()
                        .pointAt(
                            righted.across(mark),
                            righted.up(mark),
                            Required.entry(seen.places(), mark.landmark()).z()),
                (one, again) -> again));
  }

  /** Hip or shoulder, whichever goes further up and down. */
  private static Landmark mover(List<Map<Landmark, Vec3>> places) {
    return range(places, Landmark.SHOULDER) > range(places, Landmark.HIP)
        ? Landmark.SHOULDER
        : Landmark.HIP;
  }

  private static double range(List<Map<Landmark, Vec3>> places, Landmark landmark) {
    double[] heights =
        places.stream().mapToDouble(at -> Required.entry(at, landmark).y()).sorted().toArray();
    int edge = heights.length / 20; // single frames that went astray do not count
    return heights[heights.length - 1 - edge] - heights[edge];
  }

  private static Moment moment(double timeS, Map<Landmark, Vec3> at, Landmark mover, Seen seen) {
    Vec3 ankle = Required.entry(at, Landmark.ANKLE);
    Vec3 knee = Required.entry(at, Landmark.KNEE);
    Vec3 hip = Required.entry(at, Landmark.HIP);
    Vec3 shoulder = Required.entry(at, Landmark.SHOULDER);
    Optional<Double> heel =
        Optional.ofNullable(at.get(Landmark.HEEL))
            .map(place -> place.y() - Required.entry(seen.places(), Landmark.HEEL).y());
    return new Moment(
        timeS,
        lean(ankle, knee),
        -lean(knee, hip),
        lean(hip, shoulder),
        Required.entry(at, mover).y() - ankle.y(),
        heel);
  }

  private static double lean(Vec3 from, Vec3 to) {
    return Math.atan2(to.x() - from.x(), to.y() - from.y());
  }

  private static Moment at(List<Moment> moments, double timeS) {
    Moment nearest = moments.get(0);
    for (Moment moment : moments) {
      if (Math.abs(moment.timeS() - timeS) < Math.abs(nearest.timeS() - timeS)) {
        nearest = moment;
      }
    }
    return nearest;
  }

  private static List<Finding> findings(List<Moment> moments, List<FilmedRepetition> repetitions) {
    List<Integer> leaning = new ArrayList<>();
    List<Integer> hipsFirst = new ArrayList<>();
    List<Integer> lifted = new ArrayList<>();
    for (int k = 0; k < repetitions.size(); k++) {
      Repetition timing = repetitions.get(k).timing();
      double low = repetitions.get(k).low().trunk();
      if (low > repetitions.get(0).low().trunk() + LEANS_MORE) {
        leaning.add(k + 1);
      }
      double early = timing.startS() + EARLY * (timing.endS() - timing.startS());
      if (at(moments, early).trunk() > low + LEANS_MORE) {
        hipsFirst.add(k + 1);
      }
      double from = timing.startS() - Math.max(0.3, timing.loweringS());
      boolean rises =
          moments.stream()
              .filter(moment -> moment.timeS() >= from && moment.timeS() <= timing.endS())
              .anyMatch(moment -> moment.heel().filter(up -> up > HEEL_LIFTS_M).isPresent());
      if (rises) {
        lifted.add(k + 1);
      }
    }
    List<Finding> findings = new ArrayList<>();
    add(findings, Kind.LEANS_MORE, leaning);
    add(findings, Kind.HIPS_FIRST, hipsFirst);
    add(findings, Kind.HEELS_LIFT, lifted);
    return findings;
  }

  private static void add(List<Finding> findings, Kind kind, List<Integer> repetitions) {
    if (!repetitions.isEmpty()) {
      findings.add(new Finding(kind, repetitions));
    }
  }
}
