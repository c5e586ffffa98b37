package istmo.app.platform;

import istmo.core.training.LoadEstimate;
import istmo.core.words.Words;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A first load, kg, for so many repetitions: begin at the low end. */
public record LoadView(double lowKg, double highKg, String repetitions, String basis) {
  /** Null where there is none, so that it is left out. */
  public static @Nullable LoadView of(Optional<LoadEstimate> load) {
    return load.map(
            estimate ->
                new LoadView(
                    estimate.lowKg(),
                    estimate.highKg(),
                    estimate.repetitions(),
                    Words.of(estimate.basis())))
        .orElse(null);
  }
}
