package istmo.app.gadgets;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.NotFound;
import istmo.core.measuring.Gauge;
import istmo.core.measuring.StableReading;
import istmo.core.quantity.InvalidInput;
import istmo.core.watching.RepetitionFinder;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.WatchedSet;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Live links to measuring gadgets. A link has a code that cannot be guessed; whoever knows it may
 * send readings, only the coach who opened it sees them. Links live in this process and are lost
 * with it: nothing of them is a record until the coach takes a reading.
 */
@Service
public class GadgetLinks {
  private static final Duration KEPT = Duration.ofMinutes(30);
  private static final int MOST = 1000;

  /** Readings that a link which watches a set keeps: five minutes of fifty a second. */
  private static final int MOST_WATCHED = 15_000;

  private final Cache<String, Link> links =
      Caffeine.newBuilder().expireAfterAccess(KEPT).maximumSize(MOST).build();
  private final CurrentCoach coach;
  private final Clock clock;

  GadgetLinks(CurrentCoach coach, Clock clock) {
    this.coach = coach;
    this.clock = clock;
  }

  /**
   * What a link knows now.
   *
   * @param last newest value, N, deg or m
   * @param stable the value that stands still, if one does and is fresh
   * @param lines taken so far
   * @param refused lines that could not be used, with the newest reason
   */
  public record State(
      String code,
      Gauge gauge,
      Optional<Double> last,
      Optional<StableReading.Stable> stable,
      int lines,
      int dropouts,
      int refused,
      Optional<String> fault,
      Optional<Instant> lastAt) {}

  /** A link whose readings come to rest. */
  public State open(Gauge gauge) {
    return open(gauge, false);
  }

  /** A link whose readings go up and down with a set: a bar's height, or a thigh's tilt. */
  public State watch(Gauge gauge) {
    if (gauge == Gauge.FORCE) {
      throw new InvalidInput("kind", "watching needs a LENGTH or an ANGLE");
    }
    return open(gauge, true);
  }

  private State open(Gauge gauge, boolean watches) {
    Link link = new Link(UUID.randomUUID().toString(), coach.id(), gauge, watches);
    links.put(link.code, link);
    return link.state();
  }

  /** Another coach's link is as if it did not exist. */
  public State state(String code) {
    return own(code).state();
  }

  /**
   * A set as it was watched so far.
   *
   * @param seconds that the link has been sent readings for, on the gadget's clock
   * @param trace the readings, m or deg, rising while the load is lifted
   */
  public record Watched(State state, double seconds, List<Sample> trace, WatchedSet set) {}

  /**
   * The set that a link has watched so far, beside what was asked.
   *
   * @param turned whether the gadget's readings fall while the load is lifted
   */
  public Watched watched(String code, WatchedSet.Asked asked, boolean turned) {
    Link link = own(code);
    if (!link.watches) {
      throw new NotFound("link that watches a set");
    }
    List<Sample> trace = link.trace();
    List<Sample> rising =
        turned
            ? trace.stream().map(sample -> new Sample(sample.timeS(), -sample.position())).toList()
            : trace;
    RepetitionFinder finder =
        link.gauge == Gauge.LENGTH ? RepetitionFinder.ofBar() : RepetitionFinder.ofTilt();
    double seconds =
        trace.isEmpty() ? 0 : trace.get(trace.size() - 1).timeS() - trace.get(0).timeS();
    return new Watched(link.state(), seconds, rising, WatchedSet.of(finder.soFar(rising), asked));
  }

  /** Ends a link; nothing more is taken through it. */
  public void close(String code) {
    links.invalidate(own(code).code);
  }

  private Link own(String code) {
    return Optional.ofNullable(links.getIfPresent(code))
        .filter(link -> link.coachId.equals(coach.id()))
        .orElseThrow(() -> new NotFound("link"));
  }

  /**
   * One reading of a gadget: kind may be left out, unit and value may not; t is ms on the gadget's
   * own clock.
   */
  public record Line(String kind, String unit, Double value, Long t) {}

  /** Whether there is such a link, for whoever knows its code. */
  public void find(String code) {
    link(code);
  }

  /**
   * Takes a line from whoever knows the code; throws {@link InvalidInput} naming what is wrong with
   * it.
   */
  public void take(String code, Line line) {
    link(code).take(line);
  }

  /** Counts a line that was no reading at all. */
  public void refuse(String code, String fault) {
    link(code).refuse(fault);
  }

  private Link link(String code) {
    return Optional.ofNullable(links.getIfPresent(code)).orElseThrow(() -> new NotFound("link"));
  }

  private final class Link {
    private final String code;
    private final UUID coachId;
    private final Gauge gauge;
    private final boolean watches;
    private final Deque<Sample> trace = new ArrayDeque<>();
    private StableReading readings;
    private int lines;
    private int refused;
    private int dropoutsBefore;
    private @Nullable String fault;
    private @Nullable Instant lastAt;

    Link(String code, UUID coachId, Gauge gauge, boolean watches) {
      this.code = code;
      this.coachId = coachId;
      this.gauge = gauge;
      this.watches = watches;
      this.readings = new StableReading(gauge);
    }

    synchronized void take(Line line) {
      try {
        if (line.kind() != null && !line.kind().toUpperCase(Locale.ROOT).equals(gauge.name())) {
          throw new InvalidInput(
              "kind",
              "this link waits for "
                  + gauge.name().toLowerCase(Locale.ROOT)
                  + ", not "
                  + line.kind());
        }
        if (line.unit() == null || line.value() == null || line.t() == null) {
          throw new InvalidInput(
              line.unit() == null ? "unit" : line.value() == null ? "value" : "t", "is needed");
        }
        double value = gauge.inside(line.value(), line.unit());
        if (line.t() == 0 && lines > 0) { // the gadget was started anew
          dropoutsBefore += readings.dropouts() + 1;
          readings = new StableReading(gauge);
          trace.clear();
        }
        readings.take(line.t(), value);
        if (watches) {
          keep(new Sample(line.t() / 1000.0, value));
        }
        lines++;
        lastAt = clock.instant();
      } catch (InvalidInput e) {
        refuse(String.valueOf(e.getMessage()));
        throw e;
      }
    }

    private void keep(Sample sample) {
      if (trace.size() == MOST_WATCHED) {
        trace.removeFirst();
      }
      trace.addLast(sample);
    }

    synchronized List<Sample> trace() {
      return List.copyOf(trace);
    }

    synchronized void refuse(String why) {
      refused++;
      fault = why;
    }

    synchronized State state() {
      boolean fresh =
          lastAt != null
              && Duration.between(lastAt, clock.instant()).toMillis() <= StableReading.GAP_MS;
      Optional<Double> last = lines == 0 ? Optional.empty() : Optional.of(readings.last());
      return new State(
          code,
          gauge,
          last,
          fresh ? readings.stable() : Optional.empty(),
          lines,
          dropoutsBefore + readings.dropouts(),
          refused,
          Optional.ofNullable(fault),
          Optional.ofNullable(lastAt));
    }
  }
}
