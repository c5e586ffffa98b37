package istmo.app.sessions;

import istmo.app.accounts.CurrentCoach;
import istmo.app.sessions.persistence.SeriesRepository;
import istmo.core.catalogue.CandidateId;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Which series a set-up of a client belongs to. */
@Component
class SeriesBook {
  private final SeriesRepository series;
  private final JsonMapper json;
  private final CurrentCoach coach;

  SeriesBook(SeriesRepository series, JsonMapper json, CurrentCoach coach) {
    this.series = series;
    this.json = json;
    this.coach = coach;
  }

  /** The series of one candidate in one set-up; a new one where there is none. */
  UUID of(UUID clientId, CandidateId candidateId, Map<String, Double> setup) {
    String text = json.writeValueAsString(new TreeMap<>(setup));
    series.add(UUID.randomUUID(), coach.id(), clientId, candidateId.text(), text);
    return series.find(coach.id(), clientId, candidateId.text(), text);
  }
}
