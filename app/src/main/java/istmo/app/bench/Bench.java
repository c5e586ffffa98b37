package istmo.app.bench;

import istmo.app.catalogue.Variants;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.clients.Reports;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Transactions;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.TapelessStart;
import istmo.core.computing.Kept;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisResult;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.ranking.explanation.Comparison;
import istmo.core.ranking.setup.BestSetup;
import istmo.core.ranking.setup.Difference;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.training.LoadEstimate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * One or two set-ups on the bench: of one client before and after a move, or of two clients.
 * Nothing is stored.
 */
@Service
public class Bench {
  private static final int KEPT_SETS = 500;
  private static final GymEquipment GENERIC = GymEquipment.generic(Set.of());

  /**
   * What a set depends on.
   *
   * @param usual whether the set-up was begun with the usual one, so that straps may be put on
   * @param heaviestKg of the place's hand weights
   */
  private record Key(
      Body body,
      CandidateId candidateId,
      Map<String, Double> setup,
      boolean usual,
      double heaviestKg) {}

  /**
   * The start of a move stays the same while the hand moves, so it need not be computed again. May
   * be lost at any time.
   */
  private final Kept<Key, UsualSet> sets = Kept.atMost(KEPT_SETS);

  private final Clients clients;
  private final Gyms gyms;
  private final Variants variants;
  private final Reports reports;

  Bench(Clients clients, Gyms gyms, Variants variants, Reports reports) {
    this.clients = clients;
    this.gyms = gyms;
    this.variants = variants;
    this.reports = reports;
  }

  /**
   * What to put on the bench; without a set-up, the usual one on that gym's machines as far as this
   * client takes it. Without a gym, machines are generic.
   */
  public record SetupRequest(
      UUID clientId,
      Optional<UUID> gymId,
      CandidateId candidateId,
      Optional<Map<String, Double>> setup,
      boolean stiffToday) {}

  /**
   * One side of the bench.
   *
   * @param result the analysis, or why there is none
   * @param postures what can be shown of the repetition: all of it, or the part that is possible
   * @param changes what was changed of the usual set-up for this client
   * @param stimulus by region; empty where there is no analysis
   * @param measured parameters whose value is measured at this place
   * @param refusal why this client's cautions leave it out in this set-up, if they do
   * @param load a first load, once a lift is known; none for what is left out
   */
  public record Side(
      Client client,
      Body body,
      Candidate candidate,
      Setup setup,
      AnalysisResult result,
      List<Posture> postures,
      Optional<RegionValues> stimulus,
      List<Fact> changes,
      Set<String> measured,
      Optional<Cautions.Refusal> refusal,
      Optional<LoadEstimate> load) {
    /** The analysis; empty where the repetition cannot be done. */
    public Optional<Analysis> analysis() {
      return result instanceof Analysis analysis ? Optional.of(analysis) : Optional.empty();
    }
  }

  /** One side of the bench for a school; must not be asked for inside a transaction. */
  public Side side(SetupRequest request, School school) {
    return side(clients.get(request.clientId()), equipment(request.gymId()), request, school);
  }

  /** A start found without a tape. */
  public TapelessStart.Found start(
      UUID clientId,
      Optional<UUID> gymId,
      Optional<CandidateId> candidateId,
      boolean stiffToday,
      TapelessStart way,
      Map<String, Double> answers) {
    Body body = clients.get(clientId).body(stiffToday);
    return way.found(body, equipment(gymId), candidateId.map(variants::candidate), answers);
  }

  /**
   * The best set-up for an aim from the wished one, or from the usual one as far as this client
   * takes it.
   */
  public BestSetup.Best best(SetupRequest request, Aim aim, School school) {
    Client client = clients.get(request.clientId());
    GymEquipment equipment = equipment(request.gymId());
    return BestSetup.find(
        client.brief(equipment, aim, school, request.stiffToday()),
        variants.candidate(request.candidateId()),
        begun(client, equipment, request));
  }

  /** What one natural step of each control does there. */
  public BestSetup.Steps steps(SetupRequest request, Aim aim, School school) {
    Client client = clients.get(request.clientId());
    GymEquipment equipment = equipment(request.gymId());
    return BestSetup.steps(
        client.brief(equipment, aim, school, request.stiffToday()),
        variants.candidate(request.candidateId()),
        begun(client, equipment, request));
  }

  /** The usual set-up of a candidate at a place, as far as a client takes it. */
  public Setup usual(Client client, GymEquipment equipment, CandidateId candidateId) {
    return begun(
        client,
        equipment,
        new SetupRequest(client.id(), Optional.empty(), candidateId, Optional.empty(), false));
  }

  private Setup begun(Client client, GymEquipment equipment, SetupRequest request) {
    return set(
            client.body(request.stiffToday()),
            equipment,
            variants.candidate(request.candidateId()),
            request)
        .reach()
        .setup();
  }

