package istmo.app.sessions.persistence;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Performed sets, always through their coach. */
public interface PerformedSetRepository extends JpaRepository<PerformedSetEntity, UUID> {
  List<PerformedSetEntity> findByCoachIdAndItemIdInAndRemovedFalseOrderByPerformedAtAscIdAsc(
      UUID coachId, Collection<UUID> itemIds);

  /**
   * Locked until the transaction ends, so that two messages about one set come one after the other.
   */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<PerformedSetEntity> findByIdAndCoachId(UUID id, UUID coachId);

  boolean existsByCoachIdAndItemIdAndRemovedFalse(UUID coachId, UUID itemId);

  /** For each candidate, the item in which this client did it last before a moment. */
  @Query(
      nativeQuery = true,
      value =
          """
          select distinct on (candidate_id) item_id from performed_set
          where not removed and coach_id = :coachId and client_id = :clientId
            and candidate_id in (:candidateIds) and performed_at < :before
            and item_id not in (:without)
          order by candidate_id, performed_at desc
          """)
  List<UUID> lastItems(
      UUID coachId,
      UUID clientId,
      Collection<String> candidateIds,
      Instant before,
      Collection<UUID> without);

  /** Which of these ids a client has already. */
  @Query(
      "select p.id from PerformedSetEntity p where p.coachId = :coachId and p.clientId = :clientId"
          + " and p.id in :ids")
  List<UUID> known(UUID coachId, UUID clientId, Collection<UUID> ids);

  /** Which of these ids any set has, whosesoever: a set from elsewhere needs a free one. */
  @Query("select p.id from PerformedSetEntity p where p.id in :ids")
  List<UUID> inUse(Collection<UUID> ids);

  /** Sets of some series from a moment on, oldest first. */
  @Query(
      "select p from PerformedSetEntity p where p.coachId = :coachId and p.seriesId in :seriesIds"
          + " and p.removed = false and p.performedAt >= :from order by p.performedAt, p.id")
  List<PerformedSetEntity> inSeries(UUID coachId, Collection<UUID> seriesIds, Instant from);

  /** Every set of some clients from a moment on, oldest first. */
  @Query(
      "select p from PerformedSetEntity p where p.coachId = :coachId and p.clientId in :clientIds"
          + " and p.removed = false and p.performedAt >= :from order by p.performedAt, p.id")
  List<PerformedSetEntity> since(UUID coachId, Collection<UUID> clientIds, Instant from);

  /** Whether a client said in any set since a moment where it was felt, or that it hurt. */
  @Query(
      "select count(p) > 0 from PerformedSetEntity p where p.coachId = :coachId"
          + " and p.clientId = :clientId and (p.felt is not null or p.pain is not null)"
          + " and p.removed = false and p.performedAt >= :from")
  boolean told(UUID coachId, UUID clientId, Instant from);

  /** Sets of all clients of a coach in which it was said where they were felt, since a moment. */
  @Query(
      "select p from PerformedSetEntity p where p.coachId = :coachId and p.felt is not null and"
          + " p.removed = false and p.performedAt >= :from")
  List<PerformedSetEntity> felt(UUID coachId, Instant from);

  /** What a list of series shows of one. */
  interface Line {
    UUID getSeriesId();

    String getCandidateId();

    long getOutings();

    long getSets();

    Instant getFirstAt();

    Instant getLastAt();
  }

  /** Every series of a client, the one trained last first. */
  @Query(
      nativeQuery = true,
      value =
          """
          select series_id as "seriesId", min(candidate_id) as "candidateId",
            count(distinct item_id) as outings, count(*) as sets,
            min(performed_at) as "firstAt", max(performed_at) as "lastAt"
          from performed_set where coach_id = :coachId and client_id = :clientId and not removed
          group by series_id order by max(performed_at) desc, series_id
          """)
  List<Line> lines(UUID coachId, UUID clientId);

  /** Sets that are alike in what they count, of one week. */
  interface WeekCount {
    /** Which of the starts asked for it follows, 1 the first. */
    int getWeek();

    String getCandidateId();

    double getReserve();

    String getKind();

    String getSide();

    long getSets();
  }

  /** Sets of a client by week, from the first of some starts on (a PostgreSQL array of times). */
  @Query(
      nativeQuery = true,
      value =
          """
          select width_bucket(performed_at, cast(:starts as timestamptz[])) as week,
            candidate_id as "candidateId", reserve, kind, side, count(*) as sets
          from performed_set where coach_id = :coachId and client_id = :clientId and not removed
            and performed_at >= (cast(:starts as timestamptz[]))[1]
          group by 1, 2, 3, 4, 5 order by 1, 2
          """)
  List<WeekCount> weeks(UUID coachId, UUID clientId, String starts);
}
