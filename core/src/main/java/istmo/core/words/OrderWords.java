package istmo.core.words;

import static istmo.core.words.Say.say;

import istmo.core.anatomy.Region;
import istmo.core.ranking.explanation.ComparisonFact;
import istmo.core.ranking.explanation.ComparisonFact.BottomsDiffer;
import istmo.core.ranking.explanation.ComparisonFact.ClientSaid;
import istmo.core.ranking.explanation.ComparisonFact.HardlyMore;
import istmo.core.ranking.explanation.ComparisonFact.NoneTrains;
import istmo.core.ranking.explanation.ComparisonFact.OutsideAim;
import istmo.core.ranking.explanation.ComparisonFact.TooFewComputed;
import istmo.core.ranking.explanation.ComparisonFact.TrainsMost;
import istmo.core.ranking.order.MachineMeasuringValue;
import istmo.core.ranking.order.MeasuringValue;
import istmo.core.ranking.order.OrderFact;
import istmo.core.ranking.order.OrderFact.AboutEqual;
import istmo.core.ranking.order.OrderFact.AnotherStation;
import istmo.core.ranking.order.OrderFact.BodyCannot;
import istmo.core.ranking.order.OrderFact.ClearlyLeads;
import istmo.core.ranking.order.OrderFact.IsThereFor;
import istmo.core.ranking.order.OrderFact.LessFor;
import istmo.core.ranking.order.OrderFact.MayStandLower;
import istmo.core.ranking.order.OrderFact.Moved;
import istmo.core.ranking.order.OrderFact.NotHere;
import istmo.core.ranking.order.OrderFact.NothingTrainsThis;
import istmo.core.ranking.order.OrderFact.OneStation;
import istmo.core.ranking.order.OrderFact.SomethingElseEndsIt;
import istmo.core.ranking.setup.BestSetup;
import istmo.core.ranking.setup.BottomAngle;
import istmo.core.ranking.setup.Difference;
import istmo.core.ranking.setup.DifferenceFact;
import istmo.core.ranking.setup.DifferenceFact.AnglesDiffer;
import istmo.core.ranking.setup.DifferenceFact.BeyondNoise;
import istmo.core.ranking.setup.DifferenceFact.GiveOut;
import istmo.core.ranking.setup.DifferenceFact.HipOverKnee;
import istmo.core.ranking.setup.DifferenceFact.Named;
import istmo.core.ranking.setup.SetupFact;
import istmo.core.ranking.setup.SetupFact.CannotBeTaken;
import istmo.core.ranking.setup.SetupFact.NoFurther;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** What is said of whole orders, and of exercises and set-ups beside one another. */
public final class OrderWords {
  /** Regions that are told of where more change. */
  private static final int MOST_CHANGES = 4;

  private OrderWords() {}

  /** What an order tells beside its places. */
  public static String of(OrderFact fact) {
    if (fact instanceof ClearlyLeads) {
      return "It clearly leads for this target.";
    }
    if (fact instanceof MayStandLower lower) {
      return say(
          "It leads, but what is not known lets it stand anywhere down to place %d.",
          lower.place());
    }
    if (fact instanceof AboutEqual equal) {
      return say(
          "The first %d are about equal; what put it first: %s.",
          equal.count(),
          equal.criteria().isEmpty()
              ? "nothing in particular: take the one this client likes"
              : String.join(", then ", equal.criteria()));
    }
    if (fact instanceof SomethingElseEndsIt ends) {
      return say(
          "But something else ends it: %.0f %% of what gives out first is %s.",
          100 * ends.share(), String.join(" and ", ends.groups()));
    }
    if (fact instanceof OneStation station) {
      return station.equipment().isEmpty()
          ? "Nothing here needs a station."
          : "One station: "
              + String.join(" and ", station.equipment())
              + ". What stands elsewhere is listed below.";
    }
    if (fact instanceof NotHere not) {
      return (not.home() ? "Not at home: " : "Not here: ")
          + String.join(", ", not.equipment())
          + ".";
    }
    if (fact instanceof AnotherStation) {
      return "Another station.";
    }
    if (fact instanceof BodyCannot cannot) {
      return MovementWords.both(cannot.why());
    }
    return single(fact);
  }

