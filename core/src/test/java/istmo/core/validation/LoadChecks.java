package istmo.core.validation;

import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Reach;
import istmo.core.training.Calibration;
import istmo.core.training.KnownLift;
import istmo.core.training.OneRepetition;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Repetitions against published charts, and what one known squat says of other lifts, against what lifters lift. */
final class LoadChecks {
  private static final String PRACTICE = "common practice";
  private static final double SQUAT_KG = 120;

  private LoadChecks() {}

  static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    String chart = "percentage chart (NSCA type; Zourdos et al. 2016 for reserve), from memory";
    for (double[] c : new double[][] {{2, 95}, {5, 87}, {8, 80}, {10, 75}, {12, 67}}) {
      rows.add(Row.within("C082", String.format(java.util.Locale.ROOT, "load of %.0f repetitions to failure, share of one repetition", c[0]), chart, c[1] - 2.5, c[1] + 2.5, 100 * OneRepetition.load(1, c[0]), "%"));
    }
    Body strong = Calibration.of(Bodies.MAN, List.of(new KnownLift("back-squat/high-bar", new PerformedSet(SQUAT_KG, 1, 0), LocalDate.of(2026, 11, 1)))).orElseThrow().applied(Bodies.MAN);
    rows.add(Row.within("loads", "front squat over back squat, one repetition", "Gullett et al. 2009 (48.5 and 61.8 kg), from memory", 0.70, 0.90, maximum(strong, "front-squat/front") / SQUAT_KG, ""));
    rows.add(Row.within("loads", "conventional deadlift over high-bar squat", PRACTICE, 1.0, 1.35, maximum(strong, "deadlift/conventional") / SQUAT_KG, ""));
    rows.add(Row.within("loads", "Romanian deadlift over high-bar squat", PRACTICE, 0.65, 1.05, maximum(strong, "romanian-deadlift/usual") / SQUAT_KG, ""));
    rows.add(Row.within("loads", "low-bar over high-bar squat", PRACTICE, 1.0, 1.15, maximum(strong, "back-squat/low-bar") / SQUAT_KG, ""));
    rows.add(Row.within("loads", "leg press at 45°, sled and plates, over high-bar squat", PRACTICE, 1.6, 3.2, (maximum(strong, "leg-press/high") + 45) / SQUAT_KG, ""));
    rows.add(Row.within("loads", "hack squat, sled and plates, over high-bar squat", PRACTICE, 0.9, 1.8, (maximum(strong, "hack-squat/usual") + 40) / SQUAT_KG, ""));
    return rows;
  }

  private static double maximum(Body body, String candidate) {
    Candidate c = Catalogue.standard().candidate(candidate);
    Exercise x = Catalogue.standard().exerciseOf(c);
    Reach reach = Reach.of(body, x.family(), c.usual(), c.yields()).orElseThrow();
    return ((Analysis) new Analyser(body).analyse(x.family(), reach.setup(), LoadRule.USUAL)).limitKg();
  }
}
