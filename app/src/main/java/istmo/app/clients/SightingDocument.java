package istmo.app.clients;

import istmo.app.platform.Needed;
import istmo.core.picture.Figure;
import istmo.core.picture.Sighting;
import istmo.core.quantity.InvalidInput;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What a picture told, as it is stored and as an archive has it: shifts by technique parameter in
 * its own unit, angles in rad and lengths in m.
 */
public record SightingDocument(Map<String, ShiftDocument> shifts, PosedDocument posed) {
  /** A shift with its spread. */
  public record ShiftDocument(double shift, double spread) {}

  /** A figure with its standard deviation. */
  public record FigureDocument(double value, double error) {
    static FigureDocument of(Figure figure) {
      return new FigureDocument(figure.value(), figure.error());
    }

    Figure figure() {
      return new Figure(value, error);
    }
  }

  /** The posture. */
  public record PosedDocument(
      FigureDocument shank,
      FigureDocument thigh,
      FigureDocument trunk,
      FigureDocument kneePastToe,
      FigureDocument hipAboveKnee) {}

  /** The part of a sighting that is a document. */
  public static SightingDocument of(Sighting sighting) {
    Map<String, ShiftDocument> shifts = new LinkedHashMap<>();
    sighting
        .shifts()
        .forEach((id, shift) -> shifts.put(id, new ShiftDocument(shift.shift(), shift.spread())));
    Sighting.Posed posed = sighting.posed();
    return new SightingDocument(
        shifts,
        new PosedDocument(
            FigureDocument.of(posed.shank()),
            FigureDocument.of(posed.thigh()),
            FigureDocument.of(posed.trunk()),
            FigureDocument.of(posed.kneePastToe()),
            FigureDocument.of(posed.hipAboveKnee())));
  }

  /** Throws {@link InvalidInput} that names what is missing in a file. */
  public void check() {
    new Needed().field("told.shifts", shifts).field("told.posed", posed).check();
    Needed figures =
        new Needed()
            .field("told.posed.shank", posed.shank())
            .field("told.posed.thigh", posed.thigh())
            .field("told.posed.trunk", posed.trunk())
            .field("told.posed.kneePastToe", posed.kneePastToe())
            .field("told.posed.hipAboveKnee", posed.hipAboveKnee());
    shifts.forEach((id, shift) -> figures.field("told.shifts." + id, shift));
    figures.check();
  }

  /** The same as the core has them. */
  public Map<String, Sighting.Shift> coreShifts() {
    Map<String, Sighting.Shift> all = new LinkedHashMap<>();
    shifts.forEach((id, shift) -> all.put(id, new Sighting.Shift(shift.shift(), shift.spread())));
    return all;
  }

  /** The posture as the core has it. */
  public Sighting.Posed corePosed() {
    return new Sighting.Posed(
        posed.shank().figure(),
        posed.thigh().figure(),
        posed.trunk().figure(),
        posed.kneePastToe().figure(),
        posed.hipAboveKnee().figure());
  }
}
