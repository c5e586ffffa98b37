package istmo.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The newest backup counts, a night that was missed is said, and no folder is no fault. */
class BackupsTest {
  private static final Instant NIGHT = Instant.parse("2026-03-02T03:31:00Z");

  private static Backups at(Path folder, Instant now) {
    return new Backups(folder.toString(), folder.toString(), Clock.fixed(now, ZoneOffset.UTC));
  }

  private static void written(Path file, Instant moment) throws IOException {
    Files.writeString(file, "rows");
    Files.setLastModifiedTime(file, FileTime.from(moment));
  }

  @Test
  void theNewestWholeBackupCounts(@TempDir Path folder) throws IOException {
    written(folder.resolve("istmo-2026-03-01.dump"), NIGHT.minus(Duration.ofDays(1)));
    written(folder.resolve("istmo-2026-03-02.dump"), NIGHT);
    written(folder.resolve("istmo-2026-03-03.dump.aB3xYz.part"), NIGHT.plus(Duration.ofDays(1)));
    written(folder.resolve("tried"), NIGHT.minus(Duration.ofDays(3)));
    Backups backups = at(folder, NIGHT.plus(Duration.ofHours(20)));
    assertThat(backups.now())
        .hasValueSatisfying(
            state -> {
              assertThat(state.last()).contains(NIGHT);
              assertThat(state.tried()).contains(NIGHT.minus(Duration.ofDays(3)));
              assertThat(state.late()).isFalse();
            });
    assertThat(backups.ageS()).isEqualTo(20 * 3600.0);
    assertThat(backups.health().getDetails())
        .isEqualTo(
            Map.of(
                "last", "2026-03-02T03:31:00Z", "restored", "2026-02-27T03:31:00Z", "late", false));
  }

  @Test
  void aMissedNightIsLate(@TempDir Path folder) throws IOException {
    written(folder.resolve("istmo-2026-03-02.dump"), NIGHT);
    assertThat(at(folder, NIGHT.plus(Duration.ofHours(37))).now())
        .hasValueSatisfying(state -> assertThat(state.late()).isTrue());
  }

  /** A server that has just been set up has none yet; one without a folder has none to have. */
  @Test
  void nothingYetIsNotLateAndNoFolderIsNothing(@TempDir Path folder) {
    assertThat(at(folder, NIGHT).now())
        .hasValueSatisfying(
            state -> {
              assertThat(state.last()).isEmpty();
              assertThat(state.late()).isFalse();
            });
    Backups none = new Backups("", ".", Clock.fixed(NIGHT, ZoneOffset.UTC));
    assertThat(none.now()).isEmpty();
    assertThat(none.health().getDetails()).isEmpty();
    assertThat(none.ageS()).isNaN();
  }
}
