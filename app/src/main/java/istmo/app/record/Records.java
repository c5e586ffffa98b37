package istmo.app.record;

import istmo.app.accounts.CoachDays;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.orders.SessionOffers;
import istmo.app.sessions.History;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.picture.TechniqueChange;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Targets;
import istmo.core.record.Experience;
import istmo.core.record.Lesson;
import istmo.core.record.Lessons;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.WeeklySets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** What a client's record says, and what it teaches. */
@Service
public class Records {
  private static final int LESSON_WEEKS = 4;

  private final History history;
  private final SessionReader reader;
  private final Clients clients;
  private final SessionOffers offered;
  private final Trainables trainables;
  private final Answers answers;
  private final CoachDays days;

  Records(
      History history,
      SessionReader reader,
      Clients clients,
      SessionOffers offered,
      Trainables trainables,
      Answers answers,
      CoachDays days) {
    this.history = history;
    this.reader = reader;
    this.clients = clients;
    this.offered = offered;
    this.trainables = trainables;
    this.answers = answers;
    this.days = days;
  }

  /** A client with every series, and what the record teaches the order. */
  public record Overview(Client client, List<History.Line> series, Experience experience) {}

  /** Every series of a client, with what stands out. */
  public Overview overview(UUID clientId) {
    Client client = clients.get(clientId);
    return new Overview(
        client,
        history.lines(clientId),
        history.experience(clientId, days.now().minus(Experience.COUNTS_FOR)));
  }

  /**
   * One series with what comes next.
   *
   * @param next by what is usual for this exercise; empty where it is not on offer now
   */
  public record OneSeries(Series series, Trainable candidate, Optional<Progression.Next> next) {}

  /** One series of a client; computes, so it must not be asked for inside a transaction. */
  public OneSeries series(UUID clientId, UUID seriesId) {
    clients.check(clientId);
    Series series = history.series(clientId, seriesId);
    Trainable candidate = trainables.all().apply(series.candidateId());
    Optional<Session> newest = reader.newest(clientId);
    Optional<Progression.Next> next =
        newest.flatMap(
            session ->
                offers(session)
                    .find(series.candidateId())
                    .map(
                        offer ->
                            Progression.next(
                                series,
                                new Progression.Asked(
                                    offer.usual().repetitionsLow(),
                                    offer.usual().repetitionsHigh(),
                                    offer.usual().reserve()),
                                offer.needs(),
                                session.gym().equipment(),
                                days.today())));
    return new OneSeries(series, candidate, next);
  }

  /**
   * Effective sets by week, the running week too, with what the newest aim asks.
   *
   * @param unknown names of what was done and could not be counted, because it is not on offer
   *     there now
   */
  public record WeeksOverview(
      List<WeeklySets> weeks,
      Map<Region, Double> asked,
      List<String> unknown,
      Optional<Session> by) {}

  /** Sets by region for so many weeks up to this one. */
  public WeeksOverview weeks(UUID clientId, int count) {
    clients.check(clientId);
    LocalDate monday = days.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    LocalDate first = monday.minusWeeks(count - 1L);
    Optional<Session> newest = reader.newest(clientId);
    List<WeeklySets.Count> counts = history.weeks(clientId, first, monday);
    if (newest.isEmpty()) {
      return new WeeksOverview(
          WeeklySets.of(List.of(), first, monday, id -> RegionValues.zero()),
          Map.of(),
          List.of(),
          newest);
    }
    Offers offers = offers(newest.get());
    Set<String> unknown = new LinkedHashSet<>();
    Function<CandidateId, Trainable> names = trainables.all();
    counts.stream()
        .filter(counted -> offers.find(counted.candidateId()).isEmpty())
        .forEach(counted -> unknown.add(names.apply(counted.candidateId()).name()));
    List<WeeklySets> weeks =
        WeeklySets.of(
            counts,
            first,
            monday,
            id -> offers.find(id).map(Offer::shares).orElse(RegionValues.zero()));
    Targets targets =
        Targets.of(
            newest.get().brief().aimed(),
            newest.get().client().profile().trainingAge(),
            false,
            offers.all());
    return new WeeksOverview(weeks, targets.least(), List.copyOf(unknown), newest);
  }

  /** A lesson, and what the coach made of it. */
  public record Taught(Lesson lesson, Optional<Answers.Answer> answer) {}

