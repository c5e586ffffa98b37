package istmo.core.validation;

import static istmo.core.validation.Measures.MAN;
import static istmo.core.validation.Measures.PRACTICE;
import static istmo.core.validation.Measures.analysis;
import static istmo.core.validation.Measures.evaluate;
import static istmo.core.validation.Measures.gmax;
import static istmo.core.validation.Measures.height;
import static istmo.core.validation.Measures.index;
import static istmo.core.validation.Measures.of;
import static istmo.core.validation.Measures.ratio;
import static istmo.core.validation.Measures.stimulus;
import static istmo.core.validation.Measures.vasti;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Intake;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What presses, curls, extensions and calf raises do, against published findings and facts of the
 * trade.
 */
final class MachineChecks {
  private MachineChecks() {}

  static void presses(List<Row> rows) {
    forcesOnRails(rows);
    feetOnThePlate(rows);
  }

  private static void forcesOnRails(List<Row> rows) {
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
  }

  private static void feetOnThePlate(List<Row> rows) {
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

  static void machines(List<Row> rows) {
    curls(rows);
    kneeMachines(rows);
    calves(rows);
    faceChecks(rows);
  }

  private static void curls(List<Row> rows) {
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
  }

  private static void kneeMachines(List<Row> rows) {
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
  }

  private static void calves(List<Row> rows) {
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
  }

  private static void faceChecks(List<Row> rows) {
    for (Exercise exercise : Catalogue.standard().exercises()) {
      if (exercise.group().isPresent()) {
        RegionGroup own = exercise.group().get();
        RegionValues byRegion = of(Catalogue.standard().candidatesOf(exercise).get(0).id().text());
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
                exercise.name() + ": " + own.word() + " get at least twice any other group",
                PRACTICE,
                "≥ 2",
                ratio(groups.get(own), next),
                Stimulus.faceCheckMisses(byRegion, own).isEmpty()));
      }
    }
  }

  static void knees(List<Row> rows) {
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
}
