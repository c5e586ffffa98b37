package istmo.core.catalogue;

import istmo.core.anatomy.Region;
import istmo.core.body.Caution;
import istmo.core.body.Demand;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An exercise that is not computed: somebody says what it trains. It can be planned, logged and
 * followed, and it counts in a week by that word; it never has a place in an order. The catalogue
 * brings the usual ones along (common practice), coaches add their own.
 *
 * @param id of the coach's own "own-KEY"
 * @param needs equipment
 * @param does what it does; more than one joint makes it a compound exercise
 * @param mainly regions for which a hard set counts whole
 * @param partly regions for which a hard set counts half (the usual way to count sets that train a
 *     muscle directly and indirectly)
 * @param knee how far the knee bends at most
 * @param hip how far the hip bends at most
 * @param back what the lower back carries
 * @param onBelly done lying face down, or with a bar or belt across the hips
 * @param oneLeg whether one leg works at a time
 * @param exclusions joint to the reason why it takes the exercise out when it is sore
 * @param waits caution to the reason why it waits until that is cleared
 * @param repetitions usual range, such as "8-12"
 * @param setUpMinutes to set up and load, min
 * @param computedAs candidate that it is computed as now; then it is only named, where records and
 *     plans have it
 * @param why the reason why it is not computed; empty for a coach's own
 */