  /** What the record teaches now, the most pressing first. */
  public List<Taught> lessons(UUID clientId) {
    Client client = clients.get(clientId);
    List<Series> all = recent(clientId);
    List<Lesson> lessons =
        new ArrayList<>(TechniqueChange.lessons(client.sightings(), days.today()));
    lessons.addAll(Lessons.ofRange(client.readings(), days.today()));
    if (!all.isEmpty()) {
      lessons.addAll(ofSeries(clientId, all));
    }
    lessons.sort(Lessons.MOST_PRESSING_FIRST);
    return taught(answers.of(client.id()), lessons);
  }

  private List<Lesson> ofSeries(UUID clientId, List<Series> all) {
    Optional<Session> newest = reader.newest(clientId);
    Optional<Offers> offers = newest.map(this::offers);
    WeeksOverview weeks = weeks(clientId, LESSON_WEEKS + 1);
    List<WeeklySets> whole =
        weeks.weeks().subList(0, weeks.weeks().size() - 1); // the running week is not over
    Optional<Lessons.Weekly> weekly =
        weeks.asked().isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Lessons.Weekly(
                    whole.stream().map(WeeklySets::sets).toList(),
                    whole.get(whole.size() - 1).monday().plusDays(6),
                    weeks.asked()));
    return Lessons.of(
        reviewed(
            all,
            trainables.all(),
            id ->
                offers
                    .flatMap(known -> known.find(id))
                    .map(offer -> offer.mainly(newest.orElseThrow().brief().aimed()))
                    .orElse(List.of())),
        weekly,
        days.today());
  }

  /**
   * What the records of these clients alone say and nobody has answered, by client: pain that comes
   * back, a side behind, a stall. No order is computed for it, and it takes as many queries for
   * many clients as for one.
   */
  public Map<UUID, List<Lesson>> unanswered(Collection<UUID> clientIds) {
    Map<UUID, List<Series>> done =
        history.since(clientIds, days.now().minus(Experience.COUNTS_FOR));
    Map<UUID, List<Answers.Answer>> given = answers.of(clientIds);
    Function<CandidateId, Trainable> names = trainables.all();
    Map<UUID, List<Lesson>> found = new LinkedHashMap<>();
    done.forEach(
        (id, series) ->
            found.put(
                id,
                taught(
                        given.getOrDefault(id, List.of()),
                        Lessons.of(
                            reviewed(series, names, candidate -> List.of()),
                            Optional.empty(),
                            days.today()))
                    .stream()
                    .filter(taught -> taught.answer().isEmpty())
                    .map(Taught::lesson)
                    .toList()));
    return found;
  }

  private List<Series> recent(UUID clientId) {
    return List.copyOf(
        history.since(clientId, days.now().minus(Experience.COUNTS_FOR), List.of()).values());
  }

  /** Series that were done, with what each exercise mainly trains as far as it is known. */
  private static List<Lessons.ReviewedSeries> reviewed(
      List<Series> all,
      Function<CandidateId, Trainable> names,
      Function<CandidateId, List<Region>> mainly) {
    return all.stream()
        .filter(series -> !series.outings().isEmpty())
        .map(
            series -> {
              Trainable trainable = names.apply(series.candidateId());
              return new Lessons.ReviewedSeries(
                  series,
                  trainable.name(),
                  trainable.exercise().faults(),
                  Set.copyOf(mainly.apply(series.candidateId())));
            })
        .toList();
  }

  private static List<Taught> taught(List<Answers.Answer> given, List<Lesson> lessons) {
    return lessons.stream()
        .map(
            lesson ->
                new Taught(
                    lesson,
                    given.stream()
                        .filter(
                            answer ->
                                answer.kind() == lesson.kind()
                                    && answer.subject().equals(lesson.subject()))
                        .findFirst()))
        .toList();
  }

  /** Pain and feeling as they were said, newest first. */
  public record Said(LocalDate on, CandidateId candidateId, Outing outing) {}

  /**
   * What a client said of exercises, felt or hurt, for as long as it counts, session by session.
   */
  public List<Said> said(UUID clientId) {
    clients.check(clientId);
    List<Said> list = new ArrayList<>();
    for (Series series :
        history.since(clientId, days.now().minus(Experience.COUNTS_FOR), List.of()).values()) {
      series.outings().stream()
          .filter(
              outing ->
                  outing.sets().stream()
                      .anyMatch(record -> !record.felt().isEmpty() || record.pain().isPresent()))
          .forEach(outing -> list.add(new Said(outing.on(), series.candidateId(), outing)));
    }
    list.sort((first, second) -> second.on().compareTo(first.on()));
    return list;
  }

  private Offers offers(Session session) {
    return offered.of(session, false);
  }
}
