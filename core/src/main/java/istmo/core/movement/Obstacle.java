package istmo.core.movement;

import istmo.core.quantity.Fact;

/**
 * Why a posture cannot be taken: what stands in the way, with its figures. Lengths in m, angles in
 * rad.
 */
public sealed interface Obstacle extends Fact
    permits Hindrance,
        Obstacle.AnkleBendsLess,
        Obstacle.KneeBendsLess,
        Obstacle.HipOpensLess,
        Obstacle.HipWouldOpen,
        Obstacle.LeansTooFar,
        Obstacle.PelvisTucks,
        Obstacle.MachineStop,
        Obstacle.LeverStop,
        Obstacle.PlateEnds,
        Obstacle.WeightOnFloor,
        Obstacle.HipsOnFloor,
        Obstacle.RearKneeOnFloor,
        Obstacle.RearLegTooShort,
        Obstacle.RearHipOpensLess {
  /** What stands in the way. */
  Limit limit();

  /** Kinds of what stands in the way. */
  enum Limit {
    ANKLE,
    KNEE,
    PELVIS,
    HIP_OPENING,
    /** the trunk leans too far for what it carries */
    LEAN,
    /** the machine's stop */
    STOP,
    /** the foot plate ends */
    PLATE,
    BALANCE,
    GEOMETRY
  }

  /** The heels would lift: the ankle would have to bend further than this client's does. */
  record AnkleBendsLess(double neededRad, double mostRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.ANKLE;
    }
  }

  /** The knee would have to close further than this client's does. */
  record KneeBendsLess(double neededRad, double mostRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.KNEE;
    }
  }

  /** The hip would open further than this client's does. */
  record HipOpensLess(double neededRad, double mostRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.HIP_OPENING;
    }
  }

  /** A machine would open the hip further than this client's opens. */
  record HipWouldOpen(double neededRad, double mostRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.HIP_OPENING;
    }
  }

  /** Deeper, the trunk would lean further than the load bears. */
  record LeansTooFar(double mostRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.LEAN;
    }
  }

  /** Deeper, the pelvis would tuck by more than is let pass; {@code tuckRad} as wished. */
  record PelvisTucks(double mostRad, double tuckRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.PELVIS;
    }
  }

  /** The machine's stop ends the repetition so much earlier. */
  record MachineStop(double shortM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.STOP;
    }
  }

  /** The stop of a lever ends the repetition so much earlier. */
  record LeverStop(double shortRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.STOP;
    }
  }

  /** The foot plate ends above the heels by so much. */
  record PlateEnds(double shortM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.PLATE;
    }
  }

  /** The weight is on the floor so much before the bottom. */
  record WeightOnFloor(double earlyM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.GEOMETRY;
    }
  }

  /** The hips are on the floor: the bench is lower than they need by so much. */
  record HipsOnFloor(double shortM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.STOP;
    }
  }

  /** The rear knee is on the floor: the front foot stands lower than it needs by so much. */
  record RearKneeOnFloor(double shortM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.STOP;
    }
  }

  /** The rear leg does not reach back so far by so much. */
  record RearLegTooShort(double shortM) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.GEOMETRY;
    }
  }

  /** The rear hip would have to open back so far. */
  record RearHipOpensLess(double neededRad) implements Obstacle {
    @Override
    public Limit limit() {
      return Limit.HIP_OPENING;
    }
  }
}
