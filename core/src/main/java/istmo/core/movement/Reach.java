package istmo.core.movement;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.quantity.Fact;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A set-up as far as this body can take it.
 *
 * @param setup the wished set-up, or the nearest that this body takes
 * @param changes what was changed and why; empty when the wished set-up is reached
 */
public record Reach(Setup setup, List<Fact> changes) {
  /** A parameter is not where it was wished, for what stands in the way. */
  public record Moved(SetupParameter parameter, double wished, double reached, Obstacle why)
      implements Fact {}

  /** The same in another set-up, with one more change. */
  public Reach with(Setup other, Fact change) {
    List<Fact> all = new ArrayList<>(changes);
    all.add(change);
    return new Reach(other, all);
  }

  /**
   * Pelvis tuck beyond which depth is taken back, rad: a stop sign of the trade, with a little
   * tolerance.
   */
  private static final double MOST_TUCK = Math.toRadians(10);

  /**
   * The same where the repetition begins at the bottom, from a floor or with a foot on a box: some
   * flexion of the back is then the rule; it is noted.
   */
  private static final double MOST_TUCK_FROM_BELOW = Math.toRadians(20);

  /** How far the pelvis may tuck in a family before that is a stop sign, rad. */
  public static double mostTuckRad(Family family) {
    return family.depth().isPresent() && !family.beginsLow() ? MOST_TUCK : MOST_TUCK_FROM_BELOW;
  }

  /** A light load, with which one-leg work is tried too: a heavy one steadies it, kg. */
  private static final double LIGHT_KG = 0;

  /** A load at which the postures of a set-up are shown that is not possible as a whole, kg. */
  private static final double SHOWN_KG = 60;

  private static final int POINTS = 21;
  private static final Set<Obstacle.Limit> YIELDS_TO =
      EnumSet.of(Obstacle.Limit.ANKLE, Obstacle.Limit.PLATE, Obstacle.Limit.LEAN);
  private static final double YIELD_STEP = 0.25;

  public Reach {
    changes = List.copyOf(changes);
  }

  /**
   * The nearest set-up to the wished one without an impossible posture or a tucking pelvis: a
   * parameter that may yield goes up until the heels stay down and the feet are on the plate. Where
   * that is not enough, depth is taken back too, as little as possible. Empty when even the least
   * depth is impossible.
   */
  public static Optional<Reach> of(
      Body body, Family family, Setup wished, Optional<SetupParameter> yields) {
    Optional<Impossible> first = obstacle(body, family, wished);
    if (first.isEmpty()) {
      return Optional.of(new Reach(wished, List.of()));
    }
    boolean gives = yields.isPresent() && YIELDS_TO.contains(first.get().limit());
    Setup raised = gives ? raised(body, family, wished, yields.get()) : wished;
    if (obstacle(body, family, raised).isEmpty()) {
      return Optional.of(
          new Reach(raised, List.of(told(yields.orElseThrow(), wished, raised, first))));
    }
    if (family.depth().isEmpty()) {
      return Optional.empty();
    }
    return shallower(body, family, wished, gives ? yields : Optional.empty())
        .map(reached -> new Reach(reached, told(family, yields, wished, reached, first)));
  }

  /** The postures of a repetition that are possible, top first, where the whole one is not. */
  public static List<Posture> possible(Body body, Family family, Setup setup) {
    List<Posture> possible = new ArrayList<>();
    for (int k = 0; k < POINTS; k++) {
      if (family.posture(body, setup, k / (POINTS - 1.0), SHOWN_KG) instanceof Posture posture) {
        possible.add(posture);
      }
    }
    return possible;
  }

  private static List<Fact> told(
      Family family,
      Optional<SetupParameter> yields,
      Setup wished,
      Setup reached,
      Optional<Impossible> why) {
    List<Fact> changes = new ArrayList<>();
    yields
        .filter(parameter -> reached.get(parameter) != wished.get(parameter))
        .ifPresent(parameter -> changes.add(told(parameter, wished, reached, why)));
    changes.add(told(family.depth().orElseThrow(), wished, reached, why));
    return changes;
  }

  /** What yields goes up until the heels stay down and the feet are on the plate, or to its end. */
  private static Setup raised(Body body, Family family, Setup wished, SetupParameter yields) {
    Setup setup = wished;
    Optional<Impossible> obstacle = obstacle(body, family, setup);
    while (obstacle.isPresent()
        && YIELDS_TO.contains(obstacle.get().limit())
        && setup.get(yields) + YIELD_STEP * yields.step() <= yields.allowed().max()) {
      setup = setup.with(yields, setup.get(yields) + YIELD_STEP * yields.step());
      obstacle = obstacle(body, family, setup);
    }
    return setup;
  }

