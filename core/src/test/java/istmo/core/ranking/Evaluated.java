package istmo.core.ranking;

import istmo.core.body.Body;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.GymEquipment;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Evaluations by what they were asked for: tests that look at the same body in the same place
 * compute it once.
 */
public final class Evaluated {
  private static final int KEPT = 16;

  private record Asked(Body body, GymEquipment equipment, School school) {}

  private static final Map<Asked, Map<CandidateId, Evaluation>> DONE =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Map<CandidateId, Evaluation>> eldest) {
          return size() > KEPT;
        }
      };

  private Evaluated() {}

  /** Every candidate on this body and the machines of this place; not to be changed. */
  public static synchronized Map<CandidateId, Evaluation> of(
      Body body, GymEquipment equipment, School school) {
    Asked asked = new Asked(body, equipment, school);
    Map<CandidateId, Evaluation> known = DONE.get(asked);
    if (known != null) {
      return known;
    }
    Map<CandidateId, Evaluation> evaluations =
        Collections.unmodifiableMap(Orders.evaluate(body, equipment, school));
    DONE.put(asked, evaluations);
    return evaluations;
  }
}
