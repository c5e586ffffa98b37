package istmo.app.today;

import istmo.app.accounts.CoachDays;
import istmo.app.clients.Clients;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.PlanStore;
import istmo.app.record.Records;
import istmo.app.sessions.SessionReader;
import istmo.core.plan.Due;
import istmo.core.plan.Planned;
import istmo.core.record.Lesson;
import istmo.core.record.Lessons;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * What waits for a coach: sessions that are open, sessions that plans ask for, advice that nobody
 * has answered. It reads and computes no order, so that it is there at once.
 */
@Service
public class Today {
  private final SessionReader sessions;
  private final PlanStore plans;
  private final Records records;
  private final Clients clients;
  private final Clock clock;
  private final CoachDays days;

  Today(
      SessionReader sessions,
      PlanStore plans,
      Records records,
      Clients clients,
      Clock clock,
      CoachDays days) {
    this.sessions = sessions;
    this.plans = plans;
    this.records = records;
    this.clients = clients;
    this.clock = clock;
    this.days = days;
  }

  /**
   * A session that a plan asks for.
   *
   * @param due when, and which of the plan
   */
  public record Ahead(PlanStore.Line plan, Planned.Day session, Due due) {}

  /** Advice on a client's record. */
  public record Advice(UUID clientId, Lesson lesson) {}

  /**
   * What waits.
   *
   * @param on the day it is for the coach
   * @param open sessions that were begun and not finished, newest first
   * @param ahead the next session of each client's newest plan, soonest first; where one was begun
   *     on this day, the one after
   * @param advice the most pressing first
   * @param sets logged in each open session, by its id; those without any are left out
   * @param names of clients by id
   */
  public record Waiting(
      LocalDate on,
      List<SessionReader.Line> open,
      List<Ahead> ahead,
      List<Advice> advice,
      Map<UUID, Integer> sets,
      Map<UUID, String> names) {}

  /** What waits now. */
  public Waiting now() {
    ZoneId zone = days.zone();
    LocalDate on = LocalDate.ofInstant(clock.instant(), zone);
    List<SessionReader.Line> newest = sessions.list(Optional.empty());
    Set<UUID> begun =
        newest.stream()
            .filter(line -> LocalDate.ofInstant(line.createdAt(), zone).equals(on))
            .map(SessionReader.Line::clientId)
            .collect(Collectors.toSet());
    Instant fresh = clock.instant().minus(Duration.ofDays(Lessons.STALE_DAYS));
    Set<UUID> trained =
        newest.stream()
            .filter(line -> line.createdAt().isAfter(fresh))
            .map(SessionReader.Line::clientId)
            .collect(Collectors.toSet());
    List<Advice> advice = new ArrayList<>();
    records
        .unanswered(trained)
        .forEach((id, lessons) -> lessons.forEach(lesson -> advice.add(new Advice(id, lesson))));
    advice.sort(Comparator.comparing(Advice::lesson, Lessons.MOST_PRESSING_FIRST));
    List<SessionReader.Line> open =
        newest.stream().filter(line -> line.finishedAt().isEmpty()).toList();
    return new Waiting(
        on,
        open,
        ahead(on, begun),
        List.copyOf(advice),
        sessions.setCounts(open.stream().map(SessionReader.Line::id).toList()),
        clients.namesById());
  }

  private List<Ahead> ahead(LocalDate on, Set<UUID> begun) {
    Map<UUID, PlanStore.Line> newest = new LinkedHashMap<>();
    plans.list(Optional.empty()).forEach(line -> newest.putIfAbsent(line.clientId(), line));
    List<Ahead> list = new ArrayList<>();
    for (PlanStore.Line line : newest.values()) {
      List<Planned.Day> days = line.document().week().days();
      due(line.document(), days, begun.contains(line.clientId()) ? on.plusDays(1) : on)
          .ifPresent(due -> list.add(new Ahead(line, days.get(due.session()), due)));
    }
    list.sort(Comparator.comparing(ahead -> ahead.due().on()));
    return List.copyOf(list);
  }

  private static Optional<Due> due(PlanDocument document, List<Planned.Day> days, LocalDate from) {
    return Due.next(
        days.stream().map(Planned.Day::weekday).toList(),
        Optional.ofNullable(document.startsOn()),
        document.blockWeeks() == null ? OptionalInt.empty() : OptionalInt.of(document.blockWeeks()),
        from);
  }
}
