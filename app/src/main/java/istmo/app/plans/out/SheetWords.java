package istmo.app.plans.out;

import istmo.app.plans.Plan;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.SetupParameter;
import istmo.core.plan.Offer;
import istmo.core.plan.Planned;
import istmo.core.plan.Prescription;
import istmo.core.plan.WorkingLoad;
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
  public static String prescription(Prescription p, boolean oneLeg) {
    String tempo =
        number(p.tempo().loweringS())
            + "-"
            + number(p.tempo().lowS())
            + "-"
            + number(p.tempo().liftingS())
            + "-"
            + number(p.tempo().topS());
    return p.sets()
        + " × "
        + range(p.repetitionsLow(), p.repetitionsHigh())
        + (oneLeg ? " each side" : "")
        + ", "
        + number(p.reserve())
        + " in reserve, tempo "
        + tempo
        + ", rest "
        + p.restS()
        + " s"
        + (oneLeg && p.sideRestS() != Prescription.CHANGE_SIDE_S
            ? ", " + p.sideRestS() + " s between legs"
            : "")
        + (p.stringing().isEmpty() ? "" : ", " + p.stringing());
  }

  /** The load of the first set, with its plates, or how to find it. */
  public static String load(WorkingLoad w, Unit unit) {
    String between =
        w.lowKg() < w.highKg()
            ? "between " + unit.number(half(w.lowKg())) + " and " + unit.words(half(w.highKg()))
            : "";
    return w.sets()
        .get(0)
        .load()
        .map(l -> (between.isEmpty() ? "" : between + "; begin with ") + unit.words(l))
        .orElse(
            between.isEmpty()
                ? Character.toUpperCase(w.basis().charAt(0)) + w.basis().substring(1)
                : between + ": begin with no more than the lightest here");
  }

  /** What is only believed is said to the half kilogram. */
  private static double half(double kg) {
    return Math.round(2 * kg) / 2.0;
  }

  /** Warm-up sets, or nothing where there are none. */
  public static String warmUps(WorkingLoad w, Unit unit) {
    return w.warmUps().isEmpty()
        ? ""
        : "Warm-up: "
            + w.warmUps().stream()
                .map(x -> x.repetitions() + " × " + unit.words(x.load()))
                .collect(Collectors.joining("; "));
  }

  /** What is set up and told: stance, seat, heights; the machine's own numbers are not. */
  static String setup(Offer o) {
    if (o.byWord()) {
      return "";
    }
    List<String> parts = new ArrayList<>();
    for (SetupParameter p : Catalogue.standard().exercise(o.exerciseId()).family().parameters()) {
      Double v = o.setup().get(p.id());
      if (v != null
          && p.kind() == SetupParameter.Kind.SETUP
          && !((p.unit().equals("kg") || p.unit().equals("m")) && v == 0)) {
        parts.add(p.label().toLowerCase(Locale.ROOT) + " " + p.words(v));
      }
    }
    return String.join(", ", parts);
  }

  /** The brief line. */
  static String brief(Plan p) {
    String aim =
        Regions.standard().all().stream()
            .filter(r -> p.aim().weights().containsKey(r.id()))
            .map(Region::coachName)
            .collect(Collectors.joining(", "));
    String out =
        p.aim().keepOut().isEmpty()
            ? ""
            : "; avoid "
                + p.aim().keepOut().stream()
                    .map(
                        id ->
                            id.equals(Regions.LOWER_BACK)
                                ? "lower back"
                                : Regions.standard().get(id).coachName())
                    .collect(Collectors.joining(", "));
    return "For " + p.client().name() + " at " + p.gym().name() + ": target " + aim + out + ".";
  }

  /** What a session asks of one exercise, in lines. */
  public static List<String> lines(Plan plan, Planned.Item i, double share) {
    Offer o = plan.offers().get(i.candidateId());
    WorkingLoad w = plan.load(i, share);
    List<String> lines =
        new ArrayList<>(List.of(prescription(i.prescription(), o.oneLeg()), load(w, Unit.KG)));
    String lighter = warmUps(w, Unit.KG);
    if (!lighter.isEmpty()) {
      lines.add(lighter);
    }
    return lines;
  }
}
