package istmo.app.clients;

import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.persistence.SightingEntity;
import istmo.app.clients.persistence.SightingRepository;
import istmo.app.platform.NotFound;
import istmo.core.picture.Sighting;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What pictures told of the signed-in coach's clients. */
@Service
public class Sightings {
  private final SightingRepository repository;
  private final Clients clients;
  private final CurrentCoach coach;
  private final CoachDays days;
  private final Clock clock;

  Sightings(
      SightingRepository repository,
      Clients clients,
      CurrentCoach coach,
      CoachDays days,
      Clock clock) {
    this.repository = repository;
    this.clients = clients;
    this.coach = coach;
    this.days = days;
    this.clock = clock;
  }

  /** A sighting with its id, for lists. */
  public record Kept(UUID id, Sighting sighting) {}

  /** Everything that pictures told of a client, oldest first. */
  @Transactional(readOnly = true)
  public List<Kept> of(UUID clientId) {
    clients.check(clientId);
    return repository
        .findByCoachIdAndClientIdOrderBySeenOnAscCreatedAtAsc(coach.id(), clientId)
        .stream()
        .map(entity -> new Kept(entity.getId(), entity.sighting()))
        .toList();
  }

  /** Throws {@link InvalidInput} for a day to come. */
  @Transactional(readOnly = true)
  public void checkDay(LocalDate on) {
    ClientRecord.checkDay(on, days.today());
  }

  /** Keeps what a picture told. */
  @Transactional
  public void keep(UUID clientId, Sighting sighting) {
    clients.check(clientId);
    repository.save(
        new SightingEntity(UUID.randomUUID(), coach.id(), clientId, sighting, clock.instant()));
  }

  /** Takes what a picture told back; the picture before it counts again. */
  @Transactional
  public void takeBack(UUID clientId, UUID sightingId) {
    repository.delete(
        repository
            .findByIdAndClientIdAndCoachId(sightingId, clientId, coach.id())
            .orElseThrow(() -> new NotFound("sighting")));
  }
}
