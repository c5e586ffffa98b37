package istmo.core.evidence;

import istmo.core.anatomy.Region;
import java.util.List;
import java.util.Optional;

/**
 * Something that the trade says.
 *
 * @param says in a coach's words
 * @param regions the regions it is about; empty where it is about none
 * @param sides the two set-ups that it compares; empty where the mechanics cannot test it
 * @param expects what the first side should give against the second; empty for what is not a matter
 *     of more or less
 * @param against id of the claim that says the opposite
 * @param bearing findings that bear on it
 * @param note what cannot be seen from figures
 */
public record Claim(
    String id,
    String topic,
    String says,
    List<Region> regions,
    Optional<Sides> sides,
    Optional<Finding.Direction> expects,
    Optional<String> against,
    List<Bearing> bearing,
    String note) {
  /** The two set-ups that a claim compares. */
  public record Sides(Point first, Point second) {}

  /**
   * A finding and how its conditions stand to the claim's sides.
   *
   * @param direction what it found for the claim's first side; empty where it bears on the claim
   *     without saying more or less
   */
  public record Bearing(Finding finding, Optional<Finding.Direction> direction) {}

  public Claim {
    regions = List.copyOf(regions);
    bearing = List.copyOf(bearing);
  }
}
