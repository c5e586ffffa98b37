package istmo.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CellsTest {
  /**
   * What a program for spreadsheets would compute stands behind an apostrophe (common practice).
   */
  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '"',
      value = {
        "=1+1, '=1+1",
        "+49 30, '+49 30",
        "-5, '-5",
        "@here, '@here",
        "Leg press, Leg press",
        "'quoted', 'quoted'",
        "Oda's plan, Oda's plan"
      })
  void aCellIsTextAndIsReadAsItWas(String text, String cell) {
    assertThat(Cells.written(text)).isEqualTo(cell);
    assertThat(Cells.read(cell)).isEqualTo(text);
  }
}
