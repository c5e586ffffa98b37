package istmo.app.gadgets.web;

import istmo.app.accounts.Accounts;
import istmo.app.gadgets.GadgetLinks;
import istmo.app.gadgets.StandInGadgets;
import istmo.app.gyms.Gyms;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.NotFound;
import istmo.app.platform.Rounded;
import istmo.core.equipment.Equipment;
import istmo.core.measuring.Gauge;
import istmo.core.measuring.Pull;
import istmo.core.measuring.ResistanceFit;
import istmo.core.measuring.StandIn;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Scheme;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.WatchedSet;
import istmo.core.words.Words;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Gadgets over HTTP: a link with a code, lines of JSON into it (docs/gadgets.md), and what it
 * knows. Values in N, deg or m.
 */
@RestController
@RequestMapping("/api/gadget-links")
class GadgetController {
  private static final int LONGEST_LINE = 500;
  private static final int MOST_TOLD = 20;

  /** How much of a watched set is drawn, s, and how finely. */
  private static final double SHOWN_S = 20;

  private static final double SHOWN_EVERY_S = 0.08;
  private static final Allowed LIFTED = new Allowed(1, 30, "repetitions");

  private final GadgetLinks links;
  private final StandInGadgets standIns;
  private final Gyms gyms;
  private final Accounts accounts;
  private final JsonMapper json;

  GadgetController(
      GadgetLinks links, StandInGadgets standIns, Gyms gyms, Accounts accounts, JsonMapper json) {
    this.links = links;
    this.standIns = standIns;
    this.gyms = gyms;
    this.accounts = accounts;
    this.json = json;
  }

  /** watch: whether a set is to be watched, and not a reading that comes to rest. */
  record LinkInput(Gauge kind, @MayBeMissing Boolean watch) {}

  record StableView(double value, double spread) {}

  record LinkView(
      String code,
      Gauge kind,
      String unit,
      boolean standIns,
      @MayBeMissing Double last,
      @MayBeMissing StableView stable,
      int lines,
      int dropouts,
      int refused,
      @MayBeMissing String fault,
      @MayBeMissing Instant lastAt) {}

  /** Where the stand-in is held: on a machine of a gym at a place of its travel. */
  record StandInInput(
      UUID gymId,
      String item,
      Double at,
      Double leverM,
      Double loadKg,
      Pull.Direction direction,
      Boolean dropout) {}

  record RefusedView(int line, String fault) {}

  record TakenView(int taken, List<RefusedView> refused) {}

  /**
   * Opens a link through which a telephone or sensor sends readings to this screen. It holds for
   * half an hour.
   */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  LinkView open(@RequestBody LinkInput input) {
    if (input.kind() == null) {
      throw new InvalidInput("kind", "must be FORCE, ANGLE or LENGTH");
    }
    return view(
        Boolean.TRUE.equals(input.watch()) ? links.watch(input.kind()) : links.open(input.kind()));
  }

  /** What has come through a link until now. */
  @GetMapping("/{code}")
  LinkView state(@PathVariable String code) {
    return view(links.state(code));
  }

  record WatchedRepetitionView(
      double range,
      double loweringS,
      double lowS,
      double liftingS,
      double topS,
      double meanSpeed,
      boolean dropout) {}

  /** repetitions: numbers from 1. */
  record DeviationView(WatchedSet.Kind kind, List<Integer> repetitions, String words) {}

  record TracePointView(double timeS, double position) {}

  /**
   * Ranges in the link's unit, speeds in it a second; rangeKept and tempoKept are missing where
   * nothing can be said. trace: the last seconds, thinned.
   */
  record WatchedView(
      LinkView link,
      double seconds,
      List<WatchedRepetitionView> repetitions,
      double speedLossPercent,
      List<DeviationView> findings,
      @MayBeMissing Boolean rangeKept,
      @MayBeMissing Boolean tempoKept,
      List<TracePointView> trace) {}

  /**
   * The set so far beside what was asked of each repetition, s; zeros where nothing was. turned:
   * readings fall while the load is lifted.
   */
  @GetMapping("/{code}/watched")
  WatchedView watched(
      @PathVariable String code,
      @RequestParam(defaultValue = "0") double loweringS,
      @RequestParam(defaultValue = "0") double lowS,
      @RequestParam(defaultValue = "STRAIGHT") Scheme scheme,
      @RequestParam(defaultValue = "false") boolean turned) {
    GadgetLinks.Watched watched =
        links.watched(code, new WatchedSet.Asked(loweringS, lowS, scheme.wholeRange()), turned);
    WatchedSet set = watched.set();
    return new WatchedView(
        view(watched.state()),
        Rounded.of(watched.seconds()),
        set.repetitions().stream()
            .map(
                repetition ->
                    new WatchedRepetitionView(
                        Rounded.of(repetition.range()),
                        Rounded.of(repetition.loweringS()),
                        Rounded.of(repetition.lowS()),
                        Rounded.of(repetition.liftingS()),
                        Rounded.of(repetition.topS()),
                        Rounded.of(repetition.meanSpeed()),
                        repetition.dropout()))
            .toList(),
        Rounded.of(set.speedLossPercent()),
        set.findings().stream()
            .map(
                deviation ->
                    new DeviationView(
                        deviation.kind(), deviation.repetitions(), Words.of(deviation)))
            .toList(),
        set.rangeKept().orElse(null),
        set.tempoKept().orElse(null),
        thinned(watched.trace()));
  }

