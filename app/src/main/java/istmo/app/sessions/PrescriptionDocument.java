package istmo.app.sessions;

import istmo.app.platform.Needed;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Prescription;
import istmo.core.plan.Scheme;

/** How an exercise is to be done, as it is kept and exchanged. Rest in s. */
public record PrescriptionDocument(
    Integer sets,
    Integer repetitionsLow,
    Integer repetitionsHigh,
    Double reserve,
    TempoDocument tempo,
    Integer restS,
    Scheme scheme) {
  /** A prescription as it is stored and served. */
  public static PrescriptionDocument of(Prescription p) {
    return new PrescriptionDocument(
        p.sets(),
        p.repetitionsLow(),
        p.repetitionsHigh(),
        p.reserve(),
        new TempoDocument(
            p.tempo().loweringS(), p.tempo().lowS(), p.tempo().liftingS(), p.tempo().topS()),
        p.restS(),
        p.scheme());
  }

  /** The prescription; throws {@code InvalidInput} for what cannot be. */
  public Prescription prescription() {
    new Needed()
        .field("sets", sets)
        .field("repetitionsLow", repetitionsLow)
        .field("repetitionsHigh", repetitionsHigh)
        .field("reserve", reserve)
        .field("tempo", tempo)
        .field("restS", restS)
        .field("scheme", scheme)
        .check();
    return new Prescription(
        sets, repetitionsLow, repetitionsHigh, reserve, tempo.tempo(), restS, scheme);
  }

  /** Seconds of each phase of a repetition. */
  public record TempoDocument(Double loweringS, Double lowS, Double liftingS, Double topS) {
    Tempo tempo() {
      new Needed()
          .field("tempo.loweringS", loweringS)
          .field("tempo.lowS", lowS)
          .field("tempo.liftingS", liftingS)
          .field("tempo.topS", topS)
          .check();
      return new Tempo(loweringS, lowS, liftingS, topS);
    }
  }
}
