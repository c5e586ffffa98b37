package istmo.app.exchange;

import istmo.app.accounts.CoachDays;
import istmo.app.catalogue.OwnExercises;
import istmo.app.catalogue.Trainables;
import istmo.app.catalogue.Variants;
import istmo.app.clients.ClientRecord;
import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.AnswerFile;
import istmo.app.exchange.ArchiveDocument.CautionFile;
import istmo.app.exchange.ArchiveDocument.ClientFile;
import istmo.app.exchange.ArchiveDocument.ExerciseFile;
import istmo.app.exchange.ArchiveDocument.GymFile;
import istmo.app.exchange.ArchiveDocument.ItemFile;
import istmo.app.exchange.ArchiveDocument.LiftFile;
import istmo.app.exchange.ArchiveDocument.MarkFile;
import istmo.app.exchange.ArchiveDocument.PainFile;
import istmo.app.exchange.ArchiveDocument.PlatesFile;
import istmo.app.exchange.ArchiveDocument.ProfileFile;
import istmo.app.exchange.ArchiveDocument.ReadingFile;
import istmo.app.exchange.ArchiveDocument.RestrictionFile;
import istmo.app.exchange.ArchiveDocument.SchoolFile;
import istmo.app.exchange.ArchiveDocument.SessionFile;
import istmo.app.exchange.ArchiveDocument.SetFile;
import istmo.app.exchange.ArchiveDocument.SightingFile;
import istmo.app.exchange.ArchiveDocument.SorenessFile;
import istmo.app.exchange.ArchiveDocument.VariantFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.floor.Floor;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.plans.PlanStore;
import istmo.app.record.Answers;
import istmo.app.record.Taken;
import istmo.app.schools.Schools;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.app.sessions.Sessions;
import istmo.core.anatomy.BodyArea;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.catalogue.Trainable;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.Required;
import istmo.core.record.SetRecord;
import istmo.core.stimulus.School;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everything that is kept of one client, or of all: taken out as one document, or erased for good.
 */
@Service
public class Archive {
  private final Clients clients;
  private final Sessions sessions;
  private final SessionReader reader;
  private final PlanStore plans;
  private final Floor floor;
  private final Answers answers;
  private final Gyms gyms;
  private final Variants variants;
  private final OwnExercises exercises;
  private final Trainables trainables;
  private final Schools schools;
  private final Clock clock;
  private final CoachDays days;

  Archive(
      Clients clients,
      Sessions sessions,
      SessionReader reader,
      PlanStore plans,
      Floor floor,
      Answers answers,
      Gyms gyms,
      Variants variants,
      OwnExercises exercises,
      Trainables trainables,
      Schools schools,
      CoachDays days,
      Clock clock) {
    this.clients = clients;
    this.sessions = sessions;
    this.reader = reader;
    this.plans = plans;
    this.floor = floor;
    this.answers = answers;
    this.gyms = gyms;
    this.variants = variants;
    this.exercises = exercises;
    this.trainables = trainables;
    this.schools = schools;
    this.clock = clock;
    this.days = days;
  }

  /** A client's file, with the gyms, own variants and own schools that it names. */
  public ArchiveDocument of(UUID clientId) {
    List<Gym> places = gyms.all();
    ClientFile client =
        client(clientId, clients.recordOf(clientId), names(places), trainables.all());
    Set<String> named =
        Stream.of(
                client.sessions().stream().map(SessionFile::gym),
                written(client.weeks()).stream().map(WeekFile::gym),
                written(client.marks()).stream().map(MarkFile::gym))
            .flatMap(x -> x)
            .collect(Collectors.toSet());
    Set<String> candidates =
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
    Map<UUID, String> names = names(places);
    Function<String, Trainable> candidates = trainables.all();
    return document(
        places,
        variants.all(),
        exercises.all(),
        schools.listed(),
        clients.records().entrySet().stream()
            .map(entry -> client(entry.getKey(), entry.getValue(), names, candidates))
            .toList());
  }

  /** Every set of a client as a table for spreadsheets. */
  public String sets(UUID clientId) {
    clients.check(clientId);
    Function<String, Trainable> candidates = trainables.all();
    return RecordCsv.write(
        reader.history(clientId), days.zone(), id -> candidates.apply(id).name());
  }

