package istmo.app.accounts.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A coach's account. Without a password nobody can sign in to it by name. */
@Entity
@Table(name = "coach")
public class CoachEntity {
  @Id private UUID id;
  private String name;
  private String signInName;
  private String passwordHash;
  private Instant createdAt;
  private String timeZone = "UTC";

  protected CoachEntity() {}

  /** A coach who cannot sign in yet. */
  public CoachEntity(UUID id, String name, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.createdAt = createdAt;
  }

  public UUID getId() {
    return id;
  }

  public String getName() {
    return name;
  }

  public void setName(String newName) {
    name = newName;
  }

  public String getSignInName() {
    return signInName;
  }

  public String getPasswordHash() {
    return passwordHash;
  }

  /** Lets the coach sign in under a name with a password, of which only the hash is kept. */
  public void setPassword(String newSignInName, String newHash) {
    signInName = newSignInName;
    passwordHash = newHash;
  }

  public String getTimeZone() {
    return timeZone;
  }

  public void setTimeZone(String newZone) {
    timeZone = newZone;
  }

  public Instant getCreatedAt() {
    return createdAt;
  }
}
