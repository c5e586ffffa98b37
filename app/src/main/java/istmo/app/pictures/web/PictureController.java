package istmo.app.pictures.web;

import istmo.app.clients.Sightings;
import istmo.app.pictures.Pictures;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.SetupParameter;
import istmo.core.picture.Figure;
import istmo.core.picture.FrontPicture;
import istmo.core.picture.FrontReading;
import istmo.core.picture.Landmark;
import istmo.core.picture.Mark;
import istmo.core.picture.Outcome;
import istmo.core.picture.PictureReading;
import istmo.core.picture.SidePicture;
import istmo.core.picture.Sighting;
import istmo.core.picture.TechniqueChange;
import istmo.core.picture.TechniqueFit;
import istmo.core.picture.TechniqueReading;
import istmo.core.words.PictureWords;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * A client's technique from marks on pictures over HTTP. Only places of marks come here, never a
 * picture. Angles in deg, lengths in m, marks in pixels from the upper left corner.
 */
@RestController
@RequestMapping("/api/clients/{clientId}/technique")
class PictureController {
  private final Pictures pictures;
  private final Sightings sightings;

  PictureController(Pictures pictures, Sightings sightings) {
    this.pictures = pictures;
    this.sightings = sightings;
  }

  record MarkInput(Landmark landmark, Double xPx, Double yPx) {
    Mark mark() {
      new Needed().field("landmark", landmark).field("xPx", xPx).field("yPx", yPx).check();
      return new Mark(landmark, xPx, yPx);
    }
  }

  /** Without a load, the usual working load; without a set-up, the usual one. */
  record PictureInput(
      CandidateId candidateId,
      UUID gymId,
      Map<String, Double> setup,
      Double loadKg,
      Integer widthPx,
      Integer heightPx,
      List<MarkInput> marks) {
    Pictures.Request request(UUID clientId) {
      check();
      return new Pictures.Request(subject(clientId), new SidePicture(widthPx, heightPx, places()));
    }

    FrontPicture front() {
      check();
      return new FrontPicture(widthPx, heightPx, places());
    }

    private List<Mark> places() {
      return marks.stream().map(MarkInput::mark).toList();
    }

    private void check() {
      new Needed()
          .field("candidateId", candidateId)
          .field("widthPx", widthPx)
          .field("heightPx", heightPx)
          .field("marks", marks)
          .check();
    }

    Pictures.Subject subject(UUID clientId) {
      return new Pictures.Subject(
          clientId,
          Optional.ofNullable(gymId),
          candidateId,
          setup == null ? Map.of() : setup,
          Optional.ofNullable(loadKg));
    }
  }

  record KeepInput(PictureInput picture, LocalDate on) {}

  /** A place that is marked: where it lies, and whether a posture is told without it. */
  record LandmarkView(
      Landmark landmark, Landmark.Seen seen, String label, String where, boolean needed) {}

  record MarkView(Landmark landmark, double xPx, double yPx) {
    static MarkView of(Mark mark) {
      return new MarkView(mark.landmark(), Rounded.of(mark.xPx()), Rounded.of(mark.yPx()));
    }
  }

  /** A figure as seen, with its standard deviation, and as Istmo assumed it. */
  record SeenFigureView(
      String id, String label, String unit, double seen, double error, double assumed) {}

  /** Why marks tell nothing, and what to do. */
  record NotSeenView(String reason, String remedy) {
    static NotSeenView of(PictureReading.NotSeen not) {
      return new NotSeenView(PictureWords.reason(not.why()), PictureWords.remedy(not.why()));
    }
  }

  /**
   * What marks tell; either {@code notSeen} or the rest. fitted: where the posture as read has the
   * landmarks; expected: where the posture that Istmo assumed would have them.
   */
  record PictureReadingView(
      @MayBeMissing NotSeenView notSeen,
      List<SeenFigureView> figures,
      List<SeenFigureView> technique,
      List<String> sentences,
      List<String> remarks,
      @MayBeMissing String camera,
      @MayBeMissing Double loadKg,
      List<MarkView> fitted,
      List<MarkView> expected) {}

  /** What one picture told: the day, what was done, and the posture in deg and m. */
  record SightingView(
      UUID id,
      LocalDate on,
      CandidateId candidateId,
      String exerciseId,
      String name,
      double loadKg,
      boolean counts,
      List<ShiftView> technique,
      List<ValueView> figures) {}

  /** What is added to a technique parameter, in its unit, with its spread. */
  record ShiftView(String parameter, String label, String unit, double shift, double spread) {}

  record ValueView(String id, double value, double error) {}

  /** What is otherwise on the newest day of an exercise than on its first, in words. */
  record ChangeOfTechniqueView(String exerciseId, String words) {}

  record TechniqueView(
      List<LandmarkView> landmarks,
      List<SightingView> sightings,
      List<ChangeOfTechniqueView> changes) {}

  /** What pictures told of a client, and what can be marked on the next one. */
  @GetMapping
  TechniqueView all(@PathVariable UUID clientId) {
    return view(clientId);
  }

  /** Reads marks on a picture of the bottom of a repetition; nothing is kept. */
  @PostMapping("/read")
  PictureReadingView read(@PathVariable UUID clientId, @RequestBody PictureInput input) {
    Outcome outcome = pictures.read(input.request(clientId));
    return outcome instanceof TechniqueReading reading
        ? view(reading)
        : notSeen((PictureReading.NotSeen) outcome);
  }

