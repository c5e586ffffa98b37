package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.evidence.Finding.Direction;
import istmo.core.evidence.Posterior.Estimate;
import istmo.core.evidence.Verdict.Word;
import istmo.core.stimulus.School;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class VerdictTest {
  private static final Map<String, Verdict> VERDICTS =
      Verdict.all(Posterior.of(School.STRETCH)).stream()
          .collect(Collectors.toMap(verdict -> verdict.claim().id(), Function.identity()));

  /** Nothing is supported and nothing contradicted by mechanics alone. */
  @ParameterizedTest
  @CsvSource({
    "MORE,  0.5, 0.10, true,  false, SUPPORTED",
    "MORE,  0.5, 0.10, false, false, LEANING",
    "MORE,  0.2, 0.20, true,  false, LEANING",
    "MORE,  0.0, 0.05, true,  false, NO_DIFFERENCE",
    "MORE, -0.4, 0.10, false, true,  CONTRADICTED",
    "MORE, -0.4, 0.10, true,  true,  CONTRADICTED",
    "MORE, -0.4, 0.10, true,  false, OTHERWISE",
    "MORE, -0.4, 0.10, false, false, OTHERWISE",
    "LESS, -0.5, 0.10, true,  false, SUPPORTED",
    "LESS,  0.4, 0.10, false, true,  CONTRADICTED",
    "LESS,  0.4, 0.10, false, false, OTHERWISE",
    "ALIKE, 0.0, 0.05, true,  false, SUPPORTED",
    "ALIKE, 0.0, 0.05, false, false, LEANING",
    "ALIKE, 0.5, 0.10, false, true,  CONTRADICTED",
    "ALIKE, 0.5, 0.10, true,  false, OTHERWISE",
  })
  void aVerdictFollowsTheFigures(
      Direction expects, double mean, double sd, boolean found, boolean opposed, Word word) {
    assertThat(Verdict.byFigures(expects, new Estimate(mean, sd), found, opposed)).isEqualTo(word);
  }

  /** Of which the studies leave little doubt. */
  @ParameterizedTest
  @CsvSource({
    "curl-seated, SUPPORTED", // Maeo et al. 2021
    "squat-deep-glutes, SUPPORTED", // Kubo et al. 2019
    "thrust-spares-quads, SUPPORTED", // Plotkin et al. 2023
    "calf-straight, SUPPORTED", // Kinoshita et al. 2023 and others
    "extension-rectus, SUPPORTED", // Zabaleta-Korta et al. 2021
    "squat-all-quads, CONTRADICTED",
    "unstable-more, CONTRADICTED", // Behm et al. 2002
    "load-light, SUPPORTED", // Schoenfeld et al. 2017
    "calf-top-squeeze, CONTRADICTED", // Kassiano et al. 2023
    "squat-hormones, UNTESTED",
    "curl-toes-out, LEANING",
  })
  void whatStudiesLeaveLittleDoubtOf(String claim, Word word) {
    assertThat(VERDICTS.get(claim).word()).isEqualTo(word);
  }

  @Test
  void oppositeClaimsAreNeverBothSupported() {
    assertThat(VERDICTS).hasSizeGreaterThanOrEqualTo(50);
    for (Verdict verdict : VERDICTS.values()) {
      verdict
          .claim()
          .against()
          .map(VERDICTS::get)
          .ifPresent(
              given ->
                  assertThat(List.of(verdict.word(), given.word()))
                      .as(verdict.claim().id())
                      .isNotEqualTo(List.of(Word.SUPPORTED, Word.SUPPORTED)));
      assertThat(verdict.claim().sides().isPresent()).isEqualTo(verdict.both().isPresent());
      assertThat(Words.of(verdict)).isNotBlank();
    }
  }

  /** Health claims are never a verdict in favour. */
  @Test
  void claimsAboutHealthStayClaims() {
    List<Verdict> health =
        VERDICTS.values().stream()
            .filter(verdict -> verdict.claim().note().contains("never advice"))
            .toList();
    assertThat(health)
        .hasSizeGreaterThanOrEqualTo(4)
        .allSatisfy(verdict -> assertThat(verdict.word()).isEqualTo(Word.UNTESTED));
  }

  /**
   * Studies move the figures: the thrust's lead over the squat by activity shrinks where growth was
   * alike.
   */
  @Test
  void studiesNarrowTheFigures() {
    Verdict thrust = VERDICTS.get("thrust-best-glutes");
    assertThat(thrust.both().orElseThrow().sd())
        .isLessThan(0.7 * thrust.mechanics().orElseThrow().sd());
    assertThat(Math.abs(thrust.both().orElseThrow().mean())).isLessThan(0.2);
    assertThat(thrust.opposing()).extracting(Finding::id).contains("F022");
  }
}
