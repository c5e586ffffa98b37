package istmo.app.sessions.persistence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Series, always through their coach. */
public interface SeriesRepository extends JpaRepository<SeriesEntity, UUID> {
  /** Adds a series unless there is one for this client, candidate and set-up (as JSON). */
  @Modifying
  @Query(
      nativeQuery = true,
      value =
          "insert into series (id, coach_id, client_id, candidate_id, setup) values (:id, :coachId,"
              + " :clientId, :candidateId, cast(:setup as jsonb)) on conflict do nothing")
  void add(UUID id, UUID coachId, UUID clientId, String candidateId, String setup);

  /** The series of a client, candidate and set-up (as JSON). */
  @Query(
      nativeQuery = true,
      value =
          "select id from series where coach_id = :coachId and client_id = :clientId and"
              + " candidate_id = :candidateId and setup = cast(:setup as jsonb)")
  UUID find(UUID coachId, UUID clientId, String candidateId, String setup);

  List<SeriesEntity> findByCoachIdAndClientIdAndCandidateId(
      UUID coachId, UUID clientId, String candidateId);

  List<SeriesEntity> findByCoachIdAndClientId(UUID coachId, UUID clientId);

  List<SeriesEntity> findByCoachIdAndClientIdIn(UUID coachId, Collection<UUID> clientIds);

  List<SeriesEntity> findByCoachIdAndIdIn(UUID coachId, Collection<UUID> ids);

  Optional<SeriesEntity> findByIdAndCoachId(UUID id, UUID coachId);
}
