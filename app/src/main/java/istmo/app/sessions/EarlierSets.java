package istmo.app.sessions;

import istmo.app.accounts.CoachDays;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import istmo.core.record.SetRecord;
import istmo.core.stimulus.School;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Sets of an earlier record brought in. */
@Service
public class EarlierSets {
  private final SessionRows rows;
  private final SeriesBook series;
  private final Clients clients;
  private final Gyms gyms;
  private final Admittance admittance;
  private final CoachDays coachDays;
  private final Transactions transactions;

  EarlierSets(
      SessionRows rows,
      SeriesBook series,
      Clients clients,
      Gyms gyms,
      Admittance admittance,
      CoachDays coachDays,
      Transactions transactions) {
    this.rows = rows;
    this.series = series;
    this.clients = clients;
    this.gyms = gyms;
    this.admittance = admittance;
    this.coachDays = coachDays;
    this.transactions = transactions;
  }

  /**
   * A set from somebody's earlier record; {@code id} is made of what it says, so that the same
   * record brought in again adds nothing.
   */
  public record ImportedSet(UUID id, LocalDate on, CandidateId candidateId, SetRecord set) {}

  /**
   * What has been brought in, and what was there already.
   *
   * @param sets that were added
   */
  public record ImportResult(int sets, int sessions, int already) {}

  /**
   * Brings earlier sets in, all or none: a session for each day, every exercise in its usual set-up
   * on this gym's machines as far as this client takes it. What cautions leave out now was done all
   * the same.
   */
  public ImportResult bring(UUID clientId, UUID gymId, List<ImportedSet> all) {
    Client client = clients.get(clientId);
    Gym gym = gyms.get(gymId);
    Map<CandidateId, Map<String, Double>> setups = new HashMap<>();
    all.stream()
        .map(ImportedSet::candidateId)
        .distinct()
        .forEach(id -> setups.put(id, admittance.usual(client, gym, id)));
    return transactions.write(() -> bring(clientId, gymId, all, setups));
  }

  private ImportResult bring(
      UUID clientId,
      UUID gymId,
      List<ImportedSet> all,
      Map<CandidateId, Map<String, Double>> setups) {
    Set<UUID> known =
        new HashSet<>(rows.knownSets(clientId, all.stream().map(ImportedSet::id).toList()));
    List<ImportedSet> fresh =
        all.stream()
            .filter(importedSet -> !known.contains(importedSet.id()))
            .sorted(Comparator.comparing(ImportedSet::on))
            .toList();
    ZoneId zone = coachDays.zone();
    Map<LocalDate, SessionEntity> days = days(clientId, gymId, fresh, zone);
    long begun = days.values().stream().filter(entity -> entity.getFinishedAt() == null).count();
    days.forEach((on, entity) -> entity.finish(noon(on, zone).plusSeconds(3600)));
    rows.saveSessions(days.values());
    Map<CandidateId, UUID> seriesIds = new HashMap<>();
    for (CandidateId id : fresh.stream().map(ImportedSet::candidateId).distinct().toList()) {
      seriesIds.put(id, series.of(clientId, id, Required.entry(setups, id)));
    }
    Exercises exercises = new Exercises(rows.itemsOf(days.values()), setups, seriesIds);
    List<PerformedSetEntity> sets = new ArrayList<>();
    for (ImportedSet importedSet : fresh) {
      Instant noon = noon(importedSet.on(), zone);
      ItemEntity item =
          exercises.of(Required.entry(days, importedSet.on()), importedSet.candidateId(), noon);
      Instant at = noon.plusSeconds(180L * exercises.next(item.getId()));
      sets.add(rows.newSet(importedSet.id(), clientId, item, importedSet.set(), at));
    }
    rows.save(exercises.added, sets);
    return new ImportResult(sets.size(), (int) begun, known.size());
  }

  /** Exercises of the sessions, those that are there and those that come in. */
  private final class Exercises {
    private final Map<String, ItemEntity> byKey = new HashMap<>();
    private final Map<UUID, Integer> counts = new HashMap<>();
    private final List<ItemEntity> added = new ArrayList<>();
    private final Map<CandidateId, Map<String, Double>> setups;
    private final Map<CandidateId, UUID> seriesIds;

    private Exercises(
        List<ItemEntity> there,
        Map<CandidateId, Map<String, Double>> setups,
        Map<CandidateId, UUID> seriesIds) {
      this.setups = setups;
      this.seriesIds = seriesIds;
      for (ItemEntity entity : there) {
        byKey.putIfAbsent(entity.getSessionId() + " " + entity.getCandidateId(), entity);
        next(entity.getSessionId());
      }
    }

    /** One more in a session or an exercise: its number there. */
    private int next(UUID in) {
      return counts.merge(in, 1, Integer::sum);
    }

    private ItemEntity of(SessionEntity session, CandidateId candidateId, Instant at) {
      return byKey.computeIfAbsent(
          session.getId() + " " + candidateId,
          key -> {
            ItemEntity.Work work =
                new ItemEntity.Work(
                    candidateId,
                    Required.entry(setups, candidateId),
                    Required.entry(seriesIds, candidateId),
                    Asked.NOTHING);
            ItemEntity item =
                rows.newItem(named("item " + key), session, next(session.getId()), work, at);
            added.add(item);
            return item;
          });
    }
  }

  private static Instant noon(LocalDate on, ZoneId zone) {
    return on.atTime(12, 0).atZone(zone).toInstant();
  }

  /** The session of each day: one that was brought in before, or a new one. */
  private Map<LocalDate, SessionEntity> days(
      UUID clientId, UUID gymId, List<ImportedSet> sets, ZoneId zone) {
    SessionBrief brief = new SessionBrief(Map.of(), List.of(), School.STRETCH.id(), false);
    Map<UUID, LocalDate> byId = new LinkedHashMap<>();
    sets.forEach(
        importedSet ->
            byId.putIfAbsent(
                named("session " + clientId + " " + gymId + " " + importedSet.on()),
                importedSet.on()));
    Map<LocalDate, SessionEntity> days = new LinkedHashMap<>();
    rows.find(List.copyOf(byId.keySet()))
        .forEach(entity -> days.put(byId.get(entity.getId()), entity));
    byId.forEach(
        (id, on) ->
            days.computeIfAbsent(
                on, day -> rows.newSession(id, clientId, gymId, brief, noon(on, zone))));
    return days;
  }

  private static UUID named(String of) {
    return UUID.nameUUIDFromBytes(of.getBytes(StandardCharsets.UTF_8));
  }
}
