package istmo.core.anatomy;

import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A region that a coach can aim at, keep out, and a client can feel: a muscle of the model with the
 * same id. What is known of each stands in {@code anatomy/regions.csv}.
 */
public enum Region {
  VL,
  VM,
  VI,
  RF,
  BFL,
  BFS,
  ST,
  SM,
  GMAXU,
  GMAXM,
  GMAXL,
  GMEDA,
  GMEDP,
  GMIN,
  AL,
  AB,
  GRA,
  AMA,
  AMI,
  GASM,
  GASL,
  SOL,
  TA,
  ILP,
  ERECTORS;

  private final String coachName;
  private final String anatomicalName;
  private final RegionGroup group;
  private final Steer steer;
  private final String column;
  private final String row;

  /** How far a region can be trained apart from its neighbours (judgement, common practice). */
  public enum Steer {
    /** well */
    A,
    /** partly */
    B,
    /** little, or disputed */
    C
  }

  /** The table is read before the first region is made. */
  private static final class Table {
    static final Map<String, TextTable.Row> ROWS = new LinkedHashMap<>();

    static {
      TextTable.rows("anatomy/regions.csv").forEach(row -> ROWS.put(row.get("id"), row));
    }
  }

  private static final Map<String, Region> BY_ID = new LinkedHashMap<>();

  static {
    for (Region region : values()) {
      BY_ID.put(region.id(), region);
    }
    if (!List.copyOf(BY_ID.keySet()).equals(List.copyOf(Table.ROWS.keySet()))) {
      throw new IllegalStateException(
          "regions.csv has " + Table.ROWS.keySet() + ", not " + BY_ID.keySet());
    }
  }

  Region() {
    TextTable.Row known = Table.ROWS.get(name());
    if (known == null) {
      throw new IllegalStateException("regions.csv says nothing of " + name());
    }
    coachName = known.get("coach_name");
    anatomicalName = known.get("anatomical_name");
    group = RegionGroup.of(known.get("group"));
    steer = Steer.valueOf(known.get("steer"));
    column = known.get("column");
    row = known.get("row");
  }

  /** The region with this id; throws {@link InvalidInput} that lists what there is. */
  public static Region of(String id) {
    return find(id)
        .orElseThrow(
            () ->
                new InvalidInput(
                    "region",
                    "\"" + id + "\" is not a region; there are " + Arrays.toString(values())));
  }

  /** The region with this id; empty where there is none. */
  public static Optional<Region> find(String id) {
    return Optional.ofNullable(BY_ID.get(id));
  }

  /** The regions with these ids; an unknown one is a fault of the caller's field. */
  public static Set<Region> known(
      List<InvalidInput.Fault> faults, String field, Collection<String> ids) {
    Set<Region> regions = EnumSet.noneOf(Region.class);
    for (String id : ids) {
      find(id)
          .ifPresentOrElse(
              regions::add,
              () -> faults.add(new InvalidInput.Fault(field, "\"" + id + "\" is not a region")));
    }
    return regions;
  }

  /** Identity in stored documents and addresses. */
  public String id() {
    return name();
  }

  /** Ids of regions, in the order in which they come. */
  public static List<String> ids(Collection<Region> regions) {
    return regions.stream().map(Region::id).toList();
  }

  /**
   * The regions with these ids; throws {@link InvalidInput} that names each unknown one under the
   * caller's field.
   */
  public static Set<Region> all(String field, Collection<String> ids) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Set<Region> regions = known(faults, field, ids);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return regions;
  }

  /** What a coach calls it. */
  public String coachName() {
    return coachName;
  }

  /** What an anatomist calls it. */
  public String anatomicalName() {
    return anatomicalName;
  }

  /** What a coach names it together with. */
  public RegionGroup group() {
    return group;
  }

  /** The muscle that it is. */
  public Muscle muscle() {
    return Muscles.standard().get(id());
  }

  /** Place of its muscle in the list of muscles. */
  public int muscleIndex() {
    return Muscles.standard().indexOf(id());
  }

  /** Whether it is held at one length in every exercise of the model. */
  public boolean held() {
    return this == ERECTORS;
  }

  /** How far it can be trained apart from its neighbours. */
  public Steer steer() {
    return steer;
  }

  /** Place across on the limb chart. */
  public String column() {
    return column;
  }

  /** Place down on the limb chart. */
  public String row() {
    return row;
  }
}