  private static String single(OrderFact fact) {
    if (fact instanceof NothingTrainsThis nothing) {
      return nothing.would().isEmpty()
          ? "Nothing that is computed here trains this well."
          : "Nothing here trains this well. With "
              + String.join(" and ", nothing.would().get(0).needs())
              + " you could do: "
              + nothing.would().get(0).name()
              + ".";
    }
    if (fact instanceof IsThereFor member) {
      String parts =
          member.parts().stream().map(OrderWords::of).distinct().collect(Collectors.joining(", "));
      return member.name()
          + ": "
          + (parts.isEmpty()
              ? "more of the same."
              : parts + (member.more() > 0 ? say(" and %d more.", member.more()) : "."));
    }
    if (fact instanceof LessFor less) {
      return say("%.0f %% less for the %s", 100 * less.share(), less.region().coachName());
    }
    if (fact instanceof Moved moved) {
      return moved.is() == 0
          ? moved.name() + " goes out of the order."
          : moved.was() == 0
              ? moved.name() + " comes in at " + moved.is() + "."
              : say("%s from %d to %d.", moved.name(), moved.was(), moved.is());
    }
    return "A part repetition: the whole is learnt first.";
  }

  private static String of(OrderFact.Part part) {
    if (part.region().held()) {
      return part.region().coachName();
    }
    String where =
        switch (part.joint()) {
          case HIP_FLEXION -> "at the hip";
          case HIP_ABDUCTION -> "at the hip's side";
          case KNEE_FLEXION -> "at the knee";
          default -> "at the ankle";
        };
    return part.region().coachName() + (part.lengthened() ? " long " : " short ") + where;
  }

  /** What is lost with a substitute: a part of a sentence. */
  public static String lost(List<LessFor> lost) {
    return lost.isEmpty()
        ? "nothing lost that the model can tell"
        : lost.stream().map(OrderWords::of).collect(Collectors.joining(", "));
  }

  /** What a missing measurement would change. */
  public static String of(MeasuringValue value) {
    String spread =
        switch (value.kind()) {
          case THIGH, SHANK, TRUNK -> say("%.1f cm", 100 * value.spread());
          default -> say("%.0f°", value.spread());
        };
    return say(
        "Measure the %s: between %s less and %s more, %d of the first %d change their place.",
        value.kind().label(), spread, spread, value.affected(), value.of());
  }

  /** What a generic value of a machine may change. */
  public static String of(MachineMeasuringValue value) {
    return say(
        "%s, %s: between what such machines have, %d of the first %d change their place.",
        value.item().label(),
        value.item().detail(value.detailId()).label().toLowerCase(Locale.ROOT),
        value.affected(),
        value.of());
  }

  /** What truly differs between exercises. */
  public static String of(ComparisonFact fact) {
    if (fact instanceof TooFewComputed) {
      return "Fewer than two of these can be computed for this client, so there is nothing to set"
          + " against each other.";
    }
    if (fact instanceof NoneTrains none) {
      return "None of them does anything for the " + none.region().coachName() + ".";
    }
    if (fact instanceof HardlyMore more) {
      return say(
          "%s trains the %s a little more than %s: too little to count (%.0f %% likely).",
          more.name(),
          more.region().coachName(),
          more.than().isEmpty() ? "the next" : String.join(" and ", more.than()),
          100 * more.chance());
    }
    if (fact instanceof TrainsMost most) {
      return say(
          "%s trains the %s most: %s (%.0f %% likely).",
          most.name(),
          most.region().coachName(),
          most.times().isPresent()
              ? say("%.1f times the next", most.times().getAsDouble())
              : "nothing else here does",
          100 * most.chance());
    }
    if (fact instanceof OutsideAim outside) {
      return "Outside the target, "
          + outside.name()
          + " trains these more: "
          + outside.regions().stream().map(Region::coachName).collect(Collectors.joining(", "))
          + ".";
    }
    if (fact instanceof BottomsDiffer differ) {
      return angles(differ.angle(), differ.of());
    }
    return fact instanceof ClientSaid said
        ? said.name() + ": " + said.said().stream().map(Words::of).collect(Collectors.joining(" "))
        : of((ComparisonFact.GiveOut) fact);
  }