  /**
   * Client, readings, lifts, sessions and sets, and planned weeks with their links. Nothing of it
   * is left, and there is no way back.
   */
  @Transactional
  public void erase(UUID clientId) {
    clients.check(clientId);
    plans.erase(clientId);
    sessions.erase(clientId);
    clients.erase(clientId);
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
        clock.instant(),
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

  private static Map<UUID, String> names(List<Gym> places) {
    return places.stream().collect(Collectors.toMap(Gym::id, Gym::name));
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

  private ClientFile client(
      UUID id,
      ClientRecord record,
      Map<UUID, String> places,
      Function<String, Trainable> candidates) {
    Intake intake = record.intake();
    Cautions cautions = record.cautions();
    return new ClientFile(
        record.name(),
        intake.statureM(),
        intake.massKg(),
        intake.sex(),
        intake.thigh(),
        intake.ankle(),
        cautions.sores().stream()
            .map(
                soreness ->
                    new SorenessFile(soreness.joint(), soreness.movements(), soreness.approach()))
            .toList(),
        cautions.entries().stream()
            .map(
                entry ->
                    new CautionFile(
                        entry.caution(),
                        entry.clearance().map(Cautions.Clearance::by).orElse(null),
                        entry.clearance().map(Cautions.Clearance::on).orElse(null)))
            .toList(),
        cautions.restrictions().stream()
            .map(
                restriction ->
                    new RestrictionFile(
                        restriction.by(),
                        restriction.on(),
                        restriction.text(),
                        restriction.kneeMaxDeg().orElse(null),
                        restriction.hipMaxDeg().orElse(null),
                        restriction.noLoadedBack()))
            .toList(),
        profile(record.profile()),
        record.readings().stream()
            .map(
                measurement ->
                    new ReadingFile(
                        measurement.kind(),
                        measurement.side(),
                        measurement.value(),
                        measurement.on()))
            .toList(),
        record.lifts().stream()
            .map(
                lift ->
                    new LiftFile(
                        lift.candidateId(),
                        lift.set().loadKg(),
                        lift.set().repetitions(),
                        lift.set().reserve(),
                        lift.on()))
            .toList(),
        reader.history(id).stream().map(session -> session(session, candidates)).toList(),
        plans.archived(id).stream()
            .map(
                plan ->
                    new WeekFile(
                        Required.entry(places, plan.gymId()),
                        plan.createdAt(),
                        plan.changedAt(),
                        plan.removedAt().orElse(null),
                        plan.brief(),
                        plan.document()))
            .toList(),
        record.learns(),
        floor.marks(id).stream()
            .map(
                mark ->
                    new MarkFile(
                        Required.entry(places, mark.gymId()),
                        mark.candidateId(),
                        mark.words(),
                        mark.changedAt()))
            .toList(),
        answers.of(id).stream()
            .map(
                answer ->
                    new AnswerFile(
                        answer.kind(),
                        answer.subject(),
                        answer.taken().map(Taken::act).orElse(null),
                        answer.taken().map(Taken::words).orElse(null),
                        answer.at()))
            .toList(),
        record.sightings().stream().map(SightingFile::of).toList());
  }

  private static ProfileFile profile(Profile profile) {
    return new ProfileFile(
        profile.trainingAge().orElse(null),
        profile.daysAWeek().orElse(null),
        profile.minutes().orElse(null),
        profile.habits(),
        profile.strongerSide().orElse(null),
        profile.notes(),
        profile.likes(),
        profile.dislikes());
  }

  private static SessionFile session(Session session, Function<String, Trainable> candidates) {
    return new SessionFile(
        session.gym().name(),
        session.brief().aim(),
        session.brief().keepOut(),
        Objects.requireNonNullElse(session.brief().school(), School.STRETCH.id()),
        session.brief().stiffDay(),
        session.createdAt(),
        session.finishedAt().orElse(null),
        session.items().stream().map(item -> item(item, candidates)).toList());
  }

  private static ItemFile item(Session.Item item, Function<String, Trainable> candidates) {
    return new ItemFile(
        item.candidateId(),
        candidates.apply(item.candidateId()).name(),
        item.setup(),
        item.asked().words(),
        item.asked().prescription().orElse(null),
        item.asked().bout().orElse(null),
        item.asked().loadShare(),
        item.ended(),
        item.sets().stream().map(Archive::set).toList());
  }

  private static SetFile set(Session.LoggedSet set) {
    SetRecord record = set.record();
    return new SetFile(
        set.id(),
        record.done().loadKg(),
        record.done().repetitions(),
        record.done().reserve(),
        record.kind(),
        record.number().orElse(null),
        record.side(),
        record.range().orElse(null),
        record.tempoKept().orElse(null),
        Set.copyOf(BodyArea.ids(record.felt())),
        record.pain().map(pain -> new PainFile(pain.joint(), pain.level())).orElse(null),
        set.performedAt());
  }
}
