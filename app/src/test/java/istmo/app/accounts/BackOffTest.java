package istmo.app.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BackOffTest {
  @ParameterizedTest
  @CsvSource({
    "0, 0",
    "4, 0",
    "5, 2",
    "6, 4",
    "7, 8",
    "13, 512",
    "14, 900",
    "40, 900",
    "1000000, 900"
  })
  void waitsGrowAndEnd(int failures, long seconds) {
    assertThat(BackOff.after(failures)).hasSeconds(seconds);
  }
}
