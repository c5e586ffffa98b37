package istmo.core.anatomy;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What a coach can keep out of an order, or a client can feel: a region, or the lower back. */
public sealed interface BodyArea permits Region, BodyArea.Back {
  /** What is not a region of the leg, and so cannot be aimed at. */
  enum Back implements BodyArea, AreaGroup {
    LOWER_BACK;

    @Override
    public String id() {
      return "ERECTORS";
    }

    @Override
    public String word() {
      return "lower back";
    }

    @Override
    public AreaGroup group() {
      return this;
    }

    @Override
    public String toString() {
      return id();
    }
  }

  /** Identity in stored documents and addresses. */
  String id();

  /** What a coach names it together with. */
  AreaGroup group();

  /** Ids of areas, in the order in which they come. */
  static List<String> ids(Collection<? extends BodyArea> areas) {
    return areas.stream().map(BodyArea::id).toList();
  }

  /**
   * The areas with these ids; throws {@link InvalidInput} that names each unknown one under the
   * caller's field.
   */
  static Set<BodyArea> all(String field, Collection<String> ids) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Set<BodyArea> areas = new LinkedHashSet<>();
    for (String id : ids) {
      InvalidInput.gather(faults, "", () -> areas.add(of(field, id)));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return areas;
  }

  /** The area with this id; throws {@link InvalidInput} under the name of the caller's field. */
  static BodyArea of(String field, String id) {
    return Stream.<BodyArea>concat(Arrays.stream(Region.values()), Stream.of(Back.LOWER_BACK))
        .filter(area -> area.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new InvalidInput(field, "\"" + id + "\" is not a region"));
  }
}
