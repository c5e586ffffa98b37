package istmo.core.body;

/**
 * What makes a joint hurt, where it is known: a rule on what an exercise asks, so that every
 * exercise is covered without being named. The angles are common practice.
 */
public enum SoreMovement {
  DEEP_KNEE(PainFlag.KNEE, "bending it deep") {
    @Override
    double asked(Demand demand) {
      return demand.kneeBendDeg() > 90 ? demand.kneeBendDeg() : 0;
    }
  },
  STRAIGHT_KNEE(PainFlag.KNEE, "the last part of straightening it") {
    @Override
    double asked(Demand demand) {
      return demand.straightKneeShare() > 0.4 ? 100 * demand.straightKneeShare() : 0;
    }
  },
  DEEP_HIP(PainFlag.HIP, "bending it deep") {
    @Override
    double asked(Demand demand) {
      return demand.hipBendDeg() > 90 ? demand.hipBendDeg() : 0;
    }
  },
  WIDE_HIP(PainFlag.HIP, "a wide stance") {
    @Override
    double asked(Demand demand) {
      return demand.hipOpenDeg() > 25 ? demand.hipOpenDeg() : 0;
    }
  },
  LEANING(PainFlag.LOWER_BACK, "leaning forward under load") {
    @Override
    double asked(Demand demand) {
      boolean far = demand.leanDeg() > 35 && demand.backShare() > Demand.UNLOADED_BACK;
      boolean heavy = demand.leanDeg() > 20 && demand.backShare() > 0.32;
      return far || heavy ? demand.leanDeg() : 0;
    }
  },
  DEEP_ANKLE(PainFlag.ANKLE, "bending it deep") {
    @Override
    double asked(Demand demand) {
      return demand.ankleBendDeg() > 18 ? demand.ankleBendDeg() : 0;
    }
  };

  private final PainFlag joint;
  private final String label;

  SoreMovement(PainFlag joint, String label) {
    this.joint = joint;
    this.label = label;
  }

  /** The joint whose movement is sore. */
  public PainFlag joint() {
    return joint;
  }

  /** Name that the coach ticks. */
  public String label() {
    return label;
  }

  /** How much of it an exercise asks, deg or per cent; zero for none that counts. */
  abstract double asked(Demand demand);
}
