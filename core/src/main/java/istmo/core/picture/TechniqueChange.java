package istmo.core.picture;

import istmo.core.catalogue.Catalogue;
import istmo.core.picture.Sighting.Posed;
import istmo.core.record.Lesson;
import istmo.core.record.Lessons;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * One figure of an exercise that is otherwise on the newest day than on the first one, by more than
 * both pictures' errors.
 *
 * @param change the figure, by how much, and since when
 */
public record TechniqueChange(String exerciseId, Lesson.Change change) {
  /** A change counts from so many standard deviations of the difference on. */
  private static final double TOLD = 2;

  /** A figure as it is read from a picture, and what it counts: 1 where more of it is more. */
  private record Watched(Lesson.Figure figure, Function<Posed, Figure> of, int sign) {}

  private static final List<Watched> WATCHED =
      List.of(
          new Watched(Lesson.Figure.DEPTH, Posed::hipAboveKnee, -1),
          new Watched(Lesson.Figure.KNEE_FORWARD, Posed::kneePastToe, 1),
          new Watched(Lesson.Figure.TRUNK_LEAN, Posed::trunk, 1),
          new Watched(Lesson.Figure.SHIN_LEAN, Posed::shank, 1));

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
                Collectors.mapping(TechniqueChange::change, Collectors.toList())))
        .forEach(
            (exercise, changed) -> {
              Sighting newest =
                  all.stream()
                      .filter(sighting -> sighting.exerciseId().equals(exercise))
                      .max(Comparator.comparing(Sighting::on))
                      .orElseThrow();
              if (ChronoUnit.DAYS.between(newest.on(), today) <= Lessons.STALE_DAYS) {
                lessons.add(lesson(newest, changed));
              }
            });
    return lessons;
  }

  private static Lesson lesson(Sighting newest, List<Lesson.Change> changes) {
    return new Lesson(
        Lesson.Kind.MOVES_OTHERWISE,
        newest.candidateId().text(),
        Catalogue.standard().exercise(newest.exerciseId()).name(),
        new Lesson.MovesOtherwise(changes),
        newest.on(),
        List.of(Lesson.Proposal.of(Lesson.Act.RE_DIAL)));
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
                exercise, new Lesson.Change(watched.figure(), watched.sign() * more, first)));
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
}
