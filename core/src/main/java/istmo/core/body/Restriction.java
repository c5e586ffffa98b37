package istmo.core.body;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A clinician's written restriction. It goes before everything else, clearances included.
 *
 * @param by who wrote it
 * @param text what it says
 * @param kneeMaxDeg most knee bend under load, deg, if it names one
 * @param hipMaxDeg most hip bend under load, deg, if it names one
 * @param noLoadedBack whether the lower back may carry no load
 */
public record Restriction(
    String by,
    LocalDate on,
    String text,
    Optional<Double> kneeMaxDeg,
    Optional<Double> hipMaxDeg,
    boolean noLoadedBack) {
  private static final Allowed ANGLE = new Allowed(60, 150, "deg");
  private static final int LONGEST = 1000;

  public Restriction {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if (by == null || by.isBlank() || by.length() > 120) {
      faults.add(new InvalidInput.Fault("restrictions.by", "needs the clinician's name"));
    }
    if (on == null) {
      faults.add(
          new InvalidInput.Fault("restrictions.on", "needs the day on which it was written"));
    }
    if (text == null || text.isBlank() || text.length() > LONGEST) {
      faults.add(
          new InvalidInput.Fault(
              "restrictions.text", "needs what it says, in at most " + LONGEST + " characters"));
    }
    kneeMaxDeg
        .filter(v -> !ANGLE.contains(v))
        .ifPresent(
            v ->
                faults.add(
                    new InvalidInput.Fault(
                        "restrictions.kneeMaxDeg", "must be within 60 to 150 deg")));
    hipMaxDeg
        .filter(v -> !new Allowed(70, 150, "deg").contains(v))
        .ifPresent(
            v ->
                faults.add(
                    new InvalidInput.Fault(
                        "restrictions.hipMaxDeg", "must be within 70 to 150 deg")));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }
}
