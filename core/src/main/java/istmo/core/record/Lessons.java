package istmo.core.record;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Measurement.Side;
import istmo.core.body.RangeCourse;
import istmo.core.body.Readings;
import istmo.core.record.Lesson.Act;
import istmo.core.record.Lesson.Kind;
import istmo.core.record.Lesson.Proposal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds in a client's record what a coach looks for (common practice; bounds are judgement). */
public final class Lessons {
  /**
   * Newest outings that must not be above all before them, at least so many days apart, for a
   * stall.
   */
  private static final int STALL_OUTINGS = 3;

  private static final int STALL_DAYS = 14;
  private static final int STALL_BEFORE = 2;

  /**
   * Less than this is no progress: an estimate of one repetition moves by about as much from one
   * half of a repetition in reserve to the next.
   */
  private static final double NO_PROGRESS = 0.015;

  /** A gap that is not worth a word, %. */
  private static final double SMALL_GAP = 8;

  /** Whole weeks looked at, and how far below the target their mean has to be. */
  private static final int WEEKS = 4;

  private static final int WEEKS_NEEDED = 2;
  private static final double BEHIND = 0.75;

  /** The lesser side of the thigh beside the other, as the week's balance has it. */
  private static final double LEAST_BALANCE = 0.6;

  private static final int PAIN_OF = 4;
  private static final int PAIN_IN = 3;
  private static final int FELT_NEEDED = 3;

  /** Days after which what was found is of the past. */
  public static final int STALE_DAYS = 42;

  /** Pain, sides, stalls, feeling, technique, range, weeks; of one kind by name. */
  public static final Comparator<Lesson> MOST_PRESSING_FIRST =
      Comparator.comparingInt(
              (Lesson lesson) ->
                  List.of(
                          Kind.PAINFUL,
                          Kind.SIDE_GAP,
                          Kind.STALL,
                          Kind.NOT_FELT,
                          Kind.MOVES_OTHERWISE,
                          Kind.RANGE_CHANGED,
                          Kind.REGION_BEHIND,
                          Kind.BALANCE)
                      .indexOf(lesson.kind()))
          .thenComparing(Lesson::name);

  private Lessons() {}

  /**
   * A series as it is looked at.
   *
   * @param faults of the exercise: where it is felt instead, and the known change
   * @param mainly regions that it mainly trains and the aim asks for, or that it mainly trains at
   *     all
   */
  public record ReviewedSeries(
      Series series, String name, Map<String, String> faults, Set<Region> mainly) {}

  /**
   * What weeks brought.
   *
   * @param weeks effective sets of each region in the whole weeks that were looked at, oldest
   *     first; weeks without any session count as nothing done
   * @param asked effective sets a week by region
   */
  public record Weekly(List<RegionValues> weeks, LocalDate until, Map<Region, Double> asked) {}

  /** What a coach would look for, the most pressing first. */
  public static List<Lesson> of(
      List<ReviewedSeries> all, Optional<Weekly> weekly, LocalDate today) {
    List<Lesson> list = new ArrayList<>();
    for (ReviewedSeries series : all) {
      boolean fresh =
          series
              .series()
              .last()
              .filter(outing -> ChronoUnit.DAYS.between(outing.on(), today) <= STALE_DAYS)
              .isPresent();
      if (fresh) {
        painful(series).ifPresent(list::add);
        sideGap(series).ifPresent(list::add);
        stall(series).ifPresent(list::add);
        notFelt(series).ifPresent(list::add);
      }
    }
    weekly.ifPresent(measured -> behind(list, measured));
    list.sort(MOST_PRESSING_FIRST);
    return List.copyOf(list);
  }

  /** Joints that go further or less far than they did, as long as the reading is fresh. */
  public static List<Lesson> ofRange(Readings readings, LocalDate today) {
    List<Lesson> list = new ArrayList<>();
    for (RangeCourse course : RangeCourse.of(readings)) {
      LocalDate on = course.newest().on();
      if (ChronoUnit.DAYS.between(on, today) <= STALE_DAYS) {
        course.changed().map(changed -> rangeChanged(changed, on)).ifPresent(list::add);
      }
    }
    return list;
  }

