package istmo.core.body;

import istmo.core.body.Soreness.Approach;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a client's sore joints, cautions and written restrictions ask for, and what follows from
 * them. A cleared caution keeps its advice and loses its limits; a restriction always holds.
 */
public record Cautions(List<Soreness> sores, List<Entry> entries, List<Restriction> restrictions) {
  /** One caution, cleared or not. */
  public record Entry(Caution caution, Optional<Clearance> clearance) {
    boolean limits() {
      return clearance.isEmpty();
    }
  }

  /** The clinician in charge has cleared training. */
  public record Clearance(@Nullable String by, @Nullable LocalDate on) {
    public Clearance {
      if (by == null || by.isBlank() || by.length() > 120 || on == null) {
        throw new InvalidInput("cautions.clearance", "needs the clinician's name and the day");
      }
    }
  }

  public Cautions {
    sores = sores.stream().sorted(Comparator.comparing(Soreness::joint)).toList();
    if (sores.stream().map(Soreness::joint).distinct().count() < sores.size()) {
      throw new InvalidInput("pain", "names a joint twice");
    }
    entries = List.copyOf(entries);
    restrictions = List.copyOf(restrictions);
  }

  /** Nothing is sore and nothing is forbidden. */
  public static Cautions none() {
    return new Cautions(List.of(), List.of(), List.of());
  }

  /** How far joints may bend under load, deg; infinite where nothing limits them. */
  private record Bends(double kneeDeg, double hipDeg, double ankleDeg) {
    Bends atMost(double knee, double hip, double ankle) {
      return new Bends(Math.min(kneeDeg, knee), Math.min(hipDeg, hip), Math.min(ankleDeg, ankle));
    }
  }

  private Bends bends() {
    double any = Double.POSITIVE_INFINITY;
    Bends allowed = new Bends(any, any, any);
    for (Soreness s : sores) {
      if (s.approach() == Approach.LESS_RANGE) {
        allowed =
            allowed.atMost(
                s.joint() == PainFlag.KNEE ? Soreness.LESS_KNEE_DEG : any,
                s.joint() == PainFlag.HIP ? Soreness.LESS_HIP_DEG : any,
                s.joint() == PainFlag.ANKLE ? Soreness.LESS_ANKLE_DEG : any);
      }
    }
    for (Entry e : entries) {
      if (e.limits()) {
        allowed = allowed.atMost(e.caution().kneeLimitDeg(), e.caution().hipLimitDeg(), any);
      }
    }
    for (Restriction r : restrictions) {
      allowed = allowed.atMost(r.kneeMaxDeg().orElse(any), r.hipMaxDeg().orElse(any), any);
    }
    return allowed;
  }

  /** The body with its ranges no larger than cautions and restrictions allow. */
  public Body limited(Body body) {
    Bends allowed =
        bends()
            .atMost(
                Math.toDegrees(body.kneeFlexionLimitRad()),
                Math.toDegrees(body.hipFlexionLimitRad()),
                Math.toDegrees(body.dorsiflexionLimitRad()));
    return body.withLimits(
        Math.toRadians(allowed.ankleDeg()),
        Math.toRadians(allowed.hipDeg()),
        Math.toRadians(allowed.kneeDeg()));
  }

  /**
   * Why bending a knee or a hip so far under load is more than what is sore, or a clinician,
   * allows; empty where it is not.
   */
  public Optional<Refusal> tooFar(double kneeDeg, double hipDeg) {
    Bends allowed = bends();
    return tooFar("knee", kneeDeg, allowed.kneeDeg())
        .or(() -> tooFar("hip", hipDeg, allowed.hipDeg()));
  }

  private static Optional<Refusal> tooFar(String joint, double deg, double allowedDeg) {
    return deg <= allowedDeg
        ? Optional.empty()
        : Optional.of(
            new Refusal(
                false,
                String.format(
                    Locale.ROOT,
                    "It is said to bend the %s to %.0f°; %.0f° is the most that is allowed now.",
                    joint,
                    deg,
                    allowedDeg)));
  }

  /**
   * Why an exercise is left out, if it is, and by what. Restrictions speak first, then sore joints,
   * then cautions that are not cleared.
   */
  public Optional<Refusal> refusal(Demand d) {
    for (Restriction r : restrictions) {
      if (r.noLoadedBack() && d.backShare() > Demand.UNLOADED_BACK) {
        return Optional.of(new Refusal(false, "Restriction by " + r.by() + ": " + r.text()));
      }
    }
    for (Soreness s : sores) {
      Optional<String> reason = s.refuses(d);
      if (reason.isPresent()) {
        return Optional.of(new Refusal(true, capital(s.joint().label()) + ": " + reason.get()));
      }
    }
    for (Entry e : entries) {
      Caution c = e.caution();
      if (e.limits()
          && (c.nothing() || (c.noProne() && d.onBelly()) || d.backShare() > c.backShare())) {
        return Optional.of(new Refusal(false, capital(c.label()) + ": " + c.reason()));
      }
      if (e.limits() && d.waits().containsKey(c)) {
        return Optional.of(new Refusal(false, capital(c.label()) + ": " + d.waits().get(c)));
      }
    }
    return Optional.empty();
  }

  /** Why an exercise is left out. */
  public record Refusal(boolean byPain, String reason) {}

  /**
   * Share of a usual load to begin with: half where a sore joint asks for less load first, or after
   * a lay-off.
   */
  public double loadShare() {
    boolean half =
        sores.stream().anyMatch(s -> s.approach() == Approach.LESS_LOAD)
            || entries.stream().anyMatch(e -> e.caution() == Caution.LAY_OFF);
    return half ? 0.5 : 1;
  }

  /**
   * What to ask or to know before anything is done: open clearances first, then restrictions, then
   * advice.
   */
  public List<String> statements() {
    List<String> list = new ArrayList<>();
    for (Entry e : entries) {
      if (e.caution().asksClearance() && e.limits()) {
        list.add(
            (capital(e.caution().label())
                    + ": ask the clinician in charge first. "
                    + e.caution().reason())
                .trim());
      }
    }
    for (Restriction r : restrictions) {
      list.add("Restriction by " + r.by() + ", " + r.on() + ": " + r.text());
    }
    sores.forEach(
        x -> x.statement().ifPresent(text -> list.add(capital(x.joint().label()) + ": " + text)));
    entries.stream().map(e -> e.caution().advice()).filter(a -> !a.isEmpty()).forEach(list::add);
    return list;
  }

  private static String capital(String s) {
    return Character.toUpperCase(s.charAt(0)) + s.substring(1);
  }
}
