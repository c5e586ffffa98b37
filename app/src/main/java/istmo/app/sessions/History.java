package istmo.app.sessions;

import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.NotFound;
import istmo.app.sessions.persistence.PerformedSetEntity;
import istmo.app.sessions.persistence.PerformedSetRepository;
import istmo.app.sessions.persistence.SeriesEntity;
import istmo.app.sessions.persistence.SeriesRepository;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import istmo.core.record.Experience;
import istmo.core.record.Outing;
import istmo.core.record.Practice;
import istmo.core.record.Series;
import istmo.core.record.SetRecord;
import istmo.core.record.WeeklySets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What was done, read by series and by weeks. Days and weeks are the coach's own. Each of its
 * queries is bounded by one client, by one series of a client, or by what was said of feeling in
 * two years (docs/record.md).
 */
@Service
public class History {
  private final PerformedSetRepository sets;
  private final SeriesRepository series;
  private final CurrentCoach coach;
  private final CoachDays days;

  History(
      PerformedSetRepository sets, SeriesRepository series, CurrentCoach coach, CoachDays days) {
    this.sets = sets;
    this.series = series;
    this.coach = coach;
    this.days = days;
  }

  /** One series in a client's list. */
  public record Line(
      UUID id,
      CandidateId candidateId,
      Map<String, Double> setup,
      long outings,
      long sets,
      Instant firstAt,
      Instant lastAt) {}

  /** Every series of a client that has sets, the one done last first. */
  @Transactional(readOnly = true)
  public List<Line> lines(UUID clientId) {
    Map<UUID, SeriesEntity> known =
        series.findByCoachIdAndClientId(coach.id(), clientId).stream()
            .collect(Collectors.toMap(SeriesEntity::getId, entity -> entity));
    return sets.lines(coach.id(), clientId).stream()
        .map(
            line ->
                new Line(
                    line.getSeriesId(),
                    new CandidateId(line.getCandidateId()),
                    Required.entry(known, line.getSeriesId()).getSetup(),
                    line.getOutings(),
                    line.getSets(),
                    line.getFirstAt(),
                    line.getLastAt()))
        .toList();
  }

  /** One series of a client, whole. */
  @Transactional(readOnly = true)
  public Series series(UUID clientId, UUID seriesId) {
    SeriesEntity entity =
        series
            .findByIdAndCoachId(seriesId, coach.id())
            .filter(seriesEntity -> seriesEntity.getClientId().equals(clientId))
            .orElseThrow(() -> new NotFound("series"));
    return Required.entry(
        series(List.of(entity), sets.inSeries(coach.id(), List.of(seriesId), Instant.EPOCH)),
        seriesId);
  }

  /** Every series of a client with what was done of it since a moment, but for one session's. */
  @Transactional(readOnly = true)
  public Map<UUID, Series> since(UUID clientId, Instant from, Collection<UUID> withoutItems) {
    return series(
        series.findByCoachIdAndClientId(coach.id(), clientId),
        sets.since(coach.id(), List.of(clientId), from).stream()
            .filter(entity -> !withoutItems.contains(entity.getItemId()))
            .toList());
  }

  /**
   * What a client has said of exercises since a moment. Most clients were asked nothing: then their
   * sets are not read.
   */
  @Transactional(readOnly = true)
  public Experience experience(UUID clientId, Instant from) {
    return sets.told(coach.id(), clientId, from)
        ? Experience.of(since(clientId, from, List.of()).values())
        : Experience.NONE;
  }

  /**
   * The series of several clients with what was done of them since a moment, by client; two queries
   * however many clients there are.
   */
  @Transactional(readOnly = true)
  public Map<UUID, List<Series>> since(Collection<UUID> clientIds, Instant from) {
    if (clientIds.isEmpty()) {
      return Map.of();
    }
    List<SeriesEntity> known = series.findByCoachIdAndClientIdIn(coach.id(), clientIds);
    Map<UUID, Series> done = series(known, sets.since(coach.id(), clientIds, from));
    return known.stream()
        .collect(
            Collectors.groupingBy(
                SeriesEntity::getClientId,
                Collectors.mapping(
                    entity -> Required.entry(done, entity.getId()), Collectors.toList())));
  }

  /** Sets by week and kind, from the week of one Monday to that of another. */
  @Transactional(readOnly = true)
  public List<WeeklySets.Count> weeks(UUID clientId, LocalDate first, LocalDate last) {
    // the database is told moments: it need not know every name of a time zone
    ZoneId zone = days.zone();
    String starts =
        first
            .datesUntil(last.plusDays(1), Period.ofWeeks(1))
            .map(monday -> monday.atStartOfDay(zone).toInstant().toString())
            .collect(Collectors.joining(",", "{", "}"));
    return sets.weeks(coach.id(), clientId, starts).stream()
        .map(
            count ->
                new WeeklySets.Count(
                    first.plusWeeks(count.getWeek() - 1L),
                    new CandidateId(count.getCandidateId()),
                    count.getReserve(),
                    SetRecord.Kind.valueOf(count.getKind()),
                    Side.valueOf(count.getSide()),
                    count.getSets()))
        .toList();
  }

  /**
   * What all clients of the coach said of where exercises were felt, since a moment: one for each
   * exercise of a session.
   */
  @Transactional(readOnly = true)
  public List<Practice.Said> felt(Instant from) {
    Map<UUID, List<PerformedSetEntity>> byItem =
        sets.felt(coach.id(), from).stream()
            .collect(
                Collectors.groupingBy(
                    PerformedSetEntity::getItemId, LinkedHashMap::new, Collectors.toList()));
    Set<UUID> ids =
        byItem.values().stream().map(of -> of.get(0).getSeriesId()).collect(Collectors.toSet());
    Map<UUID, SeriesEntity> known =
        ids.isEmpty()
            ? Map.of()
            : series.findByCoachIdAndIdIn(coach.id(), ids).stream()
                .collect(Collectors.toMap(SeriesEntity::getId, entity -> entity));
    return byItem.values().stream()
        .map(
            of -> {
              SeriesEntity entity = Required.entry(known, of.get(0).getSeriesId());
              return new Practice.Said(
                  entity.getClientId(),
                  entity.getCandidateId(),
                  entity.getSetup(),
                  of.stream()
                      .flatMap(performedSetEntity -> performedSetEntity.record().felt().stream())
                      .collect(Collectors.toSet()));
            })
        .toList();
  }

  private Map<UUID, Series> series(List<SeriesEntity> known, List<PerformedSetEntity> done) {
    Map<UUID, Map<UUID, List<PerformedSetEntity>>> bySeries =
        done.stream()
            .collect(
                Collectors.groupingBy(
                    PerformedSetEntity::getSeriesId,
                    LinkedHashMap::new,
                    Collectors.groupingBy(
                        PerformedSetEntity::getItemId, LinkedHashMap::new, Collectors.toList())));
    ZoneId zone = days.zone();
    Map<UUID, Series> result = new LinkedHashMap<>();
    for (SeriesEntity entity : known) {
      List<Outing> outings = new ArrayList<>();
      bySeries
          .getOrDefault(entity.getId(), Map.of())
          .values()
          .forEach(
              of ->
                  outings.add(
                      new Outing(
                          LocalDate.ofInstant(of.get(0).getPerformedAt(), zone),
                          of.stream().map(PerformedSetEntity::record).toList())));
      result.put(entity.getId(), new Series(entity.getCandidateId(), entity.getSetup(), outings));
    }
    return result;
  }
}
