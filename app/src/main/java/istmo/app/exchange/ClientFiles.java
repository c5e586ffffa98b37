package istmo.app.exchange;

import istmo.app.catalogue.Trainables;
import istmo.app.clients.ClientRecord;
import istmo.app.exchange.ArchiveDocument.AnswerFile;
import istmo.app.exchange.ArchiveDocument.CautionFile;
import istmo.app.exchange.ArchiveDocument.ClientFile;
import istmo.app.exchange.ArchiveDocument.ItemFile;
import istmo.app.exchange.ArchiveDocument.LiftFile;
import istmo.app.exchange.ArchiveDocument.MarkFile;
import istmo.app.exchange.ArchiveDocument.PainFile;
import istmo.app.exchange.ArchiveDocument.ProfileFile;
import istmo.app.exchange.ArchiveDocument.ReadingFile;
import istmo.app.exchange.ArchiveDocument.RestrictionFile;
import istmo.app.exchange.ArchiveDocument.SessionFile;
import istmo.app.exchange.ArchiveDocument.SetFile;
import istmo.app.exchange.ArchiveDocument.SightingFile;
import istmo.app.exchange.ArchiveDocument.SorenessFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.floor.Marks;
import istmo.app.gyms.Gym;
import istmo.app.plans.PlanStore;
import istmo.app.record.Answers;
import istmo.app.record.Taken;
import istmo.app.sessions.Session;
import istmo.app.sessions.SessionReader;
import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.Profile;
import istmo.core.body.Restriction;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.quantity.Required;
import istmo.core.record.SetRecord;
import istmo.core.stimulus.School;
import istmo.core.training.KnownLift;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is kept of clients, written for an archive. */
@Component
class ClientFiles {
  private final SessionReader reader;
  private final PlanStore plans;
  private final Marks marks;
  private final Answers answers;
  private final Trainables trainables;

  ClientFiles(
      SessionReader reader, PlanStore plans, Marks marks, Answers answers, Trainables trainables) {
    this.reader = reader;
    this.plans = plans;
    this.marks = marks;
    this.answers = answers;
    this.trainables = trainables;
  }

  /** Files of clients by their ids, in that order; their gyms are among the places. */
  List<ClientFile> of(Map<UUID, ClientRecord> clients, List<Gym> places) {
    Map<UUID, String> names = places.stream().collect(Collectors.toMap(Gym::id, Gym::name));
    Function<CandidateId, Trainable> candidates = trainables.all();
    return clients.entrySet().stream()
        .map(entry -> client(entry.getKey(), entry.getValue(), names, candidates))
        .toList();
  }

  /** Every set of a client as a table for spreadsheets, its days in a time zone. */
  String sets(UUID clientId, ZoneId zone) {
    Function<CandidateId, Trainable> candidates = trainables.all();
    return RecordCsv.write(reader.history(clientId), zone, id -> candidates.apply(id).name());
  }

  private ClientFile client(
      UUID id,
      ClientRecord record,
      Map<UUID, String> places,
      Function<CandidateId, Trainable> candidates) {
    Intake intake = record.intake();
    Cautions cautions = record.cautions();
    return new ClientFile(
        record.name(),
        intake.statureM(),
        intake.massKg(),
        intake.sex(),
        intake.thigh(),
        intake.ankle(),
        cautions.sores().stream().map(ClientFiles::sore).toList(),
        cautions.entries().stream().map(ClientFiles::caution).toList(),
        cautions.restrictions().stream().map(ClientFiles::restriction).toList(),
        profile(record.profile()),
        record.readings().stream().map(ClientFiles::reading).toList(),
        record.lifts().stream().map(ClientFiles::lift).toList(),
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
        marks.of(id).stream()
            .map(
                mark ->
                    new MarkFile(
                        Required.entry(places, mark.gymId()),
                        mark.candidateId(),
                        mark.words(),
                        mark.changedAt()))
            .toList(),
        answers.of(id).stream().map(ClientFiles::answer).toList(),
        record.sightings().stream().map(SightingFile::of).toList());
  }

  private static SorenessFile sore(Soreness soreness) {
    return new SorenessFile(soreness.joint(), soreness.movements(), soreness.approach());
  }

  private static CautionFile caution(Cautions.Entry entry) {
    return new CautionFile(
        entry.caution(),
        entry.clearance().map(Cautions.Clearance::by).orElse(null),
        entry.clearance().map(Cautions.Clearance::on).orElse(null));
  }

  private static RestrictionFile restriction(Restriction restriction) {
    return new RestrictionFile(
        restriction.by(),
        restriction.on(),
        restriction.text(),
        restriction.kneeMaxDeg().orElse(null),
        restriction.hipMaxDeg().orElse(null),
        restriction.noLoadedBack());
  }

  private static ReadingFile reading(Measurement measurement) {
    return new ReadingFile(
        measurement.kind(), measurement.side(), measurement.value(), measurement.on());
  }

  private static LiftFile lift(KnownLift lift) {
    return new LiftFile(
        lift.candidateId(),
        lift.set().loadKg(),
        lift.set().repetitions(),
        lift.set().reserve(),
        lift.on());
  }

  private static AnswerFile answer(Answers.Answer answer) {
    return new AnswerFile(
        answer.kind(),
        answer.subject(),
        answer.taken().map(Taken::act).orElse(null),
        answer.taken().map(Taken::words).orElse(null),
        answer.at());
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

  private static SessionFile session(Session session, Function<CandidateId, Trainable> candidates) {
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

  private static ItemFile item(Session.Item item, Function<CandidateId, Trainable> candidates) {
    return new ItemFile(
        item.candidateId(),
        candidates.apply(item.candidateId()).name(),
        item.setup(),
        item.asked().words(),
        item.asked().prescription().orElse(null),
        item.asked().bout().orElse(null),
        item.asked().loadShare(),
        item.ended(),
        item.sets().stream().map(ClientFiles::set).toList());
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
        Set.copyOf(Region.ids(record.felt())),
        record.pain().map(pain -> new PainFile(pain.joint(), pain.level())).orElse(null),
        set.performedAt());
  }
}