  private static Lesson rangeChanged(RangeCourse.Changed changed, LocalDate on) {
    String side = changed.side().name().toLowerCase(Locale.ROOT);
    String label = changed.kind().label();
    return new Lesson(
        Kind.RANGE_CHANGED,
        changed.kind().name() + " " + side,
        Character.toUpperCase(label.charAt(0)) + label.substring(1) + ", " + side,
        new Lesson.RangeChanged(changed),
        on,
        List.of(Proposal.of(Act.RE_DIAL)));
  }

  static Optional<Lesson> stall(ReviewedSeries series) {
    List<Outing> told =
        series.series().outings().stream().filter(outing -> !outing.work().isEmpty()).toList();
    if (told.size() < STALL_OUTINGS + STALL_BEFORE) {
      return Optional.empty();
    }
    double empty = series.series().emptyKg();
    List<Outing> newest = told.subList(told.size() - STALL_OUTINGS, told.size());
    List<Outing> before = told.subList(0, told.size() - STALL_OUTINGS);
    Outing peak =
        before.stream()
            .max(Comparator.comparingDouble(outing -> outing.worth(empty).orElse(0.0)))
            .orElseThrow();
    double then = peak.worth(empty).orElse(0.0);
    double now =
        newest.stream().mapToDouble(outing -> outing.worth(empty).orElse(0.0)).max().orElse(0);
    long days = ChronoUnit.DAYS.between(peak.on(), told.get(told.size() - 1).on());
    if (days < STALL_DAYS || now > then * (1 + NO_PROGRESS)) {
      return Optional.empty();
    }
    boolean loaded =
        series.series().outings().stream()
            .flatMap(outing -> outing.work().stream())
            .anyMatch(record -> record.done().loadKg() + empty > 0);
    return Optional.of(
        new Lesson(
            Kind.STALL,
            series.series().candidateId().text(),
            series.name(),
            new Lesson.NoGain(
                newest.size(),
                loaded,
                loaded ? now - empty : now,
                loaded ? then - empty : then,
                peak.on()),
            told.get(told.size() - 1).on(),
            List.of(Proposal.of(Act.EASIER_WEEK), Proposal.of(Act.OTHER_TEMPO))));
  }

  static Optional<Lesson> sideGap(ReviewedSeries series) {
    Optional<SideGap> gap = SideGap.of(series.series());
    Optional<Side> weaker = gap.flatMap(SideGap::weaker);
    if (weaker.isEmpty() || Math.abs(gap.get().percent()) < SMALL_GAP) {
      return Optional.empty();
    }
    SideGap sideGap = gap.get();
    LocalDate on = sideGap.readings().get(sideGap.readings().size() - 1).on();
    return Optional.of(
        new Lesson(
            Kind.SIDE_GAP,
            series.series().candidateId().text(),
            series.name(),
            new Lesson.SideBehind(
                weaker.get(),
                Math.abs(sideGap.percent()),
                2 * sideGap.standardErrorPercent(),
                sideGap.readings().size(),
                sideGap.grows()),
            on,
            List.of(Proposal.of(Act.WEAKER_SIDE_FIRST), Proposal.of(Act.MORE_SETS))));
  }

  static Optional<Lesson> painful(ReviewedSeries series) {
    List<Outing> told = series.series().outings();
    List<Outing> newest = told.subList(Math.max(0, told.size() - PAIN_OF), told.size());
    List<Pain> hurt =
        newest.stream()
            .flatMap(outing -> outing.worstPain().stream())
            .filter(pain -> pain.level() >= Pain.CHANGE)
            .toList();
    if (hurt.size() < PAIN_IN) {
      return Optional.empty();
    }
    Pain worst = hurt.stream().max(Comparator.comparingInt(Pain::level)).orElseThrow();
    List<Proposal> proposals =
        worst.level() >= Pain.STOP
            ? List.of(Proposal.of(Act.SWAP))
            : List.of(Proposal.of(Act.SWAP), Proposal.of(Act.LESS_RANGE));
    return Optional.of(
        new Lesson(
            Kind.PAINFUL,
            series.series().candidateId().text(),
            series.name(),
            new Lesson.KeepsHurting(worst.joint(), hurt.size(), newest.size(), worst.level()),
            newest.get(newest.size() - 1).on(),
            proposals));
  }

