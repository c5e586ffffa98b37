package istmo.core.mechanics;

import istmo.core.anatomy.Region;
import java.util.Collection;

/**
 * How much one muscle or the lower back limits the load.
 *
 * @param id muscle id, ERECTORS, ABDOMINALS, {@link SimulatedSet#BREATH}, {@link #BALANCE} or
 *     {@link #GRIP}
 * @param share of the whole sensitivity; all shares add up to 1
 * @param kgPerPercent how much the limit rises when it is one per cent stronger, kg
 */
public record Limiter(String id, double share, double kgPerPercent) {
  /** Id where a heavier load could not be balanced any more. */
  public static final String BALANCE = "BALANCE";

  /** Id where the fingers are opened before anything else gives out. */
  public static final String GRIP = "GRIP";

  /** Whether it is the muscle of one of these regions. */
  public boolean isOneOf(Collection<Region> regions) {
    return Region.find(id).filter(regions::contains).isPresent();
  }
}