  /**
   * The set in the wished set-up; or in the usual one as far as the body takes it, with straps
   * where the hands would end it, as in an order.
   */
  private UsualSet set(
      Body body, GymEquipment equipment, Candidate candidate, SetupRequest request) {
    Transactions.mustBeOutside("a set-up on the bench");
    Reach begun = started(body, equipment, candidate, request);
    return sets.get(
        new Key(
            body,
            candidate.id(),
            begun.setup().values(),
            request.setup().isEmpty(),
            UsualSet.heaviestKg(candidate, equipment)),
        key -> {
          Analyser analyser = new Analyser(body);
          return key.usual()
              ? UsualSet.withStrapsIfNeeded(begun, candidate, body, analyser, key.heaviestKg())
              : UsualSet.in(begun.setup(), candidate, body, analyser, key.heaviestKg());
        });
  }

  /**
   * The set-up to begin with: the wished one, or the usual one as far as the body takes it, with
   * what that changed.
   */
  private static Reach started(
      Body body, GymEquipment equipment, Candidate candidate, SetupRequest request) {
    Setup usual = candidate.usualFor(body, equipment);
    if (request.setup().isPresent()) {
      Map<String, Double> values = new LinkedHashMap<>(usual.values());
      values.putAll(request.setup().get());
      return new Reach(Setup.of(candidate.exercise().family().parameters(), values), List.of());
    }
    return candidate.reachFor(body, equipment).orElse(new Reach(usual, List.of()));
  }

  private GymEquipment equipment(Optional<UUID> gymId) {
    return gymId.map(id -> gyms.get(id).equipment()).orElse(GENERIC);
  }

  /** The same for a client and a place that are at hand. */
  public Side side(Client client, GymEquipment equipment, SetupRequest request, School school) {
    Body body = client.body(request.stiffToday());
    Candidate candidate = variants.candidate(request.candidateId());
    Exercise exercise = candidate.exercise();
    UsualSet set = set(body, equipment, candidate, request);
    Setup setup = set.reach().setup();
    Set<String> measured = new TreeSet<>(equipment.measuredOf(candidate.needs()).keySet());
    measured.retainAll(setup.values().keySet());
    AnalysisResult result = set.result();
    if (result instanceof Analysis analysis) {
      Optional<Cautions.Refusal> refusal =
          Admission.refusal(client.cautions(), exercise, Optional.of(analysis));
      Optional<LoadEstimate> load =
          refusal.isPresent()
              ? Optional.empty()
              : load(client, body, candidate, setup, analysis, equipment);
      return new Side(
          client,
          body,
          candidate,
          setup,
          analysis,
          analysis.points().stream().map(point -> point.posture()).toList(),
          Optional.of(Stimulus.byRegion(analysis, school)),
          set.reach().changes(),
          measured,
          refusal,
          load);
    }
    return new Side(
        client,
        body,
        candidate,
        setup,
        result,
        Reach.possible(body, exercise.family(), setup),
        Optional.empty(),
        set.reach().changes(),
        measured,
        Admission.refusal(client.cautions(), exercise, Optional.empty()),
        Optional.empty());
  }

  /**
   * Two to four set-ups of one client point by point; only what can be computed is compared, and
   * with fewer than two of these there is none.
   */
  public Optional<Comparison> comparison(
      List<Side> sides, List<SetupRequest> requests, Aim aim, School school) {
    List<Comparison.Side> computed = new ArrayList<>();
    for (int k = 0; k < sides.size(); k++) {
      Side side = sides.get(k);
      boolean moved = requests.get(k).setup().isPresent();
      side.analysis()
          .ifPresent(
              analysis ->
                  computed.add(
                      new Comparison.Side(
                          side.candidate(),
                          new Reach(side.setup(), side.changes()),
                          moved,
                          analysis,
                          side.stimulus().orElseThrow())));
    }
    if (computed.size() < 2) {
      return Optional.empty();
    }
    Client client = sides.get(0).client();
    return Optional.of(
        Comparison.of(
            client
                .brief(
                    equipment(requests.get(0).gymId()), aim, school, requests.get(0).stiffToday())
                .learning(reports.of(client)),
            computed));
  }

  /** What truly differs from the first to the second; empty when one of them is impossible. */
  public Optional<Difference> difference(Side first, Side second) {
    boolean sameClient = first.client().id().equals(second.client().id());
    String firstName = sameClient ? "pinned" : first.client().name();
    String secondName = sameClient ? "now" : second.client().name();
    return first
        .analysis()
        .flatMap(
            analysis ->
                second
                    .analysis()
                    .map(
                        computed ->
                            Difference.between(
                                firstName,
                                analysis,
                                first.stimulus().orElseThrow(),
                                secondName,
                                computed,
                                second.stimulus().orElseThrow())));
  }

  /** Why a side cannot be computed, if it cannot. */
  public static Optional<CannotAnalyse> obstacle(Side side) {
    return side.result() instanceof CannotAnalyse analyse ? Optional.of(analyse) : Optional.empty();
  }

  private static Optional<LoadEstimate> load(
      Client client,
      Body body,
      Candidate candidate,
      Setup setup,
      Analysis analysis,
      GymEquipment equipment) {
    return LoadEstimate.of(
        candidate,
        setup,
        analysis,
        client.strength(),
        equipment,
        body.massKg(),
        client.cautions().loadShare());
  }
}
