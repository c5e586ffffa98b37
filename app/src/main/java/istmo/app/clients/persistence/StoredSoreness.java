package istmo.app.clients.persistence;

import istmo.core.body.PainFlag;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import java.util.List;
import java.util.Set;

/** A sore joint as it is stored. */
public record StoredSoreness(
    PainFlag joint, List<SoreMovement> movements, Soreness.Approach approach) {
  static StoredSoreness of(Soreness soreness) {
    return new StoredSoreness(
        soreness.joint(), List.copyOf(soreness.movements()), soreness.approach());
  }

  Soreness soreness() {
    return new Soreness(joint, Set.copyOf(movements), approach);
  }
}
