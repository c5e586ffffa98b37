package istmo.core.validation;

import static istmo.core.validation.Measures.MAN;
import static istmo.core.validation.Measures.PRACTICE;
import static istmo.core.validation.Measures.adductors;
import static istmo.core.validation.Measures.atHipFlexion;
import static istmo.core.validation.Measures.fibre;
import static istmo.core.validation.Measures.gmax;
import static istmo.core.validation.Measures.hamstrings;
import static istmo.core.validation.Measures.hip;
import static istmo.core.validation.Measures.knee;
import static istmo.core.validation.Measures.lean;
import static istmo.core.validation.Measures.of;
import static istmo.core.validation.Measures.vasti;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Posture;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What hinges, work on one leg and work of the hips do, against published findings and facts of the
 * trade.
 */
final class HipChecks {
  private HipChecks() {}

  static void hinges(List<Row> rows) {
    kneeBendOfHinges(rows);
    hingeAgainstSquat(rows);
  }

  private static void kneeBendOfHinges(List<Row> rows) {
    Posture straighter = atHipFlexion("hinge", Map.of("kneeBend", 10.0), 90);
    Posture bent = atHipFlexion("hinge", Map.of("kneeBend", 35.0), 90);
    rows.add(
        Row.within(
            "C106",
            "biceps femoris at 90° of hip flexion: fibre length gained with the knee at 10° instead"
                + " of 35°, optimal lengths",
            "statics; RDL EMG",
            0.02,
            0.5,
            fibre(straighter, "BFL") - fibre(bent, "BFL"),
            ""));
    rows.add(
        Row.more(
            "C106",
            "knee flexor moment in the Romanian deadlift, straighter knee against more bent",
            "statics",
            -knee(straighter, 70),
            -knee(bent, 70)));
    Posture bottom = Bodies.posture(MAN, "hinge", Map.of(), 1, 80);
    double bar =
        bottom.props().stream()
                .filter(prop -> prop.kind().equals("bar"))
                .findFirst()
                .orElseThrow()
                .points()
                .get(0)
                .y()
            - bottom.points().knee().y();
    rows.add(
        Row.within(
            "T08",
            "bar at the turning point, above the knee joint (just below the knee)",
            PRACTICE,
            -15,
            2,
            100 * bar,
            "cm"));
  }

  private static void hingeAgainstSquat(List<Row> rows) {
    Analysis rdl = Bodies.analysis(MAN, "hinge", Map.of());
    Analysis squat = Bodies.analysis(MAN, "squat", Map.of("depth", 90.0));
    rows.add(
        Row.more(
            "NOTES",
            "hamstrings, Romanian deadlift against squat",
            "EMG, several; " + PRACTICE,
            hamstrings(Stimulus.byRegion(rdl, School.STRETCH)),
            hamstrings(Stimulus.byRegion(squat, School.STRETCH))));
    rows.add(
        Row.more(
            "NOTES",
            "vasti, squat against Romanian deadlift",
            PRACTICE,
            vasti(Stimulus.byRegion(squat, School.STRETCH)),
            vasti(Stimulus.byRegion(rdl, School.STRETCH))));
    rows.add(
        Row.within(
            "C095",
            "moment about L5/S1 in the Romanian deadlift at the load of ten repetitions",
            "trunk-strength literature, capacity 150 to 350",
            150,
            350,
            rdl.points().get(20).suppliedNm(Coordinate.LUMBAR_FLEXION) * -1,
            "N m"));
  }

  static void oneLeg(List<Row> rows) {
    lunges(rows);
    stepUpsAndOneLegHinges(rows);
  }

  private static void lunges(List<Row> rows) {
    String farrokhi = "Farrokhi et al. 2008; Riemann et al. 2012; Schütz et al. 2014, from memory";
    Posture upright = Bodies.posture(MAN, "split", Map.of("lean", 5.0), 1, 30);
    Posture lean = Bodies.posture(MAN, "split", Map.of("lean", 35.0), 1, 30);
    rows.add(
        Row.more(
            "C105",
            "hip moment of the split squat, trunk leaning against upright",
            farrokhi,
            hip(lean, 30),
            hip(upright, 30)));
    rows.add(
        Row.more(
            "C105",
            "knee over hip moment, upright against leaning",
            farrokhi,
            knee(upright, 30) / hip(upright, 30),
            knee(lean, 30) / hip(lean, 30)));
    Posture shortStride =
        Bodies.posture(MAN, "split", Map.of("stride", 0.60, "kneeDepth", 95.0), 1, 30);
    Posture longStride =
        Bodies.posture(MAN, "split", Map.of("stride", 0.80, "kneeDepth", 95.0), 1, 30);
    rows.add(
        Row.more(
            "C105",
            "hip moment, long stride against short",
            farrokhi,
            hip(longStride, 30),
            hip(shortStride, 30)));
    rows.add(
        Row.more(
            "C105",
            "knee moment, short stride against long",
            farrokhi,
            knee(shortStride, 30),
            knee(longStride, 30)));
  }

