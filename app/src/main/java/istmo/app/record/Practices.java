package istmo.app.record;

import istmo.app.sessions.History;
import istmo.core.evidence.Claim;
import istmo.core.evidence.Claims;
import istmo.core.evidence.Point;
import istmo.core.record.Practice;
import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** What the signed-in coach's own clients say of the trade's claims. */
@Service
public class Practices {
  private static final Duration LOOKED_AT = Duration.ofDays(731);

  private final History history;
  private final Clock clock;

  Practices(History history, Clock clock) {
    this.history = history;
    this.clock = clock;
  }

  /** By claim; claims of which nobody has said anything are not in it. */
  public Map<Claim, Practice> all() {
    List<Practice.Said> said = history.felt(clock.instant().minus(LOOKED_AT));
    Map<Claim, Practice> practices = new LinkedHashMap<>();
    for (Claim claim : Claims.standard().all()) {
      claim
          .sides()
          .ifPresent(
              sides -> {
                Practice practice =
                    Practice.of(
                        side(sides.first()),
                        side(sides.second()),
                        Set.copyOf(claim.regions()),
                        said);
                if (!practice.isEmpty()) {
                  practices.put(claim, practice);
                }
              });
    }
    return practices;
  }

  private static Practice.Side side(Point point) {
    return new Practice.Side(point.candidateId(), point.setup().values());
  }
}
