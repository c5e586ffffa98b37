package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.sessions.persistence.SeriesEntity;
import istmo.app.sessions.persistence.SeriesRepository;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Which series a set-up of a client belongs to. */
@Component
class SeriesBook {
  private final SeriesRepository series;
  private final Catalogue catalogue;
  private final JsonMapper json;
  private final CurrentCoach coach;

  SeriesBook(SeriesRepository series, Catalogue catalogue, JsonMapper json, CurrentCoach coach) {
    this.series = series;
    this.catalogue = catalogue;
    this.json = json;
    this.coach = coach;
  }

  /**
   * The series of one candidate in one set-up; a new one where there is none. A set-up that was
   * kept before its exercise got another parameter is the same one.
   */
  UUID of(UUID clientId, CandidateId candidateId, Map<String, Double> setup) {
    Map<String, Double> whole = catalogue.whole(candidateId, setup);
    Optional<UUID> kept =
        series
            .findByCoachIdAndClientIdAndCandidateId(coach.id(), clientId, candidateId.text())
            .stream()
            .filter(row -> catalogue.whole(candidateId, row.getSetup()).equals(whole))
            .map(SeriesEntity::getId)
            .findFirst();
    return kept.orElseGet(() -> added(clientId, candidateId, setup));
  }

  private UUID added(UUID clientId, CandidateId candidateId, Map<String, Double> setup) {
    String text = json.writeValueAsString(new TreeMap<>(setup));
    series.add(UUID.randomUUID(), coach.id(), clientId, candidateId.text(), text);
    return series.find(coach.id(), clientId, candidateId.text(), text);
  }
}
