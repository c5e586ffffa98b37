package istmo.core.plan;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Movement;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Tempo;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Set;

/**
 * The place of an exercise in a session, in the order in which they come (common practice), with
 * what is usual for it.
 */
public enum Role {
  /** a bar, a sled or a press moved by the whole leg */
  HEAVY(
      "heavy, with the whole leg: first, while everything is fresh", 150, 2, new Tempo(2, 0, 1, 0)),
  /** the client's own weight on the hamstrings: nothing left for it later */
  DEMANDING(
      "very demanding for the hamstrings: while they are fresh", 150, 1, new Tempo(3, 0, 1, 0)),
  COMPOUND("several joints: before single ones", 120, 1, new Tempo(2, 0, 1, 0)),
  SINGLE("one joint: after the heavy ones", 90, 1, new Tempo(2, 0, 1, 0)),
  SHIN("small: near the end", 60, 0, new Tempo(2, 0, 1, 0)),
  /** the hold takes the tendon's rebound away (common practice: 2 to 3 s) */
  CALF_STRAIGHT("calves: near the end", 75, 1, new Tempo(2, 2, 1, 0)),
  CALF_BENT("seated calves: last of all, the tendon is warm by then", 60, 0, new Tempo(2, 2, 1, 0));

  /** Hip or knee movement that counts as moving, rad. */
  private static final double MOVES = Math.toRadians(20);

  /** Heavy on whatever they are loaded with: a stack, a belt, a lever. */
  private static final Set<String> HEAVY_FAMILIES = Set.of("press", "belt-squat", "thrust");

  private final String reason;
  private final int restS;
  private final int warmUps;
  private final Tempo tempo;

  Role(String reason, int restS, int warmUps, Tempo tempo) {
    this.reason = reason;
    this.restS = restS;
    this.warmUps = warmUps;
    this.tempo = tempo;
  }

  /** Why it stands where it does in a session. */
  public String reason() {
    return reason;
  }

  /**
   * Usual rest between sets, s (judgement: a minute and more loses nothing much, two to three help
   * heavy work; Schoenfeld et al. 2016, Singer et al. 2024, from memory).
   */
  public int restS() {
    return restS;
  }

  /** Lighter sets before the first (common practice: one to three). */
  public int warmUps() {
    return warmUps;
  }

  /** Usual timing of a repetition. */
  public Tempo tempo() {
    return tempo;
  }

  /** Whether it is a calf raise, with bent or straight knees. */
  public boolean isCalf() {
    return this == CALF_BENT || this == CALF_STRAIGHT;
  }

  static Role of(Candidate candidate, Analysis analysis, RegionValues stimulus) {
    String family = candidate.exercise().family().id();
    RegionGroup most =
        Arrays.stream(Region.values())
            .max(Comparator.comparingDouble((Region region) -> stimulus.get(region)))
            .orElseThrow()
            .group();
    boolean hip = Function.range(analysis, Coordinate.HIP_FLEXION) > MOVES;
    boolean knee = Function.range(analysis, Coordinate.KNEE_FLEXION) > MOVES;
    if (most == RegionGroup.CALVES && !hip && !knee) {
      return Function.mean(analysis, Coordinate.KNEE_FLEXION) > Function.BENT_KNEE
          ? CALF_BENT
          : CALF_STRAIGHT;
    }
    if (most == RegionGroup.SHIN) {
      return SHIN;
    }
    if (family.equals("kneeling-curl")) {
      return DEMANDING;
    }
    boolean loaded = candidate.needs().stream().anyMatch(item -> item.load() != LoadKind.NONE);
    boolean heavy =
        (loaded && HEAVY_FAMILIES.contains(family)) || needsBarOrSled(candidate.needs());
    boolean back = Function.most(analysis, point -> point.backActivation()) > 0.24;
    if (hip && (knee || back)) {
      return heavy ? HEAVY : COMPOUND;
    }
    return SINGLE;
  }

  /** The place of an exercise by word: by what it is said to do. */
  static Role of(ByWord byWord) {
    if (byWord.does().contains(Movement.BENT_HEEL_RAISE)) {
      return CALF_BENT;
    }
    if (byWord.does().equals(Set.of(Movement.HEEL_RAISE))) {
      return CALF_STRAIGHT;
    }
    if (byWord.does().equals(Set.of(Movement.TOE_RAISE))) {
      return SHIN;
    }
    if (byWord.compound() || byWord.back() == ByWord.Back.MUCH) {
      return needsBarOrSled(byWord.needs()) ? HEAVY : COMPOUND;
    }
    return SINGLE;
  }

  private static boolean needsBarOrSled(Set<Equipment> needs) {
    return needs.stream()
        .map(Equipment::load)
        .anyMatch(kind -> kind == LoadKind.BAR || kind == LoadKind.SLED);
  }
}
