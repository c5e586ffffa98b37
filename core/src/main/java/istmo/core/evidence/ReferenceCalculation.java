package istmo.core.evidence;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Catalogue;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.Musculature;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.movement.Family;
import istmo.core.movement.Reach;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the mechanics says of every candidate, study condition and side of a claim on a reference
 * body, and how that changes with each {@link Unknown}: the lines of {@code
 * evidence/reference.txt}, calculated once for a state of the mechanics; {@link Reference} reads
 * the result.
 */
final class ReferenceCalculation {
  /** An average adult, as in most studies, with straps where the hands would end a set. */
  static final Body BODY = Body.estimated(1.75, 75, Sex.MALE).withGrip(Body.GRIP_KG.max());

  /** One who lifts, half as strong again: for what an average adult cannot do ten times. */
  static final Body LIFTER =
      BODY.withStrength(1.5, 1.5 * BODY.lumbarNm()).withGrip(Body.GRIP_KG.max());

  /**
   * Schools of one length bias and stretch weight each: any other's stimulus is bilinear in the two
   * (as long as no length weight is cut off, which no school's is).
   */
  static final School[] CORNERS = {corner(0, 0), corner(1, 0), corner(0, 1), corner(1, 1)};

  /** Schools for which changes are kept: short, all alike, long. */
  static final School[] SLOPES = {School.SQUEEZE, School.WHOLE_RANGE, School.STRETCH};

  /** Changes of ln(stimulus) by one standard deviation that are too small to keep. */
  private static final double KEPT = 0.015;

  /** Of the usual repetitions, so many count as all. */
  private static final double ENOUGH_REPETITIONS = SetSimulation.COMPARED_REPETITIONS - 0.5;

  private ReferenceCalculation() {}

  private static School corner(double bias, double passive) {
    return new School(
        "", "", "", School.STRETCH.recruitment(), bias, School.STRETCH.powerMean(), passive);
  }

  /** Candidates first, then conditions, then sides of claims; each key once. */
  static List<Point> points() {
    Map<String, Point> points = new LinkedHashMap<>();
    Catalogue.standard().candidates().stream()
        .map(Point::of)
        .forEach(point -> points.put(point.key(), point));
    Studies.standard().points().forEach(point -> points.putIfAbsent(point.key(), point));
    Claims.standard().points().forEach(point -> points.putIfAbsent(point.key(), point));
    return List.copyOf(points.values());
  }

  /**
   * Stimulus by region of a point, at a state of the unknowns, for several schools; empty where the
   * posture cannot be taken.
   */
  static Optional<double[][]> stimulus(Point point, Unknown.Case example, School[] schools) {
    return set(point, example)
        .map(
            set ->
                Stream.of(schools)
                    .map(school -> Stimulus.byRegion(set, school).stream().toArray())
                    .toArray(double[][]::new));
  }

  /** The set of the usual repetitions; empty where the posture cannot be taken. */
  private static Optional<SimulatedSet> set(Point point, Unknown.Case example) {
    Family family = point.exercise().family();
    return Reach.of(example.body(), family, example.setup(), point.yields())
        .map(
            reach ->
                new Analyser(example.body(), new Musculature(example.body(), example.muscles()))
                    .analyse(family, reach.setup(), LoadRule.USUAL))
        .filter(Analysis.class::isInstance)
        .map(result -> ((Analysis) result).set());
  }

  /**
   * The reference body for a point: the average adult, or the lifter where only the lifter does the
   * usual repetitions. What neither does is told of the first that takes the posture; empty where
   * neither does. Where body mass alone ends a set early, a little more strength gives many more
   * repetitions; for a client who adds load it gives more load and the same repetitions.
   */
  static Optional<Unknown.Case> usual(Point point) {
    Optional<Unknown.Case> first = Optional.empty();
    for (Body body : List.of(BODY, LIFTER)) {
      Unknown.Case example = usual(point, body);
      Optional<SimulatedSet> set = set(point, example);
      if (first.isEmpty() && set.isPresent()) {
        first = Optional.of(example);
      }
      if (set.isPresent() && set.get().repetitions() >= ENOUGH_REPETITIONS) {
        return Optional.of(example);
      }
    }
    return first;
  }

  static Unknown.Case usual(Point point, Body body) {
    return new Unknown.Case(
        body, Muscles.standard().all(), point.setup(), point.exercise().family().parameters());
  }

  /** The table's lines for a point; none where neither reference body can do it. */
  static List<String> lines(Point point) {
    Optional<Unknown.Case> can = usual(point);
    if (can.isEmpty()) {
      return List.of();
    }
    Unknown.Case usual = can.get();
    List<String> lines =
        new ArrayList<>(List.of(baseLine(point, stimulus(point, usual, CORNERS).orElseThrow())));
    Sensitivity sensitivity = new Sensitivity(point, usual);
    for (Unknown unknown : Unknown.all()) {
      Optional<double[][]> change = sensitivity.to(unknown);
      if (change.isEmpty()) {
        continue;
      }
      List<String> parts = new ArrayList<>();
      for (int r = 0; r < Region.values().length; r++) {
        double most = 0;
        for (double[] bySchool : change.get()) {
          most = Math.max(most, Math.abs(bySchool[r]));
        }
        if (most >= KEPT) {
          int region = r;
          parts.add(
              Region.values()[r].id()
                  + " "
                  + Arrays.stream(change.get())
                      .map(bySchool -> String.format(Locale.ROOT, "%.0f", 100 * bySchool[region]))
                      .collect(Collectors.joining("/")));
        }
      }
      if (!parts.isEmpty()) {
        lines.add(point.key() + "|" + unknown.id() + "|" + String.join(", ", parts));
      }
    }
    return lines;
  }

  /** "key||region s00/s10/s01/s11, ...": the stimulus at the {@link #CORNERS}. */
  static String baseLine(Point point, double[][] base) {
    List<String> parts = new ArrayList<>();
    List<Region> regions = List.of(Region.values());
    for (int r = 0; r < regions.size(); r++) {
      StringBuilder text = new StringBuilder(regions.get(r).id());
      for (int s = 0; s < CORNERS.length; s++) {
        text.append(s == 0 ? ' ' : '/').append(String.format(Locale.ROOT, "%.3f", base[s][r]));
      }
      parts.add(text.toString());
    }
    return point.key() + "||" + String.join(", ", parts);
  }
}
