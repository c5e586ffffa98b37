package istmo.app.pictures;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.clients.Sightings;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Transactions;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.picture.Film;
import istmo.core.picture.FrontPicture;
import istmo.core.picture.FrontReading;
import istmo.core.picture.Outcome;
import istmo.core.picture.PictureReading;
import istmo.core.picture.SidePicture;
import istmo.core.picture.TechniqueReading;
import istmo.core.quantity.NotPossible;
import istmo.core.watching.WatchedSet;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Reads marks on pictures of the signed-in coach's clients. */
@Service
public class Pictures {
  private static final GymEquipment GENERIC = GymEquipment.generic(Set.of());

  private final Catalogue catalogue;
  private final Clients clients;
  private final Gyms gyms;
  private final Sightings sightings;

  Pictures(Catalogue catalogue, Clients clients, Gyms gyms, Sightings sightings) {
    this.catalogue = catalogue;
    this.clients = clients;
    this.gyms = gyms;
    this.sightings = sightings;
  }

  /**
   * What a picture is of.
   *
   * @param setup what of the set-up was otherwise than usual
   * @param loadKg empty for the usual working load
   */
  public record Subject(
      UUID clientId,
      Optional<UUID> gymId,
      CandidateId candidateId,
      Map<String, Double> setup,
      Optional<Double> loadKg) {}

  /** What a picture from the side is of, and its marks. */
  public record Request(Subject subject, SidePicture picture) {}

  /** What the marks tell. Nothing is kept. */
  public Outcome read(Request request) {
    return TechniqueReading.of(subject(request.subject()), request.picture());
  }

  /** What the marks on a picture from the front tell. Nothing is kept. */
  public FrontReading front(Subject subject, FrontPicture picture) {
    return FrontReading.of(subject(subject), picture);
  }

  private TechniqueReading.Subject subject(Subject subject) {
    Client client = clients.get(subject.clientId());
    GymEquipment equipment = subject.gymId().map(id -> gyms.get(id).equipment()).orElse(GENERIC);
    Transactions.mustBeOutside("the reading of a picture");
    return new TechniqueReading.Subject(
        client.unlimitedBody(false),
        client.estimate().measured(),
        catalogue.candidate(subject.candidateId()),
        equipment,
        subject.setup(),
        subject.loadKg());
  }

  /** A set that was filmed, or why its marked frame tells nothing. */
  public record Filmed(Optional<Film> film, Optional<PictureReading.NotSeen> why) {}

  /**
   * What marks tell that were followed through a film from the picture's frame. Nothing is kept.
   */
  public Filmed film(Request request, List<Film.Frame> frames, WatchedSet.Asked asked) {
    Outcome outcome = read(request);
    return outcome instanceof TechniqueReading reading
        ? new Filmed(Optional.of(reading.film(request.picture(), frames, asked)), Optional.empty())
        : new Filmed(Optional.empty(), Optional.of((PictureReading.NotSeen) outcome));
  }

  /**
   * Reads the marks and keeps what they tell as this client's technique. Throws {@link NotPossible}
   * on field "marks" where they tell nothing.
   */
  public void keep(Request request, LocalDate on) {
    sightings.checkDay(on);
    Outcome outcome = read(request);
    if (!(outcome instanceof TechniqueReading reading)) {
      throw new NotPossible("marks", ((PictureReading.NotSeen) outcome).why());
    }
    sightings.keep(request.subject().clientId(), reading.kept(on));
  }
}
