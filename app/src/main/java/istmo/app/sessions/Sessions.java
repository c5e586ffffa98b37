package istmo.app.sessions;

import istmo.app.clients.Clients;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Conflict;
import istmo.app.platform.Transactions;
import istmo.app.sessions.persistence.SessionEntity;
import istmo.core.anatomy.Region;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sessions as they are made: begun, filled with exercises, ended. */
@Service
public class Sessions {
  private final SessionRows rows;
  private final SessionReader reader;
  private final SessionItems items;
  private final Clients clients;
  private final Gyms gyms;
  private final Clock clock;
  private final Transactions transactions;

  Sessions(
      SessionRows rows,
      SessionReader reader,
      SessionItems items,
      Clients clients,
      Gyms gyms,
      Clock clock,
      Transactions transactions) {
    this.rows = rows;
    this.reader = reader;
    this.items = items;
    this.clients = clients;
    this.gyms = gyms;
    this.clock = clock;
    this.transactions = transactions;
  }

  /**
   * Erases every session of a client with its exercises and sets (they go with it in the database).
   */
  @Transactional
  public void erase(UUID clientId) {
    rows.erase(rows.ofClient(clientId));
  }

  /** Begins a session now. */
  public Session start(UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday) {
    return start(clientId, gymId, aim, school, stiffToday, clock.instant());
  }

  /** A session that began at a given moment, for records that are brought in. */
  public Session start(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    return reader.view(
        transactions.write(
            () -> reader.stored(begun(clientId, gymId, aim, school, stiffToday, at))));
  }

  /**
   * Begins a session with its exercises: all of it or nothing, and once. The id is made by who
   * asks, so that a second message with it finds the session that the first one began. What the
   * client's cautions leave out is not begun.
   */
  public void begin(
      UUID sessionId,
      UUID clientId,
      UUID gymId,
      Aim aim,
      School school,
      List<SessionItems.Wanted> wanted) {
    if (isBegun(sessionId)) {
      return;
    }
    Admittance.Place place =
        new Admittance.Place(clients.get(clientId), gyms.inUse(gymId), school, false);
    List<SessionItems.Addition> additions = new ArrayList<>();
    for (int k = 0; k < wanted.size(); k++) {
      additions.add(items.admitted(place, wanted.get(k), k + 1));
    }
    try {
      transactions.write(
          () -> {
            SessionEntity session =
                row(sessionId, clientId, gymId, aim, school, false, clock.instant());
            rows.insert(
                session); // before its exercises are looked for: the id is taken now, or never
            additions.forEach(addition -> items.add(session, addition, rows.itemsOf(session)));
          });
    } catch (DataIntegrityViolationException e) {
      if (!isBegun(sessionId)) { // by the same message, a moment before
        throw new Conflict("Another session has this id.");
      }
    }
  }

  private boolean isBegun(UUID sessionId) {
    return rows.find(sessionId).isPresent();
  }

  private SessionEntity begun(
      UUID clientId, UUID gymId, Aim aim, School school, boolean stiffToday, Instant at) {
    clients.check(clientId);
    gyms.inUse(gymId);
    return rows.save(row(UUID.randomUUID(), clientId, gymId, aim, school, stiffToday, at));
  }

  private SessionEntity row(
      UUID id, UUID clientId, UUID gymId, Aim aim, School school, boolean stiff, Instant at) {
    SessionBrief brief =
        new SessionBrief(aim.weightsById(), Region.ids(aim.keepOut()), school.id(), stiff);
    return rows.newSession(id, clientId, gymId, brief, at);
  }

  /** Ends a session; the next one shows it as last time. */
  public Session finish(UUID sessionId) {
    Instant now = clock.instant();
    transactions.write(() -> finish(sessionId, now));
    return reader.get(sessionId);
  }

  /** Ended once, it stays ended then: the same message again moves nothing. */
  @Transactional
  public void finish(UUID sessionId, Instant at) {
    SessionEntity session = rows.session(sessionId);
    if (session.getFinishedAt() == null) {
      session.finish(at);
    }
    rows.save(session);
  }

  /** Goes on with a session that was ended. */
  public Session reopen(UUID sessionId) {
    transactions.write(() -> rows.session(sessionId).reopen());
    return reader.get(sessionId);
  }

  /** Takes a session out of every list; one in which something was done is part of the record. */
  @Transactional
  public void takeOut(UUID sessionId) {
    SessionEntity session = rows.session(sessionId);
    if (rows.itemsOf(session).stream().anyMatch(rows::hasSets)) {
      throw new Conflict("Sets are logged in this session: it is part of the record.");
    }
    session.takeOut(clock.instant());
  }

  /** Puts a session back that was taken out. */
  public Session putBack(UUID sessionId) {
    transactions.write(() -> rows.session(sessionId).putBack());
    return reader.get(sessionId);
  }
}
