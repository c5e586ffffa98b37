package istmo.core.ranking.criterion;

import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Limiter;
import istmo.core.ranking.Alternative.Criterion;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** The practical criteria: each 0 to 1 with a weight (judgement; docs/model.md, 9) and a reason in words. */
final class Practical {
  /** Id of the criterion whether the target gives out first. */
  static final String TARGET = "target";

  /** How stable a curl is without a pad that holds the thigh (common practice: pull yourself down, or skip it). */
  private static final double WITHOUT_PAD = 0.5;

  /** How stable a machine is whose seat or roller does not fit this leg (judgement). */
  private static final double OUT_OF_LINE = 0.7;

  /** Place of the roller on the shank, as the families have it: a share of knee to ankle. */
  private static final double ROLLER_ON_SHANK = 0.88;

  private Practical() {}

  static List<Criterion> criteria(Brief brief, Exercise x, Evaluation.Computed e) {
    List<Criterion> criteria = new ArrayList<>();
    criteria.add(targetLimits(brief.aim(), e));
    criteria.add(stability(brief, x));
    double back = Explanation.backActivation(e.analysis());
    criteria.add(new Criterion("spine", "load on the back", 0.4, 1 - Math.min(1, back), String.format(Locale.ROOT, "The lower back works at %.0f %% of what it can.", 100 * back)));
    criteria.add(progression(brief, x, e));
    criteria.add(new Criterion("time", "time to set up", 0.3, Math.max(0, 1 - x.setUpMinutes() / 5), "About " + Explanation.minutes(x.setUpMinutes()) + " min to set up and load."));
    criteria.add(learning(brief, x));
    liked(brief, x).ifPresent(criteria::add);
    return criteria;
  }

  private static Criterion targetLimits(Aim aim, Evaluation.Computed e) {
    double share = e.analysis().set().gaveOut().stream().filter(l -> aim.weights().containsKey(l.id())).mapToDouble(Limiter::share).sum();
    return new Criterion(TARGET, "the target gives out first", 0.7, Math.min(1, share), String.format(Locale.ROOT, "%s The aimed regions are %.0f %% of it.", Explanation.givesOut(e.analysis().set().gaveOut()), 100 * share));
  }

  private static Criterion stability(Brief brief, Exercise x) {
    boolean noPad = x.needs().stream().anyMatch(item -> brief.place().measured(item, "thighPad").orElse(1) == 0);
    if (noPad) {
      return new Criterion("stability", "stability", 0.6, Math.min(WITHOUT_PAD, x.stability()), "No pad holds the thigh here: pull yourself down by the handles.");
    }
    OptionalDouble seat = measured(brief, x, "thighMost");
    double thigh = brief.body().thighM();
    if (seat.orElse(thigh) < thigh) {
      return new Criterion("stability", "stability", 0.6, Math.min(OUT_OF_LINE, x.stability()), String.format(Locale.ROOT, "This seat takes thighs to %.0f cm, this client's is %.0f: the knee stands in front of the pivot.", 100 * seat.getAsDouble(), 100 * thigh));
    }
    OptionalDouble roller = measured(brief, x, "rollerMost");
    double ankle = ROLLER_ON_SHANK * brief.body().shankM();
    if (roller.orElse(ankle) < ankle) {
      return new Criterion("stability", "stability", 0.6, Math.min(OUT_OF_LINE, x.stability()), String.format(Locale.ROOT, "The roller reaches %.0f cm from the pivot, this client's ankle is at %.0f: it presses on the shin.", 100 * roller.getAsDouble(), 100 * ankle));
    }
    return new Criterion("stability", "stability", 0.6, x.stability(), x.stability() >= 0.9 ? "Pads and rails hold the body." : x.stability() >= 0.7 ? "A track or pad helps." : "Free: some of the effort goes into balance.");
  }

  private static OptionalDouble measured(Brief brief, Exercise x, String detail) {
    return x.needs().stream().map(item -> brief.place().measured(item, detail)).filter(OptionalDouble::isPresent).findFirst().orElse(OptionalDouble.empty());
  }

  private static Criterion progression(Brief brief, Exercise x, Evaluation.Computed e) {
    double relative = brief.place().smallestStepKg(x.needs()) / Math.max(1, e.analysis().workingKg());
    return new Criterion("progression", "small steps in load", 0.3, Math.max(0, Math.min(1, (0.10 - relative) / 0.09)), String.format(Locale.ROOT, "The smallest step is about %.0f %% of a working load.", Math.max(1, 100 * relative)));
  }

  /** A beginner learns first; who has trained for years needs it little. */
  private static Criterion learning(Brief brief, Exercise x) {
    Optional<TrainingAge> age = brief.profile().trainingAge();
    double weight = age.map(a -> a == TrainingAge.WEEKS ? 0.6 : a == TrainingAge.YEARS ? 0.1 : 0.3).orElse(0.3);
    return new Criterion("learning", "ease of learning", weight, x.easeOfLearning(), x.easeOfLearning() >= 0.8 ? "Learnt in one session." : "Takes practice.");
  }

  /** What the client enjoys is done longer; counts only where somebody has said something. */
  private static Optional<Criterion> liked(Brief brief, Exercise x) {
    if (brief.profile().likes().isEmpty() && brief.profile().dislikes().isEmpty()) {
      return Optional.empty();
    }
    boolean likes = brief.profile().likes().contains(x.id());
    boolean dislikes = brief.profile().dislikes().contains(x.id());
    return Optional.of(new Criterion("liked", "liked by this client", 0.5, likes ? 1 : dislikes ? 0 : 0.5, likes ? "This client likes it." : dislikes ? "This client does not like it." : "Neither liked nor disliked."));
  }
}
