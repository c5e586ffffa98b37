package istmo.core.words;

import istmo.core.body.BodyEstimate;
import istmo.core.body.CautionFact;
import istmo.core.body.RangeCourse;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.TapelessStart;
import istmo.core.evidence.Verdict;
import istmo.core.measuring.ResistanceFit;
import istmo.core.mechanics.AnalysisFact;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Reach;
import istmo.core.picture.Film;
import istmo.core.picture.FrontPicture;
import istmo.core.picture.PictureReading;
import istmo.core.picture.TechniqueFit;
import istmo.core.plan.Arrangement;
import istmo.core.plan.Block;
import istmo.core.plan.Coverage;
import istmo.core.plan.Drops;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Remarks;
import istmo.core.plan.SetNote;
import istmo.core.plan.Shortfall;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.Fact;
import istmo.core.ranking.criterion.CriterionFact;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.ranking.explanation.ComparisonFact;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.order.MachineMeasuringValue;
import istmo.core.ranking.order.MeasuringValue;
import istmo.core.ranking.order.OrderFact;
import istmo.core.ranking.setup.DifferenceFact;
import istmo.core.ranking.setup.SetupFact;
import istmo.core.record.Experience;
import istmo.core.record.Lesson;
import istmo.core.record.Practice;
import istmo.core.record.Progression;
import istmo.core.record.SideGap;
import istmo.core.training.Calibration;
import istmo.core.training.LoadEstimate;
import istmo.core.training.RackHeights;
import istmo.core.watching.WatchedSet;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Says any fact: by its kind, in the words of the part that it comes from. */
public final class Words {
  private static final Map<Class<? extends Fact>, Function<Fact, String>> BY_KIND =
      new LinkedHashMap<>();

  static {
    say(Fact.Written.class, Fact.Written::sentence);
    say(Obstacle.class, MovementWords::reason);
    say(Offers.LeftOut.class, SessionWords::of);
    say(Offers.NotKnown.class, SessionWords::of);
    say(Reach.Moved.class, MovementWords::of);
    say(AnalysisFact.class, MovementWords::of);
    say(RackHeights.class, SessionWords::of);
    say(CautionFact.class, BodyWords::of);
    say(RangeCourse.Changed.class, BodyWords::of);
    say(RangeCourse.SidesDiffer.class, BodyWords::of);
    say(BodyEstimate.BeyondModel.class, BodyWords::of);
    say(Candidate.SeenOtherwise.class, BodyWords::of);
    say(TapelessStart.FeetFound.class, BodyWords::of);
    say(ByWord.NotComputed.class, BodyWords::of);
    say(ByWord.ComputedNow.class, BodyWords::of);
    say(ResistanceFit.Note.class, BodyWords::of);
    say(CriterionFact.class, RankingWords::of);
    say(UsualSet.ForMoreRepetitions.class, RankingWords::of);
    say(UsualSet.NothingHeavier.class, RankingWords::of);
    say(UsualSet.WithStraps.class, RankingWords::of);
    say(Evaluation.NotBelievable.class, RankingWords::of);
    say(Reason.class, RankingWords::of);
    say(ComparisonFact.class, OrderWords::of);
    say(OrderFact.class, OrderWords::of);
    say(MeasuringValue.class, OrderWords::of);
    say(MachineMeasuringValue.class, OrderWords::of);
    say(DifferenceFact.class, OrderWords::of);
    say(SetupFact.class, OrderWords::of);
    say(Lesson.Found.class, RecordWords::of);
    say(Lesson.Change.class, RecordWords::of);
    say(Progression.Why.class, RecordWords::of);
    say(Experience.HurtTooOften.class, RecordWords::of);
    say(Experience.Reports.class, reports -> String.join(" ", RecordWords.of(reports)));
    say(SideGap.First.class, RecordWords::of);
    say(Practice.class, RecordWords::of);
    say(Calibration.class, SessionWords::of);
    say(LoadEstimate.Basis.class, SessionWords::of);
    say(WorkingLoad.Basis.class, SessionWords::of);
    say(SetNote.class, SessionWords::of);
    say(Drops.class, SessionWords::of);
    say(Remarks.Remark.class, SessionWords::of);
    say(Pairing.Trouble.class, SessionWords::of);
    say(Arrangement.Place.class, SessionWords::of);
    say(Arrangement.Before.class, SessionWords::of);
    say(Block.Step.class, SessionWords::of);
    say(Block.AfterPause.class, SessionWords::of);
    say(Coverage.Finding.class, PlanWords::of);
    say(Shortfall.Obstacle.class, PlanWords::of);
    say(Verdict.class, EvidenceWords::of);
    say(WatchedSet.Deviation.class, PictureWords::of);
    say(Film.Finding.class, PictureWords::of);
    say(Film.Lost.class, PictureWords::of);
    say(FrontPicture.Finding.class, PictureWords::of);
    say(PictureReading.Why.class, PictureWords::reason);
    say(PictureReading.Surer.class, PictureWords::of);
    say(TechniqueFit.Remark.class, PictureWords::of);
  }

  private Words() {}

  private static <F extends Fact> void say(Class<F> kind, Function<F, String> how) {
    BY_KIND.put(kind, fact -> how.apply(kind.cast(fact)));
  }

  /** Whether facts of a class are said. */
  static boolean says(Class<?> fact) {
    return BY_KIND.keySet().stream().anyMatch(kind -> kind.isAssignableFrom(fact));
  }

  /** A sentence, or a part of one, about a fact. */
  public static String of(Fact fact) {
    return BY_KIND.entrySet().stream()
        .filter(entry -> entry.getKey().isInstance(fact))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("nobody says " + fact.getClass()))
        .getValue()
        .apply(fact);
  }

  /** The same of each of some facts. */
  public static List<String> of(Collection<? extends Fact> facts) {
    return facts.stream().map(Words::of).toList();
  }

  /** The same where it begins a line: with a capital. */
  public static String begun(Fact fact) {
    return Say.capital(of(fact));
  }
}
