package istmo.core.measuring;

import istmo.core.anatomy.MonotoneCurve;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.measuring.Pull.Direction;
import istmo.core.movement.Load;
import istmo.core.movement.ResistanceCurve;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What pulls with a hanging scale say of a machine. A lever machine: moment for each kilogram on
 * the stack over the lever's angle, through the means of near angles by a curve that does not
 * overshoot (Fritsch and Butland 1984), so that it is monotone wherever the readings are. A sled or
 * track: the mass that moves and what friction takes.
 *
 * <p>Half-way between a slow pull up and a slow let-down the friction is gone; half their
 * difference over the middle is the friction's share.
 *
 * @param values detail id to value, as the machine keeps them
 * @param points the fit at each pull, in the unit
 * @param unit of measured, fitted and generic: m (moment over weight) or N
 * @param repeatError standard deviation of pulls about the fit as a share of it
 * @param genericError the same about the generic type
 * @param notes what the coach should know of this fit
 */
public record ResistanceFit(
    Map<String, Double> values,
    List<Point> points,
    String unit,
    double repeatError,
    double genericError,
    List<Note> notes) {
  /** What is to be known of a fit; {@code words.BodyWords} says it. */
  public sealed interface Note extends Fact {}

  /** Lever angles between which it was measured, deg; beyond them the last value is kept. */
  public record MeasuredBetween(double fromDeg, double toDeg) implements Note {}

  /** No place has readings both ways; of a lever, or of a sled or track. */
  public record FrictionUnknown(boolean lever) implements Note {}

  /** The angle of rail or track is still generic. */
  public record AngleGeneric() implements Note {}

  /** One pull beside the fit and the generic type; friction taken out by its direction. */
  public record Point(double at, double measured, double fitted, double generic) {}

  /** Angles so near count as one place, deg. */
  private static final double NEAR_DEG = 4;

  private static final double LEAST_SPAN_DEG = 40;
  private static final int LEAST_PLACES = 3;

  /** The items that can be measured so. */
  public static boolean possible(Equipment item) {
    boolean lever = item.details().stream().anyMatch(detail -> detail.id().equals("pulley"));
    return lever || rail(item);
  }

  private static boolean rail(Equipment item) {
    return item.load() == LoadKind.SLED || isTrack(item);
  }

  /** Whether the travel is an angle of a lever (deg) and each pull needs its lever arm. */
  public static boolean onLever(Equipment item) {
    return possible(item) && !rail(item);
  }

  /** Throws {@link InvalidInput} naming pulls that cannot be used, or saying what is missing. */
  public static ResistanceFit of(Equipment item, GymEquipment equipment, List<Pull> pulls) {
    if (!possible(item)) {
      throw new InvalidInput(
          "item",
          "the resistance of a "
              + item.label().toLowerCase(Locale.ROOT)
              + " is its weight: nothing to measure");
    }
    Pull.check(pulls, onLever(item));
    return onLever(item) ? lever(item, pulls) : rail(item, equipment, pulls);
  }

  private static ResistanceFit lever(Equipment item, List<Pull> pulls) {
    List<Group> places = new ArrayList<>();
    for (Pull pull : pulls.stream().sorted(Comparator.comparingDouble(Pull::at)).toList()) {
      if (places.isEmpty() || pull.at() - places.get(places.size() - 1).first() > NEAR_DEG) {
        places.add(new Group(new ArrayList<>()));
      }
      places.get(places.size() - 1).pulls().add(pull);
    }
    double span = places.isEmpty() ? 0 : places.get(places.size() - 1).at() - places.get(0).at();
    if (places.size() < LEAST_PLACES || span < LEAST_SPAN_DEG) {
      throw InvalidInput.saying(
          "pulls",
          "need at least %d lever angles over at least %.0f°; there are %d over %.0f°",
          LEAST_PLACES,
          LEAST_SPAN_DEG,
          places.size(),
          span);
    }
    double friction = friction(places);
    double[] x = places.stream().mapToDouble(Group::at).toArray();
    double[] y =
        places.stream()
            .mapToDouble(
                group ->
                    group.pulls().stream()
                        .mapToDouble(pull -> still(pull, friction, ratio(pull)))
                        .average()
                        .orElseThrow())
            .toArray();
    MonotoneCurve curve = MonotoneCurve.through(x, y);
    double mean = (curve.integralFromZero(x[x.length - 1]) - curve.integralFromZero(x[0])) / span;
    Map<String, Double> values = new LinkedHashMap<>();
    values.put("pulley", item.detail("pulley").allowed().check("pulls.lever", mean));
    if (hasBothWays(places)) {
      values.put("friction", item.detail("friction").allowed().check("pulls.friction", friction));
    }
    List<Note> notes = new ArrayList<>();
    for (double knot : ResistanceCurve.knotsDeg()) {
      double factor = ResistanceCurve.FACTOR.check("pulls.curve", curve.value(knot) / mean);
      values.put("curve" + (int) knot, factor);
    }
    if (x[0] > 10 || x[x.length - 1] < 90) {
      notes.add(new MeasuredBetween(x[0], x[x.length - 1]));
    }
    if (!hasBothWays(places)) {
      notes.add(new FrictionUnknown(true));
    }
    List<Point> points =
        pulls.stream()
            .map(
                pull ->
                    new Point(
                        pull.at(),
                        still(pull, friction, ratio(pull)),
                        curve.value(pull.at()),
                        mean))
            .toList();
    return finish(values, points, "m", notes);
  }

  private static ResistanceFit rail(Equipment item, GymEquipment equipment, List<Pull> pulls) {
    if (pulls.isEmpty()) {
      throw new InvalidInput("pulls", "need at least one");
    }
    String mass = isTrack(item) ? "barMass" : "sledMass";
    double share = alongTravel(item, equipment);
    if (share < 0.1) {
      throw new InvalidInput(
          "pulls", "a level rail has no weight to measure; measure its stack instead");
    }
    List<Group> byLoad =
        pulls.stream().collect(Collectors.groupingBy(Pull::loadKg)).values().stream()
            .map(Group::new)
            .toList();
    double friction = friction(byLoad);
    double moving =
        pulls.stream()
            .mapToDouble(
                pull -> still(pull, friction, pull.forceN()) / (Load.G * share) - pull.loadKg())
            .average()
            .orElseThrow();
    Map<String, Double> values = new LinkedHashMap<>();
    values.put(mass, item.detail(mass).allowed().check("pulls.mass", moving));
    List<Note> notes = new ArrayList<>();
    if (hasBothWays(byLoad)) {
      values.put("friction", item.detail("friction").allowed().check("pulls.friction", friction));
    } else {
      notes.add(new FrictionUnknown(false));
    }
    if (equipment.measured(item, angleOf(item)).isEmpty()) {
      notes.add(new AngleGeneric());
    }
    double generic = item.detail(mass).usual();
    List<Point> points =
        pulls.stream()
            .map(
                pull ->
                    new Point(
                        pull.at(),
                        still(pull, friction, pull.forceN()),
                        (moving + pull.loadKg()) * Load.G * share,
                        (generic + pull.loadKg()) * Load.G * share))
            .toList();
    return finish(values, points, "N", notes);
  }

  private static boolean isTrack(Equipment item) {
    return item == Equipment.FIXED_TRACK;
  }

  private static String angleOf(Equipment item) {
    return isTrack(item) ? "trackAngle" : "railAngle";
  }

  /** The part of a weight that acts along the rail or track. */
  static double alongTravel(Equipment item, GymEquipment equipment) {
    double angle = Math.toRadians(equipment.value(item, angleOf(item)));
    return isTrack(item) ? Math.cos(angle) : Math.sin(angle);
  }

  private static ResistanceFit finish(
      Map<String, Double> values, List<Point> points, String unit, List<Note> notes) {
    double fit =
        Math.sqrt(
            points.stream()
                .mapToDouble(point -> Math.pow(point.measured() / point.fitted() - 1, 2))
                .average()
                .orElse(0));
    double generic =
        Math.sqrt(
            points.stream()
                .mapToDouble(point -> Math.pow(point.measured() / point.generic() - 1, 2))
                .average()
                .orElse(0));
    return new ResistanceFit(
        java.util.Collections.unmodifiableMap(values),
        points,
        unit,
        fit,
        generic,
        List.copyOf(notes));
  }

  /** Moment over the weight on the stack, m. */
  private static double ratio(Pull pull) {
    return pull.forceN() * pull.leverM() / (pull.loadKg() * Load.G);
  }

  private static double still(Pull pull, double friction, double value) {
    return switch (pull.direction()) {
      case UP -> value / (1 + friction);
      case DOWN -> value / (1 - friction);
      case STILL -> value;
    };
  }

  /** Mean share over the places at which both ways were read; zero where nowhere. */
  private static double friction(List<Group> places) {
    return places.stream()
        .filter(Group::hasBothWays)
        .mapToDouble(
            group ->
                (group.mean(Direction.UP) - group.mean(Direction.DOWN))
                    / (group.mean(Direction.UP) + group.mean(Direction.DOWN)))
        .average()
        .orElse(0);
  }

  private static boolean hasBothWays(List<Group> places) {
    return places.stream().anyMatch(Group::hasBothWays);
  }

  /** Pulls at one lever angle, or with one load on a rail. */
  private record Group(List<Pull> pulls) {
    double first() {
      return pulls.get(0).at();
    }

    double at() {
      return pulls.stream().mapToDouble(Pull::at).average().orElseThrow();
    }

    boolean hasBothWays() {
      return pulls.stream().anyMatch(pull -> pull.direction() == Direction.UP)
          && pulls.stream().anyMatch(pull -> pull.direction() == Direction.DOWN);
    }

    /** Mean moment over weight on a lever, plain force on a rail. */
    double mean(Direction direction) {
      return pulls.stream()
          .filter(pull -> pull.direction() == direction)
          .mapToDouble(pull -> pull.leverM() > 0 ? ratio(pull) : pull.forceN())
          .average()
          .orElseThrow();
    }
  }
}
