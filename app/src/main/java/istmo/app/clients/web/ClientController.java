package istmo.app.clients.web;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import istmo.core.body.Sex;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Clients over HTTP. Stature in m, mass in kg. */
@RestController
@RequestMapping("/api/clients")
class ClientController {
  private final Clients clients;

  ClientController(Clients clients) {
    this.clients = clients;
  }

  /** The sixty-second intake; null is "not answered". */
  record ClientInput(Integer version, String name, Double statureM, Double massKg, Sex sex, Intake.Thigh thigh, Intake.Ankle ankle, Set<PainFlag> pain) {
    Intake intake() {
      List<InvalidInput.Fault> faults = new ArrayList<>();
      check(faults, "statureM", statureM, Intake.STATURE_M);
      check(faults, "massKg", massKg, Intake.MASS_KG);
      required(faults, "sex", sex);
      required(faults, "thigh", thigh);
      required(faults, "ankle", ankle);
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return new Intake(statureM, massKg, sex, thigh, ankle);
    }

    private static void check(List<InvalidInput.Fault> faults, String field, Double value, istmo.core.quantity.Allowed allowed) {
      if (value == null) {
        required(faults, field, null);
        return;
      }
      try {
        allowed.check(field, value);
      } catch (InvalidInput e) {
        faults.addAll(e.faults());
      }
    }

    private static void required(List<InvalidInput.Fault> faults, String field, Object value) {
      if (value == null) {
        faults.add(new InvalidInput.Fault(field, "is needed"));
      }
    }

    Set<PainFlag> painOrNone() {
      return pain == null ? Set.of() : pain;
    }
  }

  record ClientView(UUID id, int version, String name, double statureM, double massKg, Sex sex, Intake.Thigh thigh, Intake.Ankle ankle, Set<PainFlag> pain) {
    static ClientView of(Client c) {
      Intake i = c.intake();
      return new ClientView(c.id(), c.version(), c.name(), i.statureM(), i.massKg(), i.sex(), i.thigh(), i.ankle(), new TreeSet<>(c.pain()));
    }
  }

  @GetMapping
  List<ClientView> all() {
    return clients.all().stream().map(ClientView::of).toList();
  }

  @GetMapping("/{id}")
  ClientView one(@PathVariable UUID id) {
    return ClientView.of(clients.get(id));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ClientView add(@RequestBody ClientInput input) {
    return ClientView.of(clients.add(input.name(), input.intake(), input.painOrNone()));
  }

  @PutMapping("/{id}")
  ClientView change(@PathVariable UUID id, @RequestBody ClientInput input) {
    if (input.version() == null) {
      throw new InvalidInput("version", "is needed: the version that was shown");
    }
    return ClientView.of(clients.change(id, input.version(), input.name(), input.intake(), input.painOrNone()));
  }
}
