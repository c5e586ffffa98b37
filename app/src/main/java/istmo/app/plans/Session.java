package istmo.app.plans;

import istmo.app.clients.Client;
import istmo.app.gyms.Gym;
import istmo.core.training.LoadEstimate;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A session with everything that its sheet shows. */
public record Session(UUID id, Client client, Gym gym, SessionBrief brief, Instant createdAt, Optional<Instant> finishedAt, List<Item> items) {
  /**
   * One exercise: set-up in the parameters' units, sets in the order in which they were done.
   *
   * @param prescribed what the plan asked for, in lines of words; empty where none did
   * @param refusal why the client's cautions leave it out now, if they do
   * @param load a first load, once a lift is known
   */
  public record Item(UUID id, int position, String candidateId, Map<String, Double> setup, List<String> prescribed, List<LoggedSet> sets, Optional<LastTime> lastTime, Optional<String> refusal, Optional<LoadEstimate> load) {}

  public record LoggedSet(UUID id, PerformedSet set, Instant performedAt) {}

  /**
   * The same exercise before this session.
   *
   * @param sameSetup whether it was done with the same set-up; another set-up is another record
   */
  public record LastTime(Instant performedAt, Map<String, Double> setup, boolean sameSetup, List<LoggedSet> sets) {}
}
