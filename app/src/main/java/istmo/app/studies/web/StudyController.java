package istmo.app.studies.web;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.evidence.Claim;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Point;
import istmo.core.evidence.Posterior;
import istmo.core.evidence.Studies;
import istmo.core.evidence.Verdict;
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
    static FindingView of(Finding f) {
      return new FindingView(
          f.id(),
          f.citation(),
          f.how().label(),
          f.weeks().isPresent() ? f.weeks().getAsDouble() : null,
          f.people().isPresent() ? f.people().getAsDouble() : null,
          f.population(),
          f.conditionA(),
          f.conditionB(),
          f.setUpA().map(Point::words).orElse(null),
          f.setUpB().map(Point::words).orElse(null),
          f.regionWords(),
          f.site(),
          f.measure(),
          f.resultA().isPresent() ? f.resultA().getAsDouble() : null,
          f.resultB().isPresent() ? f.resultB().getAsDouble() : null,
          f.direction(),
          f.note(),
          f.memory(),
          f.caution(),
          f.notUsed().orElse(null));
    }
  }

  /** ln of how much more the first side gives: mean and 80 % interval. */
  record ClaimChangeView(double mean, double low, double high) {
    static ClaimChangeView of(Posterior.Estimate e) {
      return new ClaimChangeView(Rounded.of(e.mean()), Rounded.of(e.low()), Rounded.of(e.high()));
    }
  }

  /** One side of a claim: a candidate and its set-up, to be put on the bench. */
  record ClaimSideView(String candidateId, String words, Map<String, Double> setup) {
    static ClaimSideView of(Point p) {
      return new ClaimSideView(p.candidateId(), p.words(), p.setup().values());
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
    static ClaimView of(Verdict v) {
      Claim c = v.claim();
      return new ClaimView(
          c.id(),
          c.topic(),
          c.says(),
          c.regions(),
          c.sides().map(s -> ClaimSideView.of(s.first())).orElse(null),
          c.sides().map(s -> ClaimSideView.of(s.second())).orElse(null),
          c.expects().orElse(null),
          c.against().orElse(null),
          v.word(),
          v.word().label(),
          v.mechanics().map(ClaimChangeView::of).orElse(null),
          v.both().map(ClaimChangeView::of).orElse(null),
          Verdict.MARGIN,
          ids(v.supporting()),
          ids(v.opposing()),
          ids(v.bearing()),
          v.why(),
          c.note());
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
