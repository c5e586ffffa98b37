package istmo.app.clients.persistence;

import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A caution as it is stored; clearedBy and clearedOn are both there or both missing. */
public record StoredCaution(
    Caution caution, @Nullable String clearedBy, @Nullable LocalDate clearedOn) {
  static StoredCaution of(Cautions.Entry entry) {
    return new StoredCaution(
        entry.caution(),
        entry.clearance().map(Cautions.Clearance::by).orElse(null),
        entry.clearance().map(Cautions.Clearance::on).orElse(null));
  }

  Cautions.Entry entry() {
    return new Cautions.Entry(
        caution,
        clearedBy == null
            ? Optional.empty()
            : Optional.of(new Cautions.Clearance(clearedBy, clearedOn)));
  }
}