  /**
   * In a session it counts as felt there when one of its sets was felt in a region, or in one of
   * its group, that it mainly trains.
   */
  static Optional<Lesson> notFelt(ReviewedSeries series) {
    List<Outing> told =
        series.series().outings().stream()
            .filter(outing -> outing.sets().stream().anyMatch(record -> !record.felt().isEmpty()))
            .toList();
    if (told.size() < FELT_NEEDED || series.mainly().isEmpty()) {
      return Optional.empty();
    }
    Set<RegionGroup> groups = groups(series.mainly());
    List<Outing> newest = told.subList(told.size() - FELT_NEEDED, told.size());
    Set<RegionGroup> elsewhere = new LinkedHashSet<>();
    for (Outing outing : newest) {
      Set<RegionGroup> felt =
          groups(outing.sets().stream().flatMap(record -> record.felt().stream()).toList());
      if (felt.stream().anyMatch(groups::contains)) {
        return Optional.empty();
      }
      elsewhere.addAll(felt);
    }
    Optional<String> known = change(series.faults(), elsewhere);
    List<Proposal> proposals =
        List.of(new Proposal(Act.RE_DIAL, known), Proposal.of(Act.OTHER_TEMPO));
    return Optional.of(
        new Lesson(
            Kind.NOT_FELT,
            series.series().candidateId().text(),
            series.name(),
            new Lesson.FeltElsewhere(elsewhere, newest.size(), groups),
            newest.get(newest.size() - 1).on(),
            proposals));
  }

  /** The known change of the exercise for being felt in one of these groups, where it has one. */
  static Optional<String> change(Map<String, String> faults, Set<RegionGroup> feltGroups) {
    return feltGroups.stream()
        .map(group -> group == RegionGroup.LOWER_BACK ? "back" : group.word())
        .flatMap(
            word ->
                faults.entrySet().stream()
                    .filter(
                        entry ->
                            entry.getKey().matches(".*\\b" + word + "\\b.*")
                                && !entry.getKey().matches(".*meant for the " + word + ".*"))
                    .map(Map.Entry::getValue))
        .findFirst();
  }

  private static void behind(List<Lesson> list, Weekly weekly) {
    List<RegionValues> weeks =
        weekly.weeks().subList(Math.max(0, weekly.weeks().size() - WEEKS), weekly.weeks().size());
    if (weeks.stream().filter(x -> x.stream().anyMatch(v -> v > 0)).count() < WEEKS_NEEDED) {
      return;
    }
    weekly
        .asked()
        .forEach(
            (region, asked) -> {
              double mean = weeks.stream().mapToDouble(x -> x.get(region)).average().orElse(0);
              if (mean < BEHIND * asked) {
                list.add(
                    new Lesson(
                        Kind.REGION_BEHIND,
                        region.id(),
                        region.coachName(),
                        new Lesson.TooFewSets(region, mean, weeks.size(), asked),
                        weekly.until(),
                        List.of(Proposal.of(Act.MORE_SETS))));
              }
            });
    double front = mean(weeks, RegionGroup.QUADS);
    double back = mean(weeks, RegionGroup.HAMSTRINGS);
    boolean asksBoth =
        weekly.asked().keySet().stream()
            .anyMatch(
                region ->
                    region.group() == (front < back ? RegionGroup.QUADS : RegionGroup.HAMSTRINGS));
    if (Math.min(front, back) < LEAST_BALANCE * Math.max(front, back) && asksBoth) {
      list.add(
          new Lesson(
              Kind.BALANCE,
              front < back ? "front" : "back",
              "The " + (front < back ? "front" : "back") + " of the thigh",
              new Lesson.ThighOneSided(front, back),
              weekly.until(),
              List.of(Proposal.of(Act.MORE_SETS))));
    }
  }

  private static double mean(List<RegionValues> weeks, RegionGroup group) {
    return weeks.stream().mapToDouble(week -> week.mean(group)).average().orElse(0);
  }

  private static Set<RegionGroup> groups(Iterable<Region> regions) {
    Set<RegionGroup> groups = new LinkedHashSet<>();
    regions.forEach(region -> groups.add(region.group()));
    return groups;
  }
}
