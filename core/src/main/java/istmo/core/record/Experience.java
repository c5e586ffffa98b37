package istmo.core.record;

import istmo.core.anatomy.RegionGroup;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Fact;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What one client has said of exercises: where they were felt, and what hurt. It moves that
 * client's order only.
 *
 * <p>A group's stimulus of an exercise is x = ln(stimulus) + c, with c what this client differs
 * from people in general there: normal, standard deviation {@value #DIFFERS}. Each session in which
 * somebody was asked observes c with noise {@value #NOISE}: at {@value #SAYS} where it was felt, at
 * minus that where it was meant and felt elsewhere. What remains is c's mean, by plain Gaussian
 * conditioning. The numbers are judgement: feeling is no growth, so sessions weigh little and
 * together never more than {@value #SAYS}. Another set-up of the same exercise takes {@value
 * #SAME_EXERCISE} of it.
 *
 * @param byCandidate what was told of each candidate
 */
public record Experience(Map<CandidateId, Reports> byCandidate) {
  static final double DIFFERS = 0.25;
  static final double NOISE = 0.5;
  static final double SAYS = 0.25;
  static final double SAME_EXERCISE = 0.6;

  /** Newest sessions that count. */
  private static final int NEWEST = 8;

  private static final int PAIN_OF = 4;
  private static final int STRONG_IN = 2;

  /** What was said longer ago does not count: half a year, in whole weeks (judgement). */
  public static final Duration COUNTS_FOR = Duration.ofDays(182);

  /** Nothing was said yet. */
  public static final Experience NONE = new Experience(Map.of());

  /**
   * What a client said of one exercise.
   *
   * @param sessions in which it was asked where it was felt
   * @param felt sessions by group in which it was felt there
   * @param pains worst pain of the newest sessions of this exercise in this set-up, 0 where none
   *     was said, oldest first
   * @param joint of the worst of them
   */
  public record Reports(
      int sessions, Map<RegionGroup, Integer> felt, List<Integer> pains, Optional<PainFlag> joint)
      implements Fact {
    public Reports {
      Map<RegionGroup, Integer> sorted = new TreeMap<>(Comparator.comparing(RegionGroup::id));
      sorted.putAll(felt);
      felt = Collections.unmodifiableMap(sorted);
      pains = List.copyOf(pains);
    }

    /** Whether it was felt anywhere, or hurt. */
    public boolean saysAnything() {
      return sessions > 0 || worst() > 0;
    }

    /** The worst pain, of 10; 0 where none was said. */
    public int worst() {
      return pains.stream().mapToInt(Integer::intValue).max().orElse(0);
    }
  }

  public Experience {
    byCandidate = Collections.unmodifiableMap(new TreeMap<>(byCandidate));
  }

  /** What a client's series say of exercises. */
  public static Experience of(Collection<Series> all) {
    Map<CandidateId, List<Outing>> byCandidate = new LinkedHashMap<>();
    all.forEach(
        series ->
            byCandidate
                .computeIfAbsent(series.candidateId(), key -> new ArrayList<>())
                .addAll(series.outings()));
    Map<CandidateId, Reports> told = new TreeMap<>();
    byCandidate.forEach(
        (id, outings) -> {
          outings.sort(Comparator.comparing(Outing::on));
          List<Outing> asked =
              outings.stream()
                  .filter(
                      outing -> outing.sets().stream().anyMatch(record -> !record.felt().isEmpty()))
                  .toList();
          asked = asked.subList(Math.max(0, asked.size() - NEWEST), asked.size());
          Map<RegionGroup, Integer> felt = new HashMap<>();
          for (Outing outing : asked) {
            Set<RegionGroup> groups = new LinkedHashSet<>();
            outing
                .sets()
                .forEach(record -> record.felt().forEach(region -> groups.add(region.group())));
            groups.forEach(group -> felt.merge(group, 1, Integer::sum));
          }
          List<Outing> newest =
              outings.subList(Math.max(0, outings.size() - PAIN_OF), outings.size());
          List<Integer> pains =
              newest.stream().map(outing -> outing.worstPain().map(Pain::level).orElse(0)).toList();
          Optional<PainFlag> joint =
              newest.stream()
                  .flatMap(outing -> outing.worstPain().stream())
                  .max(Comparator.comparingInt(Pain::level))
                  .map(Pain::joint);
          if (!asked.isEmpty() || pains.stream().anyMatch(p -> p > 0)) {
            told.put(id, new Reports(asked.size(), felt, pains, joint));
          }
        });
    return told.isEmpty() ? NONE : new Experience(told);
  }

  /** Whether nothing was felt and nothing hurt. */
  public boolean isEmpty() {
    return byCandidate.isEmpty();
  }

  /**
   * What is added to ln(stimulus) of a group's regions. {@code meant}: the groups that the exercise
   * mainly trains; where another was felt, that is told of it, where another was not felt, nothing
   * is.
   */
  public double shift(CandidateId candidateId, RegionGroup group, Set<RegionGroup> meant) {
    double own = ofOne(byCandidate.get(candidateId), group, meant);
    if (own != 0) {
      return own;
    }
    String exercise = candidateId.exerciseId();
    return SAME_EXERCISE
        * byCandidate.entrySet().stream()
            .filter(entry -> entry.getKey().exerciseId().equals(exercise))
            .max(
                Comparator.comparingInt(
                        (Map.Entry<CandidateId, Reports> entry) -> entry.getValue().sessions())
                    .thenComparing(Map.Entry::getKey))
            .map(entry -> ofOne(entry.getValue(), group, meant))
            .orElse(0.0);
  }

  private static double ofOne(
      @Nullable Reports reports, RegionGroup group, Set<RegionGroup> meant) {
    if (reports == null || reports.sessions() == 0) {
      return 0;
    }
    int felt = reports.felt().getOrDefault(group, 0);
    int not = meant.contains(group) ? reports.sessions() - felt : 0;
    int n = felt + not;
    return n == 0
        ? 0
        : DIFFERS * DIFFERS / (DIFFERS * DIFFERS + NOISE * NOISE / n) * SAYS * (felt - not) / n;
  }

  /**
   * How much pain goes with it, 0 to 1: the mean of the newest sessions beside where an exercise
   * ends; 0 where nothing was said.
   */
  public double pain(CandidateId candidateId) {
    Reports reports = byCandidate.get(candidateId);
    return reports == null || reports.pains().isEmpty()
        ? 0
        : Math.min(
            1,
            reports.pains().stream().mapToInt(Integer::intValue).average().orElse(0) / Pain.STOP);
  }

  /** Whether anything hurt. */
  public boolean anyPain() {
    return byCandidate.values().stream().anyMatch(reports -> reports.worst() > 0);
  }

  /** It hurt so much, in so many of the newest sessions, that it is out. */
  public record HurtTooOften(PainFlag joint, int worst, int sessions) implements Fact {}

  /**
   * Why an exercise is out: it hurt as much as to end it in more than one of the newest sessions.
   * Pain takes an exercise out (common practice).
   */
  public Optional<HurtTooOften> out(CandidateId candidateId) {
    Reports reports = byCandidate.get(candidateId);
    if (reports == null
        || reports.pains().stream().filter(p -> p >= Pain.STOP).count() < STRONG_IN) {
      return Optional.empty();
    }
    return Optional.of(
        new HurtTooOften(reports.joint().orElseThrow(), reports.worst(), reports.pains().size()));
  }

  /** What was said of it; empty where nothing was. */
  public Optional<Reports> reports(CandidateId candidateId) {
    return Optional.ofNullable(byCandidate.get(candidateId));
  }
}
