package istmo.app.floor;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.Variants;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.floor.persistence.MarkEntity;
import istmo.app.floor.persistence.MarkRepository;
import istmo.app.gyms.Gyms;
import istmo.app.orders.OrderBook;
import istmo.app.record.Answers;
import istmo.app.schools.Schools;
import istmo.app.sessions.History;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.Session;
import istmo.app.sessions.Sessions;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.Candidate;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.plan.Flow;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Prescription;
import istmo.core.plan.Swap;
import istmo.core.plan.WorkingLoad;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.SideGap;
import istmo.core.stimulus.School;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A session as a telephone takes it to the floor: everything that is needed until the network is
 * back.
 */
@Service
public class Floor {
  private static final int SWAPS = 3;
  private static final Duration LOOKED_BACK = Duration.ofDays(365);
  private static final int LONGEST_MARK = 200;

  /** Loads to choose from by one touch: so far below and above the working load (judgement). */
  private static final double LEAST_LOAD = 0.25;

  private static final double MOST_LOAD = 1.6;
  private static final double UNKNOWN_MOST_KG = 120;
  private static final int MOST_LOADS = 160;

  private final Clients clients;
  private final Gyms gyms;
  private final Sessions sessions;
  private final History history;
  private final OrderBook orders;
  private final Schools schools;
  private final Variants variants;
  private final Answers answers;
  private final MarkRepository marks;
  private final CurrentCoach coach;
  private final Clock clock;

  Floor(
      Clients clients,
      Gyms gyms,
      Sessions sessions,
      History history,
      OrderBook orders,
      Schools schools,
      Variants variants,
      Answers answers,
      MarkRepository marks,
      CurrentCoach coach,
      Clock clock) {
    this.clients = clients;
    this.gyms = gyms;
    this.sessions = sessions;
    this.history = history;
    this.orders = orders;
    this.schools = schools;
    this.variants = variants;
    this.answers = answers;
    this.marks = marks;
    this.coach = coach;
    this.clock = clock;
  }

  /**
   * One exercise on the floor.
   *
   * @param item as the session has it; for a swap the one whose place it would take
   * @param name of the exercise
   * @param offer empty where it is left out for this client, with the reason in {@code refusal}
   * @param next what the record asks for now
   * @param last the outing before this session, in this set-up
   * @param loads to choose from, lightest first
   * @param mark settings of this machine for this client; empty words where none were kept
   * @param agreed proposals of the record that the coach accepted
   * @param swaps for a machine that is taken
   */
  public record Exercise(
      Session.Item item,
      String name,
      Optional<Offer> offer,
      String refusal,
      Prescription prescription,
      Progression.Next next,
      Optional<WorkingLoad> load,
      Optional<Outing> last,
      List<Loading> loads,
      String mark,
      List<String> agreed,
      List<Flow.Step> steps,
      List<Exercise> swaps) {}

  /**
   * @param weaker side that goes first in one-leg work, and why
   */
  public record Walk(Session session, SideGap.First weaker, List<Exercise> exercises) {}

  /** A session with everything that a telephone needs for it. */
  public Walk walk(UUID sessionId) {
    Session s = sessions.get(sessionId);
    Aim aim = s.brief().aimed();
    School school = schools.get(s.brief().school());
    Offers offers =
        new Offers(
            orders
                .order(
                    new OrderBook.OrderRequest(
                        s.client().id(),
                        s.gym().id(),
                        aim,
                        school,
                        Weights.USUAL,
                        s.brief().stiffDay()))
                .order(),
            s.client().profile());
    Instant now = clock.instant();
    List<UUID> own = s.items().stream().map(Session.Item::id).toList();
    List<Series> record =
        List.copyOf(history.since(s.client().id(), now.minus(LOOKED_BACK), own).values());
    SideGap.First weaker = SideGap.first(record, s.client().profile().strongerSide());
    Map<String, String> words = new HashMap<>();
    marks
        .findByCoachIdAndClientIdAndGymId(coach.id(), s.client().id(), s.gym().id())
        .forEach(m -> words.put(m.getCandidateId(), m.getWords()));
    Maker maker =
        new Maker(
            s,
            s.client(),
            s.gym().equipment(),
            aim,
            offers,
            record,
            weaker.side(),
            words,
            agreed(s.client().id()),
            variants.candidates(),
            now.atZone(ZoneOffset.UTC).toLocalDate());
    return new Walk(s, weaker, maker.all());
  }

