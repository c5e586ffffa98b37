package istmo.core.picture;

import istmo.core.catalogue.Catalogue;
import istmo.core.picture.Sighting.Posed;
import istmo.core.quantity.DayWords;
import istmo.core.record.Lesson;
import istmo.core.record.Lessons;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * One figure of an exercise that is otherwise on the newest day than on the first one, by more than
 * both pictures' errors.
 *
 * @param words in a sentence
 */
public record TechniqueChange(String exerciseId, String words) {
  /** A change counts from so many standard deviations of the difference on. */
  private static final double TOLD = 2;

  /** One figure, and what more and less of it are called. */
  private record Watched(Function<Posed, Figure> of, String more, String less, boolean angle) {}

  private static final List<Watched> WATCHED =
      List.of(
          new Watched(Posed::hipAboveKnee, "Less deep by %s", "Deeper by %s", false),
          new Watched(
              Posed::kneePastToe,
              "The knee goes %s further forward",
              "The knee stays %s further back",
              false),
          new Watched(Posed::trunk, "The trunk leans %s more", "The trunk leans %s less", true),
          new Watched(Posed::shank, "The shin leans %s more", "The shin leans %s less", true));

  /** What has changed in each exercise, exercises by id. */
  public static List<TechniqueChange> of(List<Sighting> all) {
    List<TechniqueChange> changes = new ArrayList<>();
    all.stream()
        .collect(Collectors.groupingBy(Sighting::exerciseId, TreeMap::new, Collectors.toList()))
        .forEach((exercise, of) -> changes.addAll(of(exercise, of)));
    return changes;
  }

  /** What has changed as lessons, one for each exercise, as long as they are fresh. */
  public static List<Lesson> lessons(List<Sighting> all, LocalDate today) {
    List<Lesson> lessons = new ArrayList<>();
    of(all).stream()
        .collect(
            Collectors.groupingBy(
                TechniqueChange::exerciseId,
                TreeMap::new,
                Collectors.mapping(TechniqueChange::words, Collectors.joining(" "))))
        .forEach(
            (exercise, words) -> {
              Sighting newest =
                  all.stream()
                      .filter(sighting -> sighting.exerciseId().equals(exercise))
                      .max(Comparator.comparing(Sighting::on))
                      .orElseThrow();
              if (ChronoUnit.DAYS.between(newest.on(), today) <= Lessons.STALE_DAYS) {
                lessons.add(lesson(newest, words));
              }
            });
    return lessons;
  }

  private static Lesson lesson(Sighting newest, String words) {
    return new Lesson(
        Lesson.Kind.MOVES_OTHERWISE,
        newest.candidateId(),
        Catalogue.standard().exercise(newest.exerciseId()).name(),
        words,
        newest.on(),
        List.of(
            new Lesson.Proposal(
                Lesson.Act.RE_DIAL, "Set depth and load anew: this client moves otherwise now.")));
  }

  private static List<TechniqueChange> of(String exercise, List<Sighting> of) {
    LocalDate first = of.stream().map(Sighting::on).min(Comparator.naturalOrder()).orElseThrow();
    LocalDate last = of.stream().map(Sighting::on).max(Comparator.naturalOrder()).orElseThrow();
    List<TechniqueChange> changes = new ArrayList<>();
    if (first.equals(last)) {
      return changes;
    }
    for (Watched watched : WATCHED) {
      Figure from = mean(of, first, watched);
      Figure to = mean(of, last, watched);
      double more = to.value() - from.value();
      if (Math.abs(more) > TOLD * Math.hypot(from.error(), to.error())) {
        changes.add(
            new TechniqueChange(
                exercise,
                String.format(
                        Locale.ROOT,
                        more > 0 ? watched.more() : watched.less(),
                        size(Math.abs(more), watched.angle()))
                    + " than on "
                    + DayWords.of(first)
                    + "."));
      }
    }
    return changes;
  }

  private static Figure mean(List<Sighting> of, LocalDate day, Watched watched) {
    List<Figure> figures =
        of.stream()
            .filter(sighting -> sighting.on().equals(day))
            .map(sighting -> watched.of().apply(sighting.posed()))
            .toList();
    double value = figures.stream().mapToDouble(Figure::value).average().orElseThrow();
    double squares = figures.stream().mapToDouble(figure -> figure.error() * figure.error()).sum();
    return new Figure(value, Math.sqrt(squares) / figures.size());
  }

  private static String size(double value, boolean angle) {
    return angle ? Math.round(Math.toDegrees(value)) + "°" : Math.round(100 * value) + " cm";
  }
}
