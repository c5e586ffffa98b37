package istmo.app.record.persistence;

import istmo.app.record.Taken;
import istmo.core.record.Lesson;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * What the coach made of a lesson: one answer for each kind and subject of a client, the newest.
 */
@Entity
@Table(name = "lesson_answer")
public class LessonAnswerEntity {
  @Id private UUID id;
  private UUID coachId;
  private UUID clientId;

  @Enumerated(EnumType.STRING)
  private Lesson.Kind kind;

  private String subject;
  private boolean accepted;

  @Enumerated(EnumType.STRING)
  private Lesson.Act act;

  private String words;
  private Instant answeredAt;

  protected LessonAnswerEntity() {}

  /** What a coach made of a lesson of a client's record. */
  public LessonAnswerEntity(
      UUID id, UUID coachId, UUID clientId, Lesson.Kind kind, String subject) {
    this.id = id;
    this.coachId = coachId;
    this.clientId = clientId;
    this.kind = kind;
    this.subject = subject;
  }

  /** Dismissed where no proposal is taken. */
  public void write(Optional<Taken> taken, Instant at) {
    accepted = taken.isPresent();
    act = taken.map(Taken::act).orElse(null);
    words = taken.map(Taken::words).orElse(null);
    answeredAt = at;
  }

  public UUID getClientId() {
    return clientId;
  }

  public UUID getId() {
    return id;
  }

  public Lesson.Kind getKind() {
    return kind;
  }

  public String getSubject() {
    return subject;
  }

  /** The proposal that was accepted; empty where the lesson was put aside. */
  public Optional<Taken> taken() {
    return accepted ? Optional.of(new Taken(act, words)) : Optional.empty();
  }

  public Instant getAnsweredAt() {
    return answeredAt;
  }
}
