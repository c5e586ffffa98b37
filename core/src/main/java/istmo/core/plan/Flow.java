package istmo.core.plan;

import istmo.core.body.Measurement.Side;
import istmo.core.equipment.Loading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * A session as it is walked through on the floor, one step after the other: lighter sets, sets in
 * turn, each side, drops.
 *
 * @param steps in order
 */
public record Flow(List<Step> steps) {
  public Flow {
    steps = List.copyOf(steps);
  }

  /** What a step is. */
  public enum Kind {
    WARM_UP,
    WORK,
    DROP
  }

  /** One exercise of the session with its loads; {@code id} as the session has it. */
  public record Exercise(String id, Offer offer, Prescription prescription, WorkingLoad load) {}

  /**
   * One set, or one side of it.
   *
   * @param key sorts the steps of a session, those of an exercise that takes another's place too
   * @param number of the set among those of its kind and side, from 1
   * @param side NONE where both legs work
   * @param asBefore as many repetitions as the step before had: the weaker side's count is the
   *     other side's limit
   * @param putOn plates to put on each side since the step before
   * @param waitS least time since the step before, s
   * @param ownRestS least time since this exercise's own last set, s
   */
  public record Step(
      String key,
      String exerciseId,
      Kind kind,
      int number,
      Side side,
      int repetitionsLow,
      int repetitionsHigh,
      boolean asBefore,
      Optional<Loading> load,
      List<Double> putOn,
      double waitS,
      double ownRestS,
      Optional<SetNote> note) {}

  /**
   * The steps of a session, in the order in which they are done.
   *
   * @param bouts exercises in turn, each bout one or several
   * @param weaker the side that goes first in one-leg work; NONE where no side is known to be
   *     weaker
   */
  public static Flow of(List<List<Exercise>> bouts, Side weaker) {
    List<Step> steps = new ArrayList<>();
    for (int b = 0; b < bouts.size(); b++) {
      List<Exercise> bout = bouts.get(b);
      for (int k = 0; k < bout.size(); k++) {
        Exercise exercise = bout.get(k);
        if (k > 0 && bout.get(k - 1).offer().exerciseId().equals(exercise.offer().exerciseId())) {
          continue; // another set-up of the same exercise: it is warm
        }
        List<WorkingLoad.WarmUp> warmUps = exercise.load().warmUps();
        Optional<Loading> before = Optional.empty();
        for (int w = 0; w < warmUps.size(); w++) {
          WorkingLoad.WarmUp warmUp = warmUps.get(w);
          List<Double> on = before.map(warmUp.load()::addedTo).orElse(warmUp.load().perSide());
          steps.add(
              new Step(
                  key(b, 0, k, w, 0),
                  exercise.id(),
                  Kind.WARM_UP,
                  w + 1,
                  Side.NONE,
                  warmUp.repetitions(),
                  warmUp.repetitions(),
                  false,
                  Optional.of(warmUp.load()),
                  on,
                  0,
                  0,
                  w == 0 ? Optional.of(new SetNote.FirstLightSet()) : Optional.empty()));
          before = Optional.of(warmUp.load());
        }
      }
      rounds(steps, b, bout, weaker);
    }
    return new Flow(steps);
  }

  private static void rounds(List<Step> steps, int bAt, List<Exercise> bout, Side weaker) {
    int rounds = bout.stream().mapToInt(exercise -> exercise.prescription().sets()).max().orElse(0);
    for (int set = 0; set < rounds; set++) {
      Exercise before = null;
      for (int k = 0; k < bout.size(); k++) {
        Exercise exercise = bout.get(k);
        if (set >= exercise.prescription().sets()) {
          continue;
        }
        int at = set;
        int position = k;
        double wait =
            before != null
                ? Timing.turnS(before.offer(), exercise.offer())
                : set > 0 && bout.size() > 1 ? Timing.LEAST_WAIT_S : 0;
        set(steps, part -> key(bAt, 1, at, position, part), exercise, set, weaker, wait);
        before = exercise;
      }
    }
  }

  private static void set(
      List<Step> steps,
      IntFunction<String> key,
      Exercise exercise,
      int set,
      Side weaker,
      double waitS) {
    boolean oneLeg = exercise.offer().oneLeg();
    Side first = weaker == Side.NONE ? Side.LEFT : weaker;
    List<Side> sides =
        oneLeg ? List.of(first, first == Side.LEFT ? Side.RIGHT : Side.LEFT) : List.of(Side.NONE);
    List<WorkingLoad.SetLine> lines = linesOf(exercise, set);
    int part = 0;
    for (int k = 0; k < sides.size(); k++) {
      WorkingLoad.SetLine line = lines.get(0);
      Optional<Loading> warm =
          set == 0 && !exercise.load().warmUps().isEmpty()
              ? Optional.of(
                  exercise.load().warmUps().get(exercise.load().warmUps().size() - 1).load())
              : Optional.empty();
      List<Double> putOn =
          k > 0
              ? List.of()
              : warm.isPresent() && line.load().isPresent()
                  ? line.load().get().addedTo(warm.get())
                  : line.putOn();
      Optional<SetNote> note =
          k == 0 && oneLeg && set == 0 && weaker != Side.NONE
              ? Optional.of(new SetNote.WeakerSideFirst())
              : Optional.of(line.note());
      steps.add(
          new Step(
              key.apply(part++),
              exercise.id(),
              Kind.WORK,
              set + 1,
              sides.get(k),
              line.repetitionsLow(),
              line.repetitionsHigh(),
              k > 0,
              line.load(),
              putOn,
              k > 0 ? exercise.prescription().sideRestS() : waitS,
              k > 0 || set == 0 ? 0 : exercise.prescription().restS(),
              note));
      for (WorkingLoad.SetLine drop : lines.subList(1, lines.size())) {
        steps.add(
            new Step(
                key.apply(part++),
                exercise.id(),
                Kind.DROP,
                drop.drop(),
                sides.get(k),
                drop.repetitionsLow(),
                drop.repetitionsHigh(),
                false,
                drop.load(),
                List.of(),
                Scheme.DROP_CHANGE_S,
                0,
                Optional.of(drop.note())));
      }
    }
  }

  /** A set and the drops that follow it. */
  private static List<WorkingLoad.SetLine> linesOf(Exercise exercise, int set) {
    List<WorkingLoad.SetLine> all = exercise.load().sets();
    int at = -1;
    for (int seen = 0; seen <= set; seen++) {
      do {
        at++;
      } while (all.get(at).drop() > 0);
    }
    int end = at + 1;
    while (end < all.size() && all.get(end).drop() > 0) {
      end++;
    }
    return all.subList(at, end);
  }

  private static String key(int bout, int phase, int a, int b, int part) {
    return twoDigits(bout)
        + "."
        + phase
        + "."
        + twoDigits(a)
        + "."
        + twoDigits(b)
        + "."
        + twoDigits(part);
  }

  private static String twoDigits(int number) {
    return number < 10 ? "0" + number : String.valueOf(number);
  }
}
