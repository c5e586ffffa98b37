package istmo.core.words;

import static istmo.core.words.Say.say;
import static istmo.core.words.Say.trimmed;

import istmo.core.anatomy.RegionGroup;
import istmo.core.ranking.criterion.CriterionFact;
import istmo.core.ranking.criterion.CriterionFact.AimedWork;
import istmo.core.ranking.criterion.CriterionFact.BackWorks;
import istmo.core.ranking.criterion.CriterionFact.ClientLikes;
import istmo.core.ranking.criterion.CriterionFact.Depth;
import istmo.core.ranking.criterion.CriterionFact.EaseOfLearning;
import istmo.core.ranking.criterion.CriterionFact.EndsInTarget;
import istmo.core.ranking.criterion.CriterionFact.Evenness;
import istmo.core.ranking.criterion.CriterionFact.Held;
import istmo.core.ranking.criterion.CriterionFact.KneecapForce;
import istmo.core.ranking.criterion.CriterionFact.NoThighPad;
import istmo.core.ranking.criterion.CriterionFact.Rerack;
import istmo.core.ranking.criterion.CriterionFact.RollerTooShort;
import istmo.core.ranking.criterion.CriterionFact.SeatTooShort;
import istmo.core.ranking.criterion.CriterionFact.SetUpTime;
import istmo.core.ranking.criterion.CriterionFact.SmallestStep;
import istmo.core.ranking.criterion.CriterionFact.WholeWork;
import istmo.core.ranking.criterion.CriterionFact.WorksSoreJoint;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Limiters.GroupShare;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.explanation.Reason.BehindFirst;
import istmo.core.ranking.explanation.Reason.Below;
import istmo.core.ranking.explanation.Reason.CoachesAgree;
import istmo.core.ranking.explanation.Reason.Costs;
import istmo.core.ranking.explanation.Reason.ForClient;
import istmo.core.ranking.explanation.Reason.Gives;
import istmo.core.ranking.explanation.Reason.GivesOutFirst;
import istmo.core.ranking.explanation.Reason.HeaviestWhere;
import istmo.core.ranking.explanation.Reason.LevelWith;
import istmo.core.ranking.explanation.Reason.LikelyPlace;
import istmo.core.ranking.explanation.Reason.MachineKnown;
import istmo.core.ranking.explanation.Reason.MovedByClient;
import istmo.core.ranking.explanation.Reason.NoStudy;
import istmo.core.ranking.explanation.Reason.OtherSetup;
import istmo.core.ranking.explanation.Reason.Studied;
import istmo.core.ranking.explanation.Reason.WouldPass;
import istmo.core.stimulus.HeaviestLength;
import java.util.List;
import java.util.stream.Collectors;

/** What is said of a candidate: why it stands where it does, and its value by each criterion. */
public final class RankingWords {
  /** From this share of the best here on, nothing else gives more to speak of. */
  private static final double AS_MUCH = 0.95;

  /** A study that adds less to ln(stimulus) is cited without a direction. */
  private static final double DIRECTED = 0.005;

  private RankingWords() {}

  /** "quads 68 %, glutes 16 %": the first three that count. */
  static String shares(List<GroupShare> groups) {
    String parts =
        groups.stream()
            .limit(3)
            .filter(each -> each.share() >= 0.05)
            .map(each -> say("%s %.0f %%", each.group(), 100 * each.share()))
            .collect(Collectors.joining(", "));
    return parts.isEmpty() ? "nothing within the repetitions that are counted" : parts;
  }

  /** The groups that limit first, or that nothing does. */
  public static String limiter(List<String> groups) {
    return groups.isEmpty() ? "nothing in range" : String.join(" and ", groups);
  }

  /** Why a candidate stands where it does. */
  public static String of(Reason reason) {
    if (reason instanceof Gives gives) {
      return "Gives "
          + gives.regions().stream()
              .map(each -> each.region().coachName() + " " + share(each.share()))
              .collect(Collectors.joining("; "))
          + ".";
    }
    if (reason instanceof HeaviestWhere where && where.state() == HeaviestLength.HELD) {
      return say(
          "Asks most of the %s %s of the repetition; it is held at one length throughout.",
          where.region().coachName(), phase(where.phase()));
    }
    if (reason instanceof HeaviestWhere where) {
      return say(
          "Counts most for the %s %s of the repetition, where it is %s (%.2f of its best length).",
          where.region().coachName(), phase(where.phase()), where.state().label(), where.length());
    }
    if (reason instanceof GivesOutFirst first) {
      return "Gives out first: " + shares(first.groups()) + ".";
    }
    if (reason instanceof NoStudy none) {
      return "No study was found that tells of the " + none.region().coachName() + " here.";
    }
    if (reason instanceof Studied studied) {
      return of(studied);
    }
    if (reason instanceof CoachesAgree agree) {
      return of(agree);
    }
    if (reason instanceof ForClient change) {
      return "For this client: " + Words.of(change.change());
    }
    if (reason instanceof MovedByClient moved) {
      return of(moved);
    }
    if (reason instanceof MachineKnown machine) {
      return machine.known() == 0
          ? "Computed for a generic machine: nothing of this one is measured."
          : say(
              "Of this machine %d of %d values that matter are measured; the rest is generic.",
              machine.known(), machine.of());
    }
    return reason instanceof Costs costs ? "It costs: " + costs(costs) + "." : place(reason);
  }

