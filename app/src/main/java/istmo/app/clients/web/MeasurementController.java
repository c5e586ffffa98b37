package istmo.app.clients.web;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Measurement;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Readings of a client over HTTP: m, kg, deg as the kind says. */
@RestController
@RequestMapping("/api/clients/{clientId}/measurements")
class MeasurementController {
  private final Clients clients;

  MeasurementController(Clients clients) {
    this.clients = clients;
  }

  record MeasurementInput(MeasurementKind kind, Side side, Double value, LocalDate on) {
    Measurement measurement() {
      List<InvalidInput.Fault> faults = new ArrayList<>();
      if (kind == null) {
        faults.add(
            new InvalidInput.Fault(
                "kind", "must be one of " + Arrays.toString(MeasurementKind.values())));
      }
      if (value == null) {
        faults.add(new InvalidInput.Fault("value", "is needed"));
      }
      if (on == null) {
        faults.add(new InvalidInput.Fault("on", "is needed: the day, as 2026-11-24"));
      }
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return new Measurement(kind, side == null ? Side.NONE : side, value, on);
    }
  }

  record ReadingView(UUID id, Side side, double value, LocalDate on) {}

  /**
   * What the model uses for one kind: value and origin; error is that of one reading, where a day
   * has two.
   */
  record KindView(
      MeasurementKind kind,
      String label,
      String unit,
      boolean twoSided,
      String how,
      Origin origin,
      @MayBeMissing Double used,
      @MayBeMissing Double error,
      List<ReadingView> readings) {}

  /** Where the value that is used comes from. */
  enum Origin {
    MEASURED,
    INTAKE,
    ESTIMATED,
    UNKNOWN
  }

  record MeasurementsView(
      UUID clientId,
      String clientName,
      double dorsiflexionDeg,
      List<String> notes,
      List<KindView> kinds) {}

  /** Readings of a client by measurement, with the value that is used and its interval. */
  @GetMapping
  MeasurementsView all(@PathVariable UUID clientId) {
    return view(clients.get(clientId));
  }

  /** Adds one reading in the unit of its kind; a value that no adult has is refused. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  MeasurementsView add(@PathVariable UUID clientId, @RequestBody MeasurementInput input) {
    return view(clients.measure(clientId, input.measurement()));
  }

  /** Takes one reading out. */
  @DeleteMapping("/{readingId}")
  MeasurementsView remove(@PathVariable UUID clientId, @PathVariable UUID readingId) {
    return view(clients.removeReading(clientId, readingId));
  }

  private MeasurementsView view(Client c) {
    BodyEstimate estimate = c.estimate();
    List<Clients.Reading> readings = clients.readings(c.id());
    List<KindView> kinds = new ArrayList<>();
    for (MeasurementKind k : MeasurementKind.values()) {
      List<ReadingView> of =
          readings.stream()
              .filter(r -> r.measurement().kind() == k)
              .map(
                  r ->
                      new ReadingView(
                          r.id(),
                          r.measurement().side(),
                          r.measurement().value(),
                          r.measurement().on()))
              .toList();
      Double error =
          c.readings().repeatError(k).isPresent()
              ? c.readings().repeatError(k).getAsDouble()
              : null;
      kinds.add(
          new KindView(
              k,
              k.label(),
              k.unit(),
              k.twoSided(),
              k.how(),
              origin(k, !of.isEmpty()),
              used(k, estimate.body(), c),
              error,
              of));
    }
    return new MeasurementsView(
        c.id(),
        c.name(),
        Rounded.of(Math.toDegrees(estimate.body().dorsiflexionLimitRad())),
        estimate.notes(),
        kinds);
  }

  private static Origin origin(MeasurementKind k, boolean measured) {
    if (measured) {
      return Origin.MEASURED;
    }
    return switch (k) {
      case STATURE, MASS -> Origin.INTAKE;
      case KNEE_TO_WALL, THIGH_GIRTH, CALF_GIRTH -> Origin.UNKNOWN;
      default -> Origin.ESTIMATED;
    };
  }

  /** Null where nothing is estimated: girths, and the knee to the wall until it is measured. */
  private static @Nullable Double used(MeasurementKind k, Body b, Client c) {
    return switch (k) {
      case STATURE -> b.statureM();
      case MASS -> b.massKg();
      case THIGH -> b.thighM();
      case SHANK -> b.shankM();
      case TRUNK -> b.trunkM();
      case FOOT -> b.footM();
      case HIP_FLEXION -> Math.toDegrees(b.hipFlexionLimitRad());
      case HIP_OPENING -> Math.toDegrees(b.hipOpeningLimitRad());
      case GRIP -> b.gripKg();
      case KNEE_FLEXION -> Math.toDegrees(b.kneeFlexionLimitRad());
      case KNEE_TO_WALL ->
          c.readings().lesser(k).isPresent() ? c.readings().lesser(k).getAsDouble() : null;
      case THIGH_GIRTH, CALF_GIRTH ->
          c.readings().value(k).isPresent() ? c.readings().value(k).getAsDouble() : null;
    };
  }
}
