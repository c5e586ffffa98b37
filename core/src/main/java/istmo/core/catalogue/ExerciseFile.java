package istmo.core.catalogue;

import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Caution;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.movement.Family;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Families;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** One file of {@code catalogue/}: an exercise and its named set-ups. */
final class ExerciseFile {
  private static final String USUAL = "usual";
  private static final Set<String> MANY =
      Set.of("cue", "stop", "fault", "caution", "candidate", "until-cleared", "out");

  private final String resource;
  private final Map<String, String> one = new LinkedHashMap<>();
  private final Map<String, List<String>> many = new LinkedHashMap<>();
  private final Family family;
  private final String id;
  private final List<Variant> variants;

  /**
   * A named set-up: "name | label | changes", then where it has them "| yields parameter" or "|
   * yields parameter to value", and "| needs equipment; equipment".
   */
  private record Variant(
      String key,
      String name,
      Setup usual,
      Optional<SetupParameter> yields,
      Optional<Set<Equipment>> needs) {}

  ExerciseFile(String file) {
    resource = "catalogue/" + file;
    for (Map.Entry<String, String> entry : TextTable.entries(resource)) {
      if (MANY.contains(entry.getKey())) {
        many.computeIfAbsent(entry.getKey(), key -> new ArrayList<>()).add(entry.getValue());
      } else if (one.put(entry.getKey(), entry.getValue()) != null) {
        throw new IllegalStateException(resource + ": \"" + entry.getKey() + "\" stands twice");
      }
    }
    family = Families.get(need("family"));
    id = need("id");
    variants = many("candidate").stream().map(this::variant).toList();
    if (variants.isEmpty()) {
      throw new IllegalStateException(resource + ": no candidate");
    }
  }

  Exercise exercise() {
    Map<String, String> faults = new LinkedHashMap<>();
    pairs("fault").forEach(pair -> faults.put(pair[0], pair[1]));
    Map<PainFlag, String> exclusions = new EnumMap<>(PainFlag.class);
    pairs("out").forEach(pair -> exclusions.put(PainFlag.valueOf(pair[0]), pair[1]));
    Map<Caution, String> waits = new EnumMap<>(Caution.class);
    pairs("until-cleared").forEach(pair -> waits.put(Caution.valueOf(pair[0]), pair[1]));
    return new Exercise(
        id,
        need("name"),
        list(one.getOrDefault("also", "")),
        family,
        equipment(need("needs")),
        Optional.ofNullable(one.get("group")).filter(text -> !text.isEmpty()).map(RegionGroup::of),
        Map.copyOf(exclusions),
        Map.copyOf(waits),
        onBelly(one.getOrDefault("position", "")),
        need("braced"),
        one.getOrDefault("weight", "").equals("one"),
        number("stability"),
        number("set-up-minutes"),
        number("ease-of-learning"),
        plain(one.getOrDefault("plain", USUAL)),
        number("model-error"),
        need("repetitions"),
        List.copyOf(many("cue")),
        List.copyOf(many("stop")),
        Collections.unmodifiableMap(faults),
        List.copyOf(many("caution")),
        variants.stream().flatMap(variant -> variant.yields().stream()).findFirst());
  }

  /** Its named set-ups, as set-ups of the exercise that it is. */
  List<Candidate> candidates(Exercise exercise) {
    return variants.stream()
        .map(
            variant ->
                new Candidate(
                    CandidateId.of(id, variant.key()),
                    exercise,
                    variant.name(),
                    variant.needs().orElse(exercise.needs()),
                    variant.usual(),
                    variant.yields()))
        .toList();
  }

  /** "parameter", or "parameter to value" where it goes no further than that. */
  private SetupParameter yielding(String words) {
    String[] word = words.trim().split(" to ");
    SetupParameter parameter = parameter(word[0].trim());
    return word.length == 1 ? parameter : parameter.upTo(Double.parseDouble(word[1].trim()));
  }

  private Variant variant(String line) {
    String[] part = line.split("\\|", -1);
    Map<String, Double> changes = new LinkedHashMap<>();
    for (String pair : part[2].trim().split(",")) {
      if (!pair.isBlank()) {
        String[] kv = pair.split("=");
        changes.put(kv[0].trim(), Double.parseDouble(kv[1].trim()));
      }
    }
    Optional<SetupParameter> yields = Optional.empty();
    Optional<Set<Equipment>> needs = Optional.empty();
    for (String further : List.of(part).subList(3, part.length)) {
      String[] word = further.trim().split(" ", 2);
      switch (word[0]) {
        case "yields" -> yields = Optional.of(yielding(word[1]));
        case "needs" -> needs = Optional.of(equipment(word[1]));
        default ->
            throw new IllegalStateException(
                resource + ": \"" + further.trim() + "\" is neither \"yields\" nor \"needs\"");
      }
    }
    return new Variant(
        part[0].trim(), part[1].trim(), Setup.of(family.parameters(), changes), yields, needs);
  }

  private SetupParameter parameter(String name) {
    return family.parameters().stream()
        .filter(parameter -> parameter.id().equals(name))
        .findFirst()
        .orElseThrow(
            () -> new IllegalStateException(resource + ": no parameter \"" + name + "\" to yield"));
  }

  /**
   * The candidate that the exercise's name alone means: the one that is named, or the usual one.
   */
  private Optional<CandidateId> plain(String named) {
    boolean there = variants.stream().anyMatch(variant -> variant.key().equals(named));
    if (!there && !named.equals(USUAL)) {
      throw new IllegalStateException(resource + ": no candidate \"" + named + "\"");
    }
    return there ? Optional.of(CandidateId.of(id, named)) : Optional.empty();
  }

  private boolean onBelly(String position) {
    return switch (position) {
      case "" -> false;
      case "face down", "bar across the hips" -> true;
      default ->
          throw new IllegalStateException(
              resource + ": \"" + position + "\" is not a position that matters");
    };
  }

  private List<String> many(String key) {
    return many.getOrDefault(key, List.of());
  }

  private List<String[]> pairs(String key) {
    return many(key).stream()
        .map(line -> Arrays.stream(line.split("\\|", 2)).map(String::trim).toArray(String[]::new))
        .toList();
  }

  private String need(String key) {
    String value = one.get(key);
    if (value == null) {
      throw new IllegalStateException(resource + ": \"" + key + "\" is missing");
    }
    return value;
  }

  private double number(String key) {
    return Double.parseDouble(need(key));
  }

  private static Set<Equipment> equipment(String cell) {
    return Collections.unmodifiableSet(Equipment.all(list(cell)));
  }

  private static List<String> list(String cell) {
    return cell.isBlank() ? List.of() : Arrays.stream(cell.split(";")).map(String::trim).toList();
  }
}
