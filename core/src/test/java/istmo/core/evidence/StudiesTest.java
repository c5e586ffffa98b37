package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.words.EvidenceWords;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the table of findings holds. */
class StudiesTest {
  @Test
  void thereAreEnoughFindingsAndEveryOneSaysWhyItIsNotUsed() {
    assertThat(Studies.standard().all()).hasSizeGreaterThanOrEqualTo(120);
    assertThat(Studies.standard().used()).hasSizeGreaterThan(100);
    Studies.standard()
        .all()
        .forEach(
            finding ->
                assertThat(finding.used() || finding.notUsed().orElseThrow().length() > 10)
                    .as(finding.id())
                    .isTrue());
    assertThat(Studies.standard().all())
        .filteredOn(
            finding -> finding.notUsed().filter(region -> region.contains("retracted")).isPresent())
        .extracting(Finding::used)
        .containsOnly(false);
    assertThat(Studies.standard().all().stream().filter(Finding::heldOut)).hasSize(9);
    List<String> setUps = new ArrayList<>();
    Studies.standard()
        .used()
        .forEach(finding -> setUps.add(EvidenceWords.of(finding.setUpA().orElseThrow())));
    assertThat(setUps).contains("Back squat, high bar, depth 105°");
  }
}
