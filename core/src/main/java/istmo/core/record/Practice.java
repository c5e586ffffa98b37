package istmo.core.record;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a coach's own clients said of the two sides of a comparison: in how many of the sessions in
 * which they were asked it was felt where it is meant. Feeling is no growth, so this stands beside
 * mechanics and studies and moves no verdict.
 */
public record Practice(Count first, Count second) implements Fact {
  /** Fewer sessions of either side say nothing. */
  private static final int LEAST = 3;

  /** Standard normal deviate of an 80 % interval. */
  private static final double Z80 = 1.2815515655446004;

  /** Near enough to one side of what differs between both, as a share of the way. */
  private static final double NEAR = 1.0 / 3;

  /** One side: an exercise in a set-up, values by parameter. */
  public record Side(CandidateId candidateId, Map<String, Double> setup) {}

  /**
   * One exercise of a session in which somebody was asked where it was felt.
   *
   * @param client whoever it was; only told apart
   * @param felt where, of all its sets
   */
  public record Said(
      Object client, CandidateId candidateId, Map<String, Double> setup, Set<Region> felt) {}

  /**
   * How many clients and sessions there are for one side of a comparison.
   *
   * @param felt sessions of these in which it was felt there
   */
  public record Count(int clients, int sessions, int felt) {
    public Count {
      if (felt > sessions || clients > sessions) {
        throw new InvalidInput("felt", "cannot be in more sessions than there are");
      }
    }
  }

  /**
   * How much more often the first side was felt there, as a difference of shares, with its 80 %
   * interval.
   */
  public record Difference(double share, double low, double high) {
    /** Whether the interval leaves out no difference. */
    public boolean told() {
      return low > 0 || high < 0;
    }
  }

  /**
   * Counts what was felt nearer to each side of a comparison.
   *
   * @param regions where the comparison means it to be felt
   */
  public static Practice of(Side first, Side second, Set<Region> regions, Collection<Said> all) {
    return new Practice(
        count(all.stream().filter(said -> nearer(first, second, said)).toList(), regions),
        count(all.stream().filter(said -> nearer(second, first, said)).toList(), regions));
  }

  private static Count count(List<Said> of, Set<Region> regions) {
    Set<Object> clients = new HashSet<>();
    of.forEach(said -> clients.add(said.client()));
    return new Count(
        clients.size(),
        of.size(),
        (int) of.stream().filter(said -> said.felt().stream().anyMatch(regions::contains)).count());
  }

  /**
   * Of another exercise or variant by its name; of the same one by what differs: at most a third of
   * the way from this side to the other, in everything that differs.
   */
  private static boolean nearer(Side side, Side other, Said said) {
    if (!said.candidateId().equals(side.candidateId())) {
      return false;
    }
    if (!side.candidateId().equals(other.candidateId())) {
      return true;
    }
    boolean differ = false;
    for (Map.Entry<String, Double> entry : side.setup().entrySet()) {
      double way = other.setup().getOrDefault(entry.getKey(), entry.getValue()) - entry.getValue();
      if (way != 0) {
        differ = true;
        Double done = said.setup().get(entry.getKey());
        if (done == null || (done - entry.getValue()) / way > NEAR) {
          return false;
        }
      }
    }
    return differ;
  }

  /** Whether there is nothing to say. */
  public boolean isEmpty() {
    return first.sessions() + second.sessions() == 0;
  }

  /**
   * The difference by Agresti and Caffo (2000): one session of each kind is added to each side,
   * from memory. Sessions of one client are alike, so it is surer of itself than it should be.
   * Empty while either side has fewer than three sessions.
   */
  public Optional<Difference> difference() {
    if (first.sessions() < LEAST || second.sessions() < LEAST) {
      return Optional.empty();
    }
    double a = share(first);
    double b = share(second);
    double error =
        Math.sqrt(a * (1 - a) / (first.sessions() + 2) + b * (1 - b) / (second.sessions() + 2));
    return Optional.of(new Difference(a - b, a - b - Z80 * error, a - b + Z80 * error));
  }

  private static double share(Count count) {
    return (count.felt() + 1.0) / (count.sessions() + 2);
  }
}
