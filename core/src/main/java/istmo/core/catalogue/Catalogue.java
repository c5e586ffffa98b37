package istmo.core.catalogue;

import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Caution;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.movement.Family;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Families;
import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All exercises, read from {@code catalogue/*.txt} and checked: families, equipment, set-ups and
 * names must exist, or the application does not start.
 */
public final class Catalogue {
  private static final String USUAL = "usual";
  private static final Catalogue STANDARD = new Catalogue();
  private final Map<String, Exercise> exercises = new LinkedHashMap<>();
  private final Map<String, Candidate> candidates = new LinkedHashMap<>();
  private final List<ByWord> byWord = ByWordReader.all();

  private Catalogue() {
    for (String file : TextTable.lines("catalogue/index.txt")) {
      if (!file.isBlank() && !file.startsWith("#")) {
        Exercise exercise = read(file.trim());
        if (exercises.put(exercise.id(), exercise) != null) {
          throw new IllegalStateException("exercise " + exercise.id() + " stands twice");
        }
        for (Candidate candidate : exercise.candidates()) {
          if (candidates.put(candidate.id(), candidate) != null) {
            throw new IllegalStateException("candidate " + candidate.id() + " stands twice");
          }
        }
      }
    }
  }

  /** What coaches use and the model does not compute, each with what it trains by word. */
  public List<ByWord> byWord() {
    return byWord;
  }

  /** The catalogue of the core's resources, read and checked once. */
  public static Catalogue standard() {
    return STANDARD;
  }

  /** Every exercise that is computed. */
  public List<Exercise> exercises() {
    return List.copyOf(exercises.values());
  }

  /** Every named set-up of every exercise. */
  public List<Candidate> candidates() {
    return List.copyOf(candidates.values());
  }

  /** The exercise with this id; throws {@code InvalidInput} when there is none. */
  public Exercise exercise(String id) {
    Exercise exercise = exercises.get(id);
    if (exercise == null) {
      throw new InvalidInput("exercise", "\"" + id + "\" is not in the catalogue");
    }
    return exercise;
  }

  /** The candidate with this id; throws {@code InvalidInput} when there is none. */
  public Candidate candidate(String id) {
    Candidate candidate = candidates.get(id);
    if (candidate == null) {
      throw new InvalidInput(
          "candidate",
          trainable(id)
              .map(
                  trainable ->
                      trainable.name() + " is used by word, so nothing can be computed of it")
              .orElse("\"" + id + "\" is not in the catalogue"));
    }
    return candidate;
  }

  /** What has this candidate's id, computed or by word; empty where nothing has. */
  public Optional<Trainable> trainable(String candidateId) {
    return Optional.ofNullable(candidates.get(candidateId))
        .map(
            candidate ->
                new Trainable(
                    candidate.id(),
                    candidate.name(),
                    exerciseOf(candidate),
                    candidate.usual().values()))
        .or(
            () ->
                byWord.stream()
                    .filter(byWord -> byWord.candidateId().equals(candidateId))
                    .findFirst()
                    .map(ByWord::trainable));
  }

  /** The exercise of which a candidate is a set-up, a coach's own too. */
  public Exercise exerciseOf(Candidate candidate) {
    return exercise(candidate.exerciseId());
  }

  private static Exercise read(String file) {
    String resource = "catalogue/" + file;
    Map<String, String> one = new LinkedHashMap<>();
    List<String> cues = new ArrayList<>();
    List<String> stops = new ArrayList<>();
    Map<String, String> faults = new LinkedHashMap<>();
    List<String> cautions = new ArrayList<>();
    List<String> candidateLines = new ArrayList<>();
    Map<PainFlag, String> exclusions = new EnumMap<>(PainFlag.class);
    Map<Caution, String> waits = new EnumMap<>(Caution.class);
    for (Map.Entry<String, String> entry : TextTable.entries(resource)) {
      switch (entry.getKey()) {
        case "cue" -> cues.add(entry.getValue());
        case "stop" -> stops.add(entry.getValue());
        case "fault" -> {
          String[] part = entry.getValue().split("\\|", 2);
          faults.put(part[0].trim(), part[1].trim());
        }
        case "caution" -> cautions.add(entry.getValue());
        case "candidate" -> candidateLines.add(entry.getValue());
        case "until-cleared" -> {
          String[] part = entry.getValue().split("\\|", 2);
          waits.put(Caution.valueOf(part[0].trim()), part[1].trim());
        }
        case "out" -> {
          String[] part = entry.getValue().split("\\|", 2);
          exclusions.put(PainFlag.valueOf(part[0].trim()), part[1].trim());
        }
        default -> {
          if (one.put(entry.getKey(), entry.getValue()) != null) {
            throw new IllegalStateException(resource + ": \"" + entry.getKey() + "\" stands twice");
          }
        }
      }
    }
    Family family = Families.get(need(one, "family", resource));
    String id = need(one, "id", resource);
    List<Candidate> candidates = new ArrayList<>();
    for (String line : candidateLines) {
      String[] part = line.split("\\|", -1);
      Map<String, Double> changes = new LinkedHashMap<>();
      for (String pair : part[2].trim().split(",")) {
        if (!pair.isBlank()) {
          String[] kv = pair.split("=");
          changes.put(kv[0].trim(), Double.parseDouble(kv[1].trim()));
        }
      }
      Optional<SetupParameter> yields = Optional.empty();
      if (part.length > 3) {
        String name = part[3].trim().replace("yields ", "");
        yields =
            Optional.of(
                family.parameters().stream()
                    .filter(parameter -> parameter.id().equals(name))
                    .findFirst()
                    .orElseThrow(
                        () ->
                            new IllegalStateException(
                                resource + ": no parameter \"" + name + "\" to yield")));
      }
      candidates.add(
          new Candidate(
              id + "/" + part[0].trim(),
              id,
              part[1].trim(),
              Setup.of(family.parameters(), changes),
              yields));
    }
    if (candidates.isEmpty()) {
      throw new IllegalStateException(resource + ": no candidate");
    }
    return new Exercise(
        id,
        need(one, "name", resource),
        list(one.getOrDefault("also", "")),
        family,
        Equipment.check(Set.copyOf(list(need(one, "needs", resource)))),
        Optional.ofNullable(one.get("group")).filter(text -> !text.isEmpty()).map(RegionGroup::of),
        Map.copyOf(exclusions),
        Map.copyOf(waits),
        onBelly(one.getOrDefault("position", ""), resource),
        need(one, "braced", resource),
        number(one, "stability", resource),
        number(one, "set-up-minutes", resource),
        number(one, "ease-of-learning", resource),
        plain(id, candidates, one.getOrDefault("plain", USUAL)),
        number(one, "model-error", resource),
        need(one, "repetitions", resource),
        List.copyOf(cues),
        List.copyOf(stops),
        java.util.Collections.unmodifiableMap(faults),
        List.copyOf(cautions),
        List.copyOf(candidates));
  }

  /**
   * The candidate that the exercise's name alone means: the one that is named, or the usual one.
   */
  private static String plain(String exercise, List<Candidate> candidates, String named) {
    String id = exercise + "/" + named;
    boolean there = candidates.stream().anyMatch(candidate -> candidate.id().equals(id));
    if (!there && !named.equals(USUAL)) {
      throw new IllegalStateException(exercise + ": no candidate \"" + named + "\"");
    }
    return there ? id : "";
  }

  private static boolean onBelly(String position, String resource) {
    return switch (position) {
      case "" -> false;
      case "face down", "bar across the hips" -> true;
      default ->
          throw new IllegalStateException(
              resource + ": \"" + position + "\" is not a position that matters");
    };
  }

  private static String need(Map<String, String> map, String key, String resource) {
    String value = map.get(key);
    if (value == null) {
      throw new IllegalStateException(resource + ": \"" + key + "\" is missing");
    }
    return value;
  }

  private static double number(Map<String, String> map, String key, String resource) {
    return Double.parseDouble(need(map, key, resource));
  }

  private static List<String> list(String cell) {
    return cell.isBlank()
        ? List.of()
        : java.util.Arrays.stream(cell.split(";")).map(String::trim).toList();
  }
}
