package istmo.core.record;

import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.quantity.Fact;
import istmo.core.training.OneRepetition;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What comes after the last time: repetitions first, then the smallest step that this equipment has
 * (common practice; the bounds are judgement).
 */
public final class Progression {
  /** Days after which a load is not taken up as it was. */
  static final int PAUSE_DAYS = 21;

  static final int LONG_PAUSE_DAYS = 56;
  private static final double AFTER_PAUSE = 0.9;
  private static final double AFTER_LONG_PAUSE = 0.6;

  /** As felt, a reserve is right within half a repetition at best. */
  private static final double RESERVE_TOLERANCE = 0.5;

  /** How far above the range repetitions go when the next step is too large. */
  private static final int BEYOND = 5;

  private Progression() {}

  /** Why the next time is as it is. */
  public enum Rule {
    BEGIN("no record in this set-up"),
    REPETITIONS("repetitions first"),
    LOAD("the smallest step up"),
    STEP_TOO_LARGE("more repetitions, the next step is too large yet"),
    SAME("the same once more"),
    LESS("a step down"),
    WHOLE_RANGE("the whole range first"),
    TEMPO_FIRST("the tempo first"),
    PAIN("pain decides"),
    AFTER_PAUSE("after a pause"),
    NO_STEP_LEFT("nothing heavier here");

    private final String label;

    Rule(String label) {
      this.label = label;
    }

    /** Name of the kind of advice. */
    public String label() {
      return label;
    }
  }

  /** What is asked: between so many repetitions with so many in reserve. */
  public record Asked(int repetitionsLow, int repetitionsHigh, double reserve) {}

  /**
   * What to do next time, and by which rule.
   *
   * @param load empty where it has to be found, or nothing is loaded
   * @param repetitionsLow and repetitionsHigh: to aim at
   */
  public record Next(
      Rule rule, Optional<Loading> load, int repetitionsLow, int repetitionsHigh, Why why) {}

  /** Why the next time is as it is, with its figures; {@code words.RecordWords} says it. */
  public sealed interface Why extends Fact {}

  /** There is no record to go by. */
  public record NoRecord() implements Why {}

  /** So many days have passed since last time; a share of its load is taken up. */
  public record LongPause(long days, double share) implements Why {}

  /** A joint hurt last time, by so many of 10. */
  public record Hurt(PainFlag joint, int level) implements Why {
    /** Whether that much ends the exercise. */
    public boolean ends() {
      return level >= Pain.STOP;
    }
  }

  /** The range was short in most sets. */
  public record ShortRange() implements Why {}

  /** The tempo was not kept in most sets. */
  public record TempoNotKept() implements Why {}

  /** Fewer repetitions than asked in most sets; {@code again} the second time in a row. */
  public record TooFewRepetitions(int least, boolean again) implements Why {}

  /** Less in reserve than asked. */
  public record TooNearFailure(double reserve) implements Why {}

  /** At least so many repetitions in every set, then up to so many. */
  public record RepetitionsFirst(int least, int most) implements Why {}

  /** Nothing heavier can be made here. */
  public record HeaviestHere() implements Why {}

  /** The next load here is likely good for too few repetitions yet. */
  public record NextTooHeavy(double kg, int repetitions) implements Why {}

  /** All sets reached the most repetitions with the reserve asked: the smallest step up. */
  public record AllReached(int repetitions, double reserve, double kg, int toBegin)
      implements Why {}

  /**
   * What to do next time after a series.
   *
   * @param needs equipment of the exercise
   */
  public static Next next(
      Series series, Asked asked, Set<Equipment> needs, GymEquipment equipment, LocalDate today) {
    return newest(series.outings())
        .map(last -> new LastOuting(series, last, asked, needs, equipment).next(today))
        .orElseGet(
            () ->
                new Next(
                    Rule.BEGIN,
                    Optional.empty(),
                    asked.repetitionsLow(),
                    asked.repetitionsHigh(),
                    new NoRecord()));
  }

  private static Optional<Outing> newest(List<Outing> outings) {
    return outings.stream()
        .filter(outing -> !outing.work().isEmpty())
        .reduce((first, second) -> second);
  }

  private static boolean mostly(List<SetRecord> sets, Predicate<SetRecord> what) {
    return 2 * sets.stream().filter(what).count() > sets.size();
  }

  /** The last outing of a series, judged by one rule after the other. */
  private static final class LastOuting {
    private final Series series;
    private final Outing newest;
    private final Asked asked;
    private final Set<Equipment> needs;
    private final GymEquipment equipment;

    /** Load of the working sets, kg, and what moves besides it. */
    private final double kg;

    private final double empty;

    /** Sets with that load, and the fewest repetitions in one of them. */
    private final List<SetRecord> sets;

    private final int least;

    /** That load as it is made here, and the next one below. */
    private final Loading now;

    private final Optional<Loading> below;

    private LastOuting(
        Series series, Outing newest, Asked asked, Set<Equipment> needs, GymEquipment equipment) {
      this.series = series;
      this.newest = newest;
      this.asked = asked;
      this.needs = needs;
      this.equipment = equipment;
      this.kg = newest.workingKg();
      this.empty = series.emptyKg();
      this.sets =
          newest.work().stream().filter(record -> record.done().loadKg() >= kg - 1e-6).toList();
      this.least =
          sets.stream().mapToInt(record -> record.done().repetitions()).min().orElseThrow();
      this.now = Loading.nearest(kg, needs, equipment);
      this.below = Loading.nextBelow(kg, needs, equipment);
    }

