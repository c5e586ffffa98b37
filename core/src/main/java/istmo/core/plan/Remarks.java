package istmo.core.plan;

import istmo.core.anatomy.Regions;
import istmo.core.body.Measurement.Side;
import istmo.core.body.Profile;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a coach should know of an exercise as it is prescribed, beyond its cues (common practice).
 */
public final class Remarks {
  private static final double GIVES_OUT = 0.5;

  /** Families in which a weight that cannot be brought to the end is too heavy. */
  private static final Set<String> TO_THE_END = Set.of("thrust", "leg-extension");

  private Remarks() {}

  /** What is worth saying of an exercise in this plan, each in a sentence. */
  public static List<String> of(Offer offer, Prescription prescription, Aim aim, Profile profile) {
    List<String> list = new ArrayList<>();
    if (offer.oneLeg()) {
      Optional<Side> weaker =
          profile.strongerSide().map(side -> side == Side.LEFT ? Side.RIGHT : Side.LEFT);
      list.add(
          weaker
              .map(
                  side ->
                      "The "
                          + side.name().toLowerCase(Locale.ROOT)
                          + " leg first; its repetitions are what the other does too.")
              .orElse("The weaker leg first; its repetitions are what the other does too."));
    }
    if (TO_THE_END.contains(offer.familyId())) {
      list.add("A weight that cannot be brought to full extension is too heavy.");
    }
    if (!offer.changes().isEmpty()) {
      list.add(
          "Range first: a little more of it over the weeks, at a small load. Now: "
              + offer.changes().get(0));
    }
    if (offer.loadKind() == LoadKind.NONE || offer.role() == Role.DEMANDING) {
      list.add("A ladder: less help from the hands, then slower on the way down, then load.");
    }
    offer.limiters().entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
        .filter(entry -> entry.getValue() > GIVES_OUT && !aimedGroups(aim).contains(entry.getKey()))
        .ifPresent(
            entry ->
                list.add(
                    String.format(
                        Locale.ROOT,
                        "What gives out first is the %s: if it keeps doing so, it needs work of its"
                            + " own.",
                        entry.getKey())));
    if (prescription.scheme() != Scheme.STRAIGHT) {
      list.add(prescription.scheme().how());
    }
    return List.copyOf(list);
  }

  private static Set<String> aimedGroups(Aim aim) {
    return Set.copyOf(
        aim.weights().keySet().stream()
            .map(id -> Regions.standard().get(id).group())
            .distinct()
            .toList());
  }
}
