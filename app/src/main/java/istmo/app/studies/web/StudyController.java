package istmo.app.studies.web;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.evidence.Claim;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Point;
import istmo.core.evidence.Posterior;
import istmo.core.evidence.Studies;
import istmo.core.evidence.Verdict;
import istmo.core.words.EvidenceWords;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the trade says, what studies found, and what the figures make of both. */
@RestController
class StudyController {
  private final Schools schools;

  StudyController(Schools schools) {
    this.schools = schools;
  }

  /**
   * A finding; from memory, as all are. setUpA, setUpB: what stands for the conditions in the
   * catalogue, in words. notUsed: why it is only shown.
   */
  record FindingView(
      String id,
      String citation,
      String how,
      @MayBeMissing Double weeks,
      @MayBeMissing Double people,
      String population,
      String conditionA,
      String conditionB,
      @MayBeMissing String setUpA,
      @MayBeMissing String setUpB,
      String region,
      String site,
      String measure,
      @MayBeMissing Double resultA,
      @MayBeMissing Double resultB,
      Finding.Direction direction,
      String note,
      Finding.Memory memory,
      String caution,
      @MayBeMissing String notUsed) {
    static FindingView of(Finding finding) {
      return new FindingView(
          finding.id(),
          finding.citation(),
          finding.how().label(),
          finding.weeks().isPresent() ? finding.weeks().getAsDouble() : null,
          finding.people().isPresent() ? finding.people().getAsDouble() : null,
          finding.population(),
          finding.conditionA(),
          finding.conditionB(),
          finding.setUpA().map(EvidenceWords::of).orElse(null),
          finding.setUpB().map(EvidenceWords::of).orElse(null),
          finding.regionWords(),
          finding.site(),
          finding.measure(),
          finding.resultA().isPresent() ? finding.resultA().getAsDouble() : null,
          finding.resultB().isPresent() ? finding.resultB().getAsDouble() : null,
          finding.direction(),
          finding.note(),
          finding.memory(),
          finding.caution(),
          finding.notUsed().orElse(null));
    }
  }

  /** ln of how much more the first side gives: mean and 80 % interval. */
  record ClaimChangeView(double mean, double low, double high) {
    static ClaimChangeView of(Posterior.Estimate estimate) {
      return new ClaimChangeView(
          Rounded.of(estimate.mean()), Rounded.of(estimate.low()), Rounded.of(estimate.high()));
    }
  }

  /** One side of a claim: a candidate and its set-up, to be put on the bench. */
  record ClaimSideView(CandidateId candidateId, String words, Map<String, Double> setup) {
    static ClaimSideView of(Point point) {
      return new ClaimSideView(
          point.candidateId(), EvidenceWords.of(point), point.setup().values());
    }
  }

  /**
   * word: supported, leaning, no difference to be seen, mechanics say otherwise, contradicted or
   * untested. against: id of the claim that says the opposite. alike: changes within so much either
   * way are none. Findings by id.
   */
  record ClaimView(
      String id,
      String topic,
      String says,
      List<String> regionIds,
      @MayBeMissing ClaimSideView first,
      @MayBeMissing ClaimSideView second,
      @MayBeMissing Finding.Direction expects,
      @MayBeMissing String against,
      Verdict.Word verdict,
      String word,
      @MayBeMissing ClaimChangeView mechanics,
      @MayBeMissing ClaimChangeView both,
      double alike,
      List<String> supporting,
      List<String> opposing,
      List<String> bearing,
      String why,
      String note) {
    static ClaimView of(Verdict verdict) {
      Claim claim = verdict.claim();
      return new ClaimView(
          claim.id(),
          claim.topic(),
          claim.says(),
          Region.ids(claim.regions()),
          claim.sides().map(sides -> ClaimSideView.of(sides.first())).orElse(null),
          claim.sides().map(sides -> ClaimSideView.of(sides.second())).orElse(null),
          claim.expects().orElse(null),
          claim.against().orElse(null),
          verdict.word(),
          verdict.word().label(),
          verdict.mechanics().map(ClaimChangeView::of).orElse(null),
          verdict.both().map(ClaimChangeView::of).orElse(null),
          Verdict.MARGIN,
          ids(verdict.supporting()),
          ids(verdict.opposing()),
          ids(verdict.bearing()),
          EvidenceWords.of(verdict),
          claim.note());
    }

    private static List<String> ids(List<Finding> findings) {
      return findings.stream().map(Finding::id).toList();
    }
  }

  /**
   * Every finding that the order is weighed with: citation, design, people, direction and size, and
   * how the computation stands to it.
   */
  @GetMapping("/api/studies")
  List<FindingView> studies() {
    return Studies.standard().all().stream().map(FindingView::of).toList();
  }

  /** The verdicts by a school; without one, by the default. */
  @GetMapping("/api/claims")
  List<ClaimView> claims(@RequestParam(required = false) String school) {
    return Verdict.all(Evidence.of(schools.get(school)).posterior()).stream()
        .map(ClaimView::of)
        .toList();
  }
}
