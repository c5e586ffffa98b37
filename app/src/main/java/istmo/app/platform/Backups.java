package istmo.app.platform;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * How old the newest good backup is. {@code scripts/pg.sh} writes a file into the folder only when
 * it can be read again, and marks when one was last restored for a try.
 */
@Component
public class Backups implements HealthIndicator, MeterBinder {
  /** One is written every night; after a day and a half a night was missed. */
  static final Duration LATE = Duration.ofHours(36);

  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

  private final String folder;
  private final Path tried;
  private final Clock clock;
  private final Instant started;

  /**
   * @param folder where the starter writes backups; blank where nothing is backed up, as in the
   *     demo
   * @param database where the database lives; the mark of the last try is there
   */
  Backups(
      @Value("${istmo.backups}") String folder,
      @Value("${istmo.disk.folder:.}") String database,
      Clock clock) {
    this.folder = folder;
    this.tried = Path.of(database).resolve("tried");
    this.clock = clock;
    this.started = clock.instant();
  }

  /**
   * What is there.
   *
   * @param last when the newest was written; empty where there is none
   * @param tried when one was last restored for a try; empty where none was
   * @param late whether a night was missed
   */
  public record State(Optional<Instant> last, Optional<Instant> tried, boolean late) {}

  /** What is there now; empty where nothing is backed up. */
  public Optional<State> now() {
    if (folder.isBlank()) {
      return Optional.empty();
    }
    Optional<Instant> last = newest(Path.of(folder));
    boolean late = last.orElse(started).isBefore(clock.instant().minus(LATE));
    return Optional.of(new State(last, written(tried), late));
  }

  @Override
  public Health health() {
    Health.Builder page = Health.up();
    now()
        .ifPresent(
            state -> {
              state.last().ifPresent(last -> page.withDetail("last", last.toString()));
              state.tried().ifPresent(moment -> page.withDetail("restored", moment.toString()));
              page.withDetail("late", state.late());
            });
    return page.build();
  }

  @Override
  public void bindTo(MeterRegistry figures) {
    figures.gauge("istmo.backup.age.seconds", this, Backups::ageS);
  }

  /** Age of the newest backup, s; not a number where there is none. */
  double ageS() {
    return now()
        .flatMap(State::last)
        .map(last -> (double) Duration.between(last, clock.instant()).toSeconds())
        .orElse(Double.NaN);
  }

  private static Optional<Instant> newest(Path folder) {
    Optional<Instant> newest = Optional.empty();
    try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, "istmo-*.dump")) {
      for (Path file : files) {
        Optional<Instant> moment = written(file);
        if (moment.isPresent() && moment.get().isAfter(newest.orElse(Instant.MIN))) {
          newest = moment;
        }
      }
    } catch (IOException e) {
      LOG.warn("the folder of backups cannot be read", e);
    }
    return newest;
  }

  private static Optional<Instant> written(Path file) {
    try {
      return Optional.of(Files.getLastModifiedTime(file).toInstant());
    } catch (IOException e) {
      return Optional.empty();
    }
  }
}
