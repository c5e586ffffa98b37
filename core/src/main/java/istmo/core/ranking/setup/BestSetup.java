package istmo.core.ranking.setup;

import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.NotPossible;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The set-up of one exercise that serves the aim best on this body and machine, and what one
 * natural step of each control does.
 *
 * <p>Searched is what a lifter can set or choose to do and that is turned or moved by degrees:
 * set-up and technique, not the machine, not what is measured here, and not choices such as which
 * leg (those are other exercises). Coordinate steps of twice and once the natural step from several
 * starts (the set-up given, and those of the other candidates of the exercise), on a grid that a
 * coach can set; then every control whose move gains next to nothing goes back to where it was. The
 * range of the joint that turns most must stay nine tenths of what it was. A local search: it has
 * no bound, and it says how many set-ups it tried.
 */
public final class BestSetup {
  /** Set-ups tried at most. */
  static final int MOST_TRIED = 240;

  /** A change of the fit below this share is none: it is not worth a coach's move. */
  private static final double NOTHING = 0.02;

  private final Brief brief;
  private final Exercise exercise;

  /** Everything that a lifter sets, does or that is assumed of it, by degrees. */
  private final List<SetupParameter> controls;

  /** What of it is searched. */
  private final List<SetupParameter> movable;

  private final TriedSetups setups;

  /**
   * @param brief whose body is the one as far as cautions let it go
   */
  private BestSetup(Brief brief, Candidate candidate) {
    if (brief.aim().isEmpty()) {
      throw new InvalidInput("aim", "paint at least one region that should grow");
    }
    this.brief = brief;
    this.setups = new TriedSetups(brief, candidate);
    this.exercise = candidate.exercise();
    Map<String, Double> measured = brief.equipment().measuredOf(candidate.needs());
    this.controls =
        exercise.family().parameters().stream()
            .filter(
                setupParameter ->
                    setupParameter.kind() != SetupParameter.Kind.MACHINE
                        && setupParameter.choices().isEmpty()
                        && !measured.containsKey(setupParameter.id()))
            .toList();
    this.movable = controls.stream().filter(SetupParameter::searched).toList();
  }

  /** What one natural step of a control does, each way. */
  public record Step(SetupParameter parameter, Move more, Move less) {}

  /**
   * One control moved.
   *
   * @param value where it is then, in its own unit
   * @param fit of the aim there; {@link Double#NaN} where it cannot go
   * @param obstacle why it cannot go there; empty when it can
   * @param byRegion stimulus there, empty where it cannot go
   */
  public record Move(
      double value, double fit, Optional<Fact> obstacle, Optional<RegionValues> byRegion) {}

  /** A control that the search moved. */
  public record Moved(SetupParameter parameter, double from, double to) {}

  /**
   * The best set-up that was found.
   *
   * @param from where the search began, and what it gives
   * @param to the best found
   * @param gain of the fit, as a share of what it began with
   * @param toldApart whether the gain is beyond the model's error between two set-ups of one
   *     exercise
   * @param moved controls that were moved
   * @param flat controls of which one step either way from the best changes next to nothing
   * @param bounded why the best does not go further, control by control
   * @param elsewhere what changes beyond the noise in regions that are not aimed at, from the
   *     beginning to the best
   * @param tried set-ups computed
   */
  public record Best(
      Setup from,
      Setup to,
      double fitFrom,
      double fitTo,
      double gain,
      boolean toldApart,
      List<Moved> moved,
      List<SetupParameter> flat,
      List<SetupFact.NoFurther> bounded,
      List<Difference.RegionChange> elsewhere,
      int tried) {}

  /**
   * One natural step of each control from a set-up, assumptions too, in the order of the family's
   * parameters; what the set-up itself gives is beside it.
   */
  public record Steps(Setup at, double fit, RegionValues byRegion, List<Step> steps) {
    /** What a move gains of the fit, as a share; 0 where it is too little to count. */
    public double gain(Move move) {
      return idle(fit, move) ? 0 : move.fit() / Math.max(1e-9, fit) - 1;
    }
  }

  /** Throws {@link NotPossible} where the set-up itself cannot be taken. */
  public static Steps steps(Brief brief, Candidate candidate, Setup at) {
    BestSetup search = new BestSetup(brief, candidate);
    TriedSetups.Tried here = search.require(at);
    return new Steps(
        at,
        here.fit(),
        here.computed().orElseThrow().stimulus(),
        search.stepsFrom(at, search.controls));
  }

  /**
   * The best set-up found from one that can be taken; throws {@link NotPossible} where it cannot.
   */
  public static Best find(Brief brief, Candidate candidate, Setup from) {
    return new BestSetup(brief, candidate).search(from);
  }

  private TriedSetups.Tried require(Setup at) {
    TriedSetups.Tried tried = setups.tryAll(List.of(at)).get(0);
    if (tried.computed().isEmpty()) {
      throw new NotPossible("setup", new SetupFact.CannotBeTaken(tried.obstacle().orElseThrow()));
    }
    return tried;
  }

