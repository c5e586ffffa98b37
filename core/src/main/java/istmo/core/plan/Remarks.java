package istmo.core.plan;

import istmo.core.body.Measurement.Side;
import istmo.core.body.Profile;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.quantity.Fact;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a coach should know of an exercise as it is prescribed, beyond its cues (common practice).
 */
public final class Remarks {
  private static final double GIVES_OUT = 0.5;

  /** Families in which a weight that cannot be brought to the end is too heavy. */
  private static final Set<String> TO_THE_END = Set.of("thrust", "leg-extension");

  private Remarks() {}

  /** One thing that a coach should know; {@code words.PlanWords} says it. */
  public sealed interface Remark extends Fact {}

  /** The weaker leg goes first: this one, or NONE where nobody has said which it is. */
  public record WeakerLegFirst(Side side) implements Remark {}

  /** What cannot be brought to full extension is too heavy. */
  public record ToFullExtension() implements Remark {}

  /** The range is short for this client: a little more of it over the weeks. */
  public record RangeFirst(Fact now) implements Remark {}

  /** Less help from the hands, then slower, then load. */
  public record Ladder() implements Remark {}

  /** A group that is not aimed at gives out first. */
  public record GivesOut(String group) implements Remark {}

  /** How its sets are strung together. */
  public record Strung(Scheme scheme) implements Remark {}

  /** What is worth saying of an exercise in this plan. */
  public static List<Remark> of(Offer offer, Prescription prescription, Aim aim, Profile profile) {
    List<Remark> list = new ArrayList<>();
    if (offer.oneLeg()) {
      list.add(
          new WeakerLegFirst(
              profile
                  .strongerSide()
                  .map(side -> side == Side.LEFT ? Side.RIGHT : Side.LEFT)
                  .orElse(Side.NONE)));
    }
    if (TO_THE_END.contains(offer.familyId())) {
      list.add(new ToFullExtension());
    }
    if (!offer.changes().isEmpty()) {
      list.add(new RangeFirst(offer.changes().get(0)));
    }
    if (offer.loadKind() == LoadKind.NONE || offer.role() == Role.DEMANDING) {
      list.add(new Ladder());
    }
    offer.limiters().entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
        .filter(entry -> entry.getValue() > GIVES_OUT && !aimedGroups(aim).contains(entry.getKey()))
        .ifPresent(entry -> list.add(new GivesOut(entry.getKey())));
    if (prescription.scheme() != Scheme.STRAIGHT) {
      list.add(new Strung(prescription.scheme()));
    }
    return List.copyOf(list);
  }

  private static Set<String> aimedGroups(Aim aim) {
    return aim.weights().keySet().stream()
        .map(region -> region.group().word())
        .collect(Collectors.toSet());
  }
}
