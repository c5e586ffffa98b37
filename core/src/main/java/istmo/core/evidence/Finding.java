package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What one study found when it compared two conditions, for one region.
 *
 * @param citation authors, year and journal; from memory, as every row is
 * @param weeks of training, empty for one session
 * @param people in the study
 * @param conditionA in the study's words
 * @param setUpA the catalogue's set-up that stands for condition A; empty where nothing does
 * @param regionsA the regions that were measured together; the same as {@code regionsB} unless
 *     muscles are compared
 * @param site proximal, mid, distal or whole; shown, the model has no sites within a muscle
 * @param resultA growth in per cent, or activity as {@code measure} says, where remembered
 * @param memory how safe the memory of it is
 * @param notUsed why it is only shown; empty where it enters the posterior
 */
public record Finding(
    String id,
    String citation,
    How how,
    OptionalDouble weeks,
    OptionalDouble people,
    String population,
    String conditionA,
    String conditionB,
    Optional<Point> setUpA,
    Optional<Point> setUpB,
    List<Region> regionsA,
    List<Region> regionsB,
    String site,
    String measure,
    OptionalDouble resultA,
    OptionalDouble resultB,
    Direction direction,
    String note,
    Memory memory,
    String caution,
    Optional<String> notUsed) {

  /** Prefix of the reason of findings that are kept to test the posterior. */
  private static final String HELD_OUT = "held out";

  /** Parts of groups that coaches have a word for. */
  private static final Map<String, List<Region>> TOGETHER = new LinkedHashMap<>();

  static {
    TOGETHER.put("gluteus maximus", List.of(Region.GMAXU, Region.GMAXM, Region.GMAXL));
    TOGETHER.put("side glute", List.of(Region.GMEDA, Region.GMEDP));
    TOGETHER.put("vasti", List.of(Region.VL, Region.VM, Region.VI));
    TOGETHER.put("hamstrings that cross the hip", List.of(Region.BFL, Region.ST, Region.SM));
  }

  /**
   * How it was measured, and how much that counts beside growth seen by MRI (judgement;
   * docs/model.md, 9).
   */
  public enum How {
    MRI("growth, MRI", 1),
    ULTRASOUND("growth, ultrasound", 0.6),
    T2("acute MRI", 0.25),
    EMG("muscle activity", 0.2),
    MOMENTS("joint moments", 0.25),
    /** opinion of coaches; counts as much as the school says */
    PRACTICE("no source", 0);

    private final String label;
    private final double trust;

    How(String label, double trust) {
      this.label = label;
      this.trust = trust;
    }

    /** As it is said. */
    public String label() {
      return label;
    }

    double trust() {
      return trust;
    }

    /** Whether muscle was seen to grow. */
    public boolean growth() {
      return this == MRI || this == ULTRASOUND;
    }
  }

  /** What was found for A against B. */
  public enum Direction {
    MORE("more"),
    LESS("less"),
    /** A grew and B was not seen to: more, by a factor at least. */
    ONLY("more; the other did not grow"),
    ALIKE("no difference"),
    /** Neither grew, so there was no difference; that tells little of their ratio. */
    NEITHER("neither grew");

    private final String label;

    Direction(String label) {
      this.label = label;
    }

    /** As it is said. */
    public String label() {
      return label;
    }

    /** More or less, without by how much at least; the others are what they are. */
    public Direction plain() {
      return this == ONLY ? MORE : this;
    }

    /** Whether no difference was found. */
    public boolean alike() {
      return this == ALIKE || this == NEITHER;
    }
  }

  /** How safe the memory of a row is, and what it counts for that. */
  public enum Memory {
    HIGH(1),
    MEDIUM(0.75),
    LOW(0.5);

    private final double trust;

    Memory(double trust) {
      this.trust = trust;
    }

    double trust() {
      return trust;
    }
  }

  public Finding {
    regionsA = List.copyOf(regionsA);
    regionsB = List.copyOf(regionsB);
  }

  /** Whether the posterior counts it. */
  public boolean used() {
    return notUsed.isEmpty();
  }

  /** Kept out of the posterior to test it. */
  public boolean heldOut() {
    return notUsed.filter(region -> region.startsWith(HELD_OUT)).isPresent();
  }

  /**
   * Whether it tells of one of these exercises or, unless it is opinion, of this region; what
   * coaches think of other exercises tells nothing here.
   */
  public boolean tellsOf(Collection<String> exerciseIds, Region region) {
    boolean measured = regionsA.contains(region) || regionsB.contains(region);
    return comparesAnyOf(exerciseIds) || (how != How.PRACTICE && measured);
  }

  /** Whether one of these exercises stands for one of its conditions. */
  public boolean comparesAnyOf(Collection<String> exerciseIds) {
    return Stream.of(setUpA, setUpB)
        .flatMap(Optional::stream)
        .anyMatch(point -> exerciseIds.contains(point.exercise().id()));
  }

  /**
   * Whether each of its conditions stands for another one of these exercises; one that is listed
   * twice, in two set-ups, may stand for both.
   */
  public boolean comparesTwoOf(List<String> exerciseIds) {
    if (setUpA.isEmpty() || setUpB.isEmpty()) {
      return false;
    }
    List<String> others = new ArrayList<>(exerciseIds);
    return others.remove(setUpA.get().exercise().id())
        && others.contains(setUpB.get().exercise().id());
  }

  /** Whether it compares muscles of one group of people rather than conditions. */
  public boolean comparesMuscles() {
    return !regionsA.equals(regionsB);
  }

  /** Whether both growths are known, so that their ratio says how much. */
  public boolean hasRatio() {
    return how.growth() && !comparesMuscles() && resultA.isPresent() && resultB.isPresent();
  }

  /** What was measured, in a coach's words. */
  public String regionWords() {
    return words(regionsA) + (comparesMuscles() ? " against " + words(regionsB) : "");
  }

  private static String words(List<Region> regions) {
    if (regions.isEmpty()) {
      return "lower back";
    }
    List<Region> left = new ArrayList<>(regions);
    List<String> words = new ArrayList<>();
    for (RegionGroup group : RegionGroup.values()) {
      take(group.regions(), group.word(), left, words);
    }
    TOGETHER.forEach((word, together) -> take(together, word, left, words));
    left.forEach(region -> words.add(region.coachName()));
    int last = words.size() - 1;
    return last == 0
        ? words.get(0)
        : String.join(", ", words.subList(0, last)) + " and " + words.get(last);
  }

  private static void take(List<Region> some, String word, List<Region> left, List<String> words) {
    if (some.size() > 1 && left.containsAll(some)) {
      left.removeAll(some);
      words.add(word);
    }
  }

  /** Authors and year without the journal. */
  public String shortCitation() {
    return citation.replaceAll("^(.*?\\d{4}).*$", "$1");
  }
}
