package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.SameFigures;
import istmo.core.evidence.Posterior.Assumptions;
import istmo.core.stimulus.School;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * What the evidence is worth, measured: the block in docs/validation.md is what this finds today,
 * written with {@code mvn -pl core test -Dtest=EvidenceReportTest -Dvalidation.write=true}; and
 * floors under which no change may fall unseen.
 */
class EvidenceReportTest {
  private static final Path PAGE = Path.of("..", "docs", "validation.md");
  private static final String BEGIN = "<!-- evidence: written by EvidenceReportTest -->";
  private static final String END = "<!-- end of evidence -->";

  private static final School STRETCH = School.STRETCH;
  private static final Assumptions MECHANICS = Assumptions.USUAL;

  /** Studies alone: no mechanics, and exercises free to differ as much as they do by mechanics. */
  private static final Assumptions NO_MECHANICS = new Assumptions(false, 2.5, StudyNoise.SPREAD);

  private final Report report = new Report();

  @Test
  void whatTheEvidenceIsWorth() throws Exception {
    leaveOneStudyOut();
    heldOut();
    new SimulatedTruth(report).say();
    new FullDraws(report).say();
    new PerturbedWeights(report).say();
    claims();
    SameFigures.assertWritten(PAGE, BEGIN + "\n\n" + report + END);
  }

  private void say(String format, Object... values) {
    report.say(format, values);
  }

  // leave one study out

  private static boolean predicted(Finding finding, double mean) {
    return switch (finding.direction()) {
      case MORE, ONLY -> mean > 0;
      case LESS -> mean < 0;
      case ALIKE, NEITHER -> Math.abs(mean) <= StudyNoise.MARGIN;
    };
  }

  private void leaveOneStudyOut() {
    List<Finding> used = Studies.standard().used();
    Posterior none = new Posterior(STRETCH, List.of(), MECHANICS);
    Posterior allStudies = new Posterior(STRETCH, used, NO_MECHANICS);
    Posterior allBoth = new Posterior(STRETCH, used, MECHANICS);
    Map<String, int[]> tally = new TreeMap<>(); // hits of mechanics, studies, both, and how many
    int[] toldByOne = new int[2]; // directions that mechanics has right and both not; the reverse
    int ratios = 0;
    int held = 0;
    for (String citation : Studies.standard().citations()) {
      Posterior studies = allStudies.without(finding -> finding.citation().equals(citation));
      Posterior both = allBoth.without(finding -> finding.citation().equals(citation));
      for (Finding finding : used) {
        if (!finding.citation().equals(citation)) {
          continue;
        }
        boolean[] hit = {
          predicted(finding, none.difference(finding).mean()),
          predicted(finding, studies.difference(finding).mean()),
          predicted(finding, both.difference(finding).mean())
        };
        if (finding.hasRatio()) {
          Posterior.Estimate estimate = both.difference(finding);
          double sd = Math.hypot(estimate.sd(), both.noise(finding));
          double seen = StudyNoise.logRatio(finding) / StudyNoise.SLOPE;
          ratios++;
          held += Math.abs(seen - estimate.mean()) < 1.2816 * sd ? 1 : 0;
        }
        tally(tally, finding, hit);
        if (!finding.direction().alike() && hit[0] != hit[2]) {
          toldByOne[hit[0] ? 0 : 1]++;
        }
      }
    }
    say(
        "**Leave one study out.** Every study's findings predicted without it, %d findings of %d"
            + " studies in use. A direction is predicted when the sign is right; no difference when"
            + " the mean lies within ±%.0f %%.",
        used.size(), Studies.standard().citations().size(), 100 * StudyNoise.MARGIN);
    say("");
    say("| found | of | mechanics alone | studies alone | both |");
    say("|---|---|---|---|---|");
    tally.forEach(
        (key, t) ->
            say(
                "| %s, %s | %d | %d | %d | %d |",
                key.split("\\|")[0], key.split("\\|")[1].substring(2), t[3], t[0], t[1], t[2]));
    say("");
    say(
        "The 80 %% interval of a left-out ratio of growths, with the study's own noise, holds it in"
            + " %d of %d.",
        held, ratios);
    say("");
    directions(tally.get("direction|0 all"), toldByOne);
    assertThat(held / (double) ratios).isBetween(0.65, 0.95);
  }

  /**
   * Directions with studies beside those of mechanics alone and of studies alone.
   *
   * @param all hits of mechanics, studies, both, and how many
   * @param toldByOne right by mechanics and missed by both; the reverse
   */
  private void directions(int[] all, int[] toldByOne) {
    say(
        "Mechanics alone has %d directions right that it misses with studies; with studies it has"
            + " %d right that it misses alone. The difference of the two is chance while it is no"
            + " larger than the root of their sum (sign test).",
        toldByOne[0], toldByOne[1]);
    say("");
    assertThat(all[0] - all[2])
        .as("studies make directions no worse, beyond chance")
        .isLessThanOrEqualTo((int) Math.sqrt(toldByOne[0] + toldByOne[1]));
    assertThat(all[2]).as("nor does mechanics").isGreaterThanOrEqualTo(all[1]);
    assertThat(all[2] / (double) all[3]).isGreaterThan(0.75);
  }

  /** Counts what was predicted of a finding for its kind, way of measuring and group. */
  private static void tally(Map<String, int[]> tally, Finding finding, boolean[] hit) {
    String kind = finding.direction().alike() ? "no difference" : "direction";
    String how = finding.how().growth() ? "growth" : finding.how().label();
    String group = finding.regionsA().get(0).group().id();
    for (String key : List.of(kind + "|0 all", kind + "|1 " + how, kind + "|2 " + group)) {
      int[] t = tally.computeIfAbsent(key, text -> new int[4]);
      for (int m = 0; m < 3; m++) {
        t[m] += hit[m] ? 1 : 0;
      }
      t[3]++;
    }
  }

  private void heldOut() {
    Posterior none = new Posterior(STRETCH, List.of(), MECHANICS);
    Posterior all = Posterior.of(STRETCH);
    say(
        "**Held out.** Findings that were never used, nor looked at when anything was chosen: ln of"
            + " how much more the first gives.");
    say("");
    say("| study | what | region | found | mechanics | with studies | |");
    say("|---|---|---|---|---|---|---|");
    int hits = 0;
    for (Finding finding : Studies.standard().all()) {
      if (finding.heldOut()) {
        Posterior.Estimate estimate = none.difference(finding);
        Posterior.Estimate estimated = all.difference(finding);
        hits += predicted(finding, estimated.mean()) ? 1 : 0;
        say(
            "| %s | %s against %s | %s | %s | %.2f ± %.2f | %.2f ± %.2f | %s |",
            finding.shortCitation(),
            finding.conditionA(),
            finding.conditionB(),
            finding.regionWords(),
            finding.direction().label(),
            estimate.mean(),
            estimate.sd(),
            estimated.mean(),
            estimated.sd(),
            predicted(finding, estimated.mean()) ? "hit" : "**miss**");
      }
    }
    say("");
    assertThat(hits).isGreaterThanOrEqualTo(5);
  }

  private void claims() {
    Map<Verdict.Word, Long> words =
        Verdict.all(Posterior.of(STRETCH)).stream()
            .collect(Collectors.groupingBy(Verdict::word, TreeMap::new, Collectors.counting()));
    say(
        "**Claims of the trade**, %d: %s.",
        Claims.standard().all().size(),
        words.entrySet().stream()
            .map(entry -> entry.getValue() + " " + entry.getKey().label())
            .collect(Collectors.joining(", ")));
    say("");
  }
}
