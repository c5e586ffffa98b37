package istmo.core.ranking.order;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.quantity.Required;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The few that are best together for an aim: what one leaves, another gives. Every aimed region
 * asks for each thing that its muscle does (bend the knee, extend the hip ...), long and short; a
 * set of exercises covers a cell as well as the best of them does, beside the best here. Half of
 * the mean utility is added, so that among equals the better exercises win. Where both are near, a
 * set holds a compound exercise and one of a single joint, as a coach would write it.
 *
 * @param candidateIds members in the order of their places
 * @param coverage mean over the cells, 0 to 1
 * @param members what each is there for
 */
public record Together(
    List<CandidateId> candidateIds, double coverage, List<OrderFact.IsThereFor> members) {
  /** Best places looked at, beside the best of every cell. */
  private static final int LOOKED_AT = 24;

  private static final double UTILITY_WEIGHT = 0.5;

  /** Parts that are told of each member. */
  private static final int MOST_PARTS = 3;

  /** A cell is asked for when something here gives at least so much of the region's best in it. */
  private static final double ASKED = 0.25;

  private record Member(Order.Entry entry, Map<OrderFact.Part, Double> gives) {}

  /** The best so many together; empty where there are not enough exercises. */
  static Optional<Together> best(int count, List<Order.Entry> entries, Aim aim, School school) {
    return search(count, entries, aim, school).filter(Search::chooses).map(Search::answer);
  }

  /** The search that {@link #best} makes; empty where nothing is asked for. */
  static Optional<Search> search(int count, List<Order.Entry> entries, Aim aim, School school) {
    List<Member> all =
        entries.stream().map(entry -> new Member(entry, gives(entry, aim, school))).toList();
    Map<OrderFact.Part, Double> most = new LinkedHashMap<>();
    Map<Region, Double> ofRegion = new EnumMap<>(Region.class);
    for (Member member : all) {
      member.gives().forEach((cell, v) -> most.merge(cell, v, Math::max));
      aim.weights()
          .keySet()
          .forEach(
              region -> ofRegion.merge(region, member.entry().stimulus().get(region), Math::max));
    }
    most.entrySet()
        .removeIf(
            entry ->
                entry.getValue()
                    < ASKED * Math.max(1e-9, Required.entry(ofRegion, entry.getKey().region())));
    List<OrderFact.Part> cells = List.copyOf(most.keySet());
    if (cells.isEmpty()) {
      return Optional.empty();
    }
    double[] weight = new double[cells.size()];
    for (int c = 0; c < weight.length; c++) {
      Region region = cells.get(c).region();
      weight[c] =
          Required.entry(aim.weights(), region)
              / (double) cells.stream().filter(cell -> cell.region() == region).count();
    }
    List<Member> near = new ArrayList<>();
    for (Member member : all) {
      boolean best =
          cells.stream()
              .anyMatch(
                  cell -> member.gives().getOrDefault(cell, 0.0) >= Required.entry(most, cell));
      if (near.size() < LOOKED_AT || best) {
        near.add(member);
      }
    }
    return Optional.of(new Search(near, cells, most, weight, count));
  }

  /** Every choice of {@code count} different exercises. */
  static final class Search {
    private final List<Member> near;
    private final List<OrderFact.Part> cells;
    private final double[][] covers;
    private final double[] weight;
    private final double total;
    private final int count;
    private final boolean bothKinds;
    private double most = -1;
    private int[] best = {};

    Search(
        List<Member> near,
        List<OrderFact.Part> cells,
        Map<OrderFact.Part, Double> most,
        double[] weight,
        int count) {
      this.near = near;
      this.cells = cells;
      this.weight = weight;
      this.count = count;
      this.covers = new double[near.size()][cells.size()];
      for (int i = 0; i < covers.length; i++) {
        for (int c = 0; c < cells.size(); c++) {
          covers[i][c] =
              near.get(i).gives().getOrDefault(cells.get(c), 0.0)
                  / Required.entry(most, cells.get(c));
        }
      }
      this.total = Arrays.stream(weight).sum();
      long compounds = IntStream.range(0, near.size()).filter(this::compound).count();
      this.bothKinds = compounds > 0 && compounds < near.size();
    }

    /** Tries every choice; whether there was one. */
    boolean chooses() {
      from(0, new int[count], 0);
      return best.length > 0;
    }

    /** Places of these candidates among those that are searched. */
    int[] choice(List<CandidateId> candidateIds) {
      List<CandidateId> ids = near.stream().map(member -> member.entry().id()).toList();
      return candidateIds.stream().mapToInt(ids::indexOf).toArray();
    }

    /** What a choice is searched by: its coverage, 0 to 1, and half of its mean utility. */
    double value(int[] chosen) {
      double utility = 0;
      for (int i : chosen) {
        utility += near.get(i).entry().ranked().utility() / chosen.length;
      }
      return coverage(chosen) + UTILITY_WEIGHT * utility;
    }

    private void from(int start, int[] chosen, int size) {
      if (size == count) {
        double value = value(chosen);
        if (value > most + 1e-12) {
          most = value;
          best = chosen.clone();
        }
        return;
      }
      for (int i = start; i < near.size(); i++) {
        boolean again = false;
        for (int k = 0; k < size; k++) {
          again |= exercise(chosen[k]).equals(exercise(i));
        }
        if (!again && (size + 1 < count || mixed(chosen, size, i))) {
          chosen[size] = i;
          from(i + 1, chosen, size + 1);
        }
      }
    }

    /**
     * Whether the chosen and one more hold a compound exercise and one of a single joint, as a
     * coach writes them; anything goes where only one kind is near.
     */
    private boolean mixed(int[] chosen, int size, int more) {
      boolean compound = compound(more);
      boolean single = !compound(more);
      for (int k = 0; k < size; k++) {
        compound |= compound(chosen[k]);
        single |= !compound(chosen[k]);
      }
      return !bothKinds || (compound && single);
    }

    private boolean compound(int i) {
      return near.get(i).entry().evaluation().candidate().exercise().compound();
    }

    private String exercise(int i) {
      return near.get(i).entry().evaluation().candidate().exerciseId();
    }

    /** Mean over the cells of how well the best of the chosen covers each, 0 to 1. */
    double coverage(int[] chosen) {
      double sum = 0;
      for (int c = 0; c < weight.length; c++) {
        double most = 0;
        for (int i : chosen) {
          most = Math.max(most, covers[i][c]);
        }
        sum += weight[c] * most;
      }
      return sum / total;
    }

    Together answer() {
      List<CandidateId> ids = new ArrayList<>();
      List<OrderFact.IsThereFor> members = new ArrayList<>();
      for (int i : best) {
        Order.Entry entry = near.get(i).entry();
        ids.add(entry.id());
        List<OrderFact.Part> what = new ArrayList<>();
        for (int c = 0; c < cells.size(); c++) {
          int cell = c;
          double others =
              Arrays.stream(best)
                  .filter(k -> k != i)
                  .mapToDouble(k -> covers[k][cell])
                  .max()
                  .orElse(0);
          if (covers[i][c] > others) {
            what.add(cells.get(c));
          }
        }
        List<OrderFact.Part> told = what.stream().limit(MOST_PARTS).toList();
        members.add(
            new OrderFact.IsThereFor(
                entry.evaluation().candidate().name(),
                told,
                told.isEmpty() ? 0 : Math.max(0, what.size() - MOST_PARTS)));
      }
      return new Together(List.copyOf(ids), coverage(best), List.copyOf(members));
    }
  }

  /**
   * Stimulus of each aimed region by the joint at which its muscle moves, and by its length; of one
   * that is held as it is.
   */
  private static Map<OrderFact.Part, Double> gives(Order.Entry entry, Aim aim, School school) {
    Map<OrderFact.Part, Double> result = new LinkedHashMap<>();
    List<AnalysisPoint> points = entry.evaluation().analysis().points();
    for (Region region : aim.weights().keySet()) {
      if (region.held()) {
        result.put(
            new OrderFact.Part(region, Coordinate.LUMBAR_FLEXION, false),
            entry.stimulus().get(region));
        continue;
      }
      int muscle = region.muscleIndex();
      double[] moved = new double[Coordinate.LEG];
      Arrays.setAll(
          moved,
          c ->
              entry
                  .evaluation()
                  .analysis()
                  .lengthChangeM(muscle, Coordinate.values()[c], point -> true));
      double all = Arrays.stream(moved).sum();
      double lengthened = 0;
      double tension = 1e-9;
      for (AnalysisPoint point : points) {
        double t = Stimulus.tension(point, school, muscle);
        tension += t;
        lengthened += point.fibreLength()[muscle] >= 1 ? t : 0;
      }
      for (int c = 0; c < moved.length; c++) {
        Coordinate joint = Coordinate.values()[c];
        if (joint != Coordinate.HIP_INTERNAL_ROTATION && all > 0 && moved[c] / all > 0.05) {
          double s = entry.stimulus().get(region) * moved[c] / all;
          result.put(new OrderFact.Part(region, joint, true), s * lengthened / tension);
          result.put(new OrderFact.Part(region, joint, false), s * (1 - lengthened / tension));
        }
      }
    }
    return result;
  }
}