  private static String place(Reason reason) {
    if (reason instanceof LikelyPlace place) {
      return place.low() == place.high()
          ? say("Likely place %d.", place.low())
          : say(
              "Likely place %d to %d; the chance that it is the best is %.0f %%.",
              place.low(), place.high(), 100 * place.chanceOfBest());
    }
    if (reason instanceof Below below) {
      return of(below);
    }
    if (reason instanceof BehindFirst behind) {
      return say(
          "%.0f points behind the first; loses most on: %s (%.0f).",
          100 * behind.points(), behind.most().criterion(), 100 * behind.most().points());
    }
    if (reason instanceof LevelWith level) {
      return say("All but level with %s.", level.over());
    }
    if (reason instanceof WouldPass pass) {
      String weight =
          pass.factor() > 1
              ? say("%.1f times the weight", pass.factor())
              : say("%.0f %% of the weight", 100 * pass.factor());
      return say("With %s on “%s” it would pass %s.", weight, pass.criterion(), pass.over());
    }
    OtherSetup other = (OtherSetup) reason;
    return say("In another set-up it stands at %d: %s.", other.place(), other.name());
  }

  private static String share(double share) {
    return share > AS_MUCH
        ? "about as much as anything here"
        : say("%.0f %% of the best here", 100 * share);
  }

  private static String phase(double phase) {
    return phase > 0.75
        ? "near the bottom or start"
        : phase < 0.25 ? "near the top or end" : "in the middle";
  }

  private static String of(Studied studied) {
    String moved =
        studied
            .shift()
            .map(
                shift ->
                    "move the mechanics' figure for the "
                        + studied.region().coachName()
                        + " by "
                        + percent(shift))
            .orElse("leave the mechanics' figure where it is");
    String cited =
        studied.studies().stream()
            .map(
                study ->
                    study.citation()
                        + (Math.abs(study.shift()) < DIRECTED
                            ? ""
                            : study.shift() > 0 ? " (up)" : " (down)"))
            .collect(Collectors.joining(", "));
    return "Studies " + moved + ": " + cited + ".";
  }

  private static String of(CoachesAgree agree) {
    String said =
        agree.said().stream()
            .map(each -> (each.more() ? "more than " : "less than ") + each.than())
            .collect(Collectors.joining(", "));
    return "What coaches agree on (common practice, no source) "
        + agree
            .shift()
            .map(shift -> "moves it by " + percent(shift))
            .orElse("leaves it where it is")
        + (said.isEmpty() ? "" : ": " + said)
        + ".";
  }

  private static String of(MovedByClient moved) {
    String regions =
        moved.regions().stream()
            .map(each -> "the " + each.region().coachName() + " by " + percent(each.shift()))
            .collect(Collectors.joining(", "));
    return (moved.ofThis() ? "That" : "What this client felt in another set-up of it")
        + " moves the figure for "
        + regions
        + (moved.inOrder() ? " in this client's order." : " here as in the order.");
  }

  private static String of(Below below) {
    long between = Math.round(100 * below.points());
    String distance =
        between == 0
            ? "Less than one point"
            : between == 1 ? "One point" : say("%d points", between);
    String lost =
        below.lost().stream()
            .map(each -> say("%s −%.0f", each.criterion(), 100 * each.points()))
            .collect(Collectors.joining(", "));
    return distance + " below " + below.above() + (lost.isEmpty() ? "." : ": " + lost + ".");
  }

  private static String percent(double shift) {
    return say("%+.0f %%", 100 * Math.expm1(shift));
  }

  /** What it costs, in a few words: the back, and minutes to set up. */
  public static String costs(Costs costs) {
    String spine =
        costs.back() > 0.6 ? "heavy on the back" : costs.back() > 0.3 ? "some back" : "back spared";
    return say("%s · %s min to set up", spine, minutes(costs.setUpMinutes()));
  }

  /** Minutes without a needless ".0". */
  private static String minutes(double m) {
    return m == Math.rint(m) ? String.valueOf((int) m) : String.valueOf(m);
  }