  /**
   * The same set-up as deep as it goes, at each depth with the least rise of what yields; empty
   * when even the least depth is impossible.
   */
  private static Optional<Setup> shallower(
      Body body, Family family, Setup setup, Optional<SetupParameter> yields) {
    SetupParameter depth = family.depth().orElseThrow();
    for (double low = setup.get(depth) - 2 * depth.step();
        low >= depth.allowed().min();
        low -= 2 * depth.step()) {
      Setup reached = given(body, family, family.atDepth(setup, low), yields);
      if (obstacle(body, family, reached).isEmpty()) {
        return Optional.of(deepest(body, family, reached, yields, low + 2 * depth.step()));
      }
    }
    return Optional.empty();
  }

  private static Setup given(
      Body body, Family family, Setup setup, Optional<SetupParameter> yields) {
    return yields.map(parameter -> raised(body, family, setup, parameter)).orElse(setup);
  }

  /**
   * A set-up that is reached as deep as it goes, with no more rise than that asks for: whole
   * degrees or centimetres below {@code tooDeep}.
   */
  private static Setup deepest(
      Body body, Family family, Setup reached, Optional<SetupParameter> yields, double tooDeep) {
    SetupParameter depth = family.depth().orElseThrow();
    double grain = depth.allowed().unit().equals("m") ? 0.01 : 1;
    Setup best = reached;
    double low = reached.get(depth);
    double high = tooDeep;
    while (high - low > 0.5 * grain) {
      double middle = 0.5 * (low + high);
      Setup deeper = given(body, family, family.atDepth(best, middle), yields);
      if (obstacle(body, family, deeper).isEmpty()) {
        best = deeper;
        low = middle;
      } else {
        high = middle;
      }
    }
    double whole = Math.floor(low / grain + 1e-9) * grain;
    return family.atDepth(best, Math.max(whole, depth.allowed().min()));
  }

  private static Moved told(
      SetupParameter parameter, Setup wished, Setup reached, Optional<Impossible> why) {
    return new Moved(
        parameter, wished.get(parameter), reached.get(parameter), why.orElseThrow().obstacle());
  }

  /**
   * What stands in the way of the set-up on this body; empty when nothing does. Where balance goes
   * at one load only, it does not stand in the way: that load is too much or too little.
   */
  public static Optional<Impossible> obstacle(Body body, Family family, Setup setup) {
    Optional<Impossible> heavy = obstacle(body, family, setup, family.triedWithKg(setup));
    boolean tooHeavy = heavy.isPresent() && heavy.get().limit() == Obstacle.Limit.BALANCE;
    boolean lighterTells = heavy.isEmpty() && family.legs(setup) == 1;
    if (!family.balances() || (!tooHeavy && !lighterTells)) {
      return heavy;
    }
    Optional<Impossible> light = obstacle(body, family, setup, LIGHT_KG);
    return heavy.isEmpty() && light.isPresent() && light.get().limit() == Obstacle.Limit.BALANCE
        ? heavy
        : light;
  }

  /**
   * The first obstacle on the way up from the bottom. Of an ankle that bends too little it is the
   * place where it would have to bend most, which need not be the bottom.
   */
  private static Optional<Impossible> obstacle(
      Body body, Family family, Setup setup, double loadKg) {
    Optional<Impossible> worst = Optional.empty();
    for (int k = POINTS - 1; k >= 0; k--) {
      Optional<Impossible> here =
          obstacle(body, family, setup, family.posture(body, setup, k / (POINTS - 1.0), loadKg));
      if (here.isPresent() && !(here.get().obstacle() instanceof Obstacle.AnkleBendsLess)) {
        return worst.or(() -> here);
      }
      if (here.isPresent() && (worst.isEmpty() || ankleRad(here) > ankleRad(worst))) {
        worst = here;
      }
    }
    return worst;
  }

  private static double ankleRad(Optional<Impossible> why) {
    return ((Obstacle.AnkleBendsLess) why.orElseThrow().obstacle()).neededRad();
  }

  private static Optional<Impossible> obstacle(
      Body body, Family family, Setup setup, PostureResult result) {
    if (result instanceof Impossible impossible) {
      return Optional.of(impossible);
    }
    Posture posture = (Posture) result;
    double opens = posture.angle(Coordinate.HIP_ABDUCTION);
    if (opens > body.hipOpeningLimitRad() + 1e-9) {
      return Optional.of(
          new Impossible(new Obstacle.HipOpensLess(opens, body.hipOpeningLimitRad())));
    }
    if (posture.trunkLeanRad() > family.mostLeanRad(setup)) {
      return Optional.of(new Impossible(new Obstacle.LeansTooFar(family.mostLeanRad(setup))));
    }
    double mostTuck = mostTuckRad(family);
    double tuck = posture.angle(Coordinate.LUMBAR_FLEXION);
    return tuck > mostTuck
        ? Optional.of(new Impossible(new Obstacle.PelvisTucks(mostTuck, tuck)))
        : Optional.empty();
  }
}
