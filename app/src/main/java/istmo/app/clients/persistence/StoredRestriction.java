package istmo.app.clients.persistence;

import istmo.core.body.Restriction;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A written restriction as it is stored. */
public record StoredRestriction(
    String by,
    LocalDate on,
    String text,
    @Nullable Double kneeMaxDeg,
    @Nullable Double hipMaxDeg,
    boolean noLoadedBack) {
  static StoredRestriction of(Restriction restriction) {
    return new StoredRestriction(
        restriction.by(),
        restriction.on(),
        restriction.text(),
        restriction.kneeMaxDeg().orElse(null),
        restriction.hipMaxDeg().orElse(null),
        restriction.noLoadedBack());
  }

  Restriction restriction() {
    return new Restriction(
        by,
        on,
        text,
        Optional.ofNullable(kneeMaxDeg),
        Optional.ofNullable(hipMaxDeg),
        noLoadedBack);
  }
}
