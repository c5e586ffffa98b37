package istmo.app.clients.web;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.platform.MayBeMissing;
import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import istmo.core.body.Habit;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Restriction;
import istmo.core.body.Sex;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
  record ClientInput(
      Integer version,
      String name,
      Double statureM,
      Double massKg,
      Sex sex,
      Intake.Thigh thigh,
      Intake.Ankle ankle,
      List<SorenessInput> pain,
      List<CautionInput> cautions,
      List<RestrictionInput> restrictions,
      ProfileInput profile) {
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

    private static void check(
        List<InvalidInput.Fault> faults,
        String field,
        Double value,
        istmo.core.quantity.Allowed allowed) {
      if (value == null) {
        required(faults, field, null);
        return;
      }
      allowed.check(faults, field, value);
    }

    private static void required(
        List<InvalidInput.Fault> faults, String field, @Nullable Object value) {
      if (value == null) {
        faults.add(new InvalidInput.Fault(field, "is needed"));
      }
    }

    Profile profileOrUnknown() {
      return profile == null ? Profile.unknown() : profile.profile();
    }

    Cautions cautionsOrNone() {
      return new Cautions(
          pain == null ? List.of() : pain.stream().map(SorenessInput::soreness).toList(),
          cautions == null ? List.of() : cautions.stream().map(CautionInput::entry).toList(),
          restrictions == null
              ? List.of()
              : restrictions.stream().map(RestrictionInput::restriction).toList());
    }
  }

  /** A sore joint; without movements whatever troubles it, without an approach it is left out. */
  record SorenessInput(PainFlag joint, Set<SoreMovement> movements, Soreness.Approach approach) {
    Soreness soreness() {
      if (joint == null) {
        throw new InvalidInput("pain.joint", "is needed");
      }
      return new Soreness(
          joint,
          movements == null ? Set.of() : movements,
          approach == null ? Soreness.Approach.LEAVE_OUT : approach);
    }
  }

  /** Null is "not said". likes and dislikes: exercise ids. */
  record ProfileInput(
      Profile.TrainingAge trainingAge,
      Integer daysAWeek,
      Integer minutes,
      Set<Habit> habits,
      Measurement.Side strongerSide,
      String notes,
      Set<String> likes,
      Set<String> dislikes) {
    Profile profile() {
      return new Profile(
          Optional.ofNullable(trainingAge),
          Optional.ofNullable(daysAWeek),
          Optional.ofNullable(minutes),
          orNone(habits),
          Optional.ofNullable(strongerSide),
          notes == null ? "" : notes,
          orNone(likes),
          orNone(dislikes));
    }

    private static <T> Set<T> orNone(Set<T> set) {
      return set == null ? Set.of() : set;
    }
  }

  /** Cleared when a clinician's name or a day is given; then both are needed. */
  record CautionInput(Caution caution, String clearedBy, LocalDate clearedOn) {
    Cautions.Entry entry() {
      if (caution == null) {
        throw new InvalidInput("cautions.caution", "is needed");
      }
      boolean cleared = (clearedBy != null && !clearedBy.isBlank()) || clearedOn != null;
      return new Cautions.Entry(
          caution,
          cleared ? Optional.of(new Cautions.Clearance(clearedBy, clearedOn)) : Optional.empty());
    }
  }

  record RestrictionInput(
      String by,
      LocalDate on,
      String text,
      Double kneeMaxDeg,
      Double hipMaxDeg,
      Boolean noLoadedBack) {
    Restriction restriction() {
      return new Restriction(
          by,
          on,
          text,
          Optional.ofNullable(kneeMaxDeg),
          Optional.ofNullable(hipMaxDeg),
          Boolean.TRUE.equals(noLoadedBack));
    }
  }

  record ClientCautionView(
      Caution caution, @MayBeMissing String clearedBy, @MayBeMissing LocalDate clearedOn) {}

  record RestrictionView(
      String by,
      LocalDate on,
      String text,
      @MayBeMissing Double kneeMaxDeg,
      @MayBeMissing Double hipMaxDeg,
      boolean noLoadedBack) {}

  record SorenessView(PainFlag joint, Set<SoreMovement> movements, Soreness.Approach approach) {}

  record ProfileView(
      @MayBeMissing Profile.TrainingAge trainingAge,
      @MayBeMissing Integer daysAWeek,
      @MayBeMissing Integer minutes,
      Set<Habit> habits,
      @MayBeMissing Measurement.Side strongerSide,
      String notes,
      Set<String> likes,
      Set<String> dislikes) {
    static ProfileView of(Profile stored) {
      return new ProfileView(
          stored.trainingAge().orElse(null),
          stored.daysAWeek().orElse(null),
          stored.minutes().orElse(null),
          stored.habits(),
          stored.strongerSide().orElse(null),
          stored.notes(),
          stored.likes(),
          stored.dislikes());
    }
  }

  record ClientView(
      UUID id,
      int version,
      String name,
      double statureM,
      double massKg,
      Sex sex,
      Intake.Thigh thigh,
      Intake.Ankle ankle,
      List<SorenessView> pain,
      List<ClientCautionView> cautions,
      List<RestrictionView> restrictions,
      ProfileView profile) {
    static ClientView of(Client client) {
      Intake intake = client.intake();
      return new ClientView(
          client.id(),
          client.version(),
          client.name(),
          intake.statureM(),
          intake.massKg(),
          intake.sex(),
          intake.thigh(),
          intake.ankle(),
          client.cautions().sores().stream()
              .map(
                  soreness ->
                      new SorenessView(soreness.joint(), soreness.movements(), soreness.approach()))
              .toList(),
          client.cautions().entries().stream()
              .map(
                  entry ->
                      new ClientCautionView(
                          entry.caution(),
                          entry.clearance().map(Cautions.Clearance::by).orElse(null),
                          entry.clearance().map(Cautions.Clearance::on).orElse(null)))
              .toList(),
          client.cautions().restrictions().stream()
              .map(
                  restriction ->
                      new RestrictionView(
                          restriction.by(),
                          restriction.on(),
                          restriction.text(),
                          restriction.kneeMaxDeg().orElse(null),
                          restriction.hipMaxDeg().orElse(null),
                          restriction.noLoadedBack()))
              .toList(),
          ProfileView.of(client.profile()));
    }
  }

  /** Every client, by name. */
  @GetMapping
  List<ClientView> all() {
    return clients.all().stream().map(ClientView::of).toList();
  }

  /** One client with body, profile and cautions. */
  @GetMapping("/{id}")
  ClientView one(@PathVariable UUID id) {
    return ClientView.of(clients.get(id));
  }

  /** Takes in a client. 201 with the client. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ClientView add(@RequestBody ClientInput input) {
    check(input, Optional.empty());
    return ClientView.of(
        clients.add(
            input.name(), input.intake(), input.profileOrUnknown(), input.cautionsOrNone()));
  }

  /**
   * Changes a client. {@code version} must be the one that was read; 409 if it has changed since.
   */
  @PutMapping("/{id}")
  ClientView change(@PathVariable UUID id, @RequestBody ClientInput input) {
    if (input.version() == null) {
      throw new InvalidInput("version", "is needed: the version that was shown");
    }
    check(input, Optional.of(id));
    return ClientView.of(
        clients.change(
            id,
            input.version(),
            input.name(),
            input.intake(),
            input.profileOrUnknown(),
            input.cautionsOrNone()));
  }

  /** Says everything that is wrong with the form at once. */
  private void check(ClientInput input, Optional<UUID> own) {
    InvalidInput.together(
        () -> clients.checkName(input.name(), own),
        input::intake,
        () -> Clients.check(input.profileOrUnknown()),
        input::cautionsOrNone);
  }
}
