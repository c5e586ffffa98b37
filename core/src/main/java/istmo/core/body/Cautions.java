package istmo.core.body;

import istmo.core.body.Soreness.Approach;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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

  /** The body with its ranges no larger than cautions and restrictions allow. */
  public Body limited(Body body) {
    double knee = Math.toDegrees(body.kneeFlexionLimitRad());
    double hip = Math.toDegrees(body.hipFlexionLimitRad());
    double ankle = Math.toDegrees(body.dorsiflexionLimitRad());
    for (Soreness s : sores) {
      if (s.approach() == Approach.LESS_RANGE) {
        knee = s.joint() == PainFlag.KNEE ? Math.min(knee, Soreness.LESS_KNEE_DEG) : knee;
        hip = s.joint() == PainFlag.HIP ? Math.min(hip, Soreness.LESS_HIP_DEG) : hip;
        ankle = s.joint() == PainFlag.ANKLE ? Math.min(ankle, Soreness.LESS_ANKLE_DEG) : ankle;
      }
    }
    for (Entry e : entries) {
      if (e.limits()) {
        knee = Math.min(knee, e.caution().kneeLimitDeg());
        hip = Math.min(hip, e.caution().hipLimitDeg());
      }
    }
    for (Restriction r : restrictions) {
      knee = Math.min(knee, r.kneeMaxDeg().orElse(knee));
      hip = Math.min(hip, r.hipMaxDeg().orElse(hip));
    }
    return body.withLimits(Math.toRadians(ankle), Math.toRadians(hip), Math.toRadians(knee));
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
