package istmo.app.clients;

import istmo.app.clients.persistence.ClientEntity;
import istmo.app.clients.persistence.KnownLiftEntity;
import istmo.app.clients.persistence.MeasurementEntity;
import istmo.app.clients.persistence.SightingEntity;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Readings;
import istmo.core.picture.Sighting;
import java.util.List;

/**
 * What is stored of a client; what it says of body and strength is computed after the transaction.
 */
record ClientRows(
    ClientEntity client,
    List<MeasurementEntity> readings,
    List<KnownLiftEntity> lifts,
    List<SightingEntity> sightings) {
  Readings measured() {
    return new Readings(readings.stream().map(MeasurementEntity::measurement).toList());
  }

  /** The body from intake, readings and pictures, before any lift says how strong it is. */
  BodyEstimate estimate() {
    return BodyEstimate.of(client.intake(), measured()).moving(Sighting.technique(seen()));
  }

  List<Sighting> seen() {
    return sightings.stream().map(SightingEntity::sighting).toList();
  }

  /** Everything of it that goes into a file. */
  ClientRecord kept() {
    return new ClientRecord(
        client.getName(),
        client.intake(),
        client.profile(),
        client.cautions(),
        client.isLearns(),
        readings.stream().map(MeasurementEntity::measurement).toList(),
        lifts.stream().map(KnownLiftEntity::lift).toList(),
        seen());
  }
}