public record ByWord(
    String id,
    String name,
    List<String> alsoCalled,
    Set<Equipment> needs,
    Set<Movement> does,
    Set<Region> mainly,
    Set<Region> partly,
    Bend knee,
    Bend hip,
    Back back,
    boolean onBelly,
    boolean oneLeg,
    Map<PainFlag, String> exclusions,
    Map<Caution, String> waits,
    String repetitions,
    double setUpMinutes,
    List<String> cues,
    List<String> stopSigns,
    List<String> cautions,
    String why,
    Optional<CandidateId> computedAs)
    implements AnyExercise {
  private static final String OWN = "own-";
  private static final String VARIANT = "/by-word";

  /** A set counts so much for what it trains partly. */
  public static final double PARTLY = 0.5;

  /** What can be prescribed. */
  private static final Allowed REPETITIONS = new Allowed(1, 60, "");

  private static final Allowed MINUTES = new Allowed(0, 15, "min");
  private static final Pattern RANGE = Pattern.compile("(\\d{1,3})-(\\d{1,3})");

  /** Of an exercise of which a coach says neither (common practice). */
  public static final String USUAL_REPETITIONS = "8-12";

  public static final double USUAL_MINUTES = 1;

  private static final int MOST_LINES = 12;
  private static final int LONGEST_LINE = 200;

  /** Trunk lean that is taken for a hinge and for other work of the back, deg (judgement). */
  private static final double HINGE_LEAN_DEG = 60;

  private static final double OTHER_LEAN_DEG = 36;

  /** How far the hip opens where legs part or close under load, deg (judgement). */
  private static final double OPENED_DEG = 40;

  /** How far a joint bends at most, as a coach says it. */
  public enum Bend {
    LITTLE(45, "under 45°"),
    RIGHT_ANGLE(90, "to 90°"),
    DEEP(130, "deep");

    private final double deg;
    private final String label;

    Bend(double deg, String label) {
      this.deg = deg;
      this.label = label;
    }

    /** The most that is meant, deg. */
    public double deg() {
      return deg;
    }

    /** Name that the coach picks. */
    public String label() {
      return label;
    }
  }

  /** What the lower back carries, as a coach says it. */
  public enum Back {
    NONE(0, "nothing"),
    SOME(0.3, "something"),
    MUCH(0.6, "much");

    private final double share;
    private final String label;

    Back(double share, String label) {
      this.share = share;
      this.label = label;
    }

    /** The share of the back's strength that it is taken for, 0 to 1 (judgement). */
    public double share() {
      return share;
    }

    /** Name that the coach picks. */
    public String label() {
      return label;
    }
  }

  /** Throws {@link InvalidInput} that names every field at fault. */
  public ByWord {
    alsoCalled = List.copyOf(alsoCalled);
    needs = Set.copyOf(needs);
    does = does.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(does));
    mainly = Collections.unmodifiableSet(new LinkedHashSet<>(mainly));
    partly = Collections.unmodifiableSet(new LinkedHashSet<>(partly));
    exclusions =
        exclusions.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(exclusions));
    waits = Map.copyOf(waits);
    cues = List.copyOf(cues);
    stopSigns = List.copyOf(stopSigns);
    cautions = List.copyOf(cautions);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if (mainly.isEmpty() && partly.isEmpty()) {
      faults.add(new InvalidInput.Fault("mainly", "say at least one region that it trains"));
    }
    mainly.stream()
        .filter(partly::contains)
        .findFirst()
        .ifPresent(
            region ->
                faults.add(
                    new InvalidInput.Fault("partly", "\"" + region + "\" is trained mainly")));
    if (does.isEmpty()) {
      faults.add(new InvalidInput.Fault("does", "say at least one thing that it does"));
    }
    if (!isRange(repetitions)) {
      faults.add(
          new InvalidInput.Fault(
              "repetitions", "is a range within 1 to 60 such as 8-12, the lower number first"));
    }
    MINUTES.check(faults, "setUpMinutes", setUpMinutes);
    lines(faults, "alsoCalled", alsoCalled);
    lines(faults, "cues", cues);
    lines(faults, "stopSigns", stopSigns);
    lines(faults, "cautions", cautions);
    lines(faults, "exclusions", exclusions.values());
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private static boolean isRange(String text) {
    Matcher match = RANGE.matcher(text);
    if (!match.matches()) {
      return false;
    }
    int low = Integer.parseInt(match.group(1));
    int high = Integer.parseInt(match.group(2));
    return REPETITIONS.contains(low) && REPETITIONS.contains(high) && low <= high;
  }

  private static void lines(
      List<InvalidInput.Fault> faults, String field, Collection<String> lines) {
    if (lines.size() > MOST_LINES) {
      faults.add(new InvalidInput.Fault(field, "takes at most " + MOST_LINES + " lines"));
    }
    if (lines.stream().anyMatch(line -> line.isBlank() || line.length() > LONGEST_LINE)) {
      faults.add(
          new InvalidInput.Fault(
              field, "takes lines of 1 to " + LONGEST_LINE + " characters that are not blank"));
    }
  }

  /** The id of a coach's own exercise that is kept under this key. */
  public static String ownId(String key) {
    return OWN + key;
  }

  /**
   * What a coach's store knows an own exercise by, from its own or its candidate's id; empty for
   * all others.
   */
  public static Optional<String> ownKey(String exerciseOrCandidateId) {
    return ownKey(new CandidateId(exerciseOrCandidateId));
  }

  /** The same from its candidate's id. */
  public static Optional<String> ownKey(CandidateId candidateId) {
    String exerciseId = candidateId.exerciseId();
    return exerciseId.startsWith(OWN)
        ? Optional.of(exerciseId.substring(OWN.length()))
        : Optional.empty();
  }

  /** The id under which sessions and plans have it. */
  public CandidateId candidateId() {
    return new CandidateId(id + VARIANT);
  }

  /** It as something to put into a session; there is no set-up to move. */
  public Trainable trainable() {
    return new Trainable(candidateId(), name, this, Map.of());
  }

  /** What a hard set counts for a region, 0 to 1. */
  public double share(Region region) {
    return mainly.contains(region) ? 1 : partly.contains(region) ? PARTLY : 0;
  }

  /** Whether it moves more than one joint. */
  public boolean compound() {
    return does.contains(Movement.HIP_EXTENSION) && does.contains(Movement.KNEE_EXTENSION);
  }

  @Override
  public Map<String, String> faults() {
    return Map.of();
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of();
  }

  /**
   * What it asks of a body, as far as a word can say: on the side of caution where it could be
   * either.
   */
  public Demand demand() {
    boolean straightens = does.contains(Movement.KNEE_EXTENSION);
    boolean extendsHip = does.contains(Movement.HIP_EXTENSION);
    boolean opens = does.contains(Movement.HIP_ABDUCTION) || does.contains(Movement.HIP_ADDUCTION);
    boolean calf = does.contains(Movement.HEEL_RAISE) || does.contains(Movement.BENT_HEEL_RAISE);
    double lean =
        back == Back.NONE ? 0 : extendsHip && !straightens ? HINGE_LEAN_DEG : OTHER_LEAN_DEG;
    return new Demand(
        exclusions,
        waits,
        onBelly,
        back.share(),
        knee.deg(),
        straightens && !extendsHip ? 1 : 0,
        hip.deg(),
        opens ? OPENED_DEG : 0,
        calf || (straightens && knee == Bend.DEEP) ? Bend.LITTLE.deg() : 0,
        lean);
  }

  /** It was used by word and is computed now, under this name. */
  public record ComputedNow(String name) implements Fact {}

  /** It is not computed: a coach's own, or one of the catalogue and why. */
  public record NotComputed(boolean own, String why) implements Fact {}

  /** Why it is told apart from what is computed. */
  public NotComputed told() {
    return new NotComputed(why.isEmpty(), why);
  }
}
