package istmo.core.mechanics;

import istmo.core.quantity.Allowed;

/** At which load muscles share the work. */
public sealed interface LoadRule {
  /** The load, kg, for a fresh limit. */
  double loadKg(double limitKg);

  /** Share of the fresh limit. The default is 75 %: a load near that of ten repetitions; at the limit itself every muscle with leverage saturates, which is not how a set works (docs/model.md, 8). */
  record ShareOfLimit(double share) implements LoadRule {
    public static final Allowed SHARE = new Allowed(0.05, 1, "");

    public ShareOfLimit {
      SHARE.check("loadRule.shareOfLimit", share);
    }

    @Override
    public double loadKg(double limitKg) {
      return share * limitKg;
    }
  }

  /** A given load, kg. */
  record Fixed(double kg) implements LoadRule {
    public static final Allowed LOAD_KG = new Allowed(0, 2000, "kg");

    public Fixed {
      LOAD_KG.check("loadRule.loadKg", kg);
    }

    @Override
    public double loadKg(double limitKg) {
      return kg;
    }
  }

  LoadRule USUAL = new ShareOfLimit(0.75);
}
