package istmo.app.demo;

import istmo.app.clients.Client;
import istmo.app.floor.Marks;
import istmo.app.gyms.Gym;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionItems;
import istmo.app.sessions.Sessions;
import istmo.app.sessions.SetLog;
import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.record.SetRegister;
import istmo.core.stimulus.School;
import istmo.core.training.PerformedSet;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Eight weeks of invented records: lifts that move, one that stalls, a side that falls behind, a
 * knee that complains, a hinge that is felt in the back.
 */
@Component
@ConditionalOnProperty("istmo.demo")
class DemoRecords {
  private static final int WEEKS = 8;

  private final Sessions sessions;
  private final SessionItems items;
  private final SetLog sets;
  private final Marks marks;
  private final Clock clock;

  DemoRecords(Sessions sessions, SessionItems items, SetLog sets, Marks marks, Clock clock) {
    this.sessions = sessions;
    this.items = items;
    this.sets = sets;
    this.marks = marks;
    this.clock = clock;
  }

  /**
   * Squats that rise, a leg extension that has stood still for five weeks, curls that are felt
   * where they should be.
   */
  void quads(Client client, Gym gym) {
    for (int week = 0; week < WEEKS; week++) {
      for (int day : new int[] {0, 3}) {
        if (week < WEEKS - 1 || day == 0) {
          quads(client, gym, week, day);
        }
      }
    }
    marks.keep(
        client.id(),
        gym.id(),
        new CandidateId("leg-extension-reclined/reclined"),
        "Back 5 · roller 2",
        begun(0, 0));
    marks.keep(
        client.id(),
        gym.id(),
        new CandidateId("seated-leg-curl/usual"),
        "Seat 3 · thigh pad 4",
        begun(0, 0));
  }

  private void quads(Client client, Gym gym, int week, int day) {
    double[] squat = {30, 30, 32.5, 32.5, 35, 35, 37.5, 37.5};
    int[] best = {10, 11, 9, 11, 9, 11, 9, 10};
    int[] extension = {10, 11, 12, 12, 12, 12, 11, 12};
    Instant at = begun(week, day);
    Session session =
        sessions.start(
            client.id(),
            gym.id(),
            Aim.of(Map.of("VL", 3, "RF", 2), List.of()),
            School.STRETCH,
            false,
            at);
    int gain = day == 3 ? 1 : 0;
    UUID first = pin(session, "heel-raised-squat/wedge");
    for (int k = 0; k < 3; k++) {
      Set<Region> felt = k == 0 ? Set.of(Region.VL, Region.RF) : Set.of();
      int repetitions = best[week] + gain - k;
      log(
          session,
          first,
          at.plus(Duration.ofMinutes(4 + 4L * k)),
          set(squat[week], repetitions, 2 - k / 2.0, Side.NONE, k + 1, felt, Optional.empty()));
    }
    UUID second = pin(session, "leg-extension-reclined/reclined");
    for (int k = 0; k < 3; k++) {
      Set<Region> felt = k == 0 ? Set.of(Region.RF) : Set.of();
      int repetitions = extension[week] - (k == 2 ? 1 : 0);
      log(
          session,
          second,
          at.plus(Duration.ofMinutes(20 + 3L * k)),
          set(35, repetitions, 1, Side.NONE, k + 1, felt, Optional.empty()));
    }
    if (day == 0) {
      curls(session, at, 25 + 2.5 * Math.floorDiv(week, 2));
    }
    sessions.finish(session.id(), at.plus(Duration.ofMinutes(45)));
  }

  private void curls(Session session, Instant at, double kg) {
    UUID third = pin(session, "seated-leg-curl/usual");
    for (int k = 0; k < 2; k++) {
      Set<Region> felt = k == 0 ? Set.of(Region.BFL, Region.ST) : Set.of();
      log(
          session,
          third,
          at.plus(Duration.ofMinutes(33 + 3L * k)),
          set(kg, 14 - k, 2, Side.NONE, k + 1, felt, Optional.empty()));
    }
  }

