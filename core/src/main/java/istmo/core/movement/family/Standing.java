package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Load;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.Set;

/** What standing families share: balance, the bar on the trunk, the force under the feet. */
final class Standing {
  static final Set<Coordinate> ALL_ROWS = EnumSet.allOf(Coordinate.class);

  /** Place of the bar: along the trunk (fraction of hip to shoulder) and in front of it (m). High and low bar and front rack by common practice. */
  enum BarPlace {
    HIGH(1.02, -0.06),
    LOW(0.92, -0.10),
    FRONT(0.97, 0.09);

    final double along;
    final double aheadM;

    BarPlace(double along, double aheadM) {
      this.along = along;
      this.aheadM = aheadM;
    }

    static final SetupParameter PARAMETER =
        new SetupParameter(
            "bar", "Bar place", "", new istmo.core.quantity.Allowed(0, 2, ""), 0, 1, SetupParameter.Kind.SETUP, java.util.List.of("high on the back", "low on the back", "in front"), "where the bar rests");

    Vec3 at(Body body, Vec3 hip, double lean) {
      double s = Math.sin(lean);
      double c = Math.cos(lean);
      double up = along * body.trunkM();
      return new Vec3(hip.x() + up * s + aheadM * c, hip.y() + up * c - aheadM * s, 0);
    }
  }

  private Standing() {}

  /** x of the centre of mass of both legs times their mass, kg m. */
  static double legMassMoment(Body body, Vec3 ankle, Vec3 knee, Vec3 hip, double footMiddleX) {
    double thigh = hip.x() + body.thighComFraction() * (knee.x() - hip.x());
    double shank = knee.x() + body.shankComFraction() * (ankle.x() - knee.x());
    double foot = 0.5 * (ankle.x() + footMiddleX);
    return 2 * (body.thighMassKg() * thigh + body.shankMassKg() * shank + body.footMassKg() * foot);
  }

  /** Half of everything pushes up under the right foot. */
  static void floorForce(PostureBuilder b, Body body, double grip) {
    floorForce(b, new Vec3(0, body.massKg() * Load.G / 2, 0), new Vec3(0, Load.G / 2, 0), grip);
  }

  /** A force under the right foot that is linear in W, N and N/kg. */
  static void floorForce(PostureBuilder b, Vec3 force, Vec3 perKg, double grip) {
    b.load(Load.force(Load.Segment.FOOT, b.pressure(), force, perKg));
    b.footGrip(grip, force.y(), perKg.y());
  }

  /** Mass of head, arms and trunk times the height of its centre above the hips along the trunk, hands at the shoulders, kg m. */
  static double upperMassMoment(Body body) {
    return body.upperMassKg() * Segments.UPPER_COM_HANDS_UP * body.trunkM();
  }
}
