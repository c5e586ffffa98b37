package istmo.app.exchange;

import istmo.app.accounts.CoachDays;
import istmo.app.catalogue.OwnExercises;
import istmo.app.catalogue.Variants;
import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.ClientFile;
import istmo.app.exchange.ArchiveDocument.ExerciseFile;
import istmo.app.exchange.ArchiveDocument.GymFile;
import istmo.app.exchange.ArchiveDocument.ItemFile;
import istmo.app.exchange.ArchiveDocument.MarkFile;
import istmo.app.exchange.ArchiveDocument.PlatesFile;
import istmo.app.exchange.ArchiveDocument.SchoolFile;
import istmo.app.exchange.ArchiveDocument.SessionFile;
import istmo.app.exchange.ArchiveDocument.VariantFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.schools.Schools;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Everything that is kept of one client, or of all, taken out as one document. */
@Service
public class Archive {
  private final Clients clients;
  private final ClientFiles files;
  private final Gyms gyms;
  private final Variants variants;
  private final OwnExercises exercises;
  private final Schools schools;
  private final CoachDays days;

  Archive(
      Clients clients,
      ClientFiles files,
      Gyms gyms,
      Variants variants,
      OwnExercises exercises,
      Schools schools,
      CoachDays days) {
    this.clients = clients;
    this.files = files;
    this.gyms = gyms;
    this.variants = variants;
    this.exercises = exercises;
    this.schools = schools;
    this.days = days;
  }

  /** A client's file, with the gyms, own variants and own schools that it names. */
  public ArchiveDocument of(UUID clientId) {
    List<Gym> places = gyms.all();
    ClientFile client = files.of(Map.of(clientId, clients.recordOf(clientId)), places).get(0);
    Set<String> named =
        Stream.of(
                client.sessions().stream().map(SessionFile::gym),
                written(client.weeks()).stream().map(WeekFile::gym),
                written(client.marks()).stream().map(MarkFile::gym))
            .flatMap(x -> x)
            .collect(Collectors.toSet());
    Set<CandidateId> candidates =
        Stream.of(
                client.sessions().stream()
                    .flatMap(file -> file.items().stream())
                    .map(ItemFile::candidateId),
                written(client.weeks()).stream()
                    .flatMap(file -> file.plan().week().items().stream())
                    .map(item -> item.candidateId()),
                written(client.marks()).stream().map(MarkFile::candidateId))
            .flatMap(x -> x)
            .collect(Collectors.toSet());
    Set<String> judged =
        Stream.concat(
                client.sessions().stream().map(SessionFile::school),
                written(client.weeks()).stream().map(file -> file.brief().school()))
            .collect(Collectors.toSet());
    return document(
        places.stream().filter(gym -> named.contains(gym.name())).toList(),
        variants.all().stream().filter(own -> candidates.contains(own.candidate().id())).toList(),
        exercises.all().stream()
            .filter(own -> candidates.contains(own.exercise().candidateId()))
            .toList(),
        schools.listed().stream().filter(listed -> judged.contains(listed.school().id())).toList(),
        List.of(client));
  }

  /** A part that this class always writes; only files from elsewhere may lack it. */
  private static <T> List<T> written(@Nullable List<T> part) {
    return Objects.requireNonNull(part);
  }

  /** The whole account. Passwords are not in it. */
  public ArchiveDocument account() {
    List<Gym> places = gyms.all();
    return document(
        places,
        variants.all(),
        exercises.all(),
        schools.listed(),
        files.of(clients.records(), places));
  }

  /** Every set of a client as a table for spreadsheets. */
  public String sets(UUID clientId) {
    clients.check(clientId);
    return files.sets(clientId, days.zone());
  }

  private ArchiveDocument document(
      List<Gym> places,
      List<Variants.Own> own,
      List<OwnExercises.Own> byWord,
      List<Schools.Listed> judged,
      List<ClientFile> files) {
    return new ArchiveDocument(
        ArchiveDocument.FORMAT,
        ArchiveDocument.VERSION,
        days.now(),
        places.stream().map(Archive::gym).toList(),
        own.stream()
            .map(
                variant ->
                    new VariantFile(
                        variant.candidate().id(),
                        variant.candidate().name(),
                        variant.candidate().usual().values(),
                        variant.retired()))
            .toList(),
        byWord.stream()
            .map(
                variant ->
                    new ExerciseFile(
                        variant.exercise().id(),
                        variant.exercise().name(),
                        variant.said(),
                        variant.retired()))
            .toList(),
        judged.stream().filter(Schools.Listed::own).map(Archive::school).toList(),
        files);
  }

  private static GymFile gym(Gym gym) {
    return new GymFile(
        gym.name(),
        Set.copyOf(Equipment.ids(gym.equipment().items())),
        gym.equipment().measuredById(),
        gym.equipment().plates().pairs().entrySet().stream()
            .map(entry -> new PlatesFile(entry.getKey(), entry.getValue()))
            .toList(),
        gym.pullsById(),
        gym.removed() ? true : null);
  }

  private static SchoolFile school(Schools.Listed listed) {
    School school = listed.school();
    return new SchoolFile(
        school.id(),
        school.label(),
        school.reason(),
        school.lengthBias(),
        school.passiveWeight(),
        school.activityTrust(),
        school.practiceTrust(),
        school.basics(),
        listed.retired());
  }
}