  /** A hinge that rises but is felt in the back, and split squats whose left side falls behind. */
  void hinges(Client client, Gym gym) {
    double[] hinge = {65, 67.5, 70, 72.5, 75, 75, 77.5, 80};
    int[] left = {10, 10, 10, 9, 9, 9, 8, 8};
    int[] right = {10, 11, 11, 12, 12, 12, 13, 13};
    for (int week = 0; week < WEEKS; week++) {
      Instant at = begun(week, 1);
      Session session =
          sessions.start(
              client.id(),
              gym.id(),
              Aim.of(Map.of("GMAXM", 3, "BFL", 2), List.of()),
              School.STRETCH,
              false,
              at);
      UUID first = pin(session, "romanian-deadlift/usual");
      for (int k = 0; k < 3; k++) {
        log(
            session,
            first,
            at.plus(Duration.ofMinutes(4 + 4L * k)),
            set(
                hinge[week],
                10 - (k == 2 ? 1 : 0),
                2 - k / 2.0,
                Side.NONE,
                k + 1,
                k == 2 && week > 3 ? Set.of(Region.ERECTORS) : Set.of(),
                Optional.empty()));
      }
      UUID second = pin(session, "split-squat/lean");
      for (int k = 0; k < 2; k++) {
        log(
            session,
            second,
            at.plus(Duration.ofMinutes(20 + 4L * k)),
            set(
                15,
                left[week],
                1,
                Side.LEFT,
                k + 1,
                k == 0 ? Set.of(Region.GMAXM) : Set.of(),
                Optional.empty()));
        log(
            session,
            second,
            at.plus(Duration.ofMinutes(22 + 4L * k)),
            set(15, right[week] - k, 1, Side.RIGHT, k + 1, Set.of(), Optional.empty()));
      }
      sessions.finish(session.id(), at.plus(Duration.ofMinutes(40)));
    }
  }

  /** A knee that complains in the press more often than not. */
  void knee(Client client, Gym gym) {
    int[] pain = {0, 1, 2, 0, 3, 4, 2, 4};
    for (int week = 0; week < WEEKS; week++) {
      Instant at = begun(week, 2);
      Session session =
          sessions.start(
              client.id(),
              gym.id(),
              Aim.of(Map.of("VM", 2, "GMAXM", 2), List.of()),
              School.STRETCH,
              false,
              at);
      UUID first = pin(session, "leg-press/high");
      for (int k = 0; k < 3; k++) {
        log(
            session,
            first,
            at.plus(Duration.ofMinutes(5 + 4L * k)),
            set(
                80 + 5 * (week / 3),
                12 - k,
                2,
                Side.NONE,
                k + 1,
                Set.of(),
                k == 2 && pain[week] > 0
                    ? Optional.of(new Pain(PainFlag.KNEE, pain[week]))
                    : Optional.empty()));
      }
      UUID second = pin(session, "romanian-deadlift/usual");
      for (int k = 0; k < 3; k++) {
        log(
            session,
            second,
            at.plus(Duration.ofMinutes(20 + 4L * k)),
            set(
                40 + 5 * (week / 2),
                12,
                2,
                Side.NONE,
                k + 1,
                k == 0 ? Set.of(Region.GMAXM, Region.BFL) : Set.of(),
                Optional.empty()));
      }
      sessions.finish(session.id(), at.plus(Duration.ofMinutes(40)));
    }
  }

  /** A session that is open today, for the floor. */
  void today(Client client, Gym gym, Aim aim, String... candidates) {
    Session session = sessions.start(client.id(), gym.id(), aim, School.STRETCH, false);
    for (String candidate : candidates) {
      pin(session, candidate);
    }
  }

  private Instant begun(int week, int day) {
    return clock
        .instant()
        .minus(Duration.ofDays(7L * (WEEKS - week)))
        .plus(Duration.ofDays(day + 2L))
        .minus(Duration.ofHours(3));
  }

  private UUID pin(Session session, String candidate) {
    Session pinned = items.pin(session.id(), new CandidateId(candidate), Optional.empty());
    return pinned.items().get(pinned.items().size() - 1).id();
  }

  private static SetRecord set(
      double kg,
      int repetitions,
      double reserve,
      Side side,
      int number,
      Set<Region> felt,
      Optional<Pain> pain) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, reserve),
        SetRecord.Kind.WORK,
        Optional.of(number),
        side,
        Optional.of(SetRecord.Range.FULL),
        Optional.of(true),
        felt,
        pain);
  }

  private void log(Session session, UUID item, Instant at, SetRecord set) {
    sets.take(
        new SetLog.SetMessage(
            session.id(),
            item,
            UUID.randomUUID(),
            new SetRegister.State<>(1, 0, "demo", false, set),
            at));
  }
}