  /** What the coach accepted of what the record teaches, by candidate id. */
  private Map<String, List<String>> agreed(UUID clientId) {
    return answers.of(clientId).stream()
        .filter(a -> a.taken().isPresent())
        .collect(
            Collectors.groupingBy(
                Answers.Answer::subject,
                Collectors.mapping(a -> a.taken().orElseThrow().words(), Collectors.toList())));
  }

  /** Keeps the settings of a machine for a client; an older message does not undo a newer one. */
  @Transactional
  public void mark(UUID clientId, UUID gymId, String candidateId, String words, Instant at) {
    String trimmed = checkedMark(words);
    clients.check(clientId);
    gyms.get(gymId);
    variants.candidate(candidateId);
    marks.keep(UUID.randomUUID(), coach.id(), clientId, gymId, candidateId, trimmed, at);
  }

  /** The words without blanks around them; throws what is too long. */
  public static String checkedMark(String words) {
    String trimmed = words == null ? "" : words.strip();
    if (trimmed.length() > LONGEST_MARK) {
      throw new InvalidInput("words", "takes at most " + LONGEST_MARK + " characters");
    }
    return trimmed;
  }

  /** Every mark of a client. */
  @Transactional(readOnly = true)
  public List<Mark> marks(UUID clientId) {
    return marks.findByCoachIdAndClientId(coach.id(), clientId).stream()
        .sorted(Comparator.comparing(MarkEntity::getCandidateId))
        .map(m -> new Mark(m.getGymId(), m.getCandidateId(), m.getWords(), m.getChangedAt()))
        .toList();
  }

  public record Mark(UUID gymId, String candidateId, String words, Instant changedAt) {}

