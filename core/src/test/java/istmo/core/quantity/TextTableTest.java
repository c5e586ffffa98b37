package istmo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.resource.TextTable;
import org.junit.jupiter.api.Test;

class TextTableTest {
  @Test
  void tablesAreReadByColumnNameAndCommentsAreSkipped() {
    assertThat(TextTable.rows("anatomy/regions.csv"))
        .hasSize(25)
        .first()
        .satisfies(row -> assertThat(row.get("id") + " " + row.get("group")).isEqualTo("VL quads"))
        .satisfies(
            row ->
                assertThatThrownBy(() -> row.get("nothing"))
                    .hasMessageContaining("regions.csv line")
                    .hasMessageContaining("no column nothing"));
    assertThat(TextTable.entries("catalogue/leg-press.txt"))
        .anyMatch(entry -> entry.getKey().equals("family") && entry.getValue().equals("press"));
  }

  @Test
  void whatIsMissingOrCrookedSaysWhere() {
    assertThatThrownBy(() -> TextTable.lines("anatomy/nothing.csv"))
        .hasMessageContaining("anatomy/nothing.csv is missing");
    assertThatThrownBy(() -> TextTable.rows("catalogue/leg-press.txt"))
        .hasMessageContaining("leg-press.txt line")
        .hasMessageContaining("cells");
    assertThatThrownBy(() -> TextTable.entries("equipment/items.csv"))
        .hasMessageContaining("no colon");
  }
}
