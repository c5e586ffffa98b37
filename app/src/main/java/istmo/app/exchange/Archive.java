package istmo.app.exchange;

import istmo.app.accounts.CoachDays;
import istmo.app.catalogue.OwnExercises;
import istmo.app.catalogue.Trainables;
import istmo.app.catalogue.Variants;
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
import istmo.app.exchange.ArchiveDocument.SorenessFile;
import istmo.app.exchange.ArchiveDocument.VariantFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.floor.Floor;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.plans.PlanStore;
import istmo.app.record.Answers;
import istmo.app.schools.Schools;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.app.sessions.Sessions;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.catalogue.Trainable;
import istmo.core.quantity.Required;
import istmo.core.record.Lesson;
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
                    .flatMap(s -> s.items().stream())
                    .map(ItemFile::candidateId),
                written(client.weeks()).stream()
                    .flatMap(w -> w.plan().week().items().stream())
                    .map(i -> i.candidateId()),
                written(client.marks()).stream().map(MarkFile::candidateId))
            .flatMap(x -> x)
            .collect(Collectors.toSet());
    Set<String> judged =
        Stream.concat(
                client.sessions().stream().map(SessionFile::school),
                written(client.weeks()).stream().map(w -> w.brief().school()))
            .collect(Collectors.toSet());
    return document(
        places.stream().filter(g -> named.contains(g.name())).toList(),
        variants.all().stream().filter(v -> candidates.contains(v.candidate().id())).toList(),
        exercises.all().stream()
            .filter(x -> candidates.contains(x.exercise().candidateId()))
            .toList(),
        schools.listed().stream().filter(s -> judged.contains(s.school().id())).toList(),
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
            .map(c -> client(c.getKey(), c.getValue(), names, candidates))
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
                v ->
                    new VariantFile(
                        v.candidate().id(),
                        v.candidate().name(),
                        v.candidate().usual().values(),
                        v.retired()))
            .toList(),
        byWord.stream()
            .map(
                x ->
                    new ExerciseFile(x.exercise().id(), x.exercise().name(), x.said(), x.retired()))
            .toList(),
        judged.stream().filter(Schools.Listed::own).map(Archive::school).toList(),
        files);
  }

  private static Map<UUID, String> names(List<Gym> places) {
    return places.stream().collect(Collectors.toMap(Gym::id, Gym::name));
  }

  private static GymFile gym(Gym g) {
    return new GymFile(
        g.name(),
        g.equipment().items(),
        g.equipment().measured(),
        g.equipment().plates().pairs().entrySet().stream()
            .map(e -> new PlatesFile(e.getKey(), e.getValue()))
            .toList(),
        g.pulls(),
        g.removed() ? true : null);
  }

  private static SchoolFile school(Schools.Listed l) {
    School s = l.school();
    return new SchoolFile(
        s.id(),
        s.label(),
        s.reason(),
        s.lengthBias(),
        s.passiveWeight(),
        s.activityTrust(),
        s.practiceTrust(),
        s.basics(),
        l.retired());
  }

  private ClientFile client(
      UUID id,
      Clients.ClientRecord c,
      Map<UUID, String> places,
      Function<String, Trainable> candidates) {
    Intake i = c.intake();
    Cautions cautions = c.cautions();
    return new ClientFile(
        c.name(),
        i.statureM(),
        i.massKg(),
        i.sex(),
        i.thigh(),
        i.ankle(),
        cautions.sores().stream()
            .map(x -> new SorenessFile(x.joint(), x.movements(), x.approach()))
            .toList(),
        cautions.entries().stream()
            .map(
                e ->
                    new CautionFile(
                        e.caution(),
                        e.clearance().map(Cautions.Clearance::by).orElse(null),
                        e.clearance().map(Cautions.Clearance::on).orElse(null)))
            .toList(),
        cautions.restrictions().stream()
            .map(
                r ->
                    new RestrictionFile(
                        r.by(),
                        r.on(),
                        r.text(),
                        r.kneeMaxDeg().orElse(null),
                        r.hipMaxDeg().orElse(null),
                        r.noLoadedBack()))
            .toList(),
        profile(c.profile()),
        c.readings().stream()
            .map(m -> new ReadingFile(m.kind(), m.side(), m.value(), m.on()))
            .toList(),
        c.lifts().stream()
            .map(
                l ->
                    new LiftFile(
                        l.candidateId(),
                        l.set().loadKg(),
                        l.set().repetitions(),
                        l.set().reserve(),
                        l.on()))
            .toList(),
        reader.history(id).stream().map(s -> session(s, candidates)).toList(),
        plans.archived(id).stream()
            .map(
                w ->
                    new WeekFile(
                        Required.entry(places, w.gymId()),
                        w.createdAt(),
                        w.changedAt(),
                        w.removedAt().orElse(null),
                        w.brief(),
                        w.document()))
            .toList(),
        c.learns(),
        floor.marks(id).stream()
            .map(
                m ->
                    new MarkFile(
                        Required.entry(places, m.gymId()),
                        m.candidateId(),
                        m.words(),
                        m.changedAt()))
            .toList(),
        answers.of(id).stream()
            .map(
                a ->
                    new AnswerFile(
                        a.kind(),
                        a.subject(),
                        a.taken().map(Lesson.Proposal::act).orElse(null),
                        a.taken().map(Lesson.Proposal::words).orElse(null),
                        a.at()))
            .toList());
  }

  private static ProfileFile profile(Profile p) {
    return new ProfileFile(
        p.trainingAge().orElse(null),
        p.daysAWeek().orElse(null),
        p.minutes().orElse(null),
        p.habits(),
        p.strongerSide().orElse(null),
        p.notes(),
        p.likes(),
        p.dislikes());
  }

  private static SessionFile session(Session s, Function<String, Trainable> candidates) {
    return new SessionFile(
        s.gym().name(),
        s.brief().aim(),
        s.brief().keepOut(),
        Objects.requireNonNullElse(s.brief().school(), School.STRETCH.id()),
        s.brief().stiffDay(),
        s.createdAt(),
        s.finishedAt().orElse(null),
        s.items().stream().map(i -> item(i, candidates)).toList());
  }

  private static ItemFile item(Session.Item i, Function<String, Trainable> candidates) {
    return new ItemFile(
        i.candidateId(),
        candidates.apply(i.candidateId()).name(),
        i.setup(),
        i.asked().words(),
        i.asked().prescription().orElse(null),
        i.asked().bout().orElse(null),
        i.asked().loadShare(),
        i.ended(),
        i.sets().stream().map(Archive::set).toList());
  }

  private static SetFile set(Session.LoggedSet s) {
    SetRecord r = s.record();
    return new SetFile(
        s.id(),
        r.done().loadKg(),
        r.done().repetitions(),
        r.done().reserve(),
        r.kind(),
        r.number().orElse(null),
        r.side(),
        r.range().orElse(null),
        r.tempoKept().orElse(null),
        r.felt(),
        r.pain().map(p -> new PainFile(p.joint(), p.level())).orElse(null),
        s.performedAt());
  }
}
