package istmo.core.ranking.criterion;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.stimulus.School;
import java.util.Set;

/** The whole context of an order: this body, what hurts, what asks for caution, what the gym has, what should grow, and by which school it is judged. */
public record Brief(Body body, Set<PainFlag> pain, Cautions cautions, Set<String> equipment, Aim aim, School school) {
  public Brief {
    pain = Set.copyOf(pain);
    equipment = Equipment.check(equipment);
  }

  /** The body as far as cautions let it go: the one to evaluate. */
  public Body limitedBody() {
    return cautions.limited(body);
  }
}
