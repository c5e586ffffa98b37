package istmo.app.accounts;

import istmo.app.accounts.persistence.CoachEntity;
import istmo.app.accounts.persistence.CoachRepository;
import java.time.Clock;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is signed in. For now there is one coach on this machine and no sign-in; every query already asks with the coach's id. */
@Service
public class CurrentCoach {
  private static final UUID ONLY = UUID.fromString("0f3e3a52-9d0b-4c1c-8a58-5b7c3f1d2e01");
  private final CoachRepository coaches;
  private final Clock clock;

  CurrentCoach(CoachRepository coaches, Clock clock) {
    this.coaches = coaches;
    this.clock = clock;
  }

  public UUID id() {
    return ONLY;
  }

  @EventListener(ApplicationStartedEvent.class)
  @Order(1)
  @Transactional
  public void ensureThere() {
    if (!coaches.existsById(ONLY)) {
      coaches.save(new CoachEntity(ONLY, "Coach on this machine", clock.instant()));
    }
  }
}
