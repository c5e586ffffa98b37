package istmo.app.pictures.web;

import istmo.app.pictures.Pictures;
import istmo.app.pictures.web.PictureController.MarkInput;
import istmo.app.pictures.web.PictureController.NotSeenView;
import istmo.app.pictures.web.PictureController.PictureInput;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.core.picture.Film;
import istmo.core.picture.PictureReading;
import istmo.core.watching.WatchedSet;
import istmo.core.words.Words;
import java.util.List;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * A set read from marks that a browser followed through a film, over HTTP. Only places of marks
 * come here, never a film. Angles in deg, lengths in m, times in s.
 */
@RestController
class FilmController {
  private final Pictures pictures;

  FilmController(Pictures pictures) {
    this.pictures = pictures;
  }

  /** Where the followed marks are in one frame; marks that were lost are missing. */
  record FrameInput(Double timeS, List<MarkInput> marks) {
    Film.Frame frame() {
      new Needed().field("frames.timeS", timeS).field("frames.marks", marks).check();
      return new Film.Frame(timeS, marks.stream().map(MarkInput::mark).toList());
    }
  }

  /** The marked frame, all frames in order, and what is asked of each repetition, in s. */
  record FilmInput(PictureInput picture, List<FrameInput> frames, Double loweringS, Double lowS) {}

  /** One repetition: times, how far it went, and the posture at its low end. */
  record FilmedRepetitionView(
      int number,
      double startS,
      double endS,
      double loweringS,
      double lowS,
      double liftingS,
      double rangeM,
      double kneeBendDeg,
      double trunkDeg,
      double shankDeg) {}

  /** Angles over time, each at the moment of the same place in the list. */
  record CurvesView(
      List<Double> timeS, List<Double> heightM, List<Double> kneeBendDeg, List<Double> trunkDeg) {}

  /** What the film tells; either {@code notSeen} or the rest. */
  record FilmView(
      @MayBeMissing NotSeenView notSeen,
      List<FilmedRepetitionView> repetitions,
      double speedLossPercent,
      List<String> findings,
      List<String> lost,
      CurvesView curves) {}

  /** Reads a set from marks followed through a film; nothing is kept. */
  @PostMapping("/api/clients/{clientId}/technique/film")
  FilmView film(@PathVariable UUID clientId, @RequestBody FilmInput input) {
    new Needed().field("picture", input.picture()).field("frames", input.frames()).check();
    WatchedSet.Asked asked =
        new WatchedSet.Asked(orNothing(input.loweringS()), orNothing(input.lowS()), true);
    Pictures.Filmed filmed =
        pictures.film(
            input.picture().request(clientId),
            input.frames().stream().map(FrameInput::frame).toList(),
            asked);
    return filmed
        .film()
        .map(FilmController::view)
        .orElseGet(() -> notSeen(filmed.why().orElseThrow()));
  }

  private static double orNothing(@Nullable Double asked) {
    return asked == null ? 0 : asked;
  }

  private static FilmView notSeen(PictureReading.NotSeen why) {
    return new FilmView(
        NotSeenView.of(why),
        List.of(),
        0,
        List.of(),
        List.of(),
        new CurvesView(List.of(), List.of(), List.of(), List.of()));
  }

  private static FilmView view(Film film) {
    List<FilmedRepetitionView> repetitions =
        Stream.iterate(0, k -> k < film.repetitions().size(), k -> k + 1)
            .map(k -> view(k + 1, film.repetitions().get(k)))
            .toList();
    return new FilmView(
        null,
        repetitions,
        Rounded.of(film.watched().speedLossPercent()),
        Stream.concat(
                film.watched().findings().stream().map(Words::of),
                film.findings().stream().map(Words::of))
            .toList(),
        Words.of(film.lost()),
        new CurvesView(
            curve(film, Film.Moment::timeS),
            curve(film, Film.Moment::height),
            curve(film, moment -> Math.toDegrees(moment.kneeBend())),
            curve(film, moment -> Math.toDegrees(moment.trunk()))));
  }

  private static FilmedRepetitionView view(int number, Film.FilmedRepetition repetition) {
    return new FilmedRepetitionView(
        number,
        Rounded.of(repetition.timing().startS()),
        Rounded.of(repetition.timing().endS()),
        Rounded.of(repetition.timing().loweringS()),
        Rounded.of(repetition.timing().lowS()),
        Rounded.of(repetition.timing().liftingS()),
        Rounded.of(repetition.timing().range()),
        Rounded.of(Math.toDegrees(repetition.low().kneeBend())),
        Rounded.of(Math.toDegrees(repetition.low().trunk())),
        Rounded.of(Math.toDegrees(repetition.low().shank())));
  }

  private static List<Double> curve(Film film, ToDoubleFunction<Film.Moment> of) {
    return film.moments().stream().map(of::applyAsDouble).map(Rounded::of).toList();
  }
}