    private Next next(LocalDate today) {
      return afterPause(today)
          .or(this::pain)
          .or(this::technique)
          .or(this::allReached)
          .or(this::tooFewRepetitions)
          .or(this::tooNearFailure)
          .orElseGet(this::repetitionsFirst);
    }

    /** For the repetitions that were asked. */
    private Next asAsked(Rule rule, Optional<Loading> load, Why why) {
      return new Next(rule, load, asked.repetitionsLow(), asked.repetitionsHigh(), why);
    }

    private Optional<Next> afterPause(LocalDate today) {
      long days = ChronoUnit.DAYS.between(newest.on(), today);
      if (days <= PAUSE_DAYS) {
        return Optional.empty();
      }
      double share = days > LONG_PAUSE_DAYS ? AFTER_LONG_PAUSE : AFTER_PAUSE;
      Loading less = Loading.notAbove(Math.max(0, (kg + empty) * share - empty), needs, equipment);
      return Optional.of(asAsked(Rule.AFTER_PAUSE, Optional.of(less), new LongPause(days, share)));
    }

    private Optional<Next> pain() {
      return newest
          .worstPain()
          .filter(pain -> pain.level() >= Pain.CHANGE)
          .map(
              pain ->
                  asAsked(
                      Rule.PAIN,
                      pain.level() >= Pain.STOP ? less() : Optional.of(now),
                      new Hurt(pain.joint(), pain.level())));
    }

    private Optional<Loading> less() {
      return below.or(() -> Optional.of(now));
    }

    /** Range before tempo, and both before load. */
    private Optional<Next> technique() {
      if (mostly(sets, record -> record.range().equals(Optional.of(SetRecord.Range.SHORT)))) {
        return Optional.of(asAsked(Rule.WHOLE_RANGE, less(), new ShortRange()));
      }
      if (mostly(sets, record -> record.tempoKept().equals(Optional.of(false)))) {
        return Optional.of(asAsked(Rule.TEMPO_FIRST, Optional.of(now), new TempoNotKept()));
      }
      return Optional.empty();
    }

    private Optional<Next> allReached() {
      boolean all =
          sets.stream()
              .allMatch(
                  record ->
                      record.done().repetitions() >= asked.repetitionsHigh()
                          && record.done().reserve() >= asked.reserve() - RESERVE_TOLERANCE);
      return all ? Optional.of(atTheTop()) : Optional.empty();
    }

    private Next atTheTop() {
      Optional<Loading> above =
          kg > 0 || now.kind() != Loading.Kind.BODY
              ? Loading.nextAbove(kg, needs, equipment)
              : Optional.empty();
      if (above.isEmpty()) {
        int more = least + 1;
        return new Next(Rule.NO_STEP_LEFT, Optional.of(now), more, more + 2, new HeaviestHere());
      }
      double toFailure = sets.stream().mapToDouble(SetRecord::toFailure).min().orElseThrow();
      double then =
          kg + empty > 0
              ? OneRepetition.repetitions(kg + empty, toFailure, above.get().kg() + empty)
                  - asked.reserve()
              : asked.repetitionsLow();
      boolean beyond = least >= asked.repetitionsHigh() + BEYOND;
      if (then < asked.repetitionsLow() - RESERVE_TOLERANCE && !beyond) {
        return new Next(
            Rule.STEP_TOO_LARGE,
            Optional.of(now),
            least + 1,
            asked.repetitionsHigh() + BEYOND,
            new NextTooHeavy(above.get().kg(), (int) Math.max(0, Math.floor(then))));
      }
      int from =
          (int) Math.max(1, Math.min(asked.repetitionsHigh(), Math.floor(Math.max(then, 1))));
      return new Next(
          Rule.LOAD,
          above,
          Math.min(from, asked.repetitionsLow()),
          asked.repetitionsHigh(),
          new AllReached(asked.repetitionsHigh(), asked.reserve(), above.get().kg(), from));
    }

    /** Once is no reason for less load, twice in a row is. */
    private Optional<Next> tooFewRepetitions() {
      if (!mostly(sets, this::tooFew)) {
        return Optional.empty();
      }
      boolean again =
          below.isPresent()
              && newest(
                      series.outings().stream()
                          .filter(outing -> outing.on().isBefore(newest.on()))
                          .toList())
                  .filter(
                      outing ->
                          outing.workingKg() >= kg - 1e-6 && mostly(outing.work(), this::tooFew))
                  .isPresent();
      return Optional.of(
          asAsked(
              again ? Rule.LESS : Rule.SAME,
              again ? below : Optional.of(now),
              new TooFewRepetitions(asked.repetitionsLow(), again)));
    }

    private boolean tooFew(SetRecord record) {
      return record.done().repetitions() < asked.repetitionsLow();
    }

    private Optional<Next> tooNearFailure() {
      boolean spent =
          mostly(
              sets, record -> record.done().reserve() < asked.reserve() - RESERVE_TOLERANCE - 1e-9);
      return spent
          ? Optional.of(
              new Next(
                  Rule.SAME,
                  Optional.of(now),
                  Math.max(asked.repetitionsLow(), least),
                  asked.repetitionsHigh(),
                  new TooNearFailure(asked.reserve())))
          : Optional.empty();
    }

    private Next repetitionsFirst() {
      int aim = Math.min(asked.repetitionsHigh(), Math.max(asked.repetitionsLow(), least + 1));
      return new Next(
          Rule.REPETITIONS,
          Optional.of(now),
          aim,
          asked.repetitionsHigh(),
          new RepetitionsFirst(aim, asked.repetitionsHigh()));
    }
  }
}
