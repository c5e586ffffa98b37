package istmo.app.clients;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.MeasurementKind;
import istmo.core.body.Profile;
import istmo.core.body.Readings;
import istmo.core.picture.Sighting;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.Calibration;
import istmo.core.training.KnownLift;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Everything that is kept of a client here, from elsewhere. */
public record ClientRecord(
    String name,
    Intake intake,
    Profile profile,
    Cautions cautions,
    boolean learns,
    List<Measurement> readings,
    List<KnownLift> lifts,
    List<Sighting> sightings) {
  /** The same client under another name. */
  public ClientRecord named(String other) {
    return new ClientRecord(other, intake, profile, cautions, learns, readings, lifts, sightings);
  }

  /**
   * Throws {@link InvalidInput} that names every reading and lift which is not believable, or of a
   * day to come.
   */
  void check(LocalDate today) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    double statureM =
        new Readings(readings).value(MeasurementKind.STATURE).orElse(intake.statureM());
    for (int k = 0; k < readings.size(); k++) {
      Measurement reading = readings.get(k);
      InvalidInput.gather(
          faults,
          "measurements[" + k + "].",
          () -> {
            reading.kind().check(reading.value(), statureM);
            checkDay(reading.on(), today);
          });
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    Body body = BodyEstimate.of(intake, new Readings(readings)).body();
    for (int k = 0; k < lifts.size(); k++) {
      KnownLift knownLift = lifts.get(k);
      InvalidInput.gather(
          faults,
          "lifts[" + k + "].",
          () -> {
            checkDay(knownLift.on(), today);
            Calibration.check(body, knownLift);
          });
    }
    for (int k = 0; k < sightings.size(); k++) {
      Sighting sighting = sightings.get(k);
      InvalidInput.gather(faults, "sightings[" + k + "].", () -> checkDay(sighting.on(), today));
    }
    InvalidInput.gather(faults, "profile.", () -> Clients.check(profile));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  static void checkDay(LocalDate on, LocalDate today) {
    if (on.isAfter(today.plusDays(1))) { // a day of grace for clocks east of here
      throw new InvalidInput("on", "is a day to come");
    }
  }
}
