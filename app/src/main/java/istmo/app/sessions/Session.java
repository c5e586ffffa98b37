package istmo.app.sessions;

import istmo.app.clients.Client;
import istmo.app.gyms.Gym;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.SetRecord;
import istmo.core.training.LoadEstimate;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A session with everything that its sheet shows. */
public record Session(
    UUID id,
    Client client,
    Gym gym,
    SessionBrief brief,
    Instant createdAt,
    Optional<Instant> finishedAt,
    List<Item> items) {
  /**
   * One exercise: set-up in the parameters' units, sets in the order in which they were done.
   *
   * @param ended whether nothing more is asked of it: another took its place
   * @param refusal why the client's cautions leave it out now, if they do
   * @param load a first load, once a lift is known
   */
  public record Item(
      UUID id,
      int position,
      CandidateId candidateId,
      UUID seriesId,
      Map<String, Double> setup,
      Asked asked,
      boolean ended,
      List<LoggedSet> sets,
      Optional<LastTime> lastTime,
      Optional<String> refusal,
      Optional<LoadEstimate> load) {}

  /**
   * A set as it is stored.
   *
   * @param revision by which devices agree on it ({@link istmo.core.record.SetRegister})
   */
  public record LoggedSet(UUID id, SetRecord record, int revision, Instant performedAt) {
    /** The set as it was done. */
    public PerformedSet set() {
      return record.done();
    }
  }

  /**
   * The same exercise before this session.
   *
   * @param sameSetup whether it was done with the same set-up; another set-up is another record
   */
  public record LastTime(
      Instant performedAt, Map<String, Double> setup, boolean sameSetup, List<LoggedSet> sets) {}
}
