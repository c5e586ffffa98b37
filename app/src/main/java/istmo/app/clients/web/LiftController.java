package istmo.app.clients.web;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A client's known lifts, and how strong they say the client is. Loads in kg. */
@RestController
@RequestMapping("/api/clients/{clientId}/lifts")
class LiftController {
  private final Catalogue catalogue;
  private final Clients clients;

  LiftController(Catalogue catalogue, Clients clients) {
    this.catalogue = catalogue;
    this.clients = clients;
  }

  record LiftInput(
      CandidateId candidateId, Double loadKg, Integer repetitions, Double reserve, LocalDate on) {
    KnownLift lift(Catalogue catalogue) {
      new Needed()
          .field("candidateId", candidateId)
          .field("loadKg", loadKg)
          .field("repetitions", repetitions)
          .field("on", on)
          .check();
      InvalidInput.together(
          () -> catalogue.candidate(candidateId),
          () -> new PerformedSet(loadKg, repetitions, reserve == null ? 0 : reserve));
      return new KnownLift(
          catalogue.candidate(candidateId),
          new PerformedSet(loadKg, repetitions, reserve == null ? 0 : reserve),
          on);
    }
  }

  record LiftView(
      UUID id,
      CandidateId candidateId,
      String name,
      double loadKg,
      int repetitions,
      double reserve,
      LocalDate on) {}

  /** Factors on what is usual for the mass and stature. */
  record StrengthView(double legs, double back, String basis) {}

  /**
   * lumbarNm: what the lower back holds, N m; estimated from mass and stature until a lift says.
   */
  record LiftsView(List<LiftView> lifts, double lumbarNm, @MayBeMissing StrengthView strength) {}

  /**
   * Known lifts of a client, and the strength that follows from them; {@code lumbarNm} is in N m.
   */
  @GetMapping
  LiftsView all(@PathVariable UUID clientId) {
    return view(clients.get(clientId));
  }

  /** Adds a known lift: exercise, set-up, load in kg and repetitions. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  LiftsView add(@PathVariable UUID clientId, @RequestBody LiftInput input) {
    return view(clients.addLift(clientId, input.lift(catalogue)));
  }

  /** Takes a known lift out. */
  @DeleteMapping("/{liftId}")
  LiftsView remove(@PathVariable UUID clientId, @PathVariable UUID liftId) {
    return view(clients.removeLift(clientId, liftId));
  }

  private LiftsView view(Client client) {
    List<LiftView> lifts =
        clients.lifts(client.id()).stream()
            .map(
                lift ->
                    new LiftView(
                        lift.id(),
                        lift.lift().candidateId(),
                        lift.lift().candidate().name(),
                        lift.lift().set().loadKg(),
                        lift.lift().set().repetitions(),
                        lift.lift().set().reserve(),
                        lift.lift().on()))
            .toList();
    return new LiftsView(
        lifts,
        Math.rint(client.estimate().body().lumbarNm()),
        client
            .strength()
            .map(
                calibration ->
                    new StrengthView(
                        Rounded.of(calibration.legs()),
                        Rounded.of(calibration.back()),
                        Words.of(calibration)))
            .orElse(null));
  }
}
