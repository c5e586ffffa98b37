package istmo.core.ranking;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.brief.Weights.Criterion;
import istmo.core.ranking.brief.Weights.Preset;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Orders for a lifter with everything there, and what is read of them. */
final class OrderCases {
  private OrderCases() {}

  static final Set<Equipment> EVERYTHING = Equipment.everything();
  static final GymEquipment GYM = GymEquipment.generic(EVERYTHING);
  static final Body LIFTER = Bodies.LIFTER;
  static final Map<CandidateId, Evaluation> EVALUATIONS = Evaluated.of(LIFTER, GYM, School.STRETCH);
  static final Aim BACK_OF_THE_THIGH = Aim.of(Map.of("BFL", 2, "ST", 2, "GMAXM", 1), Set.of());

  static Brief brief(Aim aim) {
    return new Brief(
        LIFTER, Cautions.none(), Profile.unknown(), GYM, aim, School.STRETCH, Optional.empty());
  }

  static Order by(Preset preset, Aim aim) {
    return Orders.order(brief(aim).weighed(new Weights(preset, Map.of())), EVALUATIONS);
  }

  static int rank(Order order, String id) {
    return order.all().stream().map(entry -> entry.id().text()).toList().indexOf(id) + 1;
  }

  static double value(Order.Entry entry, Criterion criterion) {
    return entry.ranked().contributions().stream()
        .filter(contribution -> contribution.criterion().equals(criterion.id()))
        .findFirst()
        .orElseThrow()
        .value();
  }

  static Order.Entry entry(Order order, CandidateId id) {
    return order.all().stream().filter(entry -> entry.id().equals(id)).findFirst().orElseThrow();
  }
}
