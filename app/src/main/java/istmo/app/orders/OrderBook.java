package istmo.app.orders;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.core.body.Body;
import istmo.core.ranking.criterion.Aim;
import istmo.core.ranking.criterion.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.MeasuringValue;
import istmo.core.ranking.criterion.Order;
import istmo.core.ranking.criterion.Orders;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Orders for a client in a gym. What the mechanics say of a body is kept by the body itself, so a changed aim orders again without new mechanics; the cache may be lost at any time. */
@Service
public class OrderBook {
  private record Key(Body body, School school) {}

  private static final int KEPT_BODIES = 120;

  private final Cache<Key, Map<String, Evaluation>> evaluations = Caffeine.newBuilder().maximumSize(KEPT_BODIES).build();
  private final Clients clients;
  private final Gyms gyms;

  OrderBook(Clients clients, Gyms gyms) {
    this.clients = clients;
    this.gyms = gyms;
  }

  public Order order(UUID clientId, UUID gymId, Aim aim, School school) {
    Client client = clients.get(clientId);
    return order(client, gyms.get(gymId), aim, school, client.estimate().body());
  }

  /** Which missing measurements would change this order, most first. Some seconds of mechanics the first time, then kept. */
  public List<MeasuringValue> measuring(UUID clientId, UUID gymId, Aim aim, School school) {
    Client client = clients.get(clientId);
    Gym gym = gyms.get(gymId);
    return MeasuringValue.of(client.estimate(), body -> order(client, gym, aim, school, body));
  }

  /** What to ask or to know about this client before anything is done. */
  public List<String> statements(UUID clientId) {
    return clients.get(clientId).cautions().statements();
  }

  private Order order(Client client, Gym gym, Aim aim, School school, Body body) {
    Brief brief = new Brief(body, client.pain(), client.cautions(), gym.equipment(), aim, school);
    return Orders.order(brief, evaluations.get(new Key(brief.limitedBody(), school), k -> Orders.evaluate(k.body(), k.school())));
  }
}
