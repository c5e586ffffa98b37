package istmo.app.sessions;

import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.SetRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sessions of an archive brought in. */
@Service
public class ArchivedSessions {
  private final SessionRows rows;
  private final SeriesBook series;

  ArchivedSessions(SessionRows rows, SeriesBook series) {
    this.rows = rows;
    this.series = series;
  }

  /** A session as it was kept elsewhere. */
  public record ArchivedSession(
      UUID gymId,
      SessionBrief brief,
      Instant createdAt,
      Optional<Instant> finishedAt,
      List<ArchivedItem> items) {}

  /** One exercise of a session from elsewhere. */
  public record ArchivedItem(
      CandidateId candidateId,
      Map<String, Double> setup,
      Asked asked,
      boolean ended,
      List<ArchivedSet> sets) {}

  /**
   * A set of an archive.
   *
   * @param id kept unless it is in use here
   */
  public record ArchivedSet(UUID id, SetRecord set, Instant performedAt) {}

  /**
   * Keeps sessions from elsewhere as they are: what was done was done, whatever cautions and
   * machines say now.
   */
  @Transactional
  public void bring(UUID clientId, List<ArchivedSession> all) {
    Set<UUID> inUse =
        new HashSet<>(
            rows.setsInUse(
                all.stream()
                    .flatMap(session -> session.items().stream())
                    .flatMap(item -> item.sets().stream())
                    .map(ArchivedSet::id)
                    .toList()));
    List<SessionEntity> begun = all.stream().map(session -> begun(clientId, session)).toList();
    rows.saveSessions(begun);
    Map<String, UUID> seriesIds = new HashMap<>();
    List<ItemEntity> added = new ArrayList<>();
    List<PerformedSetEntity> sets = new ArrayList<>();
    for (int n = 0; n < all.size(); n++) {
      List<ArchivedItem> items = all.get(n).items();
      for (int k = 0; k < items.size(); k++) {
        ArchivedItem archived = items.get(k);
        UUID seriesId =
            seriesIds.computeIfAbsent(
                archived.candidateId() + " " + new TreeMap<>(archived.setup()),
                text -> series.of(clientId, archived.candidateId(), archived.setup()));
        ItemEntity item =
            rows.newItem(
                UUID.randomUUID(),
                begun.get(n),
                k + 1,
                new ItemEntity.Work(
                    archived.candidateId(), archived.setup(), seriesId, archived.asked()),
                all.get(n).createdAt());
        if (archived.ended()) {
          item.end();
        }
        added.add(item);
        for (ArchivedSet set : archived.sets()) {
          UUID id = inUse.add(set.id()) ? set.id() : UUID.randomUUID();
          sets.add(rows.newSet(id, clientId, item, set.set(), set.performedAt()));
        }
      }
    }
    rows.save(added, sets);
  }

  private SessionEntity begun(UUID clientId, ArchivedSession archived) {
    SessionEntity session =
        rows.newSession(
            UUID.randomUUID(), clientId, archived.gymId(), archived.brief(), archived.createdAt());
    archived.finishedAt().ifPresent(session::finish);
    return session;
  }
}
