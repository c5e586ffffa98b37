package istmo.app.orders;

import istmo.app.schools.Schools;
import istmo.app.sessions.Session;
import istmo.core.plan.Offers;
import istmo.core.ranking.brief.Weights;
import org.springframework.stereotype.Service;

/** What is on offer for the client of a session, at its gym, for what it was for. */
@Service
public class SessionOffers {
  private final OrderBook orders;
  private final Schools schools;

  SessionOffers(OrderBook orders, Schools schools) {
    this.orders = orders;
    this.schools = schools;
  }

  /**
   * Computes, so it must not be asked for inside a transaction.
   *
   * @param stiff whether the client is stiff on that day
   */
  public Offers of(Session session, boolean stiff) {
    return orders.offers(
        new OrderBook.OrderRequest(
            session.client().id(),
            session.gym().id(),
            session.brief().aimed(),
            schools.get(session.brief().school()),
            Weights.USUAL,
            stiff));
  }
}
