package istmo.app.accounts.web;

import istmo.app.platform.NotFound;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/**
 * Where a coach is signed in. A session is named by a hash of its id, so that the id itself never
 * leaves the cookie.
 */
@Component
class SignedInSessions {
  static final String DEVICE = "device";
  private static final int HANDLE_BYTES = 12;
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  SignedInSessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.sessions = sessions;
  }

  /**
   * @param device what the browser said of itself
   */
  record SignedIn(String handle, boolean current, String device, Instant since, Instant lastUsed) {}

  /** Newest use first. */
  List<SignedIn> of(UUID coachId, String currentId) {
    return sessions.findByPrincipalName(coachId.toString()).values().stream()
        .map(
            s ->
                new SignedIn(
                    handle(s.getId()),
                    s.getId().equals(currentId),
                    s.<String>getAttributeOrDefault(DEVICE, "unknown"),
                    s.getCreationTime(),
                    s.getLastAccessedTime()))
        .sorted(Comparator.comparing(SignedIn::lastUsed).reversed())
        .toList();
  }

  void end(UUID coachId, String handle) {
    Session found =
        sessions.findByPrincipalName(coachId.toString()).values().stream()
            .filter(s -> handle(s.getId()).equals(handle))
            .findFirst()
            .orElseThrow(() -> new NotFound("session"));
    sessions.deleteById(found.getId());
  }

  void endOthers(UUID coachId, String currentId) {
    sessions.findByPrincipalName(coachId.toString()).keySet().stream()
        .filter(id -> !id.equals(currentId))
        .forEach(sessions::deleteById);
  }

  private static String handle(String id) {
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(id.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(hash, 0, HANDLE_BYTES);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