  private Best search(Setup from) {
    TriedSetups.Tried beginning = require(from);
    setups.keepRangeOf(beginning.computed().orElseThrow().analysis());
    List<Setup> starts = new ArrayList<>(List.of(from));
    for (Candidate other : Catalogue.standard().candidatesOf(exercise)) {
      Setup start = from;
      for (SetupParameter parameter : movable) {
        start = start.with(parameter, other.usual().get(parameter));
      }
      starts.add(start);
    }
    setups.tryAll(starts);
    Setup best = from;
    for (Setup start : starts) {
      best = better(climb(start), best);
    }
    best = withoutIdleMoves(from, best);
    Setup found = best;
    TriedSetups.Tried end = setups.at(found);
    List<Moved> moved = movedFrom(from, found);
    List<Step> around = stepsFrom(found, movable);
    Evaluation.Computed computed = beginning.computed().orElseThrow();
    Evaluation.Computed after = end.computed().orElseThrow();
    double gain = end.fit() / Math.max(1e-9, beginning.fit()) - 1;
    boolean told =
        end.fit() - beginning.fit()
            > Math.max(
                Difference.SMALLEST, Difference.TELLABLE * Math.max(beginning.fit(), end.fit()));
    List<Difference.RegionChange> elsewhere =
        Difference.between(
                "before",
                computed.analysis(),
                computed.stimulus(),
                "best",
                after.analysis(),
                after.stimulus())
            .elsewhere(brief.aim().weights().keySet());
    return new Best(
        from,
        found,
        beginning.fit(),
        end.fit(),
        gain,
        told,
        moved,
        around.stream()
            .filter(step -> idle(end.fit(), step.more()) && idle(end.fit(), step.less()))
            .map(Step::parameter)
            .toList(),
        bounded(found, moved, around),
        elsewhere,
        setups.size());
  }

  private List<Moved> movedFrom(Setup from, Setup to) {
    return movable.stream()
        .filter(parameter -> from.get(parameter) != to.get(parameter))
        .map(parameter -> new Moved(parameter, from.get(parameter), to.get(parameter)))
        .toList();
  }

  /** What keeps a control that was moved from going on that way. */
  private static List<SetupFact.NoFurther> bounded(
      Setup found, List<Moved> moved, List<Step> around) {
    List<SetupFact.NoFurther> bounded = new ArrayList<>();
    for (Step step : around) {
      for (Move move : List.of(step.more(), step.less())) {
        boolean goesOn =
            moved.stream()
                .anyMatch(
                    way ->
                        way.parameter().equals(step.parameter())
                            && Math.signum(way.to() - way.from())
                                == Math.signum(move.value() - found.get(step.parameter())));
        if (goesOn && move.obstacle().isPresent()) {
          bounded.add(new SetupFact.NoFurther(step.parameter().label(), move.obstacle().get()));
        }
      }
    }
    return List.copyOf(bounded);
  }

  private static boolean idle(double fit, Move move) {
    return move.obstacle().isEmpty() && Math.abs(move.fit() - fit) <= NOTHING * Math.abs(fit);
  }

  /** Best neighbour after best neighbour, with twice the natural steps and then once. */
  private Setup climb(Setup start) {
    Setup here = start;
    for (int size : new int[] {2, 1}) {
      while (setups.size() < MOST_TRIED) {
        Setup next = here;
        List<Setup> around = new ArrayList<>();
        for (SetupParameter parameter : movable) {
          moved(here, parameter, size).ifPresent(around::add);
          moved(here, parameter, -size).ifPresent(around::add);
        }
        setups.tryAll(around);
        for (Setup setup : around) {
          next = better(setup, next);
        }
        if (next == here) {
          break;
        }
        here = next;
      }
    }
    return here;
  }

  private Setup better(Setup setup, Setup otherSetup) {
    return setups.at(setup).fit()
            > setups.at(otherSetup).fit() + NOTHING / 4 * Math.abs(setups.at(otherSetup).fit())
        ? setup
        : otherSetup;
  }

  /** Puts back, one after the other, every control whose move gains next to nothing. */
  private Setup withoutIdleMoves(Setup from, Setup best) {
    Setup here = best;
    for (SetupParameter parameter : movable) {
      if (here.get(parameter) != from.get(parameter)) {
        Setup back = here.with(parameter, from.get(parameter));
        setups.tryAll(List.of(back));
        if (setups.at(back).fit()
            > setups.at(here).fit() - NOTHING * Math.abs(setups.at(best).fit())) {
          here = back;
        }
      }
    }
    return here;
  }

  private List<Step> stepsFrom(Setup at, List<SetupParameter> which) {
    List<Setup> around = new ArrayList<>();
    which.forEach(
        parameter -> {
          moved(at, parameter, 1).ifPresent(around::add);
          moved(at, parameter, -1).ifPresent(around::add);
        });
    setups.tryAll(around);
    return which.stream()
        .map(parameter -> new Step(parameter, move(at, parameter, 1), move(at, parameter, -1)))
        .toList();
  }

  private Move move(Setup at, SetupParameter parameter, int steps) {
    Optional<Setup> to = moved(at, parameter, steps);
    if (to.isEmpty()) {
      return new Move(
          at.get(parameter), Double.NaN, Optional.of(new SetupFact.EndOfRange()), Optional.empty());
    }
    TriedSetups.Tried tried = setups.at(to.get());
    return new Move(
        to.get().get(parameter),
        tried.computed().isPresent() ? tried.fit() : Double.NaN,
        tried.obstacle(),
        tried.computed().map(Evaluation.Computed::stimulus));
  }

  private static Optional<Setup> moved(Setup at, SetupParameter parameter, int steps) {
    double to = Math.round((at.get(parameter) + steps * parameter.step()) * 1e6) / 1e6;
    return parameter.allowed().contains(to)
        ? Optional.of(at.with(parameter, to))
        : Optional.empty();
  }
}
