package istmo.app.clients;

import istmo.app.clients.persistence.ClientEntity;
import istmo.app.clients.persistence.ClientRepository;
import istmo.app.clients.persistence.KnownLiftEntity;
import istmo.app.clients.persistence.KnownLiftRepository;
import istmo.app.clients.persistence.MeasurementEntity;
import istmo.app.clients.persistence.MeasurementRepository;
import istmo.app.clients.persistence.SightingEntity;
import istmo.app.clients.persistence.SightingRepository;
import istmo.app.platform.NotFound;
import istmo.core.body.Measurement;
import istmo.core.picture.Sighting;
import istmo.core.training.KnownLift;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The rows of clients: what is written to them and read from them within a transaction. */
@Component
class ClientTables {
  private final ClientRepository clients;
  private final MeasurementRepository measurements;
  private final KnownLiftRepository lifts;
  private final SightingRepository sightings;
  private final Clock clock;

  ClientTables(
      ClientRepository clients,
      MeasurementRepository measurements,
      KnownLiftRepository lifts,
      SightingRepository sightings,
      Clock clock) {
    this.clients = clients;
    this.measurements = measurements;
    this.lifts = lifts;
    this.sightings = sightings;
    this.clock = clock;
  }

  /** Everything of every client of a coach, by name. */
  List<ClientRows> all(UUID coachId) {
    Map<UUID, List<MeasurementEntity>> readings =
        measurements.findByCoachIdOrderByTakenOnAscCreatedAtAsc(coachId).stream()
            .collect(Collectors.groupingBy(MeasurementEntity::getClientId));
    Map<UUID, List<KnownLiftEntity>> known =
        lifts.findByCoachIdOrderByDoneOnAscCreatedAtAsc(coachId).stream()
            .collect(Collectors.groupingBy(KnownLiftEntity::getClientId));
    Map<UUID, List<SightingEntity>> seen =
        sightings.findByCoachIdOrderBySeenOnAscCreatedAtAsc(coachId).stream()
            .collect(Collectors.groupingBy(SightingEntity::getClientId));
    return clients.findByCoachIdOrderByName(coachId).stream()
        .map(
            entity ->
                new ClientRows(
                    entity,
                    readings.getOrDefault(entity.getId(), List.of()),
                    known.getOrDefault(entity.getId(), List.of()),
                    seen.getOrDefault(entity.getId(), List.of())))
        .toList();
  }

  /** Everything of one client. */
  ClientRows of(ClientEntity entity) {
    return new ClientRows(
        entity,
        readings(entity),
        liftsOf(entity),
        sightings.findByCoachIdAndClientIdOrderBySeenOnAscCreatedAtAsc(
            entity.getCoachId(), entity.getId()));
  }

  List<MeasurementEntity> readings(ClientEntity entity) {
    return measurements.findByCoachIdAndClientIdOrderByTakenOnAscCreatedAtAsc(
        entity.getCoachId(), entity.getId());
  }

  List<KnownLiftEntity> liftsOf(ClientEntity entity) {
    return lifts.findByCoachIdAndClientIdOrderByDoneOnAscCreatedAtAsc(
        entity.getCoachId(), entity.getId());
  }

  /** A client who is not stored yet. */
  ClientEntity begun(UUID coachId) {
    return new ClientEntity(UUID.randomUUID(), coachId, clock.instant());
  }

  /** Adds what a record from elsewhere has, in the order of its lists, also those of one day. */
  void add(ClientEntity entity, ClientRecord record) {
    Instant at = clock.instant();
    for (Measurement reading : record.readings()) {
      add(entity, reading, at);
      at = at.plusMillis(1);
    }
    for (KnownLift lift : record.lifts()) {
      add(entity, lift, at);
      at = at.plusMillis(1);
    }
    for (Sighting sighting : record.sightings()) {
      sightings.save(
          new SightingEntity(UUID.randomUUID(), entity.getCoachId(), entity.getId(), sighting, at));
      at = at.plusMillis(1);
    }
  }

  void add(ClientEntity entity, Measurement reading) {
    add(entity, reading, clock.instant());
    measurements.flush();
  }

  private void add(ClientEntity entity, Measurement reading, Instant at) {
    measurements.save(
        new MeasurementEntity(UUID.randomUUID(), entity.getCoachId(), entity.getId(), reading, at));
  }

  void add(ClientEntity entity, KnownLift lift) {
    add(entity, lift, clock.instant());
    lifts.flush();
  }

  private void add(ClientEntity entity, KnownLift lift, Instant at) {
    lifts.save(
        new KnownLiftEntity(UUID.randomUUID(), entity.getCoachId(), entity.getId(), lift, at));
  }

  /** Takes a reading back; throws {@link NotFound} for what is not this client's. */
  void removeReading(ClientEntity entity, UUID readingId) {
    measurements.delete(
        measurements
            .findByIdAndClientIdAndCoachId(readingId, entity.getId(), entity.getCoachId())
            .orElseThrow(() -> new NotFound("reading")));
    measurements.flush();
  }

  /** Takes a lift back; throws {@link NotFound} for what is not this client's. */
  void removeLift(ClientEntity entity, UUID liftId) {
    lifts.delete(
        lifts
            .findByIdAndClientIdAndCoachId(liftId, entity.getId(), entity.getCoachId())
            .orElseThrow(() -> new NotFound("lift")));
    lifts.flush();
  }

  /** Erases a client with everything of theirs that stands here. */
  void erase(ClientEntity entity) {
    measurements.deleteAllInBatch(readings(entity));
    lifts.deleteAllInBatch(liftsOf(entity));
    sightings.deleteByCoachIdAndClientId(entity.getCoachId(), entity.getId());
    clients.delete(entity);
    clients.flush();
  }
}
