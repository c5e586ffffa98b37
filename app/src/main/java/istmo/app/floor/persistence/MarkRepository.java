package istmo.app.floor.persistence;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Marks, always through their coach. */
public interface MarkRepository extends JpaRepository<MarkEntity, UUID> {
  List<MarkEntity> findByCoachIdAndClientIdAndGymId(UUID coachId, UUID clientId, UUID gymId);

  List<MarkEntity> findByCoachIdAndClientId(UUID coachId, UUID clientId);

  /**
   * Client and gym must be the coach's own; of two messages the newer stays, whichever comes last.
   * Answers 0 where they are not, or where a newer one is there.
   */
  @Modifying
  @Query(
      nativeQuery = true,
      value =
          """
          insert into machine_mark
            (id, coach_id, client_id, gym_id, candidate_id, words, changed_at)
          select :id, :coachId, c.id, g.id, :candidateId, :words, :at
          from client c, gym g
          where c.id = :clientId and c.coach_id = :coachId
            and g.id = :gymId and g.coach_id = :coachId
          on conflict (coach_id, client_id, gym_id, candidate_id) do update
            set words = excluded.words, changed_at = excluded.changed_at
            where machine_mark.changed_at < excluded.changed_at
          """)
  int keep(
      UUID id,
      UUID coachId,
      UUID clientId,
      UUID gymId,
      String candidateId,
      String words,
      Instant at);
}
