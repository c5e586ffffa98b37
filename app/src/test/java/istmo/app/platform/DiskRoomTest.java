package istmo.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** On a disk without room nothing new is taken in; what only computes or takes away still works. */
class DiskRoomTest {
  /** More than any disk has. */
  private static final long MORE_THAN_THERE_IS_MB = Long.MAX_VALUE >> 21;

  @Test
  void withoutRoomOnlyWhatBringsSomethingIsRefused(@TempDir Path folder) {
    DiskRoom full = new DiskRoom(folder.toString(), MORE_THAN_THERE_IS_MB, Clock.systemUTC());
    assertThat(full.refuses("POST", "/api/clients")).isTrue();
    assertThat(full.refuses("POST", "/api/floor/changes")).isTrue();
    assertThat(full.refuses("PUT", "/api/weeks/1")).isTrue();
    assertThat(full.refuses("GET", "/api/clients")).isFalse();
    assertThat(full.refuses("DELETE", "/api/clients/1")).isFalse();
    assertThat(full.refuses("POST", "/api/orders")).isFalse();
    assertThat(full.refuses("POST", "/api/account/sign-in")).isFalse();
    assertThat(full.refuses("POST", "/api/clients/1/technique/read")).isFalse();
    assertThat(full.refuses("POST", "/api/clients/1/technique")).isTrue();
  }

  @Test
  void withRoomNothingIsRefusedAndAFolderThatIsNotThereRefusesNothing(@TempDir Path folder) {
    assertThat(new DiskRoom(folder.toString(), 0, Clock.systemUTC()).refuses("POST", "/api/gyms"))
        .isFalse();
    DiskRoom nowhere =
        new DiskRoom(
            folder.resolve("nowhere").toString(), MORE_THAN_THERE_IS_MB, Clock.systemUTC());
    assertThat(nowhere.refuses("POST", "/api/gyms")).isFalse();
  }
}
