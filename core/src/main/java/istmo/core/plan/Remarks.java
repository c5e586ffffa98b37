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
  public static List<String> of(Offer o, Prescription p, Aim aim, Profile profile) {
    List<String> list = new ArrayList<>();
    if (o.oneLeg()) {
      Optional<Side> weaker =
          profile.strongerSide().map(s -> s == Side.LEFT ? Side.RIGHT : Side.LEFT);
      list.add(
          weaker
              .map(
                  s ->
                      "The "
                          + s.name().toLowerCase(Locale.ROOT)
                          + " leg first; its repetitions are what the other does too.")
              .orElse("The weaker leg first; its repetitions are what the other does too."));
    }
    if (TO_THE_END.contains(o.familyId())) {
      list.add("A weight that cannot be brought to full extension is too heavy.");
    }
    if (!o.changes().isEmpty()) {
      list.add(
          "Range first: a little more of it over the weeks, at a small load. Now: "
              + o.changes().get(0));
    }
    if (o.loadKind() == LoadKind.NONE || o.role() == Role.DEMANDING) {
      list.add("A ladder: less help from the hands, then slower on the way down, then load.");
    }
    o.limiters().entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
        .filter(l -> l.getValue() > GIVES_OUT && !aimedGroups(aim).contains(l.getKey()))
        .ifPresent(
            l ->
                list.add(
                    String.format(
                        Locale.ROOT,
                        "What gives out first is the %s: if it keeps doing so, it needs work of its"
                            + " own.",
                        l.getKey())));
    if (p.scheme() != Scheme.STRAIGHT) {
      list.add(p.scheme().how());
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
