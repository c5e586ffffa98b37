package istmo.app.plans;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.anatomy.Region;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Block;
import istmo.core.plan.Pairing;
import istmo.core.plan.Planned;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A planned week as it is kept, edited and exchanged (docs/formats.md).
 *
 * @param targets effective sets a week that the coach wants otherwise than usual, by region id
 * @param hold whether what is not aimed at is held
 * @param varied whether the same exercise on two days is avoided
 * @param blockWeeks length of the block; none where there is no block
 * @param startsOn Monday of the first week
 */
public record PlanDocument(
    String name,
    List<DayDocument> days,
    Pairing pairing,
    Boolean varied,
    Boolean hold,
    Map<String, Double> targets,
    @MayBeMissing Integer blockWeeks,
    @MayBeMissing LocalDate startsOn) {
  private static final Allowed TARGET = new Allowed(0, 30, "sets a week");

  /** bouts: one exercise each, or several in turn. */
  public record DayDocument(
      Integer weekday, Integer minutes, Boolean oneStation, List<List<ItemDocument>> bouts) {}

  /** One exercise of a planned day. */
  public record ItemDocument(
      String id, String candidateId, Boolean pinned, PrescriptionDocument prescription) {}

  /**
   * The week; throws {@link InvalidInput} that names each field at fault, those of an exercise as
   * "days[0].bouts[1][0].sets".
   */
  public Planned.Week week() {
    new Needed().field("days", days).check();
    List<InvalidInput.Fault> faults = new ArrayList<>();
    List<Planned.Day> planned = new ArrayList<>();
    for (int d = 0; d < days.size(); d++) {
      String at = "days[" + d + "]";
      if (days.get(d) == null) {
        faults.add(new InvalidInput.Fault(at, "is empty"));
      } else {
        day(days.get(d), at, faults).ifPresent(planned::add);
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return new Planned.Week(planned);
  }

  /** A day; empty where it, or one before it, is at fault. */
  private static Optional<Planned.Day> day(
      DayDocument day, String at, List<InvalidInput.Fault> faults) {
    InvalidInput.gather(
        faults,
        at + ".",
        () ->
            new Needed()
                .field("weekday", day.weekday())
                .field("minutes", day.minutes())
                .field("bouts", day.bouts())
                .check());
    List<Planned.Bout> bouts = new ArrayList<>();
    for (int b = 0; day.bouts() != null && b < day.bouts().size(); b++) {
      List<ItemDocument> bout = day.bouts().get(b);
      String where = at + ".bouts[" + b + "]";
      if (bout == null || bout.stream().anyMatch(Objects::isNull)) {
        faults.add(new InvalidInput.Fault(where, "is empty"));
        continue;
      }
      List<Planned.Item> items = items(bout, where, faults);
      if (!items.isEmpty()) {
        bouts.add(new Planned.Bout(items));
      }
    }
    List<Planned.Day> made = new ArrayList<>();
    if (faults.isEmpty()) {
      InvalidInput.gather(
          faults,
          at + ".",
          () ->
              made.add(
                  new Planned.Day(
                      day.weekday(), day.minutes(), Boolean.TRUE.equals(day.oneStation()), bouts)));
    }
    return made.stream().findFirst();
  }

  private static List<Planned.Item> items(
      List<ItemDocument> bout, String at, List<InvalidInput.Fault> faults) {
    List<Planned.Item> items = new ArrayList<>();
    for (int i = 0; i < bout.size(); i++) {
      ItemDocument item = bout.get(i);
      InvalidInput.gather(
          faults,
          at + "[" + i + "].",
          () -> {
            new Needed()
                .field("id", item.id())
                .field("candidateId", item.candidateId())
                .field("prescription", item.prescription())
                .check();
            items.add(
                new Planned.Item(
                    item.id(),
                    new CandidateId(item.candidateId()),
                    item.prescription().prescription(),
                    Boolean.TRUE.equals(item.pinned())));
          });
    }
    return items;
  }

  /**
   * The same document with everything that may be left out filled in and checked; candidates are
   * checked by who knows them.
   */
  PlanDocument checked() {
    String trimmed = Names.checked(name);
    Planned.Week week = week();
    Map<String, Double> wanted = targets == null ? Map.of() : targets;
    List<InvalidInput.Fault> faults = new ArrayList<>();
    wanted.forEach(
        (id, v) -> {
          if (Region.find(id).isEmpty()) {
            faults.add(new InvalidInput.Fault("targets." + id, "is not a region"));
          }
          TARGET.check(faults, "targets." + id, v == null ? Double.NaN : v);
        });
    if (blockWeeks != null) {
      Block.WEEKS.check(faults, "blockWeeks", blockWeeks);
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return with(week, trimmed, wanted);
  }

  /** The targets that the coach has set. */
  Map<Region, Double> targetsByRegion() {
    Map<Region, Double> byRegion = new EnumMap<>(Region.class);
    targets.forEach((id, sets) -> byRegion.put(Region.of(id), sets));
    return byRegion;
  }

  private PlanDocument with(Planned.Week week, String checkedName, Map<String, Double> wanted) {
    return new PlanDocument(
        checkedName,
        of(week),
        pairing == null ? Pairing.NONE : pairing,
        Boolean.TRUE.equals(varied),
        hold == null || hold,
        wanted,
        blockWeeks,
        startsOn);
  }

  /** The same plan with other days. */
  public PlanDocument with(Planned.Week week) {
    return with(week, name, targets);
  }

  /** The same plan with candidates called otherwise. */
  public PlanDocument naming(UnaryOperator<CandidateId> candidates) {
    List<DayDocument> renamed =
        days.stream()
            .map(
                document ->
                    new DayDocument(
                        document.weekday(),
                        document.minutes(),
                        document.oneStation(),
                        document.bouts().stream()
                            .map(
                                documents ->
                                    documents.stream()
                                        .map(
                                            itemDocument ->
                                                new ItemDocument(
                                                    itemDocument.id(),
                                                    candidates
                                                        .apply(
                                                            new CandidateId(
                                                                itemDocument.candidateId()))
                                                        .text(),
                                                    itemDocument.pinned(),
                                                    itemDocument.prescription()))
                                        .toList())
                            .toList()))
            .toList();
    return new PlanDocument(name, renamed, pairing, varied, hold, targets, blockWeeks, startsOn);
  }

  static List<DayDocument> of(Planned.Week week) {
    return week.days().stream()
        .map(
            day ->
                new DayDocument(
                    day.weekday(),
                    day.minutes(),
                    day.oneStation(),
                    day.bouts().stream()
                        .map(
                            bout ->
                                bout.items().stream()
                                    .map(
                                        item ->
                                            new ItemDocument(
                                                item.id(),
                                                item.candidateId().text(),
                                                item.pinned(),
                                                PrescriptionDocument.of(item.prescription())))
                                    .toList())
                        .toList()))
        .toList();
  }
}