  private static void stepUpsAndOneLegHinges(List<Row> rows) {
    RegionValues low = of("step-up/low");
    RegionValues high = of("step-up/high");
    rows.add(
        Row.more(
            "T",
            "gluteus maximus over vasti, high box against low",
            PRACTICE,
            gmax(high) / vasti(high),
            gmax(low) / vasti(low)));
    rows.add(
        Row.more(
            "T",
            "gluteus medius, step-up against back squat (balance on one leg)",
            PRACTICE,
            (low.get(Region.GMEDA) + low.get(Region.GMEDP)) / 2,
            (of("back-squat/high-bar").get(Region.GMEDA)
                    + of("back-squat/high-bar").get(Region.GMEDP))
                / 2));
    Posture rear =
        Bodies.posture(
            MAN,
            "split",
            Map.of(
                "rear",
                1.0,
                "rearHeight",
                0.4,
                "stride",
                0.60,
                "lean",
                30.0,
                "leg",
                1.0,
                "rearShare",
                0.15),
            1,
            30);
    rows.add(
        Row.holds(
            "T",
            "the rear leg of a rear-raised split squat is pulled open at the hip and extends the"
                + " knee: rectus femoris of that side works",
            PRACTICE,
            "flexor at the hip, extensor at the knee",
            String.format(Locale.ROOT, "%.0f and %.0f N m", -hip(rear, 30), knee(rear, 30)),
            hip(rear, 30) < 0 && knee(rear, 30) > 0));
  }

  static void hips(List<Row> rows) {
    thrusts(rows);
    backExtensions(rows);
    deadlifts(rows);
    hipMachines(rows);
  }

  private static void thrusts(List<Row> rows) {
    String plotkin = "Plotkin et al. 2023, nine weeks, MRI, from memory";
    RegionValues thrust = of("hip-thrust/usual");
    RegionValues squat = of("back-squat/high-bar");
    rows.add(
        Row.alike(
            "C106",
            "gluteus maximus, hip thrust against squat",
            plotkin,
            gmax(thrust),
            gmax(squat)));
    rows.add(
        Row.more(
            "C106", "quadriceps, squat against hip thrust", plotkin, vasti(squat), vasti(thrust)));
    rows.add(
        Row.more(
            "C106",
            "adductors, squat against hip thrust",
            plotkin,
            adductors(squat),
            adductors(thrust)));
    rows.add(
        Row.within(
            "T05",
            "hip flexion at the bottom of the hip thrust",
            PRACTICE,
            60,
            100,
            Math.toDegrees(
                Bodies.posture(MAN, "thrust", Map.of(), 1, 100).angle(Coordinate.HIP_FLEXION)),
            "°"));
    rows.add(
        Row.within(
            "T06",
            "knee angle at the top of the hip thrust, shin upright",
            PRACTICE,
            80,
            100,
            Math.toDegrees(
                Bodies.posture(MAN, "thrust", Map.of(), 0, 100).angle(Coordinate.KNEE_FLEXION)),
            "°"));
  }

  private static void backExtensions(List<Row> rows) {
    String bourne = "Bourne et al. 2017, ten weeks, MRI, from memory";
    RegionValues extension = of("back-extension/usual");
    RegionValues nordic = of("kneeling-curl/usual");
    rows.add(
        Row.more(
            "",
            "biceps femoris long over short head, 45° hip extension against kneeling curl",
            bourne,
            extension.get(Region.BFL) / extension.get(Region.BFS),
            nordic.get(Region.BFL) / nordic.get(Region.BFS)));
    rows.add(
        Row.more(
            "",
            "biceps femoris short head, kneeling curl against 45° hip extension",
            bourne,
            nordic.get(Region.BFS),
            extension.get(Region.BFS)));
    rows.add(
        Row.more(
            "",
            "semitendinosus over semimembranosus in the kneeling curl",
            bourne,
            nordic.get(Region.ST),
            nordic.get(Region.SM)));
  }

  private static void deadlifts(List<Row> rows) {
    Posture conventional =
        Bodies.posture(MAN, "deadlift", Map.of("shin", 12.0, "stance", 0.32), 1, 120);
    Posture wide =
        Bodies.posture(
            MAN,
            "deadlift",
            Map.of("shin", 8.0, "shoulders", 0.07, "stance", 0.70, "toeOut", 40.0),
            1,
            120);
    rows.add(
        Row.within(
            "C098",
            "knee bend at the floor, conventional (64 in the study)",
            "Hales et al. 2009, from memory",
            54,
            74,
            Math.toDegrees(conventional.angle(Coordinate.KNEE_FLEXION)),
            "deg"));
    rows.add(
        Row.within(
            "C098",
            "angle between trunk and thigh at the floor, conventional (66 in the study)",
            "Hales et al. 2009, from memory",
            52,
            76,
            180
                - Math.toDegrees(
                    conventional.angle(Coordinate.HIP_FLEXION)
                        + conventional.angle(Coordinate.LUMBAR_FLEXION)),
            "deg"));
    rows.add(
        Row.more(
            "C098",
            "trunk lean at the floor, conventional against wide (5 to 10° in the study)",
            "Escamilla et al. 2000, from memory",
            lean(conventional),
            lean(wide)));
    rows.add(
        Row.more(
            "C098",
            "knee extensor moment, wide against conventional (hangs on the shin's lean, which is an"
                + " input)",
            "Escamilla et al. 2000, from memory",
            knee(wide, 120),
            knee(conventional, 120)));
  }

  private static void hipMachines(List<Row> rows) {
    RegionValues leaning = of("abduction-machine/leaning");
    RegionValues seat = of("abduction-machine/upright");
    rows.add(
        Row.more(
            "T09",
            "upper gluteus maximus over medius, abduction machine leaning forward against upright",
            PRACTICE,
            leaning.get(Region.GMAXU) / leaning.get(Region.GMEDP),
            seat.get(Region.GMAXU) / seat.get(Region.GMEDP)));
    rows.add(
        Row.more(
            "T",
            "adductor longus, adduction machine against any squat",
            PRACTICE,
            of("adduction-machine/usual").get(Region.AL),
            of("back-squat/wide").get(Region.AL)));
  }
}
