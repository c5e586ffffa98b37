package istmo.core.ranking.brief;

import istmo.core.equipment.Equipment;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Ranking;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What counts how much: a preset, and what the coach has moved of it. The weights are judgement
 * (docs/model.md, 9).
 *
 * @param moved criterion id to its weight where the coach has set another than the preset's
 */
public record Weights(Preset preset, Map<String, Double> moved) {
  public static final Allowed WEIGHT = new Allowed(0, 10, "");

  /** Everything that can be weighed, with its usual weight and what it asks. */
  public enum Criterion {
    FIT(
        Ranking.FIT,
        "how it serves the target",
        8,
        "What mechanics and studies say it does for the aimed regions."),
    TARGET(
        "target",
        "the target gives out first",
        0.7,
        "Whether an aimed region ends the set, not back, breath, grip or balance."),
    STABILITY("stability", "stability", 0.6, "How little of the effort goes into balance."),
    CURVE(
        "curve",
        "heavy through the range",
        0.3,
        "Whether the aimed regions are loaded through the whole repetition."),
    REACH(
        "reach",
        "range this client reaches",
        0.3,
        "How much of the usual depth this body takes here."),
    COMFORT("comfort", "comfort", 0.4, "Whether it works a joint that is sore."),
    SPINE("spine", "easy on the back", 0.4, "How hard the lower back works."),
    ELSEWHERE(
        "elsewhere", "little fatigue elsewhere", 0.2, "How much of what it trains is aimed at."),
    PROGRESSION(
        "progression", "small steps in load", 0.3, "The smallest step here beside a working load."),
    TIME("time", "time to set up", 0.3, "Minutes to set up and load."),
    LEARNING("learning", "ease of learning", 0.3, "How soon it is done well."),
    LIKED("liked", "liked by this client", 0.5, "What is enjoyed is done longer."),
    RERACK(
        "rerack",
        "low start and re-rack",
        0.2,
        "Whether a part repetition can be begun and ended low here."),
    KNEE(
        "knee",
        "load on the kneecap",
        0,
        "How hard the kneecap is pressed; counts when knees are sore."),
    RETURN("return", "whole leg in one set", 0, "How much of the leg one set trains.");

    private final String id;
    private final String label;
    private final double usual;
    private final String asks;

    Criterion(String id, String label, double usual, String asks) {
      this.id = id;
      this.label = label;
      this.usual = usual;
      this.asks = asks;
    }

    /** Identity in addresses and stored documents. */
    public String id() {
      return id;
    }

    /** Name for the coach. */
    public String label() {
      return label;
    }

    /** Weight when nobody says otherwise, 0 to 10. */
    public double usual() {
      return usual;
    }

    /** What the criterion asks, in a few words. */
    public String asks() {
      return asks;
    }
  }

  /** A set of weights for an occasion. */
  public enum Preset {
    GROWTH("growth", "muscle growth", "What grows the aimed regions comes first.", Map.of()),
    BEGINNER(
        "beginner",
        "a beginner",
        "Easy to learn and steady comes first, whole repetitions only; with an order to learn in.",
        Map.of(
            Criterion.FIT,
            5.0,
            Criterion.LEARNING,
            1.5,
            Criterion.STABILITY,
            1.2,
            Criterion.TARGET,
            0.4)),
    SHORT(
        "short",
        "a short session",
        "Quick to set up, and much of the leg in one set.",
        Map.of(Criterion.TIME, 1.5, Criterion.RETURN, 1.0, Criterion.ELSEWHERE, 0.0)),
    ONE_STATION(
        "one-station",
        "one station",
        "Everything at one station: the one that serves the aim best here.",
        Map.of(Criterion.TIME, 0.5)),
    SORE_BACK(
        "sore-back",
        "a sore back",
        "What spares the back comes first. Pain decides; sore joints themselves are set with the"
            + " client.",
        Map.of(Criterion.SPINE, 5.0)),
    SORE_KNEES(
        "sore-knees",
        "sore knees",
        "What spares the kneecap comes first. Pain decides; sore joints themselves are set with the"
            + " client.",
        Map.of(Criterion.KNEE, 3.0)),
    HOME(
        "home",
        "at home",
        "Only what can be done with dumbbells, bands and a bench.",
        Map.of(Criterion.TIME, 0.1));

    /** What may be at home (common practice). */
    public static final Set<Equipment> AT_HOME =
        Set.of(
            Equipment.BENCH,
            Equipment.DUMBBELLS,
            Equipment.BANDS,
            Equipment.BOX,
            Equipment.KETTLEBELL,
            Equipment.ANKLE_WEIGHTS,
            Equipment.WEDGE);

    private final String id;
    private final String label;
    private final String reason;
    private final Map<Criterion, Double> weights;

    Preset(String id, String label, String reason, Map<Criterion, Double> weights) {
      this.id = id;
      this.label = label;
      this.reason = reason;
      this.weights = weights;
    }

    /** Identity in addresses and stored documents. */
    public String id() {
      return id;
    }

    /** Name for the coach. */
    public String label() {
      return label;
    }

    /** When it is chosen, in a few words. */
    public String reason() {
      return reason;
    }

    /** Weight of a criterion under this preset, 0 to 10. */
    public double weight(Criterion criterion) {
      return weights.getOrDefault(criterion, criterion.usual());
    }

    /** The preset with this id; throws {@code InvalidInput} when there is none. */
    public static Preset get(String id) {
      for (Preset preset : values()) {
        if (preset.id.equals(id)) {
          return preset;
        }
      }
      throw new InvalidInput(
          "preset",
          "\""
              + id
              + "\" is not a preset; there are "
              + java.util.Arrays.stream(values()).map(Preset::id).toList());
    }
  }

  public static final Weights USUAL = new Weights(Preset.GROWTH, Map.of());

  public Weights {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    for (Map.Entry<String, Double> entry : moved.entrySet()) {
      if (java.util.Arrays.stream(Criterion.values())
          .noneMatch(criterion -> criterion.id().equals(entry.getKey()))) {
        faults.add(new InvalidInput.Fault("weights." + entry.getKey(), "is not a criterion"));
      }
      WEIGHT.check(
          faults,
          "weights." + entry.getKey(),
          entry.getValue() == null ? Double.NaN : entry.getValue());
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    moved = java.util.Collections.unmodifiableMap(new TreeMap<>(moved));
  }

  /** Weight of a criterion, 0 to 10: the coach's own, or else the preset's. */
  public double of(Criterion criterion) {
    return moved.getOrDefault(criterion.id(), preset.weight(criterion));
  }

  /** Whether the coach has set this weight. */
  public boolean set(Criterion criterion) {
    return moved.containsKey(criterion.id());
  }

  /** All weights by criterion id. */
  public Map<String, Double> all() {
    Map<String, Double> result = new LinkedHashMap<>();
    for (Criterion criterion : Criterion.values()) {
      result.put(criterion.id(), of(criterion));
    }
    return result;
  }
}
