package istmo.core.validation;

import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.movement.Reach;
import istmo.core.movement.family.Families;
import istmo.core.training.Calibration;
import istmo.core.training.KnownLift;
import istmo.core.training.OneRepetition;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Repetitions against published charts, and what one known squat says of other lifts, against what
 * lifters lift.
 */
final class LoadChecks {
  private static final String PRACTICE = "common practice";
  private static final double SQUAT_KG = 120;

  private LoadChecks() {}

  static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    percentages(rows);
    whatEndsASet(rows);
    besideASquat(rows);
    return rows;
  }

  private static void percentages(List<Row> rows) {
    String chart = "percentage chart (NSCA type; Zourdos et al. 2016 for reserve), from memory";
    for (double[] c : new double[][] {{2, 95}, {5, 87}, {8, 80}, {10, 75}, {12, 67}}) {
      rows.add(
          Row.within(
              "C082",
              String.format(
                  java.util.Locale.ROOT,
                  "load of %.0f repetitions to failure, share of one repetition",
                  c[0]),
              chart,
              c[1] - 2.5,
              c[1] + 2.5,
              100 * OneRepetition.load(1, c[0]),
              "%"));
    }
    String charted =
        "percentage chart (NSCA type; Zourdos et al. 2016), from memory; the one rate of fatigue"
            + " was fitted to this chart";
    for (double[] c :
        new double[][] {{95, 2}, {90, 4}, {85, 6}, {80, 8}, {75, 10}, {70, 12}, {65, 15}}) {
      rows.add(
          Row.within(
              "C082",
              String.format(
                  java.util.Locale.ROOT,
                  "repetitions of the simulated leg extension at %.0f %% of the limit",
                  c[0]),
              charted,
              c[1] - 1,
              c[1] + 1,
              repetitions("leg-extension", Map.of(), c[0]),
              ""));
    }
    double squat = repetitions("squat", Map.of("depth", 90.0), 80);
    String hoeger = "Hoeger et al. 1990, from memory";
    rows.add(
        Row.more(
            "C083",
            "repetitions at 80 %, leg press against squat",
            hoeger,
            repetitions("press", Map.of("kneeDepth", 80.0), 80),
            squat));
    rows.add(
        Row.more(
            "C083",
            "repetitions at 80 %, squat against lying leg curl",
            hoeger,
            squat,
            repetitions("lying-curl", Map.of(), 80)));
  }

  private static void whatEndsASet(List<Row> rows) {
    SimulatedSet long60 = set(Bodies.LIFTER, "squat", Map.of("depth", 90.0), 60);
    rows.add(
        Row.holds(
            "T01",
            "a lifter's free squat beyond ten to fifteen repetitions is ended by breath",
            PRACTICE,
            "BREATH, 10 to 15",
            String.format(java.util.Locale.ROOT, "%s, %.1f", long60.end(), long60.repetitions()),
            long60.end() == SimulatedSet.End.BREATH
                && long60.repetitions() >= 10
                && long60.repetitions() <= 15));
    SimulatedSet press65 = set(Bodies.LIFTER, "press", Map.of("kneeDepth", 80.0), 65);
    SimulatedSet hack65 = set(Bodies.LIFTER, "hack", Map.of(), 65);
    rows.add(
        Row.holds(
            "T01",
            "a leg press and a hack squat are not",
            PRACTICE,
            "STRENGTH",
            press65.end() + ", " + hack65.end(),
            press65.end() == SimulatedSet.End.STRENGTH
                && hack65.end() == SimulatedSet.End.STRENGTH));
    rows.add(
        Row.within(
            "",
            "one-leg heel raises of a healthy man with nothing but himself",
            "Lunsford and Perry 1995 (28 ± 11), from memory",
            17,
            39,
            ((Analysis)
                    new Analyser(Bodies.MAN)
                        .analyse(
                            Families.get("standing-calf"),
                            Catalogue.standard().candidate("one-leg-calf-raise/usual").usual(),
                            new LoadRule.Fixed(0)))
                .set()
                .repetitions(),
            ""));
  }

  private static void besideASquat(List<Row> rows) {
    Body strong =
        Calibration.of(
                Bodies.MAN,
                List.of(
                    new KnownLift(
                        Catalogue.standard().candidate("back-squat/high-bar"),
                        new PerformedSet(SQUAT_KG, 1, 0),
                        LocalDate.of(2026, 11, 1))))
            .orElseThrow()
            .applied(Bodies.MAN);
    freeBars(rows, strong);
    sleds(rows, strong);
  }

  private static void freeBars(List<Row> rows, Body strong) {
    rows.add(
        Row.within(
            "loads",
            "front squat over back squat, one repetition",
            "Gullett et al. 2009 (48.5 and 61.8 kg), from memory",
            0.70,
            0.90,
            maximum(strong, "front-squat/front") / SQUAT_KG,
            ""));
    rows.add(
        Row.within(
            "loads",
            "conventional deadlift over high-bar squat",
            PRACTICE,
            1.0,
            1.35,
            maximum(strong, "deadlift/conventional") / SQUAT_KG,
            ""));
    rows.add(
        Row.within(
            "loads",
            "Romanian deadlift over high-bar squat",
            PRACTICE,
            0.65,
            1.05,
            maximum(strong, "romanian-deadlift/usual") / SQUAT_KG,
            ""));
    rows.add(
        Row.within(
            "loads",
            "low-bar over high-bar squat",
            PRACTICE,
            1.0,
            1.15,
            maximum(strong, "back-squat/low-bar") / SQUAT_KG,
            ""));
  }

  private static void sleds(List<Row> rows, Body strong) {
    rows.add(
        Row.within(
            "loads",
            "leg press at 45°, sled and plates, over high-bar squat",
            PRACTICE,
            1.6,
            3.2,
            (maximum(strong, "leg-press/high") + 45) / SQUAT_KG,
            ""));
    rows.add(
        Row.within(
            "loads",
            "hack squat, sled and plates, over high-bar squat",
            PRACTICE,
            0.9,
            1.8,
            (maximum(strong, "hack-squat/usual") + 40) / SQUAT_KG,
            ""));
  }

  private static double repetitions(String family, Map<String, Double> setup, double percent) {
    return set(Bodies.MAN, family, setup, percent).repetitions();
  }

  private static SimulatedSet set(
      Body body, String family, Map<String, Double> setup, double percent) {
    return ((Analysis)
            new Analyser(body)
                .analyse(
                    Families.get(family),
                    Bodies.setup(family, setup),
                    new LoadRule.ShareOfLimit(percent / 100)))
        .set();
  }

  private static double maximum(Body body, String candidate) {
    Candidate checked = Catalogue.standard().candidate(candidate);
    Exercise exercise = checked.exercise();
    Reach reach =
        Reach.of(body, exercise.family(), checked.usual(), checked.yields()).orElseThrow();
    return ((Analysis) new Analyser(body).analyse(exercise.family(), reach.setup(), LoadRule.USUAL))
        .limitKg();
  }
}
