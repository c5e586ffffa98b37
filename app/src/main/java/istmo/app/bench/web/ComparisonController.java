package istmo.app.bench.web;

import istmo.app.bench.Bench;
import istmo.app.platform.FactView;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.catalogue.CandidateId;
import istmo.core.evidence.Finding;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Alternative.Criterion;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.explanation.Comparison;
import istmo.core.ranking.explanation.ComparisonFact;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Two to four candidates of one client, point by point. */
@RestController
class ComparisonController {
  private final Bench bench;
  private final Schools schools;

  ComparisonController(Bench bench, Schools schools) {
    this.bench = bench;
    this.schools = schools;
  }

  /** Without a set-up, the usual one as far as this client takes it. */
  record MemberInput(CandidateId candidateId, Map<String, Double> setup) {}

  /** aim: region id to 1, 2 or 3; may be empty. members: two to four. */
  record ComparisonInput(
      UUID clientId,
      UUID gymId,
      Map<String, Integer> aim,
      Set<String> keepOut,
      String school,
      Boolean stiffToday,
      List<MemberInput> members) {}

  /**
   * value: stimulus by mechanics and studies; low and high: 80 % interval; chanceOfMost: share of
   * draws in which it gives most.
   */
  record MemberPointView(double value, double low, double high, double chanceOfMost) {}

  record RegionPointsView(String regionId, List<MemberPointView> members) {}

  record PracticalView(String criterion, String label, double value, FactView reason) {}

  /** betweenThem: its two conditions are two of the members; otherwise one is, or neither. */
  record InfluenceView(
      String findingId,
      String citation,
      String conditions,
      String region,
      String found,
      boolean betweenThem) {}

  /**
   * members: in the order asked; computed: places, among the members, of those that could be
   * computed: regions and practical are about these.
   */
  record ComparisonView(
      List<BenchController.SideView> members,
      List<Integer> computed,
      List<Double> repetitions,
      List<RegionPointsView> regions,
      List<List<PracticalView>> practical,
      List<FactView> differences,
      List<InfluenceView> studies) {}

  /**
   * Two or more exercises point by point, on one client; which gives most, and with what chance.
   */
  @PostMapping("/api/comparisons")
  ComparisonView compare(@RequestBody ComparisonInput input) {
    new Needed().field("clientId", input.clientId()).field("members", input.members()).check();
    if (input.members().size() < 2 || input.members().size() > Comparison.MOST) {
      throw new InvalidInput("members", "needs two to " + Comparison.MOST);
    }
    School school = schools.get(input.school());
    Aim aim =
        Aim.of(
            input.aim() == null ? Map.of() : input.aim(),
            input.keepOut() == null ? Set.of() : input.keepOut());
    List<Bench.SetupRequest> requests = requests(input);
    List<Bench.Side> sides = requests.stream().map(request -> bench.side(request, school)).toList();
    List<Integer> computed = new ArrayList<>();
    for (int k = 0; k < sides.size(); k++) {
      if (sides.get(k).analysis().isPresent()) {
        computed.add(k);
      }
    }
    Optional<Comparison> comparison = bench.comparison(sides, requests, aim, school);
    return new ComparisonView(
        sides.stream().map(side -> BenchController.view(side, school)).toList(),
        computed,
        sides.stream()
            .flatMap(side -> side.analysis().stream())
            .map(analysis -> Rounded.of(analysis.set().repetitions()))
            .toList(),
        comparison
            .map(told -> told.regions().stream().map(ComparisonController::points).toList())
            .orElse(List.of()),
        comparison
            .map(told -> told.criteria().stream().map(ComparisonController::practical).toList())
            .orElse(List.of()),
        comparison
            .map(told -> FactView.of(told.facts()))
            .orElse(List.of(FactView.of(new ComparisonFact.TooFewComputed()))),
        comparison
            .map(told -> told.studies().stream().map(ComparisonController::influence).toList())
            .orElse(List.of()));
  }

  private static List<Bench.SetupRequest> requests(ComparisonInput input) {
    return input.members().stream()
        .map(
            memberInput ->
                new Bench.SetupRequest(
                    input.clientId(),
                    Optional.ofNullable(input.gymId()),
                    Optional.ofNullable(memberInput.candidateId())
                        .orElseThrow(() -> new InvalidInput("members", "each needs candidateId")),
                    Optional.ofNullable(memberInput.setup()),
                    Boolean.TRUE.equals(input.stiffToday())))
        .toList();
  }

  private static RegionPointsView points(Comparison.Points points) {
    return new RegionPointsView(
        points.region().id(),
        points.members().stream()
            .map(
                member ->
                    new MemberPointView(
                        Rounded.of(member.value()),
                        Rounded.of(member.low()),
                        Rounded.of(member.high()),
                        Rounded.of(member.chanceOfMost())))
            .toList());
  }

  private static List<PracticalView> practical(List<Criterion> criteria) {
    return criteria.stream()
        .map(
            criterion ->
                new PracticalView(
                    criterion.id(),
                    criterion.label(),
                    Rounded.of(criterion.value()),
                    FactView.of(criterion.reason())))
        .toList();
  }

  private static InfluenceView influence(Comparison.Told told) {
    Finding finding = told.influence().finding();
    return new InfluenceView(
        finding.id(),
        finding.shortCitation() + ", " + finding.how().label(),
        finding.conditionA() + " against " + finding.conditionB(),
        finding.regionWords(),
        finding.direction().label(),
        told.betweenThem());
  }
}