  /** Why a candidate has its value by a criterion. */
  public static String of(CriterionFact fact) {
    if (fact instanceof EndsInTarget ends) {
      return say(
          "Gives out first: %s. The aimed regions are %.0f %% of it.",
          shares(ends.gaveOut()), 100 * ends.share());
    }
    if (fact instanceof NoThighPad) {
      return "No pad holds the thigh here: pull yourself down by the handles.";
    }
    if (fact instanceof SeatTooShort seat) {
      return say(
          "This seat takes thighs to %.0f cm, this client's is %.0f cm: the knee stands in front of"
              + " the pivot.",
          100 * seat.mostM(), 100 * seat.thighM());
    }
    if (fact instanceof RollerTooShort roller) {
      return say(
          "The roller reaches %.0f cm from the pivot, this client's ankle is at %.0f cm: it presses"
              + " on the shin.",
          100 * roller.mostM(), 100 * roller.ankleM());
    }
    if (fact instanceof Held held) {
      return held.stability() >= 0.9
          ? "Pads and rails hold the body."
          : held.stability() >= 0.7
              ? "A track or pad helps."
              : "Free: some of the effort goes into balance.";
    }
    if (fact instanceof Evenness even) {
      return say(
          "%s On average %.0f %% of its heaviest point.", of(even.light()), 100 * even.share());
    }
    if (fact instanceof Depth depth) {
      return depth.share() > 0.99
          ? "All of the usual depth."
          : say("%.0f %% of the usual depth.", 100 * depth.share());
    }
    return fact instanceof Rerack rerack ? of(rerack) : practical(fact);
  }

  private static String of(CriterionFact.Light light) {
    return switch (light) {
      case NOWHERE -> "Heavy through most of the range.";
      case NEAR_TOP -> "Light near the top, or the end of the movement.";
      case NEAR_BOTTOM -> "Light near the bottom, or the start of the movement.";
    };
  }

  private static String of(Rerack rerack) {
    return switch (rerack) {
      case AT_THE_TOP -> "A whole repetition: begun and ended at the top.";
      case NOT_LOW -> "A part repetition that cannot be re-racked low here.";
      case LOW -> "Can be begun and ended low.";
    };
  }

  private static String practical(CriterionFact fact) {
    if (fact instanceof WorksSoreJoint sore) {
      return "Works the sore " + sore.joint().label() + ": " + sore.how();
    }
    if (fact instanceof BackWorks back) {
      return say("The lower back works at %.0f %% of what it can.", 100 * back.share());
    }
    if (fact instanceof AimedWork aimed) {
      return say("%.0f %% of what it trains is aimed at.", 100 * aimed.share());
    }
    if (fact instanceof SmallestStep step) {
      return say(
          "The smallest step is about %.0f %% of a working load.", Math.max(1, 100 * step.share()));
    }
    if (fact instanceof SetUpTime time) {
      return "About " + minutes(time.minutes()) + " min to set up and load.";
    }
    if (fact instanceof EaseOfLearning ease) {
      return ease.value() >= 0.8 ? "Learnt in one session." : "Takes practice.";
    }
    if (fact instanceof ClientLikes likes) {
      return likes.value() == 1
          ? "This client likes it."
          : likes.value() == 0 ? "This client does not like it." : "Neither liked nor disliked.";
    }
    if (fact instanceof KneecapForce force) {
      return say(
          "The kneecap is pressed with about %.1f times the body's weight.", force.bodyWeights());
    }
    return fact instanceof WholeWork whole
        ? say(
            "Trains %.0f %% of what the most complete exercise here does in a set.",
            100 * whole.share())
        : "Works no joint that is sore.";
  }

  /** Arms or balance end the load before the muscles do. */
  public static String of(UsualSet.ForMoreRepetitions more) {
    String why =
        switch (more.by()) {
          case ARMS -> "The arms hold no more than %.0f kg at the chest.";
          case BALANCE -> "With more than %.0f kg balance goes before the muscles do.";
        };
    return say(
        "For about %d repetitions%s. " + why,
        more.repetitions(),
        more.reserve() > 0 ? " with " + more.reserve() + " in reserve" : "",
        more.kg());
  }

  /** Nothing is heavy enough for the usual set. */
  public static String of(UsualSet.NothingHeavier light) {
    String reserve = light.reserve() > 0 ? " with " + light.reserve() + " in reserve" : "";
    return light.kg() > 0
        ? say(
            "For about %d repetitions%s. There is nothing heavier than %s kg here.",
            light.repetitions(), reserve, trimmed(light.kg()))
        : say(
            "For about %d repetitions%s, with the body's own weight.",
            light.repetitions(), reserve);
  }

  /** The hands would end it before the legs do. */
  public static String of(UsualSet.WithStraps straps) {
    return say(
        "With straps. Bare hands end the set: %.0f kg for ten repetitions.", straps.bareKg());
  }

  /** What the model gives of a machine cannot be. */
  public static String of(Evaluation.NotBelievable not) {
    return say(
        "The model gives %s more than half of what %s get; that is not believable for this"
            + " machine.",
        not.groups().stream().map(RegionGroup::word).collect(Collectors.joining(" and ")),
        not.group().word());
  }
}
