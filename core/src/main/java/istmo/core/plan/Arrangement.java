package istmo.core.plan;

import istmo.core.body.PainFlag;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Item;
import istmo.core.quantity.Fact;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The order of exercises in a session, with its reasons (common practice). A coach may put them
 * otherwise; then it says what speaks against it.
 */
public final class Arrangement {
  private final Offers offers;
  private final Aim aim;
  private final boolean soreKnee;

  /** The usual order of a session for what is on offer, an aim and what is sore. */
  public Arrangement(Offers offers, Aim aim, Set<PainFlag> sore) {
    this.offers = offers;
    this.aim = aim;
    this.soreKnee = sore.contains(PainFlag.KNEE);
  }

  /**
   * Bouts in order: by their heaviest member's place, then what serves the aim more. With a sore
   * knee one light exercise of the knee that does not trouble it comes first.
   */
  public List<Bout> of(List<Bout> bouts) {
    List<Bout> sorted = new ArrayList<>(bouts.stream().map(this::inside).toList());
    sorted.sort(
        Comparator.<Bout, Role>comparing(this::role)
            .thenComparing(bout -> -worth(bout))
            .thenComparing(bout -> bout.items().get(0).candidateId()));
    if (soreKnee) {
      sorted.stream()
          .filter(this::easesTheKnee)
          .findFirst()
          .ifPresent(
              bout -> {
                sorted.remove(bout);
                sorted.add(0, bout);
              });
    }
    return List.copyOf(sorted);
  }

  /**
   * Why a bout stands where it does: by its role, or first because it eases a sore knee.
   *
   * @param easesKnee whether it does
   */
  public record Place(Role role, boolean easesKnee) implements Fact {}

  /** A bout that stands before another of an earlier role, both by their first exercise's name. */
  public record Before(String first, String second, Role roleOfSecond) implements Fact {}

  /** Why a bout stands where it does, in the order of {@link #of}. */
  public Place reason(Bout bout) {
    return new Place(role(bout), soreKnee && easesTheKnee(bout));
  }

  /**
   * What speaks against the order in which bouts stand: each pair of neighbours that the usual
   * order has the other way round.
   */
  public List<Before> remarks(List<Bout> bouts) {
    List<Before> remarks = new ArrayList<>();
    List<Bout> usual = of(bouts);
    for (int k = 1; k < bouts.size(); k++) {
      Bout first = inside(bouts.get(k - 1));
      Bout second = inside(bouts.get(k));
      boolean eases =
          soreKnee && !usual.isEmpty() && usual.get(0).equals(first) && easesTheKnee(first);
      if (!eases && role(second).compareTo(role(first)) < 0) {
        remarks.add(new Before(name(first), name(second), role(second)));
      }
    }
    return remarks;
  }

  private Bout inside(Bout bout) {
    return new Bout(
        bout.items().stream().sorted(Comparator.<Item, Role>comparing(this::role)).toList());
  }

  private boolean easesTheKnee(Bout bout) {
    return bout.items().stream()
        .allMatch(
            item ->
                offers
                    .find(item.candidateId())
                    .filter(
                        offer ->
                            offer.role() == Role.SINGLE
                                && offer.functions().contains(Function.KNEE_FLEXION)
                                && !offer.troubles().contains(PainFlag.KNEE))
                    .isPresent());
  }

  private Role role(Bout bout) {
    return bout.items().stream().map(this::role).min(Comparator.naturalOrder()).orElseThrow();
  }

  private Role role(Item item) {
    return offers.find(item.candidateId()).map(Offer::role).orElse(Role.SINGLE);
  }

  private double worth(Bout bout) {
    return bout.items().stream()
        .mapToDouble(
            item ->
                offers
                    .find(item.candidateId())
                    .map(
                        offer ->
                            aim.weights().entrySet().stream()
                                .mapToDouble(
                                    entry -> entry.getValue() * offer.share(entry.getKey()))
                                .sum())
                    .orElse(0.0))
        .max()
        .orElse(0);
  }

  private String name(Bout bout) {
    Optional<Offer> found = offers.find(bout.items().get(0).candidateId());
    return found.map(Offer::name).orElse(bout.items().get(0).candidateId().text());
  }
}
