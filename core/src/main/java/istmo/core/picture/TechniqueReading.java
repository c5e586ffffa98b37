package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.body.MeasurementKind;
import istmo.core.body.Technique;
import istmo.core.catalogue.Candidate;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.watching.WatchedSet;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A picture of one client in one exercise read to its end: the posture, and the technique that
 * explains it.
 *
 * @param setup as the exercise was meant to be done
 * @param assumed the posture that Istmo assumed there
 * @param loadKg external load
 */
public record TechniqueReading(
    Candidate candidate,
    Setup setup,
    Posture assumed,
    double loadKg,
    PictureReading.Seen seen,
    TechniqueFit.Found found)
    implements Outcome {
  public static final Allowed LOAD_KG = new Allowed(0, 600, "kg");

  /** The bottom of a repetition, where pictures tell most. */
  private static final double BOTTOM = 1;

  /**
   * What a picture is of.
   *
   * @param body of the client; what was seen before does not count
   * @param measured what a tape gave of it
   * @param changes what of the set-up was otherwise than usual, by parameter id; technique is not
   *     among it, since it is what is looked for
   * @param loadKg external load; empty for the usual working load
   */
  public record Subject(
      Body body,
      Set<MeasurementKind> measured,
      Candidate candidate,
      GymEquipment equipment,
      Map<String, Double> changes,
      Optional<Double> loadKg) {
    public Subject {
      loadKg.ifPresent(kg -> LOAD_KG.check("loadKg", kg));
      body = body.moving(Technique.USUAL);
      changes = Map.copyOf(changes);
    }
  }

  /** Reads a picture of the bottom of a repetition. */
  public static Outcome of(Subject subject, SidePicture picture) {
    Assumed assumed = assumed(subject);
    PictureReading reading = PictureFit.read(picture, assumed.scene());
    if (reading instanceof PictureReading.NotSeen not) {
      return not;
    }
    PictureReading.Seen seen = (PictureReading.Seen) reading;
    return new TechniqueReading(
        subject.candidate(),
        assumed.setup(),
        assumed.scene().posture(),
        assumed.loadKg(),
        seen,
        TechniqueFit.of(
            assumed.family(), subject.body(), assumed.setup(), BOTTOM, assumed.loadKg(), seen));
  }

  /** What Istmo assumes before a picture is looked at. */
  record Assumed(Family family, Setup setup, double loadKg, Scene scene) {}

  static Assumed assumed(Subject subject) {
    Body body = subject.body();
    Family family = subject.candidate().exercise().family();
    Setup setup = setup(subject, family);
    double loadKg = subject.loadKg().orElseGet(() -> workingKg(body, family, setup));
    PostureResult result = family.posture(body, setup, BOTTOM, loadKg);
    if (!(result instanceof Posture posture)) {
      throw new InvalidInput("setup", "is nothing that this client's body can do");
    }
    boolean alike =
        family.legs(setup) == 2
            && posture.props().stream().noneMatch(prop -> prop.kind().equals("other"));
    return new Assumed(family, setup, loadKg, new Scene(body, posture, subject.measured(), alike));
  }

  /**
   * A set that was filmed: the marks of this picture followed through the film.
   *
   * @param marked the picture that was read
   */
  public Film film(SidePicture marked, List<Film.Frame> frames, WatchedSet.Asked asked) {
    return Film.of(marked, seen, frames, asked);
  }

  private static Setup setup(Subject subject, Family family) {
    Setup usual = subject.candidate().usualFor(subject.body(), subject.equipment());
    Map<String, Double> values = new LinkedHashMap<>(usual.values());
    values.putAll(subject.changes());
    for (SetupParameter parameter : family.parameters()) {
      if (parameter.kind() == SetupParameter.Kind.TECHNIQUE) {
        values.put(parameter.id(), usual.get(parameter));
      }
    }
    Setup wished = Setup.of(family.parameters(), values);
    return Reach.of(subject.body(), family, wished, subject.candidate().yields())
        .map(Reach::setup)
        .orElse(wished);
  }

  private static double workingKg(Body body, Family family, Setup setup) {
    return new Analyser(body).analyse(family, setup, LoadRule.USUAL) instanceof Analysis analysis
        ? analysis.workingKg()
        : 0;
  }

  /**
   * One figure as seen and as Istmo assumed it.
   *
   * @param unit deg or m
   */
  public record Compared(String id, String label, String unit, Figure seen, double assumed) {
    static Compared degrees(String id, String label, Figure seenRad, double assumedRad) {
      return new Compared(
          id,
          label,
          "deg",
          new Figure(Math.toDegrees(seenRad.value()), Math.toDegrees(seenRad.error())),
          Math.toDegrees(assumedRad));
    }
  }

  /** The posture in figures, angles in deg and lengths in m. */
  public List<Compared> figures() {
    double[] leans = TechniqueFit.leans(assumed);
    Posture.Points points = assumed.points();
    return List.of(
        Compared.degrees("kneeBend", "Knee bend", seen.kneeBend(), leans[0] + leans[1]),
        Compared.degrees("hipBend", "Hip bend", seen.hipBend(), leans[1] + leans[2]),
        Compared.degrees("trunk", "Trunk from the vertical", seen.trunk(), leans[2]),
        Compared.degrees("shank", "Shin from the vertical", seen.shank(), leans[0]),
        new Compared(
            "kneePastToe",
            "Knee in front of the toes",
            "m",
            seen.kneePastToe(),
            points.knee().x() - points.toe().x()),
        new Compared(
            "hipAboveKnee",
            "Hip above the knee",
            "m",
            seen.hipAboveKnee(),
            points.hip().y() - points.knee().y()));
  }

  /** What of the technique is otherwise than assumed by more than the picture's error. */
  public List<TechniqueFit.Adjusted> otherwise() {
    return found.technique().stream()
        .filter(adjusted -> Math.abs(adjusted.shift()) > adjusted.error())
        .toList();
  }

  /** What is kept of it. */
  public Sighting kept(LocalDate on) {
    Map<String, Sighting.Shift> shifts = new HashMap<>();
    found
        .technique()
        .forEach(
            adjusted ->
                shifts.put(
                    adjusted.parameter().id(),
                    new Sighting.Shift(adjusted.shift(), adjusted.spread())));
    return new Sighting(
        on,
        candidate.id(),
        loadKg,
        shifts,
        new Sighting.Posed(
            seen.shank(), seen.thigh(), seen.trunk(), seen.kneePastToe(), seen.hipAboveKnee()));
  }
}
