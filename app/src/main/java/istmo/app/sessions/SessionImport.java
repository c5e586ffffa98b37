package istmo.app.sessions;

import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.ItemEntity;
import istmo.app.sessions.persistence.ItemRepository;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.app.sessions.persistence.TrainingSessionRepository;
import istmo.core.quantity.Required;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.stimulus.School;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Earlier records brought in. */
@Service
public class SessionImport {
  /** Rows that go to the database at once. */
  private static final int CHUNK = 2000;

  /** As which device what is brought in counts. */
  private static final String FROM_ELSEWHERE = "brought in";

  private final TrainingSessionRepository sessions;
  private final ItemRepository items;
  private final PerformedSetRepository sets;
  private final SeriesBook series;
  private final EntityManager entities;
  private final Clients clients;
  private final Gyms gyms;
  private final Admittance admittance;
  private final CurrentCoach coach;
  private final CoachDays coachDays;
  private final Transactions transactions;

  SessionImport(
      TrainingSessionRepository sessions,
      ItemRepository items,
      PerformedSetRepository sets,
      SeriesBook series,
      EntityManager entities,
      Clients clients,
      Gyms gyms,
      Admittance admittance,
      CurrentCoach coach,
      CoachDays coachDays,
      Transactions transactions) {
    this.transactions = transactions;
    this.coachDays = coachDays;
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.series = series;
    this.entities = entities;
    this.clients = clients;
    this.gyms = gyms;
    this.admittance = admittance;
    this.coach = coach;
  }

  /**
   * A set from somebody's earlier record; {@code id} is made of what it says, so that the same
   * record brought in again adds nothing.
   */
  public record ImportedSet(UUID id, LocalDate on, String candidateId, SetRecord set) {}

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
  public ImportResult importSets(UUID clientId, UUID gymId, List<ImportedSet> all) {
    Client client = clients.get(clientId);
    Gym gym = gyms.get(gymId);
    Map<String, Map<String, Double>> setups = new HashMap<>();
    all.stream()
        .map(ImportedSet::candidateId)
        .distinct()
        .forEach(id -> setups.put(id, admittance.usual(client, gym, id)));
    return transactions.write(() -> importSets(clientId, gymId, all, setups));
  }

  private ImportResult importSets(
      UUID clientId, UUID gymId, List<ImportedSet> all, Map<String, Map<String, Double>> setups) {
    Set<UUID> known =
        new HashSet<>(
            all(
                (coachId, ids) -> sets.known(coachId, clientId, ids),
                all.stream().map(ImportedSet::id).toList()));
    List<ImportedSet> fresh =
        all.stream()
            .filter(importedSet -> !known.contains(importedSet.id()))
            .sorted(Comparator.comparing(ImportedSet::on))
            .toList();
    ZoneId zone = coachDays.zone();
    Map<LocalDate, SessionEntity> days = days(clientId, gymId, fresh, zone);
    long begun = days.values().stream().filter(entity -> entity.getFinishedAt() == null).count();
    days.forEach((on, entity) -> entity.finish(noon(on, zone).plusSeconds(3600)));
    sessions.saveAllAndFlush(days.values()); // before any of their exercises
    Map<String, ItemEntity> exercises = new HashMap<>();
    Map<UUID, Integer> counts = new HashMap<>();
    for (ItemEntity entity :
        all(
            items::findByCoachIdAndSessionIdInOrderByPosition,
            days.values().stream().map(SessionEntity::getId).toList())) {
      exercises.putIfAbsent(entity.getSessionId() + " " + entity.getCandidateId(), entity);
      counts.merge(entity.getSessionId(), 1, Integer::sum);
    }
    Map<String, UUID> seriesIds = new HashMap<>();
    for (String id : fresh.stream().map(ImportedSet::candidateId).distinct().toList()) {
      seriesIds.put(id, series.of(clientId, id, Required.entry(setups, id)));
    }
    List<ItemEntity> added = new ArrayList<>();
    List<PerformedSetEntity> rows = new ArrayList<>();
    for (ImportedSet importedSet : fresh) {
      UUID sessionId = Required.entry(days, importedSet.on()).getId();
      ItemEntity item =
          exercises.computeIfAbsent(
              sessionId + " " + importedSet.candidateId(),
              key -> {
                added.add(
                    new ItemEntity(
                        named("item " + key),
                        coach.id(),
                        sessionId,
                        counts.merge(sessionId, 1, Integer::sum),
                        importedSet.candidateId(),
                        Required.entry(setups, importedSet.candidateId()),
                        Required.entry(seriesIds, importedSet.candidateId()),
                        Asked.NOTHING,
                        noon(importedSet.on(), zone)));
                return added.get(added.size() - 1);
              });
      rows.add(
          new PerformedSetEntity(
              importedSet.id(),
              coach.id(),
              clientId,
              item,
              SetRegister.Stored.first(
                  new SetRegister.State<>(1, 0, FROM_ELSEWHERE, false, importedSet.set())),
              noon(importedSet.on(), zone)
                  .plusSeconds(180L * counts.merge(item.getId(), 1, Integer::sum))));
    }
    store(added, rows);
    return new ImportResult(rows.size(), (int) begun, known.size());
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
    all(sessions::findByCoachIdAndIdIn, List.copyOf(byId.keySet()))
        .forEach(entity -> days.put(byId.get(entity.getId()), entity));
    byId.forEach(
        (id, on) ->
            days.computeIfAbsent(
                on,
                day -> new SessionEntity(id, coach.id(), clientId, gymId, brief, noon(on, zone))));
    return days;
  }

