package istmo.app.catalogue;

import istmo.app.platform.MayBeMissing;
import istmo.core.anatomy.Region;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Movement;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a coach says of an exercise of their own, as it is kept, sent and exchanged
 * (docs/formats.md). What is left out is the usual: nothing needed, eight to twelve repetitions, a
 * minute to set up, joints that bend deep.
 *
 * @param mainly region ids for which a hard set counts whole
 * @param partly region ids for which it counts half
 * @param troubles joints that, when sore, take it out
 * @param repetitions usual range, such as "8-12"
 * @param setUpMinutes to set up and load, min
 */
public record OwnExerciseDocument(
    @MayBeMissing @Nullable List<String> alsoCalled,
    @MayBeMissing @Nullable Set<String> needs,
    @MayBeMissing @Nullable Set<Movement> does,
    @MayBeMissing @Nullable List<String> mainly,
    @MayBeMissing @Nullable List<String> partly,
    @MayBeMissing ByWord.@Nullable Bend knee,
    @MayBeMissing ByWord.@Nullable Bend hip,
    @MayBeMissing ByWord.@Nullable Back back,
    @MayBeMissing @Nullable Boolean onBelly,
    @MayBeMissing @Nullable Boolean oneLeg,
    @MayBeMissing @Nullable Set<PainFlag> troubles,
    @MayBeMissing @Nullable String repetitions,
    @MayBeMissing @Nullable Double setUpMinutes,
    @MayBeMissing @Nullable List<String> cues,
    @MayBeMissing @Nullable List<String> stopSigns,
    @MayBeMissing @Nullable List<String> cautions) {
  /** The exercise; throws {@link InvalidInput} that names every field at fault. */
  public ByWord exercise(String key, String name) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Set<Region> whole = Region.known(faults, "mainly", orNone("mainly", mainly));
    Set<Region> half = Region.known(faults, "partly", orNone("partly", partly));
    Set<Equipment> items = EnumSet.noneOf(Equipment.class);
    InvalidInput.gather(faults, "", () -> items.addAll(Equipment.all(orNone("needs", needs))));
    InvalidInput.gather(faults, "", () -> byWord(key, name, items, whole, half));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return byWord(key, name, items, whole, half);
  }

  private ByWord byWord(
      String key, String name, Set<Equipment> items, Set<Region> whole, Set<Region> half) {
    Map<PainFlag, String> exclusions = new EnumMap<>(PainFlag.class);
    orNone("troubles", troubles)
        .forEach(
            flag ->
                exclusions.put(flag, "You said that it is no friend of a " + flag.label() + "."));
    return new ByWord(
        ByWord.ownId(key),
        name,
        orNone("alsoCalled", alsoCalled),
        items,
        orNone("does", does),
        whole,
        half,
        Objects.requireNonNullElse(knee, ByWord.Bend.DEEP),
        Objects.requireNonNullElse(hip, ByWord.Bend.DEEP),
        Objects.requireNonNullElse(back, ByWord.Back.SOME),
        Boolean.TRUE.equals(onBelly),
        Boolean.TRUE.equals(oneLeg),
        exclusions,
        Map.of(),
        Objects.requireNonNullElse(repetitions, ByWord.USUAL_REPETITIONS),
        Objects.requireNonNullElse(setUpMinutes, ByWord.USUAL_MINUTES),
        orNone("cues", cues),
        orNone("stopSigns", stopSigns),
        orNone("cautions", cautions),
        "",
        Optional.empty());
  }

  private static <T> List<T> orNone(String field, @Nullable List<T> list) {
    return list == null ? List.of() : withoutGaps(field, list);
  }

  private static <T> Set<T> orNone(String field, @Nullable Set<T> set) {
    return set == null ? Set.of() : withoutGaps(field, set);
  }

  private static <C extends java.util.Collection<?>> C withoutGaps(String field, C values) {
    if (values.stream().anyMatch(Objects::isNull)) {
      throw new InvalidInput(field, "holds nothing at one place");
    }
    return values;
  }
}