  /** Makes the exercises of one session. */
  private record Maker(
      Session session,
      Client client,
      GymEquipment equipment,
      Aim aim,
      Offers offers,
      List<Series> record,
      Side weaker,
      Map<String, String> marks,
      Map<String, List<String>> agreed,
      Function<String, Candidate> names,
      LocalDate today) {
    List<Exercise> all() {
      Map<String, Flow.Exercise> flow = new HashMap<>();
      List<Session.Item> asked = session.items().stream().filter(i -> !i.ended()).toList();
      for (Session.Item i : asked) {
        offers
            .find(i.candidateId())
            .filter(o -> i.refusal().isEmpty())
            .map(o -> o.in(i.setup(), i.load()))
            .ifPresent(
                o ->
                    flow.put(
                        i.id().toString(),
                        exercise(i.id().toString(), o, prescription(i, o), i.asked().loadShare())));
      }
      List<List<String>> bouts = bouts(asked, flow.keySet());
      Flow whole = walked(bouts, flow);
      List<Exercise> list = new ArrayList<>();
      for (Session.Item i : session.items()) {
        Flow.Exercise x = flow.get(i.id().toString());
        List<Exercise> swaps = x == null ? List.of() : swaps(i, x, asked, bouts, flow);
        list.add(made(i, i.candidateId(), i.setup(), x, whole, swaps));
      }
      return list;
    }

    private Flow walked(List<List<String>> bouts, Map<String, Flow.Exercise> flow) {
      return Flow.of(bouts.stream().map(b -> b.stream().map(flow::get).toList()).toList(), weaker);
    }

    /**
     * Exercises in turn where the plan says so, each by itself otherwise, in the session's order.
     */
    private static List<List<String>> bouts(List<Session.Item> items, Set<String> known) {
      Map<Integer, List<String>> byTurn = new TreeMap<>();
      Map<Integer, Integer> turnOfBout = new HashMap<>();
      for (Session.Item i : items) {
        int turn =
            i.asked().bout().isPresent()
                ? turnOfBout.computeIfAbsent(i.asked().bout().get(), b -> byTurn.size())
                : byTurn.size();
        byTurn.computeIfAbsent(turn, k -> new ArrayList<>());
        if (known.contains(i.id().toString())) {
          byTurn.get(turn).add(i.id().toString());
        }
      }
      return List.copyOf(byTurn.values());
    }

    private static Prescription prescription(Session.Item i, Offer o) {
      return i.asked().prescription().map(PrescriptionDocument::prescription).orElse(o.usual());
    }

    private Flow.Exercise exercise(String id, Offer o, Prescription p, double share) {
      return new Flow.Exercise(
          id,
          o,
          p,
          WorkingLoad.of(
              o, p, equipment, recorded(o), next(o, p), share, client.cautions().loadShare() < 1));
    }

    private Optional<Series> series(String candidateId, Map<String, Double> setup) {
      return record.stream()
          .filter(
              s ->
                  s.candidateId().equals(candidateId)
                      && s.setup().equals(setup)
                      && !s.outings().isEmpty())
          .findFirst();
    }

    private Optional<WorkingLoad.Recorded> recorded(Offer o) {
      return series(o.candidateId(), o.setup())
          .flatMap(Series::last)
          .flatMap(
              x ->
                  WorkingLoad.Recorded.bestOf(
                      x.work().stream().map(w -> w.done()).toList(), x.on()));
    }

    private Progression.Next next(Offer o, Prescription p) {
      Series s =
          series(o.candidateId(), o.setup())
              .orElse(new Series(o.candidateId(), o.setup(), List.of()));
      return Progression.next(
          s,
          new Progression.Asked(p.repetitionsLow(), p.repetitionsHigh(), p.reserve()),
          o.needs(),
          equipment,
          today);
    }

    private List<Exercise> swaps(
        Session.Item item,
        Flow.Exercise now,
        List<Session.Item> asked,
        List<List<String>> bouts,
        Map<String, Flow.Exercise> flow) {
      List<Exercise> list = new ArrayList<>();
      for (Swap swap :
          Swap.of(
              now.offer(),
              offers,
              aim,
              now.offer().station(),
              Set.of(),
              asked.stream().map(Session.Item::candidateId).toList(),
              SWAPS)) {
        Offer o = swap.offer();
        Prescription p = o.usual().withSets(now.prescription().sets());
        Flow.Exercise x = exercise(now.id(), o, p, item.asked().loadShare());
        Map<String, Flow.Exercise> other = new HashMap<>(flow);
        other.put(now.id(), x);
        list.add(made(item, o.candidateId(), o.setup(), x, walked(bouts, other), List.of()));
      }
      return list;
    }

    private Exercise made(
        Session.Item item,
        String candidateId,
        Map<String, Double> setup,
        Flow.Exercise x,
        Flow whole,
        List<Exercise> swaps) {
      String mark = marks.getOrDefault(candidateId, "");
      String name = names.apply(candidateId).name();
      Optional<Outing> last = series(candidateId, setup).flatMap(Series::last);
      if (x == null) {
        String refusal =
            item.ended() ? "" : item.refusal().orElseGet(() -> offers.whyNot(candidateId));
        Prescription none =
            item.asked()
                .prescription()
                .map(PrescriptionDocument::prescription)
                .orElseGet(() -> offers.find(candidateId).map(Offer::usual).orElse(null));
        return new Exercise(
            item,
            name,
            Optional.empty(),
            refusal,
            none,
            new Progression.Next(Progression.Rule.BEGIN, Optional.empty(), 1, 1, ""),
            Optional.empty(),
            last,
            List.of(),
            mark,
            List.of(),
            List.of(),
            List.of());
      }
      List<Flow.Step> steps =
          whole.steps().stream().filter(st -> st.exerciseId().equals(x.id())).toList();
      return new Exercise(
          item,
          name,
          Optional.of(x.offer()),
          "",
          x.prescription(),
          next(x.offer(), x.prescription()),
          Optional.of(x.load()),
          last,
          loads(x),
          mark,
          agreed.getOrDefault(candidateId, List.of()),
          steps,
          swaps);
    }

    private List<Loading> loads(Flow.Exercise x) {
      double most =
          Math.max(
              x.load().highKg(),
              x.load().sets().stream()
                  .flatMap(l -> l.load().stream())
                  .mapToDouble(Loading::kg)
                  .max()
                  .orElse(0));
      List<Loading> all =
          Loading.upTo(most > 0 ? most * MOST_LOAD : UNKNOWN_MOST_KG, x.offer().needs(), equipment)
              .stream()
              .filter(l -> l.kg() >= most * LEAST_LOAD)
              .toList();
      int working = (int) all.stream().filter(l -> l.kg() < most).count();
      int from =
          Math.max(
              0,
              Math.min(
                  all.size() - MOST_LOADS,
                  working
                      - MOST_LOADS
                          / 2)); // those around the working load, where there are more than a thumb
      // goes through
      return all.subList(from, Math.min(all.size(), from + MOST_LOADS));
    }
  }
}
