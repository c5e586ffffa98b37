package istmo.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp;
import istmo.app.accounts.Accounts;
import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.clients.Reports;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Turns;
import istmo.app.schools.Schools;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.equipment.Equipment;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * More different bodies at once than the caches keep. Waiting for one computation must never stop
 * another one for good.
 */
@ExtendWith(RunningApp.class)
class ManyClientsTest {
  private static final int CLIENTS = 4 * OrderBook.LEAST_KEPT;
  private static final long HARDLY_ANY_BYTES = 1;

  /** Far more than it takes. */
  private static final int MINUTES = 4;

  @Test
  void orders_of_four_times_as_many_clients_as_the_caches_keep_all_come_at_once() throws Exception {
    Clients clients = RunningApp.bean(Clients.class);
    Gyms gyms = RunningApp.bean(Gyms.class);
    CurrentCoach coach = RunningApp.bean(CurrentCoach.class);
    OrderBook orders =
        new OrderBook(
            clients,
            gyms,
            RunningApp.bean(Trainables.class),
            RunningApp.bean(Schools.class),
            RunningApp.bean(Reports.class),
            RunningApp.bean(Turns.class),
            HARDLY_ANY_BYTES);
    UUID gym =
        coach.as(
            Accounts.FIRST,
            () -> gyms.add("Harbour wall", Set.of(Equipment.BARBELL, Equipment.RACK)).id());
    List<UUID> ids = new ArrayList<>();
    for (int n = 0; n < CLIENTS; n++) {
      Intake body =
          new Intake(1.55 + 0.02 * n, 70, Sex.FEMALE, Intake.Thigh.USUAL, Intake.Ankle.USUAL);
      String name = "One of many " + n;
      ids.add(
          coach
              .as(Accounts.FIRST, () -> clients.add(name, body, Profile.unknown(), Cautions.none()))
              .id());
    }
    ExecutorService threads = Executors.newFixedThreadPool(CLIENTS);
    try {
      List<Future<byte[]>> asked = new ArrayList<>();
      for (UUID id : ids) {
        OrderBook.OrderRequest wish =
            new OrderBook.OrderRequest(
                id, gym, Aim.of(Map.of("VL", 3), Set.of()), School.STRETCH, Weights.USUAL, false);
        asked.add(
            threads.submit(
                () -> coach.as(Accounts.FIRST, () -> orders.written(wish, this::entries))));
      }
      Future<List<Client>> light = threads.submit(() -> coach.as(Accounts.FIRST, clients::all));
      assertThat(light.get(MINUTES, TimeUnit.MINUTES))
          .as("nobody waits for a connection that a computation holds")
          .hasSizeGreaterThanOrEqualTo(CLIENTS);
      for (Future<byte[]> answer : asked) {
        assertThat(answer.get(MINUTES, TimeUnit.MINUTES)).isNotEmpty();
      }
    } finally {
      threads.shutdownNow();
      ids.forEach(id -> coach.as(Accounts.FIRST, () -> erased(clients, id)));
    }
  }

  private byte[] entries(OrderBook.Answer answer) {
    return new byte[answer.order().entries().size()];
  }

  private static UUID erased(Clients clients, UUID id) {
    clients.erase(id);
    return id;
  }
}
