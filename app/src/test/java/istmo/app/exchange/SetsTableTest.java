package istmo.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.app.exchange.SetsTable.Days;
import istmo.app.exchange.SetsTable.Field;
import istmo.app.exchange.SetsTable.ReadingChoices;
import istmo.app.exchange.SetsTable.Row;
import istmo.app.exchange.SetsTable.Unit;
import istmo.core.body.Measurement.Side;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Spreadsheets as people keep them. */
class SetsTableTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 24);

  private static SetsTable read(String text) {
    return SetsTable.read(text, ReadingChoices.NOTHING);
  }

  /** The same three figures, 60 kg for 8 with 2 left on 24 November 2026, in many hands. */
  static Stream<Arguments> hands() {
    return Stream.of(
        Arguments.of("plain", "date,exercise,weight,reps,rir\n2026-11-24,Back squat,60,8,2\n"),
        Arguments.of(
            "semicolons and decimal commas",
            "Datum;Übung;Gewicht;Wdh;RIR\n24.11.2026;Back squat;60,0;8;2\n"),
        Arguments.of(
            "byte-order mark, tabs, capitals",
            "\uFEFFDATE\tEXERCISE\tWEIGHT (KG)\tREPS\tREPS IN RESERVE\n"
                + "2026/11/24\tBack squat\t60\t8\t2\n"),
        Arguments.of(
            "pounds in the header",
            "Date,Exercise Name,Weight (lb),Reps,RIR\n2026-11-24,Back squat,132.277,8,2\n"),
        Arguments.of(
            "pounds in the row",
            "date,exercise,load,reps,rir\n2026-11-24,Back squat,132.277 lbs,8,2\n"),
        Arguments.of(
            "a column of units",
            "date,exercise,load,unit,reps,rir\n2026-11-24,Back squat,132.277,lb,8,2\n"),
        Arguments.of("exertion", "date,exercise,load,reps,RPE\n2026-11-24,Back squat,60,8,8\n"),
        Arguments.of("month first", "date,exercise,load,reps,rir\n11/24/2026,Back squat,60,8,2\n"),
        Arguments.of(
            "moments, Windows lines, empty lines, quotes",
            "\"when\",\"lift\",\"kg\",\"rep\",\"rir\"\r\n\r\n"
                + "\"2026-11-24 18:05\",\"Back squat\",\"60\",\"8\",\"2\"\r\n"),
        Arguments.of(
            "pipes and other columns",
            "day|notes|movement|weight_kg|reps|in reserve\n"
                + "2026-11-24|felt good, no pain|Back squat|60|8|2\n"));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("hands")
  void handsAreRecognised(String what, String text) {
    SetsTable table = read(text);
    assertThat(table.faults()).isEmpty();
    assertThat(table.rows())
        .singleElement()
        .satisfies(
            row -> {
              assertThat(row.on()).isEqualTo(DAY);
              assertThat(row.exercise()).isEqualTo("Back squat");
              assertThat(row.set().done().loadKg()).isCloseTo(60, within(0.001));
              assertThat(row.set().done().repetitions()).isEqualTo(8);
              assertThat(row.set().done().reserve()).isEqualTo(2);
            });
  }

  @Test
  void aRowMayCountAlikeSetsAndSidesAndBodyWeight() {
    SetsTable table =
        read(
            "date,exercise,weight,reps,sets,side\n"
                + "2026-11-24,Split squat,BW,10,3,left\n"
                + "2026-11-24,Split squat,,10,1,R\n");
    assertThat(table.rows())
        .hasSize(4)
        .extracting(row -> row.set().side())
        .containsExactly(Side.LEFT, Side.LEFT, Side.LEFT, Side.RIGHT);
    assertThat(table.rows())
        .allMatch(row -> row.set().done().loadKg() == 0 && row.set().done().reserve() == 0);
    assertThat(table.exercises()).isEqualTo(Map.of("Split squat", 4));
  }

  @Test
  void everyFaultHasItsLineAndColumn() {
    SetsTable table =
        read(
            "date,exercise,weight,reps,rir\n"
                + "2026-11-24,Back squat,60,8,2\n"
                + "2026-13-01,Back squat,60,8,2\n"
                + "2026-11-24,,sixty,8.5,30\n"
                + "2026-11-24,Back squat,60,,\n"
                + "2026-11-24,Back squat,5000,8,2\n");
    assertThat(table.faultCount()).isEqualTo(6);
    assertThat(table.faults())
        .extracting(InvalidInput.Fault::field)
        .containsExactly(
            "line 3, date",
            "line 4, exercise",
            "line 4, weight",
            "line 4, reps",
            "line 5, reps",
            "line 6, weight");
    assertThat(table.faults().get(2).message()).isEqualTo("\"sixty\" is no number");
    assertThat(table.faults().get(5).message()).contains("0 to 1000 kg");
    assertThat(table.rows()).extracting(Row::line).containsExactly(2);
  }

  @Test
  void signsBetweenThousandsAreNotGuessed() {
    assertThat(read("date;exercise;weight;reps\n2026-11-24;Leg press;1.200,5;8\n").faults())
        .singleElement()
        .satisfies(fault -> assertThat(fault.message()).contains("1.200,5"));
  }

  @Test
  void whatIsNotRecognisedCanBeSaid() {
    String text = "Quando,Cosa,Quanto,Volte\n03/04/2026,Squat,60,8\n";
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("columns: no column is known to hold date, exercise, repetitions")
        .hasMessageContaining("Quando");
    Map<Integer, Field> said =
        Map.of(0, Field.DATE, 1, Field.EXERCISE, 2, Field.LOAD, 3, Field.REPETITIONS);
    assertThat(
            SetsTable.read(text, new ReadingChoices(said, Optional.of(Unit.LB), Optional.empty()))
                .rows()
                .get(0)
                .set()
                .done()
                .loadKg())
        .isCloseTo(27.216, within(0.001));
    assertThat(
            SetsTable.read(text, new ReadingChoices(said, Optional.empty(), Optional.empty()))
                .rows()
                .get(0)
                .on())
        .as("day first where both could be")
        .isEqualTo(LocalDate.of(2026, 4, 3));
    assertThat(
            SetsTable.read(
                    text, new ReadingChoices(said, Optional.empty(), Optional.of(Days.MONTH_FIRST)))
                .rows()
                .get(0)
                .on())
        .isEqualTo(LocalDate.of(2026, 3, 4));
    assertThatThrownBy(
            () ->
                SetsTable.read(
                    text,
                    new ReadingChoices(
                        Map.of(0, Field.DATE, 1, Field.DATE), Optional.empty(), Optional.empty())))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("columns.1");
  }

  /** One later day decides between day and month first. */
  @Test
  void theWholeColumnDecidesHowDaysAreWritten() {
    assertThat(read("date,exercise,reps\n03/04/2026,Squat,8\n03/25/2026,Squat,8\n").rows())
        .extracting(Row::on)
        .containsExactly(LocalDate.of(2026, 3, 4), LocalDate.of(2026, 3, 25));
  }

  @ParameterizedTest
  @CsvSource({"'',needs a row", "'date,exercise,reps',needs a row", "'\"a,b\nc',needs a row"})
  void whatIsNoTableIsSaid(String text, String why) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("text");
  }

  @Test
  void aHundredThousandRowsAreRead() {
    StringBuilder text = new StringBuilder("date;exercise;weight;reps;rir\n");
    for (int k = 0; k < 100_000; k++) {
      text.append(LocalDate.of(2016, 1, 1).plusDays(k / 30))
          .append(";Back squat;")
          .append(40 + k % 60)
          .append(",5;")
          .append(5 + k % 10)
          .append(";2\n");
    }
    SetsTable table = read(text.toString());
    assertThat(table.faultCount()).isZero();
    assertThat(table.rows()).hasSize(100_000);
    assertThat(table.rows().get(99_999).set().done().loadKg()).isEqualTo(40.5 + 99_999 % 60);
  }
}
