package istmo.core.body;

/**
 * What makes a joint hurt, where it is known: a rule on what an exercise asks, so that every
 * exercise is covered without being named. The angles are common practice.
 */
public enum SoreMovement {
  DEEP_KNEE(PainFlag.KNEE, "bending it deep", "It bends the knee to %.0f° under load.") {
    @Override
    double asked(Demand demand) {
      return demand.kneeBendDeg() > 90 ? demand.kneeBendDeg() : 0;
    }
  },
  STRAIGHT_KNEE(
      PainFlag.KNEE,
      "the last part of straightening it",
      "It keeps %.0f %% of its knee moment in the last part of straightening.") {
    @Override
    double asked(Demand demand) {
      return demand.straightKneeShare() > 0.4 ? 100 * demand.straightKneeShare() : 0;
    }
  },
  DEEP_HIP(PainFlag.HIP, "bending it deep", "It bends the hip to %.0f°.") {
    @Override
    double asked(Demand demand) {
      return demand.hipBendDeg() > 90 ? demand.hipBendDeg() : 0;
    }
  },
  WIDE_HIP(PainFlag.HIP, "a wide stance", "It opens the hip to %.0f°.") {
    @Override
    double asked(Demand demand) {
      return demand.hipOpenDeg() > 25 ? demand.hipOpenDeg() : 0;
    }
  },
  LEANING(
      PainFlag.LOWER_BACK,
      "leaning forward under load",
      "The back works leaning forward by %.0f°.") {
    @Override
    double asked(Demand demand) {
      boolean far = demand.leanDeg() > 35 && demand.backShare() > Demand.UNLOADED_BACK;
      boolean heavy = demand.leanDeg() > 20 && demand.backShare() > 0.32;
      return far || heavy ? demand.leanDeg() : 0;
    }
  },
  DEEP_ANKLE(PainFlag.ANKLE, "bending it deep", "It bends the ankle to %.0f°.") {
    @Override
    double asked(Demand demand) {
      return demand.ankleBendDeg() > 18 ? demand.ankleBendDeg() : 0;
    }
  };

  private final PainFlag joint;
  private final String label;
  private final String sentence;

  SoreMovement(PainFlag joint, String label, String sentence) {
    this.joint = joint;
    this.label = label;
    this.sentence = sentence;
  }

  /** The joint whose movement is sore. */
  public PainFlag joint() {
    return joint;
  }

  /** Name that the coach ticks. */
  public String label() {
    return label;
  }

  /** How much of it an exercise asks, in the unit of the sentence; zero for none that counts. */
  abstract double asked(Demand demand);

  String sentence(Demand demand) {
    return String.format(java.util.Locale.ROOT, sentence, asked(demand));
  }
}
