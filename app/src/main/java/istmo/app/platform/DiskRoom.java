package istmo.app.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Whether the disk has room for more. A full disk stops the database in the middle of whatever it
 * does; so nothing new is taken in while there is still room for it to end in order. What a device
 * could not send it keeps.
 */
@Component
final class DiskRoom {
  static final String WORDS =
      "The server's disk is nearly full, so nothing new can be kept there. What you typed is kept"
          + " here; send it again once room was made.";

  private static final Logger LOG = LoggerFactory.getLogger(DiskRoom.class);
  private static final Duration LOOKS_EVERY = Duration.ofSeconds(5);

  /** What is asked with a body and keeps nothing: how such addresses begin, and how they end. */
  private static final List<String> ONLY_COMPUTE =
      List.of(
          "/api/orders",
          "/api/bench",
          "/api/analyses",
          "/api/comparisons",
          "/api/starts",
          "/api/gadget-links",
          "/api/account/");

  private static final List<String> ONLY_LOOK =
      List.of("/preview", "/fit", "/read", "/front", "/film", "/prescriptions");

  private final Path folder;
  private final long leastBytes;
  private final Clock clock;
  private Instant lookedAt = Instant.EPOCH;
  private boolean full;

  /**
   * @param folder where the database lives; the working folder where it is not said
   * @param leastMb room below which nothing new is taken in, MB
   */
  DiskRoom(
      @Value("${istmo.disk.folder:.}") String folder,
      @Value("${istmo.disk.least-mb}") long leastMb,
      Clock clock) {
    this.folder = Path.of(folder.isBlank() ? "." : folder);
    this.leastBytes = leastMb << 20;
    this.clock = clock;
  }

  /** Whether a request would bring something new while there is no room for it. */
  boolean refuses(String method, String path) {
    boolean brings =
        (method.equals("POST") || method.equals("PUT"))
            && path.startsWith("/api/")
            && ONLY_COMPUTE.stream().noneMatch(path::startsWith)
            && ONLY_LOOK.stream().noneMatch(path::endsWith);
    return brings && isFull();
  }

  private synchronized boolean isFull() {
    Instant now = clock.instant();
    if (Duration.between(lookedAt, now).abs().compareTo(LOOKS_EVERY) >= 0) {
      lookedAt = now;
      boolean before = full;
      full = freeBytes() < leastBytes;
      if (full && !before) {
        LOG.error("the disk is nearly full: nothing new is taken in");
      }
    }
    return full;
  }

  private long freeBytes() {
    try {
      return Files.getFileStore(folder).getUsableSpace();
    } catch (IOException e) {
      LOG.warn("how much room the disk has is not known", e);
      return Long.MAX_VALUE;
    }
  }
}
