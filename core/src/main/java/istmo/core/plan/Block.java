package istmo.core.plan;

import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Fact;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A block of weeks made of one week: sets and load rise, the reserve falls, then an easier week and
 * a retest (common practice; the numbers are judgement). Repetitions rise before load does: the
 * load figures are what to expect, not what to force.
 *
 * @param weeks in order
 */
public record Block(List<Step> weeks) {
  public static final Allowed WEEKS = new Allowed(4, 8, "weeks");

  /** From so many weeks on there is an easier week in the middle too. */
  private static final int LONG = 7;

  /** When an easier week is due although none is planned (common practice). */
  public static final List<String> EASIER_WEEK_SIGNS =
      List.of(
          "two sessions in a row with fewer repetitions at the same load in more than one exercise",
          "a joint that complains for a week",
          "sleep or appetite gone for more than a few days");

  /** The load of an easier week beside that of the weeks about it. */
  public static final double EASIER_LOAD = 0.9;

  private static final double EASIER_RESERVE = 2;

  /** The load of the first sessions after a pause, beside what the week asks for. */
  public static final double BACK_AGAIN_LOAD = 0.9;

  /** What a week of the block is for. */
  public enum Kind {
    BUILD("build"),
    EASIER("easier"),
    RETEST("easier, then retest");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Name of the kind of week. */
    public String label() {
      return label;
    }
  }

  /**
   * One week beside the planned one.
   *
   * @param number from 1
   * @param addedSets to each exercise that serves the aim; in an easier week sets are halved
   *     instead
   * @param addedReserve repetitions in reserve more, or fewer, than planned
   * @param load beside that of the first week
   */
  public record Step(int number, Kind kind, int addedSets, double addedReserve, double load)
      implements Fact {}

  public Block {
    weeks = List.copyOf(weeks);
  }

  /** A block of so many weeks for a training age. */
  public static Block of(int weeks, Optional<TrainingAge> age) {
    WEEKS.check("weeks", weeks);
    TrainingAge trainingAge = age.orElse(TrainingAge.MONTHS);
    double rise =
        switch (trainingAge) {
          case WEEKS -> 0.025;
          case MONTHS -> 0.015;
          case YEARS -> 0.0075;
        };
    int middle = weeks >= LONG && trainingAge != TrainingAge.WEEKS ? (weeks + 1) / 2 : -1;
    List<Step> steps = new ArrayList<>();
    int building = 0;
    int toBuild = weeks - 1 - (middle > 0 ? 1 : 0);
    for (int w = 1; w <= weeks; w++) {
      double load = 1 + rise * building;
      if (w == weeks || w == middle) {
        Kind kind = w == weeks ? Kind.RETEST : Kind.EASIER;
        steps.add(new Step(w, kind, 0, EASIER_RESERVE, EASIER_LOAD * load));
        continue;
      }
      double way = toBuild < 2 ? 1 : building / (toBuild - 1.0);
      int added =
          trainingAge == TrainingAge.WEEKS
              ? 0
              : way >= 0.99 && trainingAge == TrainingAge.YEARS && toBuild > 3
                  ? 2
                  : way >= 0.5 ? 1 : 0;
      double reserve = way < 0.25 ? 1 : way < 0.75 ? 0 : -1;
      building++;
      double addedReserve = trainingAge == TrainingAge.WEEKS ? Math.max(0, reserve) : reserve;
      steps.add(new Step(w, Kind.BUILD, added, addedReserve, load));
    }
    return new Block(steps);
  }

  /**
   * The planned week as this step of the block asks for it. {@code serves} says of a candidate
   * whether it serves the aim.
   */
  public static Week applied(
      Week week, Step step, Predicate<CandidateId> serves, Optional<TrainingAge> age) {
    return new Week(
        week.days().stream()
            .map(
                day ->
                    new Day(
                        day.weekday(),
                        day.minutes(),
                        day.oneStation(),
                        day.bouts().stream()
                            .map(
                                bout ->
                                    new Bout(
                                        bout.items().stream()
                                            .map(item -> applied(item, step, serves, age))
                                            .toList()))
                            .toList()))
            .toList());
  }

  private static Item applied(
      Item item, Step step, Predicate<CandidateId> serves, Optional<TrainingAge> age) {
    Prescription prescription = item.prescription();
    boolean easier = step.kind() != Kind.BUILD;
    int most = Math.max(prescription.sets(), Prescriber.mostSets(age, false));
    int sets =
        easier
            ? Math.max(1, (prescription.sets() + 1) / 2)
            : serves.test(item.candidateId())
                ? Math.min(most, prescription.sets() + step.addedSets())
                : prescription.sets();
    double reserve = Prescription.RESERVE.nearest(prescription.reserve() + step.addedReserve());
    Scheme scheme =
        easier && prescription.scheme() != Scheme.PAUSES ? Scheme.STRAIGHT : prescription.scheme();
    return new Item(
        item.id(),
        item.candidateId(),
        prescription
            .in(scheme)
            .with(sets, prescription.repetitionsLow(), prescription.repetitionsHigh(), reserve),
        item.pinned());
  }

  /** How a block goes on after weeks without training. */
  public enum AfterPause implements Fact {
    ONE_WEEK_LATER,
    ONE_WEEK_BACK,
    ANEW
  }

  /** What changes after weeks without training (common practice; a lay-off begins anew). */
  public static AfterPause missed(int weeks) {
    Allowed some = new Allowed(1, 52, "weeks");
    some.check("missed", weeks);
    return weeks == 1
        ? AfterPause.ONE_WEEK_LATER
        : weeks <= 3 ? AfterPause.ONE_WEEK_BACK : AfterPause.ANEW;
  }

  /** The step to go on with after a step was last done and weeks were missed; 1 is the first. */
  public static int goOnWith(int lastDone, int missedWeeks) {
    return missedWeeks == 0
        ? lastDone + 1
        : missedWeeks == 1 ? lastDone + 1 : missedWeeks <= 3 ? Math.max(1, lastDone) : 1;
  }
}
