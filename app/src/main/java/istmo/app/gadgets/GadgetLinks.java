package istmo.app.gadgets;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.NotFound;
import istmo.core.measuring.Gauge;
import istmo.core.measuring.StableReading;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Live links to measuring gadgets. A link has a code that cannot be guessed; whoever knows it may send readings, only the coach who opened it sees them. Links live in this process and are lost with it: nothing of them is a record until the
 * coach takes a reading.
 */
@Service
public class GadgetLinks {
  private static final Duration KEPT = Duration.ofMinutes(30);
  private static final int MOST = 1000;

  private final Cache<String, Link> links = Caffeine.newBuilder().expireAfterAccess(KEPT).maximumSize(MOST).build();
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
  public record State(String code, Gauge gauge, Optional<Double> last, Optional<StableReading.Stable> stable, int lines, int dropouts, int refused, Optional<String> fault, Optional<Instant> lastAt) {}

  public State open(Gauge gauge) {
    Link link = new Link(UUID.randomUUID().toString(), coach.id(), gauge);
    links.put(link.code, link);
    return link.state();
  }

  /** Another coach's link is as if it did not exist. */
  public State state(String code) {
    return own(code).state();
  }

  public void close(String code) {
    links.invalidate(own(code).code);
  }

  private Link own(String code) {
    return Optional.ofNullable(links.getIfPresent(code)).filter(l -> l.coachId.equals(coach.id())).orElseThrow(() -> new NotFound("link"));
  }

  /** One reading of a gadget: kind may be left out, unit and value may not; t is ms on the gadget's own clock. */
  public record Line(String kind, String unit, Double value, Long t) {}

  /** Whether there is such a link, for whoever knows its code. */
  public void find(String code) {
    link(code);
  }

  /** Takes a line from whoever knows the code; throws {@link InvalidInput} naming what is wrong with it. */
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
    private StableReading readings;
    private int lines;
    private int refused;
    private int dropoutsBefore;
    private String fault;
    private Instant lastAt;

    Link(String code, UUID coachId, Gauge gauge) {
      this.code = code;
      this.coachId = coachId;
      this.gauge = gauge;
      this.readings = new StableReading(gauge);
    }

    synchronized void take(Line line) {
      try {
        if (line.kind() != null && !line.kind().toUpperCase(Locale.ROOT).equals(gauge.name())) {
          throw new InvalidInput("kind", "this link waits for " + gauge.name().toLowerCase(Locale.ROOT) + ", not " + line.kind());
        }
        if (line.unit() == null || line.value() == null || line.t() == null) {
          throw new InvalidInput(line.unit() == null ? "unit" : line.value() == null ? "value" : "t", "is needed");
        }
        double value = gauge.inside(line.value(), line.unit());
        if (line.t() == 0 && lines > 0) { // the gadget was started anew
          dropoutsBefore += readings.dropouts() + 1;
          readings = new StableReading(gauge);
        }
        readings.take(line.t(), value);
        lines++;
        lastAt = clock.instant();
      } catch (InvalidInput e) {
        refuse(e.getMessage());
        throw e;
      }
    }

    synchronized void refuse(String why) {
      refused++;
      fault = why;
    }

    synchronized State state() {
      boolean fresh = lastAt != null && Duration.between(lastAt, clock.instant()).toMillis() <= StableReading.GAP_MS;
      Optional<Double> last = lines == 0 ? Optional.empty() : Optional.of(readings.last());
      return new State(code, gauge, last, fresh ? readings.stable() : Optional.empty(), lines, dropoutsBefore + readings.dropouts(), refused, Optional.ofNullable(fault), Optional.ofNullable(lastAt));
    }
  }
}