  /** What a picture from the front tells. */
  record FrontView(List<SeenFigureView> figures, List<String> sentences) {}

  /** Reads marks on a picture from the front at the bottom of a repetition; nothing is kept. */
  @PostMapping("/front")
  FrontView front(@PathVariable UUID clientId, @RequestBody PictureInput input) {
    FrontPicture picture = input.front();
    FrontReading reading = pictures.front(input.subject(clientId), picture);
    return new FrontView(
        reading.figures().stream().map(PictureController::view).toList(),
        Words.of(reading.findings()));
  }

  /** Keeps what the marks tell as this client's technique; the picture is not kept. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  TechniqueView keep(@PathVariable UUID clientId, @RequestBody KeepInput input) {
    new Needed().field("picture", input.picture()).field("on", input.on()).check();
    pictures.keep(input.picture().request(clientId), input.on());
    return view(clientId);
  }

  /** Takes back what one picture told. */
  @DeleteMapping("/{sightingId}")
  TechniqueView takeBack(@PathVariable UUID clientId, @PathVariable UUID sightingId) {
    sightings.takeBack(clientId, sightingId);
    return view(clientId);
  }

  private static PictureReadingView notSeen(PictureReading.NotSeen why) {
    return new PictureReadingView(
        NotSeenView.of(why),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        null,
        null,
        List.of(),
        List.of());
  }

  private static PictureReadingView view(TechniqueReading reading) {
    PictureReading.Seen seen = reading.seen();
    return new PictureReadingView(
        null,
        reading.figures().stream().map(PictureController::view).toList(),
        reading.found().technique().stream().map(PictureController::view).toList(),
        PictureWords.technique(reading),
        Stream.concat(
                reading.found().remarks().stream().map(Words::of),
                seen.remarks().stream().map(Words::of))
            .toList(),
        PictureWords.camera(seen),
        Rounded.of(reading.loadKg()),
        seen.fitted().stream().map(MarkView::of).toList(),
        seen.expected().stream().map(MarkView::of).toList());
  }

  private static SeenFigureView view(TechniqueReading.Compared compared) {
    return new SeenFigureView(
        compared.id(),
        compared.label(),
        compared.unit(),
        Rounded.of(compared.seen().value()),
        Rounded.of(compared.seen().error()),
        Rounded.of(compared.assumed()));
  }

  private static SeenFigureView view(TechniqueFit.Adjusted adjusted) {
    SetupParameter parameter = adjusted.parameter();
    return new SeenFigureView(
        parameter.id(),
        parameter.label(),
        parameter.unit(),
        Rounded.of(adjusted.seen()),
        Rounded.of(adjusted.error()),
        Rounded.of(adjusted.assumed()));
  }

  private TechniqueView view(UUID clientId) {
    List<Sightings.Kept> kept = sightings.of(clientId);
    return new TechniqueView(
        Arrays.stream(Landmark.values())
            .map(
                landmark ->
                    new LandmarkView(
                        landmark,
                        landmark.seen(),
                        landmark.label(),
                        landmark.where(),
                        landmark.needed()))
            .toList(),
        kept.stream().map(each -> view(each, kept)).toList(),
        TechniqueChange.of(kept.stream().map(Sightings.Kept::sighting).toList()).stream()
            .map(
                change -> new ChangeOfTechniqueView(change.exerciseId(), Words.of(change.change())))
            .toList());
  }

  private static SightingView view(Sightings.Kept kept, List<Sightings.Kept> all) {
    Sighting sighting = kept.sighting();
    Sighting.Posed posed = sighting.posed();
    return new SightingView(
        kept.id(),
        sighting.on(),
        sighting.candidateId(),
        sighting.exerciseId(),
        name(sighting.candidateId()),
        sighting.loadKg(),
        sighting.countsAmong(all.stream().map(Sightings.Kept::sighting).toList()),
        sighting.changes().stream()
            .map(
                told ->
                    new ShiftView(
                        told.parameter().id(),
                        told.parameter().label(),
                        told.parameter().unit(),
                        Rounded.of(told.shift().shift()),
                        Rounded.of(told.shift().spread())))
            .toList(),
        List.of(
            degrees("trunk", posed.trunk()),
            degrees("shank", posed.shank()),
            degrees("thigh", posed.thigh()),
            metres("kneePastToe", posed.kneePastToe()),
            metres("hipAboveKnee", posed.hipAboveKnee())));
  }

  /** A candidate may have left the catalogue since. */
  private static String name(CandidateId candidateId) {
    return Catalogue.standard().candidates().stream()
        .filter(candidate -> candidate.id().equals(candidateId))
        .map(candidate -> candidate.name())
        .findFirst()
        .orElse(candidateId.text());
  }

  private static ValueView degrees(String id, Figure figure) {
    return new ValueView(
        id, Rounded.of(Math.toDegrees(figure.value())), Rounded.of(Math.toDegrees(figure.error())));
  }

  private static ValueView metres(String id, Figure figure) {
    return new ValueView(id, Rounded.of(figure.value()), Rounded.of(figure.error()));
  }
}