  /** Rows by their ids, some thousand at a time. */
  private <T> List<T> all(BiFunction<UUID, Collection<UUID>, List<T>> query, List<UUID> ids) {
    List<T> found = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += CHUNK) {
      found.addAll(query.apply(coach.id(), ids.subList(from, Math.min(ids.size(), from + CHUNK))));
    }
    return found;
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
      String candidateId,
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
  public void importSessions(UUID clientId, List<ArchivedSession> all) {
    Set<UUID> inUse =
        new HashSet<>(
            all(
                (coachId, ids) -> sets.inUse(ids),
                all.stream()
                    .flatMap(session -> session.items().stream())
                    .flatMap(item -> item.sets().stream())
                    .map(ArchivedSet::id)
                    .toList()));
    List<SessionEntity> begun = new ArrayList<>();
    for (ArchivedSession archivedSession : all) {
      SessionEntity session =
          new SessionEntity(
              UUID.randomUUID(),
              coach.id(),
              clientId,
              archivedSession.gymId(),
              archivedSession.brief(),
              archivedSession.createdAt());
      archivedSession.finishedAt().ifPresent(session::finish);
      begun.add(session);
    }
    sessions.saveAllAndFlush(begun); // before any of their exercises
    Map<String, UUID> seriesIds = new HashMap<>();
    List<ItemEntity> added = new ArrayList<>();
    List<PerformedSetEntity> rows = new ArrayList<>();
    for (int n = 0; n < all.size(); n++) {
      ArchivedSession archivedSession = all.get(n);
      SessionEntity session = begun.get(n);
      for (int k = 0; k < archivedSession.items().size(); k++) {
        ArchivedItem archivedItem = archivedSession.items().get(k);
        UUID seriesId =
            seriesIds.computeIfAbsent(
                archivedItem.candidateId() + new TreeMap<>(archivedItem.setup()),
                text -> series.of(clientId, archivedItem.candidateId(), archivedItem.setup()));
        ItemEntity item =
            new ItemEntity(
                UUID.randomUUID(),
                coach.id(),
                session.getId(),
                k + 1,
                archivedItem.candidateId(),
                archivedItem.setup(),
                seriesId,
                archivedItem.asked(),
                archivedSession.createdAt());
        if (archivedItem.ended()) {
          item.end();
        }
        added.add(item);
        for (ArchivedSet set : archivedItem.sets()) {
          UUID id = inUse.add(set.id()) ? set.id() : UUID.randomUUID();
          rows.add(
              new PerformedSetEntity(
                  id,
                  coach.id(),
                  clientId,
                  item,
                  SetRegister.Stored.first(
                      new SetRegister.State<>(1, 0, FROM_ELSEWHERE, false, set.set())),
                  set.performedAt()));
        }
      }
    }
    store(added, rows);
  }

  private void store(List<ItemEntity> exercises, List<PerformedSetEntity> rows) {
    items.saveAllAndFlush(exercises);
    for (int from = 0; from < rows.size(); from += CHUNK) {
      sets.saveAllAndFlush(rows.subList(from, Math.min(rows.size(), from + CHUNK)));
      entities.clear();
    }
  }

  private static UUID named(String of) {
    return UUID.nameUUIDFromBytes(of.getBytes(StandardCharsets.UTF_8));
  }
}
