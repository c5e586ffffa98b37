package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FindingTest {
  /** A coach reads of which muscles coaches agree, and not of others. */
  @Test
  void regionsAreCalledByTheirOwnNames() {
    assertThat(words("P015")).isEqualTo("side glute and deep side glute");
    assertThat(words("P021")).isEqualTo("hamstrings that cross the hip");
    assertThat(words("P031")).isEqualTo("vasti");
    assertThat(words("P166")).isEqualTo("quads");
    assertThat(words("P011")).isEqualTo("middle glute and lower glute (tie-in)");
    assertThat(words("P185")).isEqualTo("gluteus maximus and hamstrings that cross the hip");
  }

  private static String words(String id) {
    return CommonPractice.standard().all().stream()
        .filter(finding -> finding.id().equals(id))
        .findFirst()
        .orElseThrow()
        .regionWords();
  }
}
