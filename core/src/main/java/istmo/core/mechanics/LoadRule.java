package istmo.core.mechanics;

import istmo.core.quantity.Allowed;

/** At which load a set is looked at. */
public sealed interface LoadRule {
  /** Share of the fresh limit. */
  record ShareOfLimit(double share) implements LoadRule {
    public static final Allowed SHARE = new Allowed(0.05, 1, "");

    public ShareOfLimit {
      SHARE.check("loadRule.shareOfLimit", share);
    }
  }

  /** A given load, kg. */
  record Fixed(double kg) implements LoadRule {
    public static final Allowed LOAD_KG = new Allowed(0, 2000, "kg");

    public Fixed {
      LOAD_KG.check("loadRule.loadKg", kg);
    }
  }

  /**
   * The load that gives so many repetitions to failure: what compares exercises of which some lift
   * the body too (docs/model.md, 8).
   */
  record Repetitions(int repetitions) implements LoadRule {
    public static final Allowed REPETITIONS = new Allowed(1, 40, "repetitions");

    public Repetitions {
      REPETITIONS.check("loadRule.repetitions", repetitions);
    }
  }

  LoadRule USUAL = new Repetitions(SetSimulation.COMPARED_REPETITIONS);
}
