package istmo.app.accounts;

import istmo.app.accounts.persistence.CoachEntity;
import istmo.app.accounts.persistence.CoachRepository;
import istmo.app.platform.NotFound;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What day it is for the coach who is signed in: days and weeks follow the coach's time zone. */
@Service
public class CoachDays {
  private final CoachRepository coaches;
  private final CurrentCoach current;
  private final Clock clock;

  CoachDays(CoachRepository coaches, CurrentCoach current, Clock clock) {
    this.coaches = coaches;
    this.current = current;
    this.clock = clock;
  }

  /** The coach's time zone; UTC until a device has told another. */
  @Transactional(readOnly = true)
  public ZoneId zone() {
    return ZoneId.of(coach().getTimeZone());
  }

  /**
   * Takes over the zone of the coach's device.
   *
   * @param name the zone's IANA name; {@link InvalidInput} for anything else
   */
  @Transactional
  public void move(String name) {
    if (name == null || !ZoneId.getAvailableZoneIds().contains(name)) {
      throw new InvalidInput("timeZone", "is the IANA name of a time zone, as Atlantic/Azores");
    }
    coach().setTimeZone(name);
  }

  /** This moment. */
  public Instant now() {
    return clock.instant();
  }

  /** The coach's day now. */
  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), zone());
  }

  private CoachEntity coach() {
    return coaches.findById(current.id()).orElseThrow(() -> new NotFound("coach"));
  }
}
