package istmo.app.clients.web;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.platform.FactView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Measurement;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.body.RangeCourse;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.Words;
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
      List<ReadingView> readings,
      List<JointRangeView> ranges) {}

  /** A day's mean with its standard deviation, in the unit of the kind. */
  record JointRangeDayView(LocalDate on, double value, double error) {}

  /** How far the joint of one side has gone over the months. */
  record JointRangeView(Side side, List<JointRangeDayView> days, List<FactView> found) {
    static JointRangeView of(RangeCourse.Told told) {
      return new JointRangeView(
          told.course().side(),
          told.course().days().stream()
              .map(day -> new JointRangeDayView(day.on(), day.value(), day.error()))
              .toList(),
          FactView.of(told.found()));
    }
  }

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

  private MeasurementsView view(Client client) {
    BodyEstimate estimate = client.estimate();
    List<Clients.Reading> readings = clients.readings(client.id());
    List<RangeCourse.Told> ranges = RangeCourse.told(client.readings());
    List<KindView> kinds = new ArrayList<>();
    for (MeasurementKind kind : MeasurementKind.values()) {
      List<ReadingView> of =
          readings.stream()
              .filter(reading -> reading.measurement().kind() == kind)
              .map(
                  reading ->
                      new ReadingView(
                          reading.id(),
                          reading.measurement().side(),
                          reading.measurement().value(),
                          reading.measurement().on()))
              .toList();
      Double error =
          client.readings().repeatError(kind).isPresent()
              ? client.readings().repeatError(kind).getAsDouble()
              : null;
      kinds.add(
          new KindView(
              kind,
              kind.label(),
              kind.unit(),
              kind.twoSided(),
              kind.how(),
              origin(kind, !of.isEmpty()),
              used(kind, estimate.body(), client),
              error,
              of,
              ranges.stream()
                  .filter(told -> told.course().kind() == kind)
                  .map(JointRangeView::of)
                  .toList()));
    }
    return new MeasurementsView(
        client.id(),
        client.name(),
        Rounded.of(Math.toDegrees(estimate.body().dorsiflexionLimitRad())),
        Words.of(estimate.notes()),
        kinds);
  }

  private static Origin origin(MeasurementKind kind, boolean measured) {
    if (measured) {
      return Origin.MEASURED;
    }
    return switch (kind) {
      case STATURE, MASS -> Origin.INTAKE;
      case KNEE_TO_WALL, THIGH_GIRTH, CALF_GIRTH -> Origin.UNKNOWN;
      default -> Origin.ESTIMATED;
    };
  }

  /** Null where nothing is estimated: girths, and the knee to the wall until it is measured. */
  private static @Nullable Double used(MeasurementKind kind, Body body, Client client) {
    return switch (kind) {
      case STATURE -> body.statureM();
      case MASS -> body.massKg();
      case THIGH -> body.thighM();
      case SHANK -> body.shankM();
      case TRUNK -> body.trunkM();
      case FOOT -> body.footM();
      case HIP_FLEXION -> Math.toDegrees(body.hipFlexionLimitRad());
      case HIP_OPENING -> Math.toDegrees(body.hipOpeningLimitRad());
      case GRIP -> body.gripKg();
      case KNEE_FLEXION -> Math.toDegrees(body.kneeFlexionLimitRad());
      case KNEE_TO_WALL ->
          client.readings().lesser(kind).isPresent()
              ? client.readings().lesser(kind).getAsDouble()
              : null;
      case THIGH_GIRTH, CALF_GIRTH ->
          client.readings().value(kind).isPresent()
              ? client.readings().value(kind).getAsDouble()
              : null;
    };
  }
}
