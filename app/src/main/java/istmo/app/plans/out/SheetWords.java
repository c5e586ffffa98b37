package istmo.app.plans.out;

import istmo.app.plans.Plan;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.SetupParameter;
import istmo.core.plan.Offer;
import istmo.core.plan.Planned;
import istmo.core.plan.Prescription;
import istmo.core.plan.WorkingLoad;
import istmo.core.words.MovementWords;
import istmo.core.words.SessionWords;
import istmo.core.words.Words;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A plan in words, for paper, calendars and sessions. Nothing of a client's health is in them. */
public final class SheetWords {
  private SheetWords() {}

  /** Name of a weekday, 1 Monday to 7 Sunday. */
  public static String weekday(int weekday) {
    return DayOfWeek.of(weekday).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  static String number(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }

  static String range(int low, int high) {
    return low == high ? String.valueOf(low) : low + "–" + high;
  }

  /** "4 × 8–12 each side, 2 in reserve, tempo 2-0-1-0, rest 150 s". */
  public static String prescription(Prescription prescription, boolean oneLeg) {
    String tempo =
        number(prescription.tempo().loweringS())
            + "-"
            + number(prescription.tempo().lowS())
            + "-"
            + number(prescription.tempo().liftingS())
            + "-"
            + number(prescription.tempo().topS());
    String stringing = SessionWords.stringing(prescription);
    return prescription.sets()
        + " × "
        + range(prescription.repetitionsLow(), prescription.repetitionsHigh())
        + (oneLeg ? " each side" : "")
        + ", "
        + number(prescription.reserve())
        + " in reserve, tempo "
        + tempo
        + ", rest "
        + prescription.restS()
        + " s"
        + (oneLeg && prescription.sideRestS() != Prescription.CHANGE_SIDE_S
            ? ", " + prescription.sideRestS() + " s between legs"
            : "")
        + (stringing.isEmpty() ? "" : ", " + stringing);
  }

  /** The load of the first set, with its plates, or how to find it. */
  public static String load(WorkingLoad load, Unit unit) {
    String between =
        load.lowKg() < load.highKg()
            ? "between "
                + unit.number(half(load.lowKg()))
                + " and "
                + unit.words(half(load.highKg()))
            : "";
    return load.sets()
        .get(0)
        .load()
        .map(loading -> (between.isEmpty() ? "" : between + "; begin with ") + unit.words(loading))
        .orElse(
            between.isEmpty()
                ? Words.begun(load.basis())
                : between + ": begin with no more than the lightest here");
  }

  /** What is only believed is said to the half kilogram. */
  private static double half(double kg) {
    return Math.round(2 * kg) / 2.0;
  }

  /** Warm-up sets, or nothing where there are none. */
  public static String warmUps(WorkingLoad load, Unit unit) {
    return load.warmUps().isEmpty()
        ? ""
        : "Warm-up: "
            + load.warmUps().stream()
                .map(warmUp -> warmUp.repetitions() + " × " + unit.words(warmUp.load()))
                .collect(Collectors.joining("; "));
  }

  /** What is set up and told: stance, seat, heights; the machine's own numbers are not. */
  static String setup(Offer offer) {
    if (offer.byWord()) {
      return "";
    }
    List<String> parts = new ArrayList<>();
    for (SetupParameter parameter :
        Catalogue.standard().exercise(offer.exerciseId()).family().parameters()) {
      Double v = offer.setup().get(parameter.id());
      if (v != null
          && parameter.kind() == SetupParameter.Kind.SETUP
          && !((parameter.unit().equals("kg") || parameter.unit().equals("m")) && v == 0)) {
        parts.add(
            parameter.label().toLowerCase(Locale.ROOT) + " " + MovementWords.value(parameter, v));
      }
    }
    return String.join(", ", parts);
  }

  /** The brief line. */
  static String brief(Plan plan) {
    String aim =
        plan.aim().weights().keySet().stream()
            .map(Region::coachName)
            .collect(Collectors.joining(", "));
    String out =
        plan.aim().keepOut().isEmpty()
            ? ""
            : "; avoid "
                + plan.aim().keepOut().stream()
                    .map(Region::coachName)
                    .collect(Collectors.joining(", "));
    return "For "
        + plan.client().name()
        + " at "
        + plan.gym().name()
        + ": target "
        + aim
        + out
        + ".";
  }

  /** What a session asks of one exercise, in lines. */
  public static List<String> lines(Plan plan, Planned.Item item, double share) {
    Offer offer = plan.offers().get(item.candidateId());
    WorkingLoad load = plan.load(item, share);
    List<String> lines =
        new ArrayList<>(
            List.of(prescription(item.prescription(), offer.oneLeg()), load(load, Unit.KG)));
    String lighter = warmUps(load, Unit.KG);
    if (!lighter.isEmpty()) {
      lines.add(lighter);
    }
    return lines;
  }
}
