package istmo.core.ranking.order;

import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Detail;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.quantity.Fact;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * What a generic value of a machine costs: how many of the first ten would stand elsewhere between
 * the values that such machines usually have.
 *
 * @param item and detailId: what to measure
 * @param affected how many of the first ones change their place
 * @param of how many first ones there are: ten, or all of fewer
 */
public record MachineMeasuringValue(Equipment item, String detailId, int affected, int of)
    implements Fact {
  /**
   * The generic details here that would change this order by way of a candidate that stands near
   * its top, most first. {@code evaluations} are those of the brief.
   */
  public static List<MachineMeasuringValue> of(
      Brief brief, Map<CandidateId, Evaluation> evaluations) {
    List<CandidateId> places = Orders.places(brief, evaluations);
    List<CandidateId> first = MeasuringValue.first(places);
    List<Candidate> near = MeasuringValue.near(places, evaluations);
    List<MachineMeasuringValue> result = new ArrayList<>();
    for (Equipment item : brief.equipment().items()) {
      List<Candidate> users =
          near.stream().filter(candidate -> candidate.needs().contains(item)).toList();
      for (Detail detail : item.details()) {
        if (users.isEmpty()
            || detail.between().isEmpty()
            || brief.equipment().measured(item, detail.id()).isPresent()) {
          continue;
        }
        List<CandidateId> low =
            ids(
                brief,
                evaluations,
                users,
                brief.equipment().with(item, detail.id(), detail.between().get().min()));
        List<CandidateId> high =
            ids(
                brief,
                evaluations,
                users,
                brief.equipment().with(item, detail.id(), detail.between().get().max()));
        int affected = MeasuringValue.moved(first, low, high);
        if (affected > 0) {
          result.add(new MachineMeasuringValue(item, detail.id(), affected, first.size()));
        }
      }
    }
    result.sort(
        Comparator.comparingInt(MachineMeasuringValue::affected)
            .reversed()
            .thenComparing(each -> each.item().id())
            .thenComparing(MachineMeasuringValue::detailId));
    return List.copyOf(result);
  }

  private static List<CandidateId> ids(
      Brief brief,
      Map<CandidateId, Evaluation> evaluations,
      List<Candidate> users,
      GymEquipment equipment) {
    return Orders.places(
        brief.at(equipment),
        Orders.reevaluated(evaluations, brief.limitedBody(), users, equipment, brief.school()));
  }
}