  private static String of(ComparisonFact.GiveOut out) {
    if (out.ended().size() == 1) {
      return "Gives out first in "
          + (out.of() == 2 ? "both: " : "all of them: ")
          + RankingWords.limiter(out.ended().get(0).groups())
          + ".";
    }
    return "Gives out first: "
        + out.ended().stream()
            .map(
                ended ->
                    RankingWords.limiter(ended.groups())
                        + " ("
                        + String.join(", ", ended.names())
                        + ")")
            .collect(Collectors.joining("; "))
        + ".";
  }

  private static String angles(BottomAngle angle, List<Named> of) {
    String what =
        switch (angle) {
          case TRUNK_LEAN -> "Trunk lean at the bottom";
          case KNEE_BEND -> "Knee bend at the bottom";
          case HIP_BEND -> "Hip bend at the bottom";
        };
    return what
        + ": "
        + of.stream()
            .map(each -> say("%s %.0f°", each.name(), each.value()))
            .collect(Collectors.joining(", "))
        + ".";
  }

  /** What differs between two set-ups or two clients. */
  public static String of(DifferenceFact fact) {
    if (fact instanceof AnglesDiffer differ) {
      return angles(differ.angle(), differ.of());
    }
    if (fact instanceof HipOverKnee hip) {
      return say(
          "For each newton metre at the knee the hip carries %.1f (%s) and %.1f (%s).",
          hip.first().value(), hip.first().name(), hip.second().value(), hip.second().name());
    }
    if (fact instanceof GiveOut out) {
      return "Gives out first for "
          + out.first()
          + ": "
          + RankingWords.shares(out.ofFirst())
          + "; for "
          + out.second()
          + ": "
          + RankingWords.shares(out.ofSecond())
          + ".";
    }
    BeyondNoise beyond = (BeyondNoise) fact;
    return beyond.changes().isEmpty()
        ? "The model cannot tell these two apart for any region."
        : say(
            "Beyond the model's noise, from %s to %s: %s",
            beyond.first(), beyond.second(), changes(beyond.changes()));
  }

  /** Regions that change, greatest first: a part of a sentence; empty where none does. */
  public static String changes(List<Difference.RegionChange> changes) {
    if (changes.isEmpty()) {
      return "";
    }
    String told =
        changes.stream()
            .limit(MOST_CHANGES)
            .map(
                change ->
                    change.region().coachName()
                        + " "
                        + (change.from() < Difference.SMALLEST
                            ? "from nothing"
                            : say("%+.0f %%", 100 * (change.to() / change.from() - 1))))
            .collect(Collectors.joining(", "));
    int more = changes.size() - MOST_CHANGES;
    return told + (more > 0 ? say(" and %d more.", more) : ".");
  }

  /** The best set-up that was found, and what it gains. */
  public static String of(BestSetup.Best best) {
    return best.moved().isEmpty()
        ? say(
            "Nothing better was found among %d set-ups: this is as good as it gets for the aim.",
            best.tried())
        : say(
            "%+.0f %% for the aim, the best of %d set-ups tried%s",
            100 * best.gain(),
            best.tried(),
            best.toldApart() ? "." : "; the model cannot tell it from where you were.");
  }

  /** Why a set-up goes no further. */
  public static String of(SetupFact fact) {
    if (fact instanceof NoFurther no) {
      return no.parameter() + " no further: " + Words.of(no.why());
    }
    if (fact instanceof CannotBeTaken cannot) {
      return "cannot be taken: " + Words.of(cannot.why());
    }
    return fact instanceof SetupFact.EndOfRange
        ? "That is the end of its range."
        : "The range would be much less than it was.";
  }
}
