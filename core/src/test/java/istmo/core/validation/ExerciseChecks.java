package istmo.core.validation;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What exercises and set-ups do, against published findings and facts of the trade. Directions, not
 * sizes, unless a number is published.
 */
final class ExerciseChecks {
  private static final Body MAN = Bodies.MAN;
  private static final String PRACTICE = "common practice";

  private ExerciseChecks() {}

  static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    squats(rows);
    tracks(rows);
    presses(rows);
    hinges(rows);
    machines(rows);
    oneLeg(rows);
    hips(rows);
    knees(rows);
    firstPicks(rows);
    return rows;
  }

  private static void squats(List<Row> rows) {
    // load = body mass, as in the study
    Posture free =
        Bodies.posture(MAN, "squat", Map.of("kneeTravel", 0.95, "depth", 90.0), 1, MAN.massKg());
    Posture held =
        Bodies.posture(MAN, "squat", Map.of("kneeTravel", 0.35, "depth", 90.0), 1, MAN.massKg());
    String fry = "Fry et al. 2003, load = body mass";
    rows.add(
        Row.more(
            "C066",
            "knee moment, knees free against held back (N m, both legs)",
            fry,
            2 * knee(free, 80),
            2 * knee(held, 80)));
    rows.add(
        Row.more(
            "C067",
            "hip moment, knees held back against free",
            fry,
            2 * hip(held, 80),
            2 * hip(free, 80)));
    rows.add(
        Row.within(
            "C066",
            "knee moment, knees free (both legs; the study's pair does not add up to a balanced"
                + " posture with its hip moment)",
            fry,
            100,
            200,
            2 * knee(free, 80),
            "N m"));
    String statics = "Fuglsang et al. 2017; Sato et al. 2012; statics";
    Posture flat = Bodies.posture(MAN, "squat", Map.of("depth", 90.0), 1, 70);
    Posture wedge = Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "wedge", 10.0), 1, 70);
    rows.add(
        Row.more(
            "C102", "trunk lean, flat against heel wedge (°)", statics, lean(flat), lean(wedge)));
    rows.add(
        Row.more(
            "C102",
            "knee moment over hip moment, heel wedge against flat",
            statics,
            knee(wedge, 70) / hip(wedge, 70),
            knee(flat, 70) / hip(flat, 70)));
    Body longThigh = MAN.withThighFactor(Intake.Thigh.LONG.factor());
    Body shortThigh = MAN.withThighFactor(Intake.Thigh.SHORT.factor());
    Posture onLong = Bodies.posture(longThigh, "squat", Map.of("depth", 90.0), 1, 70);
    Posture onShort = Bodies.posture(shortThigh, "squat", Map.of("depth", 90.0), 1, 70);
    rows.add(
        Row.more(
            "C102",
            "trunk lean, long thigh against short (°)",
            statics,
            lean(onLong),
            lean(onShort)));
    Posture stiff =
        Bodies.posture(
            MAN.withDorsiflexionLimit(Intake.Ankle.STIFF.dorsiflexionRad()),
            "squat",
            Map.of("depth", 90.0),
            1,
            70);
    rows.add(
        Row.more(
            "C102", "trunk lean, stiff ankle against usual (°)", statics, lean(stiff), lean(flat)));
    Posture low = Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "bar", 1.0), 1, 70);
    rows.add(
        Row.more(
            "C102",
            "trunk lean, low bar against high (°; with the knee travel that lifters choose)",
            statics,
            lean(low),
            lean(flat)));
    rows.add(
        Row.alike(
            "",
            "knee moment, low bar against high at one load, with the shins that go with each",
            statics,
            knee(low, 70),
            knee(flat, 70)));

    Posture lifter = Bodies.posture(MAN, "squat", Map.of("depth", 95.0), 1, 0.65 * 150);
    rows.add(
        Row.within(
            "C068",
            "hip over knee moment, deep high-bar squat with a moderate load (230 over 191 N m in"
                + " the study)",
            "Wretenberg et al. 1996",
            1,
            1.5,
            hip(lifter, 0.65 * 150) / knee(lifter, 0.65 * 150),
            ""));
    Posture heavy =
        Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "stance", 0.35, "toeOut", 10.0), 1, 150);
    rows.add(
        Row.within(
            "C071",
            "plantarflexor moment of one ankle, narrow stance, heavy",
            "Escamilla et al. 2001",
            10,
            51,
            moment(heavy, Coordinate.ANKLE_DORSIFLEXION, 150),
            "N m"));
    RegionValues deep = stimulus("squat", Map.of("depth", 95.0));
    RegionValues half = stimulus("squat", Map.of("depth", 62.0));
    String kubo = "Kubo et al. 2019, ten weeks, MRI";
    rows.add(
        Row.more("C101", "gluteus maximus, deep squat against half", kubo, gmax(deep), gmax(half)));
    rows.add(
        Row.more(
            "C101", "adductors, deep squat against half", kubo, adductors(deep), adductors(half)));
    rows.add(
        Row.alike("C101", "quadriceps, deep squat against half", kubo, vasti(deep), vasti(half)));
    rows.add(
        Row.within(
            "C101",
            "vasti over rectus femoris in the deep squat (the study saw no growth of rectus"
                + " femoris)",
            kubo,
            2,
            99,
            vasti(deep) / deep.get(Region.RF),
            ""));
    rows.add(
        Row.within(
            "C101",
            "vasti over hamstrings in the deep squat (the study saw no growth of hamstrings)",
            kubo,
            2,
            99,
            vasti(deep) / hamstrings(deep),
            ""));
    RegionValues narrow = stimulus("squat", Map.of("depth", 85.0, "stance", 0.32, "toeOut", 10.0));
    // shins stand more upright in a wide stance (Escamilla et al. 2001)
    RegionValues wide = stimulus("squat", Map.of("depth", 85.0, "stance", 0.58, "toeOut", 25.0));
    String paoli = "McCaw and Melrose 1999; Paoli et al. 2009 (EMG)";
    rows.add(
        Row.alike(
            "C100",
            "vastus lateralis over medialis, wide stance against narrow",
            paoli,
            wide.get(Region.VL) / wide.get(Region.VM),
            narrow.get(Region.VL) / narrow.get(Region.VM)));
    rows.add(
        Row.more(
            "C100",
            "adductor longus, wide stance against narrow (hangs on the sideways grip of the foot)",
            paoli,
            wide.get(Region.AL),
            narrow.get(Region.AL)));
    rows.add(
        Row.more(
            "C100",
            "gluteus maximus, wide stance against narrow",
            paoli,
            gmax(wide),
            gmax(narrow)));
    RegionValues spread = stimulus("squat", Map.of("depth", 85.0, "spread", 0.5));
    RegionValues squeezed = stimulus("squat", Map.of("depth", 85.0, "spread", -0.5));
    rows.add(
        Row.more(
            "T",
            "middle glute, the floor spread against the feet pulled together, half of the grip"
                + " each",
            PRACTICE,
            spread.get(Region.GMEDP),
            squeezed.get(Region.GMEDP)));
    rows.add(
        Row.more(
            "T",
            "adductor longus, the feet pulled together against the floor spread",
            PRACTICE,
            squeezed.get(Region.AL),
            spread.get(Region.AL)));
    RegionValues away = stimulus("thrust", Map.of("away", 0.8));
    RegionValues in = stimulus("thrust", Map.of("away", -0.8));
    rows.add(
        Row.more(
            "T",
            "vasti in the hip thrust, feet pushed away against heels pulled in",
            PRACTICE,
            vasti(away),
            vasti(in)));
    rows.add(
        Row.more(
            "T",
            "hamstrings in the hip thrust, heels pulled in against feet pushed away",
            PRACTICE,
            hamstrings(in),
            hamstrings(away)));
    Posture front =
        Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "bar", 2.0, "kneeTravel", 1.0), 1, 60);
    Posture back = Bodies.posture(MAN, "squat", Map.of("depth", 90.0), 1, 80);
    rows.add(
        Row.more(
            "C072",
            "knee moment, back squat against front at equal effort (front about three quarters of"
                + " the load)",
            "Gullett et al. 2009",
            knee(back, 80),
            knee(front, 60)));
  }

  private static void tracks(List<Row> rows) {
    String statics = "free body of a bar on a track (statics)";
    Posture under = Bodies.posture(MAN, "guided-squat", Map.of("depth", 85.0, "lean", 36.0), 1, 70);
    Posture upright =
        Bodies.posture(
            MAN, "guided-squat", Map.of("depth", 85.0, "feetForward", 0.22, "lean", 12.0), 1, 70);
    Posture back =
        Bodies.posture(
            MAN, "guided-squat", Map.of("depth", 85.0, "feetForward", 0.22, "lean", 36.0), 1, 70);
    rows.add(
        Row.more(
            "C103",
            "knee moment, feet forward and trunk upright against feet under the bar",
            statics,
            knee(upright, 70),
            knee(under, 70)));
    rows.add(
        Row.more(
            "C103",
            "hip moment, feet under the bar against feet forward and trunk upright",
            statics,
            hip(under, 70),
            hip(upright, 70)));
    rows.add(
        Row.more(
            "C103",
            "hip moment, feet forward with the free squat's lean against feet under the bar",
            statics,
            hip(back, 70),
            hip(under, 70)));
  }

  private static void presses(List<Row> rows) {
    double[][] rails = {{30, 490.5}, {35, 562.7}, {45, 693.7}, {60, 849.6}, {90, 981.0}};
    for (double[] rail : rails) {
      Posture posture =
          Bodies.posture(
              MAN,
              "press",
              Map.of("kneeDepth", 80.0, "sledMass", 0.0, "railAngle", rail[0]),
              0.5,
              100);
      Load foot = posture.loads().get(0);
      rows.add(
          Row.within(
              "C088",
              String.format(Locale.ROOT, "force along a %.0f° rail for 100 kg, both feet", rail[0]),
              "Newtonian statics (g = 9.81)",
              0.999 * rail[1],
              1.001 * rail[1],
              2 * foot.forcePerKg().norm() * 100,
              "N"));
    }
    rows.add(
        Row.within(
            "T11",
            "hip angle of the leg press at the start, knees nearly straight",
            PRACTICE,
            80,
            100,
            180
                - Math.toDegrees(
                    Bodies.posture(MAN, "press", Map.of("kneeDepth", 80.0), 0, 100)
                        .angle(Coordinate.HIP_FLEXION)),
            "°"));
    Analysis high = Bodies.analysis(MAN, "press", Map.of("footHeight", 0.28, "kneeDepth", 75.0));
    Analysis low = Bodies.analysis(MAN, "press", Map.of("footHeight", 0.10, "kneeDepth", 75.0));
    rows.add(
        Row.more(
            "NOTES",
            "hip over knee moment on the press, feet high against low",
            "statics; EMG agrees for gluteus maximus and rectus femoris",
            ratio(high),
            ratio(low)));
    RegionValues values = Stimulus.byRegion(high, School.STRETCH);
    RegionValues regionValues = Stimulus.byRegion(low, School.STRETCH);
    rows.add(
        Row.more(
            "T",
            "gluteus maximus, feet high against low at the same knee bend",
            PRACTICE,
            gmax(values),
            gmax(regionValues)));
    rows.add(
        Row.more(
            "T",
            "rectus femoris, feet low against high at the same knee bend",
            PRACTICE,
            regionValues.get(Region.RF),
            values.get(Region.RF)));
    Evaluation usual = evaluate(MAN, "leg-press/low");
    Evaluation stiff =
        evaluate(MAN.withDorsiflexionLimit(Intake.Ankle.STIFF.dorsiflexionRad()), "leg-press/low");
    rows.add(
        Row.more(
            "T12",
            "lowest foot place on the press follows from the ankle: stiff against usual (cm)",
            PRACTICE,
            height(stiff),
            height(usual)));
  }

  private static void hinges(List<Row> rows) {
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

  private static void machines(List<Row> rows) {
    Analysis seated = Bodies.analysis(MAN, "seated-curl", Map.of());
    Analysis lying = Bodies.analysis(MAN, "lying-curl", Map.of());
    RegionValues values = Stimulus.byRegion(seated, School.STRETCH);
    RegionValues regionValues = Stimulus.byRegion(lying, School.STRETCH);
    String maeo = "Maeo et al. 2021, twelve weeks, MRI";
    rows.add(
        Row.more(
            "T30",
            "semimembranosus length at the start, seated against lying",
            PRACTICE,
            seated.points().get(20).fibreLength()[index("SM")],
            lying.points().get(20).fibreLength()[index("SM")]));
    rows.add(
        Row.more(
            "C108",
            "two-joint hamstrings, seated curl against lying (14 against 9 % growth of all)",
            maeo,
            (values.get(Region.BFL) + values.get(Region.ST) + values.get(Region.SM)) / 3,
            (regionValues.get(Region.BFL)
                    + regionValues.get(Region.ST)
                    + regionValues.get(Region.SM))
                / 3));
    rows.add(
        Row.alike(
            "C108",
            "biceps femoris short head, seated against lying",
            maeo,
            values.get(Region.BFS),
            regionValues.get(Region.BFS)));
    RegionValues upright = stimulus("leg-extension", Map.of());
    RegionValues reclined = stimulus("leg-extension", Map.of("hipAngle", 40.0));
    rows.add(
        Row.more(
            "T",
            "rectus femoris, leg extension leaned back against upright",
            PRACTICE,
            reclined.get(Region.RF),
            upright.get(Region.RF)));
    rows.add(
        Row.alike(
            "T",
            "vasti, leg extension leaned back against upright",
            PRACTICE,
            vasti(reclined),
            vasti(upright)));
    RegionValues shortEnd = stimulus("leg-extension", Map.of("kneeBent", 60.0));
    rows.add(
        Row.within(
            "T23",
            "share of the vasti's stimulus lost with the short half of the leg extension only",
            PRACTICE,
            0,
            0.2,
            1 - vasti(shortEnd) / vasti(upright),
            ""));
    RegionValues squat = stimulus("squat", Map.of("depth", 90.0));
    rows.add(
        Row.more(
            "NOTES",
            "rectus femoris, leg extension leaned back against squat",
            "Kubo et al. 2019 saw none in squats; " + PRACTICE,
            reclined.get(Region.RF),
            squat.get(Region.RF)));
    RegionValues standing = stimulus("standing-calf", Map.of());
    RegionValues seatedCalf = stimulus("seated-calf", Map.of());
    rows.add(
        Row.more(
            "T",
            "gastrocnemius, straight-knee calf raise against seated",
            "Kinoshita et al. 2023 (MRI, from memory); " + PRACTICE,
            standing.get(Region.GASM),
            seatedCalf.get(Region.GASM)));
    rows.add(
        Row.alike(
            "T",
            "soleus, straight-knee calf raise against seated",
            "Kinoshita et al. 2023 (MRI, from memory)",
            standing.get(Region.SOL),
            seatedCalf.get(Region.SOL)));
    for (Exercise exercise : Catalogue.standard().exercises()) {
      if (exercise.group().isPresent()) {
        RegionGroup own = exercise.group().get();
        RegionValues byRegion = of(Catalogue.standard().candidatesOf(exercise).get(0).id());
        Map<RegionGroup, Double> groups = Stimulus.byGroup(byRegion);
        double next =
            groups.entrySet().stream()
                .filter(entry -> entry.getKey() != own)
                .mapToDouble(Map.Entry::getValue)
                .max()
                .orElse(0);
        rows.add(
            Row.holds(
                "face",
                exercise.name() + ": " + own + " get at least twice any other group",
                PRACTICE,
                "≥ 2",
                ratio(groups.get(own), next),
                Stimulus.faceCheckMisses(byRegion, own).isEmpty()));
      }
    }
  }

  private static void oneLeg(List<Row> rows) {
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

  private static void hips(List<Row> rows) {
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

  private static void knees(List<Row> rows) {
    RegionValues extension = of("leg-extension/upright");
    RegionValues half = of("leg-extension/long-half");
    rows.add(
        Row.within(
            "",
            "rectus femoris, bent half of the leg extension over the whole range",
            "Pedrosa et al. 2022, twelve weeks, ultrasound, from memory",
            1,
            1.8,
            half.get(Region.RF) / extension.get(Region.RF),
            ""));
    RegionValues lean = of("lean-back/usual");
    rows.add(
        Row.more(
            "T",
            "rectus femoris over vasti, kneeling lean-back against upright leg extension",
            PRACTICE,
            lean.get(Region.RF) / vasti(lean),
            extension.get(Region.RF) / vasti(extension)));
    rows.add(
        Row.more(
            "T",
            "rectus femoris over vasti, sissy squat against back squat",
            PRACTICE,
            of("sissy-squat/usual").get(Region.RF) / vasti(of("sissy-squat/usual")),
            of("back-squat/high-bar").get(Region.RF) / vasti(of("back-squat/high-bar"))));
    RegionValues straight = of("standing-calf-raise/usual");
    rows.add(
        Row.alike(
            "NOTES",
            "gastrocnemius, bent-over calf raise against standing: it does not cross the hip",
            "anatomy",
            of("bent-over-calf-raise/usual").get(Region.GASM),
            straight.get(Region.GASM)));
    rows.add(
        Row.more(
            "T",
            "shin muscles, shin raise against anything else",
            PRACTICE,
            of("shin-raise/hanging").get(Region.TA),
            of("deadlift/conventional").get(Region.TA)));
    // T20: no rest is modelled between sets, so only the first count can be asked: what the hands
    // have to give for ten
    Analysis curl = analysis("kneeling-curl/usual");
    rows.add(
        Row.within(
            "T20",
            "repetitions of the first set of kneeling curls with the usual help of the hands",
            PRACTICE,
            8,
            12,
            curl.set().repetitions(),
            ""));
  }

  /** Which kind of exercise an order puts first, everything being there. */
  private static void firstPicks(List<Row> rows) {
    Map<String, Evaluation> all =
        Orders.evaluate(MAN, GymEquipment.generic(Set.of()), School.STRETCH);
    GymEquipment everything = GymEquipment.generic(Equipment.everything());
    Map<String, String> kinds = new LinkedHashMap<>();
    kinds.put("RF", "leg-extension");
    kinds.put("BFL", "leg-curl|romanian-deadlift|back-extension");
    kinds.put("SM", "leg-curl|romanian-deadlift|back-extension");
    kinds.put("AL", "adduction");
    kinds.put("GMAXM", "squat|lunge|thrust|bridge");
    kinds.put("SOL", "seated-calf-raise");
    kinds.put("GASM", "calf-raise");
    kinds.put("TA", "shin-raise");
    kinds.forEach(
        (region, kind) -> {
          Brief brief =
              new Brief(
                  MAN,
                  new Cautions(List.of(), List.of(), List.of()),
                  Profile.unknown(),
                  everything,
                  Aim.of(Map.of(region, 3), Set.of()),
                  School.STRETCH,
                  Optional.empty());
          String first = Orders.order(brief, all).firstPick().orElseThrow().candidateId();
          rows.add(
              Row.holds(
                  "face",
                  "first pick for " + Region.of(region).coachName(),
                  PRACTICE,
                  kind.replace("|", ", "),
                  first,
                  first.matches(".*(" + kind + ").*")));
        });
  }

  private static RegionValues of(String candidate) {
    return Stimulus.byRegion(analysis(candidate), School.STRETCH);
  }

  private static Analysis analysis(String candidate) {
    Candidate checked = Catalogue.standard().candidate(candidate);
    Exercise exercise = checked.exercise();
    Setup setup =
        Reach.of(
                MAN,
                exercise.family(),
                checked.usualFor(MAN, GymEquipment.generic(Set.of())),
                checked.yields())
            .orElseThrow()
            .setup();
    return (Analysis) new Analyser(MAN).analyse(exercise.family(), setup, LoadRule.USUAL);
  }

  private static String ratio(double own, double next) {
    return own > 99 * next ? "over 99" : String.format(Locale.ROOT, "%.1f", own / next);
  }

  private static Evaluation evaluate(Body body, String candidate) {
    return Evaluation.of(
        body,
        new Analyser(body),
        Catalogue.standard().candidate(candidate),
        GymEquipment.generic(Set.of()),
        School.STRETCH);
  }

  private static double height(Evaluation evaluation) {
    return 100 * ((Evaluation.Computed) evaluation).reach().setup().values().get("footHeight");
  }

  /** The point of a repetition at which the hip is nearest to a flexion. */
  private static Posture atHipFlexion(String family, Map<String, Double> changes, double deg) {
    Posture best = null;
    for (int k = 0; k <= 200; k++) {
      Posture posture = Bodies.posture(MAN, family, changes, k / 200.0, 70);
      if (best == null
          || Math.abs(posture.angle(Coordinate.HIP_FLEXION) - Math.toRadians(deg))
              < Math.abs(best.angle(Coordinate.HIP_FLEXION) - Math.toRadians(deg))) {
        best = posture;
      }
    }
    return best;
  }

  private static double fibre(Posture posture, String muscle) {
    istmo.core.mechanics.Musculature musculature = new istmo.core.mechanics.Musculature(MAN);
    musculature.at(posture.angles());
    return musculature.length(index(muscle));
  }

  private static int index(String muscle) {
    return Muscles.standard().indexOf(muscle);
  }

  private static RegionValues stimulus(String family, Map<String, Double> changes) {
    return Stimulus.byRegion(Bodies.analysis(MAN, family, changes), School.STRETCH);
  }

  /** Knee extension moment of one leg, N m. */
  private static double knee(Posture posture, double load) {
    return moment(posture, Coordinate.KNEE_FLEXION, load);
  }

  private static double hip(Posture posture, double load) {
    return moment(posture, Coordinate.HIP_FLEXION, load);
  }

  private static double moment(Posture posture, Coordinate coordinate, double load) {
    istmo.core.mechanics.Equilibrium eq =
        new istmo.core.mechanics.Equilibrium(MAN, new istmo.core.mechanics.Musculature(MAN));
    eq.set(posture);
    return eq.externalNm(coordinate, load);
  }

  private static double ratio(Analysis analysis) {
    AnalysisPoint point = analysis.points().get(analysis.points().size() - 1);
    return point.suppliedNm(Coordinate.HIP_FLEXION) / point.suppliedNm(Coordinate.KNEE_FLEXION);
  }

  private static double lean(Posture posture) {
    return Math.toDegrees(posture.trunkLeanRad());
  }

  private static double gmax(RegionValues values) {
    return (values.get(Region.GMAXU) + values.get(Region.GMAXM) + values.get(Region.GMAXL)) / 3;
  }

  private static double vasti(RegionValues values) {
    return (values.get(Region.VL) + values.get(Region.VM) + values.get(Region.VI)) / 3;
  }

  private static double hamstrings(RegionValues values) {
    return (values.get(Region.BFL)
            + values.get(Region.BFS)
            + values.get(Region.ST)
            + values.get(Region.SM))
        / 4;
  }

  private static double adductors(RegionValues values) {
    return (values.get(Region.AL)
            + values.get(Region.AB)
            + values.get(Region.GRA)
            + values.get(Region.AMA)
            + values.get(Region.AMI))
        / 5;
  }
}
