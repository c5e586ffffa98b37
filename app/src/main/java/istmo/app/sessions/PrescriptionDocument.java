package istmo.app.sessions;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Drops;
import istmo.core.plan.Prescription;
import istmo.core.plan.Scheme;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How an exercise is to be done, as it is kept and exchanged. Rests in s. What is not said of sides
 * and drops is as usual; weeks that were kept before could not say it.
 */
public record PrescriptionDocument(
    Integer sets,
    Integer repetitionsLow,
    Integer repetitionsHigh,
    Double reserve,
    TempoDocument tempo,
    Integer restS,
    Scheme scheme,
    @MayBeMissing @Nullable Integer sideRestS,
    @MayBeMissing @Nullable DropsDocument drops) {
  /** A prescription as it is stored and served. */
  public static PrescriptionDocument of(Prescription prescription) {
    return new PrescriptionDocument(
        prescription.sets(),
        prescription.repetitionsLow(),
        prescription.repetitionsHigh(),
        prescription.reserve(),
        new TempoDocument(
            prescription.tempo().loweringS(),
            prescription.tempo().lowS(),
            prescription.tempo().liftingS(),
            prescription.tempo().topS()),
        prescription.restS(),
        prescription.scheme(),
        prescription.sideRestS(),
        prescription.drops().map(DropsDocument::of).orElse(null));
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
        sets,
        repetitionsLow,
        repetitionsHigh,
        reserve,
        tempo.tempo(),
        restS,
        sideRestS == null ? Prescription.CHANGE_SIDE_S : sideRestS,
        scheme,
        drops == null ? scheme.usualDrops() : Optional.of(drops.drops()));
  }

  /** Sets that follow a set at once; {@code less} as a share of the load. */
  public record DropsDocument(
      Integer number, Double less, Boolean everySet, @MayBeMissing @Nullable String easier) {
    static DropsDocument of(Drops drops) {
      return new DropsDocument(drops.number(), drops.less(), drops.everySet(), drops.easier());
    }

    Drops drops() {
      new Needed()
          .field("drops.number", number)
          .field("drops.less", less)
          .field("drops.everySet", everySet)
          .check();
      return new Drops(number, less, everySet, easier == null ? "" : easier.strip());
    }
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
