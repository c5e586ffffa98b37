package istmo.core.evidence;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.MonotoneCurve;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.body.Body;
import istmo.core.body.MeasurementKind;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
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
    for (Muscle m : Muscles.standard().all()) {
      list.add(
          muscle(
              "area." + m.id(),
              x -> x.id().equals(m.id()),
              (x, z) -> with(x, x.volumeM3() * Math.exp(AREA * z), x.lengthAtZero(), 1, 1, 1, 1)));
      list.add(
          muscle(
              "length." + m.id(),
              x -> x.id().equals(m.id()),
              (x, z) -> with(x, x.volumeM3(), x.lengthAtZero() + FIBRE_LENGTH * z, 1, 1, 1, 1)));
    }
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
    list.add(
        new Unknown(
            "back",
            Kind.PEOPLE,
            Optional.empty(),
            (c, z) ->
                with(
                    c,
                    c.body()
                        .withStrength(
                            c.body().strength(),
                            Body.LUMBAR_NM.nearest(c.body().lumbarNm() * Math.exp(BACK * z))))));
    list.add(
        new Unknown(
            "thigh",
            Kind.BODY,
            Optional.of(MeasurementKind.THIGH),
            (c, z) -> lengths(c, MeasurementKind.THIGH, z, 0)));
    list.add(
        new Unknown(
            "shank",
            Kind.BODY,
            Optional.of(MeasurementKind.SHANK),
            (c, z) -> lengths(c, MeasurementKind.SHANK, 0, z)));
    list.add(
        new Unknown(
            "ankle",
            Kind.BODY,
            Optional.of(MeasurementKind.KNEE_TO_WALL),
            (c, z) ->
                with(
                    c,
                    c.body()
                        .withDorsiflexionLimit(
                            Math.toRadians(
                                Body.DORSIFLEXION_DEG.nearest(
                                    Math.toDegrees(c.body().dorsiflexionLimitRad())
                                        + ANKLE_DEG * z))))));
    list.add(
        new Unknown(
            "hip",
            Kind.BODY,
            Optional.of(MeasurementKind.HIP_FLEXION),
            (c, z) ->
                with(
                    c,
                    c.body()
                        .withLimits(
                            c.body().dorsiflexionLimitRad(),
                            Math.toRadians(
                                Body.HIP_FLEXION_DEG.nearest(
                                    Math.toDegrees(c.body().hipFlexionLimitRad()) + HIP_DEG * z)),
                            c.body().kneeFlexionLimitRad()))));
    // how far lifters miss what they mean to do, or what nobody measures (own estimates)
    technique(list, "kneeTravel", 0.10);
    technique(list, "lean", 5);
    technique(list, "pressure", 0.015);
    technique(list, "footShear", 0.15);
    technique(list, "plateGrip", 0.10);
    technique(list, "push", 0.05);
    technique(list, "rearShare", 0.07);
    technique(list, "trunkShift", 0.15);
    technique(list, "pushOff", 0.10);
    technique(list, "handShare", 0.15);
    technique(list, "help", 4);
    technique(list, "shoulders", 0.02);
    technique(list, "kneeBend", 3);
    technique(list, "hipBend", 5);
    return List.copyOf(list);
  }

  private static Unknown muscle(
      String id, Predicate<Muscle> which, BiFunction<Muscle, Double, Muscle> change) {
    return new Unknown(
        id,
        Kind.PEOPLE,
        Optional.empty(),
        (c, z) ->
            new Case(
                c.body(),
                c.muscles().stream().map(m -> which.test(m) ? change.apply(m, z) : m).toList(),
                c.setup(),
                c.parameters()));
  }

  /** All moment arms of a group about one axis are longer or shorter together. */
  private static void arm(List<Unknown> list, String group, Coordinate axis) {
    list.add(
        muscle(
            "arm." + group + "." + axis.name().toLowerCase(java.util.Locale.ROOT),
            m -> m.group().equals(group),
            (m, z) -> {
              double f = Math.exp(ARM * z);
              return with(
                  m,
                  m.volumeM3(),
                  m.lengthAtZero(),
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
            (c, z) -> {
              Optional<SetupParameter> p =
                  c.parameters().stream().filter(x -> x.id().equals(parameter)).findFirst();
              return p.isEmpty()
                  ? c
                  : new Case(
                      c.body(),
                      c.muscles(),
                      c.setup()
                          .with(
                              p.get(),
                              p.get().allowed().nearest(c.setup().get(p.get()) + spread * z)),
                      c.parameters());
            }));
  }

  private static Case lengths(Case c, MeasurementKind kind, double thigh, double shank) {
    double m = kind.spreadM(c.body().statureM());
    Body b = c.body();
    return with(
        c,
        b.withLengths(
            b.thighM() + m * thigh, b.shankM() + m * shank, b.trunkM() - m * (thigh + shank)));
  }

  private static Case with(Case c, Body body) {
    return new Case(body, c.muscles(), c.setup(), c.parameters());
  }

  private static Muscle with(
      Muscle m,
      double volume,
      double lengthAtZero,
      double hip,
      double abduction,
      double knee,
      double ankle) {
    return new Muscle(
        m.id(),
        m.group(),
        m.label(),
        volume,
        m.optimalFibreLengthM(),
        m.pennationRad(),
        m.forceFactor(),
        lengthAtZero,
        m.fibreShare(),
        times(m.hipFlexion(), hip),
        times(m.hipAbduction(), abduction),
        m.hipRotation(),
        times(m.kneeFlexion(), knee),
        times(m.ankleDorsiflexion(), ankle),
        m.source());
  }

  private static Optional<MonotoneCurve> times(Optional<MonotoneCurve> curve, double factor) {
    return factor == 1 ? curve : curve.map(c -> c.times(factor));
  }
}
