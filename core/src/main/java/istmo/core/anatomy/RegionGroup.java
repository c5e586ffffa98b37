package istmo.core.anatomy;

import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Regions that coaches name together. */
public enum RegionGroup {
  QUADS,
  HAMSTRINGS,
  GLUTES,
  ADDUCTORS,
  CALVES,
  SHIN,
  HIP_FLEXORS,
  LOWER_BACK;

  /** The regions by group; made when both lists are there. */
  private static final class Members {
    static final Map<RegionGroup, List<Region>> BY_GROUP =
        Arrays.stream(Region.values()).collect(Collectors.groupingBy(Region::group));
  }

  /** The regions of the group, in the order of the list of regions. */
  public List<Region> regions() {
    return Required.entry(Members.BY_GROUP, this);
  }

  /** The group with this id; throws {@link InvalidInput} that lists what there is. */
  public static RegionGroup of(String id) {
    return Arrays.stream(values())
        .filter(group -> group.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    "group",
                    "\"" + id + "\" is not a group; there are " + Arrays.toString(values())));
  }

  /** Identity in stored documents and addresses. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The coach's word. */
  public String word() {
    return id().replace('-', ' ');
  }

  @Override
  public String toString() {
    return id();
  }
}
