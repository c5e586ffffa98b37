package istmo.core.body;

import istmo.core.body.Soreness.Approach;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
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

  /** How far joints may bend under load, deg; infinite where nothing limits them. */
  private record Bends(double kneeDeg, double hipDeg, double ankleDeg) {
    Bends atMost(double knee, double hip, double ankle) {
      return new Bends(Math.min(kneeDeg, knee), Math.min(hipDeg, hip), Math.min(ankleDeg, ankle));
    }
  }

  private Bends bends() {
    double any = Double.POSITIVE_INFINITY;
    Bends allowed = new Bends(any, any, any);
    for (Soreness sore : sores) {
      if (sore.approach() == Approach.LESS_RANGE) {
        allowed =
            allowed.atMost(
                sore.joint() == PainFlag.KNEE ? Soreness.LESS_KNEE_DEG : any,
                sore.joint() == PainFlag.HIP ? Soreness.LESS_HIP_DEG : any,
                sore.joint() == PainFlag.ANKLE ? Soreness.LESS_ANKLE_DEG : any);
      }
    }
    for (Entry entry : entries) {
      if (entry.limits()) {
        allowed =
            allowed.atMost(
                entry.caution().limits().kneeDeg(), entry.caution().limits().hipDeg(), any);
      }
    }
    for (Restriction restriction : restrictions) {
      allowed =
          allowed.atMost(
              restriction.kneeMaxDeg().orElse(any), restriction.hipMaxDeg().orElse(any), any);
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
    return tooFar(PainFlag.KNEE, kneeDeg, allowed.kneeDeg())
        .or(() -> tooFar(PainFlag.HIP, hipDeg, allowed.hipDeg()));
  }

  private static Optional<Refusal> tooFar(PainFlag joint, double deg, double allowedDeg) {
    return deg <= allowedDeg
        ? Optional.empty()
        : Optional.of(new Refusal(false, new CautionFact.BendsTooFar(joint, deg, allowedDeg)));
  }

  /**
   * Why an exercise is left out, if it is, and by what. Restrictions speak first, then sore joints,
   * then cautions that are not cleared.
   */
  public Optional<Refusal> refusal(Demand demand) {
    for (Restriction restriction : restrictions) {
      if (restriction.noLoadedBack() && demand.backShare() > Demand.UNLOADED_BACK) {
        return Optional.of(new Refusal(false, new CautionFact.Forbidden(restriction)));
      }
    }
    for (Soreness sore : sores) {
      Optional<CautionFact> why = sore.refuses(demand);
      if (why.isPresent()) {
        return Optional.of(new Refusal(true, why.get()));
      }
    }
    for (Entry entry : entries) {
      Caution caution = entry.caution();
      if (entry.limits()
          && (caution.limits().nothing()
              || (caution.limits().noProne() && demand.onBelly())
              || demand.backShare() > caution.limits().backShare())) {
        return Optional.of(new Refusal(false, new CautionFact.RuledOut(caution, caution.reason())));
      }
      if (entry.limits() && demand.waits().containsKey(caution)) {
        return Optional.of(
            new Refusal(
                false, new CautionFact.RuledOut(caution, Required.entry(demand.waits(), caution))));
      }
    }
    return Optional.empty();
  }

  /** Why an exercise is left out. */
  public record Refusal(boolean byPain, CautionFact why) {}

  /**
   * Share of a usual load to begin with: half where a sore joint asks for less load first, or after
   * a lay-off.
   */
  public double loadShare() {
    boolean half =
        sores.stream().anyMatch(soreness -> soreness.approach() == Approach.LESS_LOAD)
            || entries.stream().anyMatch(entry -> entry.caution() == Caution.LAY_OFF);
    return half ? 0.5 : 1;
  }

  /**
   * What to ask or to know before anything is done: open clearances first, then restrictions, then
   * advice.
   */
  public List<CautionFact> statements() {
    List<CautionFact> list = new ArrayList<>();
    for (Entry entry : entries) {
      if (entry.caution().asksClearance() && entry.limits()) {
        list.add(new CautionFact.AskClinician(entry.caution()));
      }
    }
    restrictions.forEach(restriction -> list.add(new CautionFact.Restricted(restriction)));
    sores.stream()
        .filter(soreness -> soreness.approach() != Approach.LEAVE_OUT)
        .forEach(soreness -> list.add(new CautionFact.GoneAbout(soreness)));
    entries.stream()
        .map(Entry::caution)
        .filter(caution -> !caution.advice().isEmpty())
        .forEach(caution -> list.add(new CautionFact.Advised(caution)));
    return list;
  }
}
