package istmo.core.evidence;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.MonotoneCurve;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.MeasurementKind;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.TechniqueSpread;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/**
 * Something that the mechanics takes as known and that is not: a property of muscles, a size of
 * this body, or how a lifter holds themselves. Each is one standard normal number; {@link #change}
 * says what a value of it does.
 *
 * @param id as in the reference table
 * @param kind whose it is: of people in general, so that studies tell of it; of this body, and gone
 *     once measured; or of how the repetition is done
 * @param measuredBy what takes it away, for those of the body
 */
public record Unknown(
    String id,
    Kind kind,
    Optional<MeasurementKind> measuredBy,
    BiFunction<Case, Double, Case> change) {
  /** Whose an unknown is. */
  public enum Kind {
    PEOPLE,
    BODY,
    TECHNIQUE
  }

  /** What the mechanics is given. */
  public record Case(
      Body body, List<Muscle> muscles, Setup setup, List<SetupParameter> parameters) {}

  // Spreads: differences between people and between methods of measuring, orders of size from
  // Handsfield et al. 2014 (volumes), Ward et al. 2009 (fibre lengths) and the scatter of published
  // moment arms; from memory, own estimates
  private static final double AREA = 0.20;
  private static final double FIBRE_LENGTH = 0.08;
  private static final double ARM = 0.10;
  private static final double BACK = 0.20;
  private static final double ANKLE_DEG = 4;
  private static final double HIP_DEG = 7;

  private static final List<Unknown> ALL = make();

  /** Everything that is not known exactly, in a fixed order. */
  public static List<Unknown> all() {
    return ALL;
  }

  private static List<Unknown> make() {
    List<Unknown> list = new ArrayList<>();
    muscles(list);
    arms(list);
    body(list);
    TechniqueSpread.all().forEach((parameter, spread) -> technique(list, parameter, spread));
    return List.copyOf(list);
  }

  /** How large each muscle is, and how long at zero. */
  private static void muscles(List<Unknown> list) {
    for (Muscle muscle : Muscles.standard().all()) {
      if (muscle.id().equals(Region.ERECTORS.id())) {
        continue; // its strength is an unknown of its own
      }
      list.add(
          muscle(
              "area." + muscle.id(),
              varied -> varied.id().equals(muscle.id()),
              (varied, z) ->
                  with(
                      varied,
                      varied.volumeM3() * Math.exp(AREA * z),
                      varied.lengthAtZero(),
                      1,
                      1,
                      1,
                      1)));
      list.add(
          muscle(
              "length." + muscle.id(),
              varied -> varied.id().equals(muscle.id()),
              (varied, z) ->
                  with(
                      varied,
                      varied.volumeM3(),
                      varied.lengthAtZero() + FIBRE_LENGTH * z,
                      1,
                      1,
                      1,
                      1)));
    }
  }

  /** Moment arms of a group about a joint. */
  private static void arms(List<Unknown> list) {
    arm(list, "quads", Coordinate.KNEE_FLEXION);
    arm(list, "hamstrings", Coordinate.KNEE_FLEXION);
    arm(list, "calves", Coordinate.KNEE_FLEXION);
    arm(list, "hamstrings", Coordinate.HIP_FLEXION);
    arm(list, "glutes", Coordinate.HIP_FLEXION);
    arm(list, "adductors", Coordinate.HIP_FLEXION);
    arm(list, "quads", Coordinate.HIP_FLEXION);
    arm(list, "glutes", Coordinate.HIP_ABDUCTION);
    arm(list, "adductors", Coordinate.HIP_ABDUCTION);
    arm(list, "calves", Coordinate.ANKLE_DORSIFLEXION);
  }

  /** The back's strength, lengths that were not measured, and what joints allow. */
  private static void body(List<Unknown> list) {
    list.add(
        new Unknown(
            "back",
            Kind.PEOPLE,
            Optional.empty(),
            (example, z) ->
                with(
                    example,
                    example
                        .body()
                        .withStrength(
                            example.body().strength(),
                            Body.LUMBAR_NM.nearest(
                                example.body().lumbarNm() * Math.exp(BACK * z))))));
    list.add(
        new Unknown(
            "thigh",
            Kind.BODY,
            Optional.of(MeasurementKind.THIGH),
            (example, z) -> lengths(example, MeasurementKind.THIGH, z, 0)));
    list.add(
        new Unknown(
            "shank",
            Kind.BODY,
            Optional.of(MeasurementKind.SHANK),
            (example, z) -> lengths(example, MeasurementKind.SHANK, 0, z)));
    list.add(
        new Unknown(
            "ankle",
            Kind.BODY,
            Optional.of(MeasurementKind.KNEE_TO_WALL),
            (example, z) ->
                with(
                    example,
                    example
                        .body()
                        .withDorsiflexionLimit(
                            Math.toRadians(
                                Body.DORSIFLEXION_DEG.nearest(
                                    Math.toDegrees(example.body().dorsiflexionLimitRad())
                                        + ANKLE_DEG * z))))));
    list.add(
        new Unknown(
            "hip",
            Kind.BODY,
            Optional.of(MeasurementKind.HIP_FLEXION),
            (example, z) ->
                with(
                    example,
                    example
                        .body()
                        .withLimits(
                            example.body().dorsiflexionLimitRad(),
                            Math.toRadians(
                                Body.HIP_FLEXION_DEG.nearest(
                                    Math.toDegrees(example.body().hipFlexionLimitRad())
                                        + HIP_DEG * z)),
                            example.body().kneeFlexionLimitRad()))));
  }

  private static Unknown muscle(
      String id, Predicate<Muscle> which, BiFunction<Muscle, Double, Muscle> change) {
    return new Unknown(
        id,
        Kind.PEOPLE,
        Optional.empty(),
        (example, z) ->
            new Case(
                example.body(),
                example.muscles().stream()
                    .map(muscle -> which.test(muscle) ? change.apply(muscle, z) : muscle)
                    .toList(),
                example.setup(),
                example.parameters()));
  }

  /** All moment arms of a group about one axis are longer or shorter together. */
  private static void arm(List<Unknown> list, String group, Coordinate axis) {
    list.add(
        muscle(
            "arm." + group + "." + axis.name().toLowerCase(java.util.Locale.ROOT),
            muscle -> muscle.group().equals(group),
            (muscle, z) -> {
              double f = Math.exp(ARM * z);
              return with(
                  muscle,
                  muscle.volumeM3(),
                  muscle.lengthAtZero(),
                  axis == Coordinate.HIP_FLEXION ? f : 1,
                  axis == Coordinate.HIP_ABDUCTION ? f : 1,
                  axis == Coordinate.KNEE_FLEXION ? f : 1,
                  axis == Coordinate.ANKLE_DORSIFLEXION ? f : 1);
            }));
  }

  private static void technique(List<Unknown> list, String parameter, double spread) {
    list.add(
        new Unknown(
            parameter,
            Kind.TECHNIQUE,
            Optional.empty(),
            (example, z) -> {
              Optional<SetupParameter> found =
                  example.parameters().stream()
                      .filter(setupParameter -> setupParameter.id().equals(parameter))
                      .findFirst();
              return found.isEmpty()
                  ? example
                  : new Case(
                      example.body(),
                      example.muscles(),
                      example
                          .setup()
                          .with(
                              found.get(),
                              found
                                  .get()
                                  .allowed()
                                  .nearest(example.setup().get(found.get()) + spread * z)),
                      example.parameters());
            }));
  }

  private static Case lengths(Case example, MeasurementKind kind, double thigh, double shank) {
    double m = kind.spreadM(example.body().statureM());
    Body body = example.body();
    return with(
        example,
        body.withLengths(
            body.thighM() + m * thigh,
            body.shankM() + m * shank,
            body.trunkM() - m * (thigh + shank)));
  }

  private static Case with(Case example, Body body) {
    return new Case(body, example.muscles(), example.setup(), example.parameters());
  }

  private static Muscle with(
      Muscle muscle,
      double volume,
      double lengthAtZero,
      double hip,
      double abduction,
      double knee,
      double ankle) {
    return new Muscle(
        muscle.id(),
        muscle.group(),
        muscle.label(),
        volume,
        muscle.optimalFibreLengthM(),
        muscle.pennationRad(),
        muscle.forceFactor(),
        lengthAtZero,
        muscle.fibreShare(),
        times(muscle.hipFlexion(), hip),
        times(muscle.hipAbduction(), abduction),
        muscle.hipRotation(),
        times(muscle.kneeFlexion(), knee),
        times(muscle.ankleDorsiflexion(), ankle),
        muscle.source());
  }

  private static Optional<MonotoneCurve> times(Optional<MonotoneCurve> curve, double factor) {
    return factor == 1 ? curve : curve.map(monotoneCurve -> monotoneCurve.times(factor));
  }
}