  private static List<TracePointView> thinned(List<Sample> trace) {
    List<TracePointView> points = new ArrayList<>();
    double from = trace.isEmpty() ? 0 : trace.get(trace.size() - 1).timeS() - SHOWN_S;
    double next = from;
    for (Sample sample : trace) {
      if (sample.timeS() >= next) {
        points.add(new TracePointView(Rounded.of(sample.timeS()), Rounded.of(sample.position())));
        next = sample.timeS() + SHOWN_EVERY_S;
      }
    }
    return points;
  }

  /** Closes a link; nothing more is taken through it. */
  @DeleteMapping("/{code}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void close(@PathVariable String code) {
    links.close(code);
  }

  /**
   * Lines as they come, for as long as the gadget sends; whoever knows the code may. Bad lines are
   * told and do not stop the others.
   */
  @PostMapping(path = "/{code}/lines", consumes = "application/x-ndjson")
  TakenView lines(@PathVariable String code, InputStream body) throws IOException {
    links.find(code);
    List<RefusedView> refused = new ArrayList<>();
    int number = 0;
    int taken = 0;
    BufferedReader reader = new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8));
    for (String line = read(reader); line != null; line = read(reader)) {
      number++;
      if (line.isBlank()) {
        continue;
      }
      String fault = take(code, line);
      if (fault == null) {
        taken++;
      } else if (refused.size() < MOST_TOLD) {
        refused.add(new RefusedView(number, fault));
      }
    }
    return new TakenView(taken, refused);
  }

  /** Null when the line was taken. */
  private @Nullable String take(String code, String line) {
    if (line.length() > LONGEST_LINE) {
      return refuse(code, "is longer than " + LONGEST_LINE + " characters");
    }
    try {
      links.take(code, json.readValue(line, GadgetLinks.Line.class));
      return null;
    } catch (JacksonException e) {
      return refuse(code, "is no JSON of a reading: " + e.getOriginalMessage());
    } catch (InvalidInput e) {
      return String.valueOf(e.getMessage());
    }
  }

  private String refuse(String code, String fault) {
    links.refuse(code, fault);
    return fault;
  }

  /** A line, or what of it is needed to see that it is too long. */
  private static @Nullable String read(BufferedReader reader) throws IOException {
    StringBuilder line = new StringBuilder();
    int c = reader.read();
    if (c < 0) {
      return null;
    }
    for (; c >= 0 && c != '\n'; c = reader.read()) {
      if (line.length() <= LONGEST_LINE) {
        line.append((char) c);
      }
    }
    return line.toString();
  }

  /** The demo's stand-in begins to send to this link. */
  @PostMapping("/{code}/stand-in")
  @ResponseStatus(HttpStatus.ACCEPTED)
  LinkView standIn(@PathVariable String code, @RequestBody StandInInput input) {
    GadgetLinks.State state = links.state(code);
    if (!accounts.isDemo()) {
      throw new NotFound("stand-in outside the demo");
    }
    if (input.at() == null
        || (state.gauge() == Gauge.FORCE
            && (input.gymId() == null || input.item() == null || input.loadKg() == null))) {
      throw new InvalidInput(
          input.at() == null
              ? "at"
              : input.gymId() == null ? "gymId" : input.item() == null ? "item" : "loadKg",
          "is needed");
    }
    standIns.send(
        code, state.gauge(), truth(state.gauge(), input), Boolean.TRUE.equals(input.dropout()));
    return view(links.state(code));
  }

  /** What the stand-in lifts: so many repetitions, s for each phase. */
  record LiftInput(
      Integer repetitions,
      @MayBeMissing Double loweringS,
      @MayBeMissing Double lowS,
      @MayBeMissing Double liftingS,
      @MayBeMissing Double topS) {}

  /** The demo's stand-in begins to lift, with the faults of somebody who tires. */
  @PostMapping("/{code}/stand-in-set")
  @ResponseStatus(HttpStatus.ACCEPTED)
  LinkView lift(@PathVariable String code, @RequestBody LiftInput input) {
    GadgetLinks.State state = links.watched(code, WatchedSet.Asked.NOTHING, false).state();
    if (!accounts.isDemo()) {
      throw new NotFound("stand-in outside the demo");
    }
    new Needed().field("repetitions", input.repetitions()).check();
    LIFTED.check("repetitions", input.repetitions());
    standIns.lift(
        code,
        state.gauge(),
        input.repetitions(),
        new Tempo(
            orZero(input.loweringS()),
            orZero(input.lowS()),
            orZero(input.liftingS()),
            orZero(input.topS())));
    return view(state);
  }

  private static double orZero(@Nullable Double seconds) {
    return seconds == null ? 0 : seconds;
  }

  private double truth(Gauge gauge, StandInInput input) {
    if (gauge != Gauge.FORCE) {
      return input.at();
    }
    Equipment item = Equipment.of(input.item());
    if (!ResistanceFit.possible(item)) {
      throw new InvalidInput("item", "has no resistance to measure");
    }
    Pull pull =
        new Pull(
            input.at(),
            0,
            input.leverM() == null ? 0 : input.leverM(),
            input.loadKg(),
            input.direction() == null ? Pull.Direction.STILL : input.direction());
    return StandIn.forceN(item, gyms.get(input.gymId()).equipment(), pull);
  }

  private LinkView view(GadgetLinks.State state) {
    return new LinkView(
        state.code(),
        state.gauge(),
        state.gauge().unit(),
        accounts.isDemo(),
        state.last().orElse(null),
        state.stable().map(stable -> new StableView(stable.value(), stable.spread())).orElse(null),
        state.lines(),
        state.dropouts(),
        state.refused(),
        state.fault().orElse(null),
        state.lastAt().orElse(null));
  }
}
