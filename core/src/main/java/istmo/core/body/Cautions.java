package istmo.core.body;

import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A client's cautions and written restrictions, and what follows from them. A cleared caution keeps its advice and loses its limits; a restriction always holds.
 */
public record Cautions(List<Entry> entries, List<Restriction> restrictions) {
  /** A share of the back's strength that counts as no load: standing upright takes about this much. */
  private static final double UNLOADED_BACK = 0.15;

  /** One caution, cleared or not. */
  public record Entry(Caution caution, Optional<Clearance> clearance) {
    boolean limits() {
      return clearance.isEmpty();
    }
  }

  /** The clinician in charge has cleared training. */
  public record Clearance(String by, LocalDate on) {
    public Clearance {
      if (by == null || by.isBlank() || by.length() > 120 || on == null) {
        throw new InvalidInput("cautions.clearance", "needs the clinician's name and the day");
      }
    }
  }

  public Cautions {
    entries = List.copyOf(entries);
    restrictions = List.copyOf(restrictions);
  }

  public static Cautions none() {
    return new Cautions(List.of(), List.of());
  }

  /** The body with its ranges no larger than cautions and restrictions allow. */
  public Body limited(Body body) {
    double knee = Math.toDegrees(body.kneeFlexionLimitRad());
    double hip = Math.toDegrees(body.hipFlexionLimitRad());
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
    return body.withLimits(body.dorsiflexionLimitRad(), Math.toRadians(hip), Math.toRadians(knee));
  }

  /**
   * Why an exercise is left out, if it is.
   *
   * @param prone whether it is done lying face down
   * @param backActivation most of the lower back's strength that it takes at a working load, 0 to 1
   */
  public Optional<String> excludes(boolean prone, double backActivation) {
    for (Restriction r : restrictions) {
      if (r.noLoadedBack() && backActivation > UNLOADED_BACK) {
        return Optional.of("Restriction by " + r.by() + ": " + r.text());
      }
    }
    for (Entry e : entries) {
      Caution c = e.caution();
      if (e.limits() && (c.nothing() || c.noProne() && prone || backActivation > c.backShare())) {
        return Optional.of(capital(c.label()) + ": " + c.reason());
      }
    }
    return Optional.empty();
  }

  /** What to ask or to know before anything is done: open clearances first, then restrictions, then advice. */
  public List<String> statements() {
    List<String> list = new ArrayList<>();
    for (Entry e : entries) {
      if (e.caution().asksClearance() && e.limits()) {
        list.add((capital(e.caution().label()) + ": ask the clinician in charge first. " + e.caution().reason()).trim());
      }
    }
    for (Restriction r : restrictions) {
      list.add("Restriction by " + r.by() + ", " + r.on() + ": " + r.text());
    }
    entries.forEach(e -> list.add(e.caution().advice()));
    return list;
  }

  private static String capital(String s) {
    return Character.toUpperCase(s.charAt(0)) + s.substring(1);
  }
}
