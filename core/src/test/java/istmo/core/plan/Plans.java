package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Sparse;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Offers and weeks for tests: made by hand, so that figures can be worked out, or of the real
 * catalogue.
 */
final class Plans {
  static final GymEquipment EVERYTHING = GymEquipment.generic(Equipment.everything());
  private static final Map<CandidateId, Evaluation> LIFTER =
      Evaluated.of(Bodies.LIFTER, EVERYTHING, School.STRETCH);

  private Plans() {}

  static final Prescription THREE_OF_TEN =
      new Prescription(3, 10, 10, 2, new Tempo(2, 2, 2, 0), 120, Scheme.STRAIGHT);

  /** An offer made by hand; the rest of it is plain. */
  /** What an order, the lower back and one-leg work say of an offer. */
  record More(double utility, double back, boolean oneLeg, Set<Function> functions) {
    private static final More PLAIN = new More(0.5, 0, false, Set.of());
  }

  static Offer offer(
      String id,
      Map<Region, Double> shares,
      Role role,
      Set<Equipment> station,
      double setUpMinutes,
      Prescription usual) {
    return offer(id, shares, role, station, setUpMinutes, usual, More.PLAIN);
  }

  static Offer offer(
      String id,
      Map<Region, Double> shares,
      Role role,
      Set<Equipment> station,
      double setUpMinutes,
      Prescription usual,
      More more) {
    String exercise = id.contains("/") ? id.substring(0, id.indexOf('/')) : id;
    return new Offer(
        new CandidateId(id),
        exercise,
        exercise,
        id,
        Map.of(),
        Sparse.values(shares),
        more.functions(),
        role,
        more.utility(),
        0,
        true,
        more.back(),
        more.oneLeg(),
        station,
        station,
        setUpMinutes,
        station.isEmpty() ? LoadKind.NONE : LoadKind.STACK,
        50,
        usual,
        Set.of(),
        Map.of(),
        Optional.empty(),
        List.of(),
        List.of(),
        List.of(),
        false);
  }

  static Day day(int minutes, Bout... bouts) {
    return new Day(1, minutes, false, List.of(bouts));
  }

  static Item item(String id, Prescription prescription) {
    return new Item(new CandidateId("item-") + id, new CandidateId(id), prescription, false);
  }

  static Targets targets(Map<Region, Double> least) {
    Map<Region, Integer> weight = new EnumMap<>(Region.class);
    least.keySet().forEach(region -> weight.put(region, 2));
    return new Targets(least, weight, Set.of(), Map.of(), 20, 8, false);
  }

  static Brief brief(Body body, Cautions cautions, GymEquipment equipment, Aim aim) {
    return new Brief(
        body, cautions, Profile.unknown(), equipment, aim, School.STRETCH, Optional.empty());
  }

  static Offers real(Aim aim, TrainingAge age, GymEquipment equipment, PainFlag... sore) {
    Cautions cautions =
        new Cautions(Arrays.stream(sore).map(Soreness::leaveOut).toList(), List.of(), List.of());
    Order order = Orders.order(brief(Bodies.LIFTER, cautions, equipment, aim), LIFTER);
    Profile profile =
        new Profile(
            Optional.of(age),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            Optional.empty(),
            "",
            Set.of(),
            Set.of());
    return new Offers(
        order,
        new Brief(
            Bodies.LIFTER, cautions, profile, equipment, aim, School.STRETCH, Optional.empty()),
        Catalogue.standard().byWord(),
        List.of());
  }
}
