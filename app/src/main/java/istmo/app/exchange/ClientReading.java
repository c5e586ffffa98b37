package istmo.app.exchange;

import istmo.app.clients.ClientRecord;
import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.AnswerFile;
import istmo.app.exchange.ArchiveDocument.CautionFile;
import istmo.app.exchange.ArchiveDocument.ClientFile;
import istmo.app.exchange.ArchiveDocument.ItemFile;
import istmo.app.exchange.ArchiveDocument.LiftFile;
import istmo.app.exchange.ArchiveDocument.MarkFile;
import istmo.app.exchange.ArchiveDocument.ProfileFile;
import istmo.app.exchange.ArchiveDocument.ReadingFile;
import istmo.app.exchange.ArchiveDocument.RestrictionFile;
import istmo.app.exchange.ArchiveDocument.SessionFile;
import istmo.app.exchange.ArchiveDocument.SetFile;
import istmo.app.exchange.ArchiveDocument.SightingFile;
import istmo.app.exchange.ArchiveDocument.SorenessFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.exchange.ArchiveReading.ReadAnswer;
import istmo.app.exchange.ArchiveReading.ReadClient;
import istmo.app.exchange.ArchiveReading.ReadMark;
import istmo.app.exchange.ArchiveReading.ReadSession;
import istmo.app.exchange.ArchiveReading.ReadWeek;
import istmo.app.floor.Marks;
import istmo.app.plans.PlanStore;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.record.Answers;
import istmo.app.record.Taken;
import istmo.app.sessions.ArchivedSessions;
import istmo.app.sessions.Asked;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.SessionBrief;
import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.Measurement.Side;
import istmo.core.body.Profile;
import istmo.core.body.Restriction;
import istmo.core.body.Soreness;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.Setup;
import istmo.core.picture.Sighting;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** A client of a document, read into what the features take. Nothing is kept here. */
final class ClientReading {
  /** Nothing that is kept here is older: what is, is a slip. */
  private static final Instant OLDEST = Instant.parse("1950-01-01T00:00:00Z");

  private final ArchiveReading file;
  private final Parts parts;
  private final Clients clients;
  private final Instant latest;

  /**
   * @param file with the variants, exercises and schools that it brings along
   * @param latest a moment after which nothing can have been done
   */
  ClientReading(ArchiveReading file, Parts parts, Clients clients, Instant latest) {
    this.file = file;
    this.parts = parts;
    this.clients = clients;
    this.latest = latest;
  }

  /** A client; empty where what they are cannot be read. */
  Optional<ReadClient> read(ClientFile file, String at) {
    new Needed()
        .field("name", file.name())
        .field("statureM", file.statureM())
        .field("massKg", file.massKg())
        .field("sex", file.sex())
        .field("thigh", file.thigh())
        .field("ankle", file.ankle())
        .check();
    String in = at + ".";
    Optional<String> name = parts.at(in, () -> Names.checked(file.name()));
    Optional<Intake> intake =
        parts.at(
            in,
            () ->
                new Intake(file.statureM(), file.massKg(), file.sex(), file.thigh(), file.ankle()));
    Optional<Profile> profile = parts.at(in + "profile.", () -> profile(file.profile()));
    Optional<Cautions> cautions = parts.at(in, () -> cautions(file));
    int before = parts.faults().size();
    List<Measurement> readings =
        all(in + "measurements", file.measurements(), (each, first) -> reading(each));
    List<KnownLift> lifts = all(in + "lifts", file.lifts(), (each, first) -> lift(each));
    List<Sighting> sightings =
        all(in + "sightings", file.sightings(), (each, first) -> sighting(each));
    boolean allRead = parts.faults().size() == before;
    List<ReadSession> sessions = all(in + "sessions", file.sessions(), this::session);
    List<ReadWeek> weeks = all(in + "weeks", file.weeks(), this::week);
    List<ReadMark> marks = all(in + "marks", file.marks(), (each, first) -> mark(each));
    List<ReadAnswer> answers = all(in + "answers", file.answers(), (each, first) -> answer(each));
    if (allRead
        && name.isPresent()
        && intake.isPresent()
        && profile.isPresent()
        && cautions.isPresent()) {
      ClientRecord whole =
          new ClientRecord(
              name.get(),
              intake.get(),
              profile.get(),
              cautions.get(),
              !Boolean.FALSE.equals(file.learns()),
              readings,
              lifts,
              sightings);
      InvalidInput.gather(parts.faults(), in, () -> clients.check(whole));
      return Optional.of(new ReadClient(in, whole, sessions, weeks, marks, answers));
    }
    return Optional.empty();
  }

  /** Reads a list; what is at fault is gathered, and left out. */
  private <F, R> List<R> all(String at, @Nullable List<F> files, BiFunction<F, String, R> read) {
    List<R> result = new ArrayList<>();
    parts.each(at, files, (file, first) -> result.add(read.apply(file, first)));
    return result;
  }

  private static Cautions cautions(ClientFile file) {
    return new Cautions(
        Parts.orNone(file.pain()).stream().map(ClientReading::sore).toList(),
        Parts.orNone(file.cautions()).stream().map(ClientReading::caution).toList(),
        Parts.orNone(file.restrictions()).stream().map(ClientReading::restriction).toList());
  }

  private static Profile profile(ProfileFile file) {
    return file == null
        ? Profile.unknown()
        : new Profile(
            Optional.ofNullable(file.trainingAge()),
            Optional.ofNullable(file.daysAWeek()),
            Optional.ofNullable(file.minutes()),
            Parts.orNone(file.habits()),
            Optional.ofNullable(file.strongerSide()),
            file.notes() == null ? "" : file.notes(),
            Parts.orNone(file.likes()),
            Parts.orNone(file.dislikes()));
  }

  private static Soreness sore(SorenessFile file) {
    new Needed().field("pain.joint", file.joint()).field("pain.approach", file.approach()).check();
    return new Soreness(file.joint(), Parts.orNone(file.movements()), file.approach());
  }

  private static Cautions.Entry caution(CautionFile file) {
    new Needed().field("cautions.caution", file.caution()).check();
    return new Cautions.Entry(
        file.caution(),
        file.clearedBy() == null && file.clearedOn() == null
            ? Optional.empty()
            : Optional.of(new Cautions.Clearance(file.clearedBy(), file.clearedOn())));
  }

  private static Restriction restriction(RestrictionFile file) {
    return new Restriction(
        file.by(),
        file.on(),
        file.text(),
        Optional.ofNullable(file.kneeMaxDeg()),
        Optional.ofNullable(file.hipMaxDeg()),
        Boolean.TRUE.equals(file.noLoadedBack()));
  }

  private static Measurement reading(ReadingFile file) {
    new Needed()
        .field("kind", file.kind())
        .field("value", file.value())
        .field("on", file.on())
        .check();
    return new Measurement(
        file.kind(), file.side() == null ? Side.NONE : file.side(), file.value(), file.on());
  }

  private static Sighting sighting(SightingFile file) {
    new Needed()
        .field("candidateId", file.candidateId())
        .field("on", file.on())
        .field("loadKg", file.loadKg())
        .field("told", file.told())
        .check();
    file.told().check();
    Sighting sighting =
        new Sighting(
            file.on(),
            file.candidateId(),
            file.loadKg(),
            file.told().coreShifts(),
            file.told().corePosed());
    sighting.check();
    return sighting;
  }

  private static KnownLift lift(LiftFile file) {
    new Needed()
        .field("candidateId", file.candidateId())
        .field("loadKg", file.loadKg())
        .field("repetitions", file.repetitions())
        .field("reserve", file.reserve())
        .check();
    return new KnownLift(
        Catalogue.standard().candidate(file.candidateId()),
        new PerformedSet(file.loadKg(), file.repetitions(), file.reserve()),
        file.on());
  }

  /** Throws for a moment to come, or one that is too long ago. */
  private void moment(String field, @Nullable Instant at) {
    if (at != null && (at.isBefore(OLDEST) || at.isAfter(latest))) {
      throw new InvalidInput(field, "is not within 1950 and today");
    }
  }

  private ReadSession session(SessionFile sessionFile, String at) {
    new Needed()
        .field("gym", sessionFile.gym())
        .field("school", sessionFile.school())
        .field("createdAt", sessionFile.createdAt())
        .check();
    moment("createdAt", sessionFile.createdAt());
    moment("finishedAt", sessionFile.finishedAt());
    int before = parts.faults().size();
    Optional<Aim> aim =
        parts.at(
            at + ".",
            () -> Aim.of(Parts.orNone(sessionFile.aim()), Parts.orNone(sessionFile.keepOut())));
    parts.at(at + ".", () -> file.knownSchool(sessionFile.school()));
    if (sessionFile.finishedAt() != null
        && sessionFile.finishedAt().isBefore(sessionFile.createdAt())) {
      parts.faults().add(new InvalidInput.Fault(at + ".finishedAt", "is before the session began"));
    }
    List<ArchivedSessions.ArchivedItem> items = new ArrayList<>();
    parts.each(at + ".items", sessionFile.items(), (file, first) -> items.add(item(file, first)));
    if (parts.faults().size() > before) {
      // a session at fault is never brought in; what else is wrong with the file is still looked
      // for
      SessionBrief nothing = new SessionBrief(Map.of(), List.of(), sessionFile.school(), false);
      return new ReadSession(
          sessionFile.gym(), nothing, sessionFile.createdAt(), Optional.empty(), items);
    }
    return new ReadSession(
        sessionFile.gym(),
        new SessionBrief(
            aim.orElseThrow().weightsById(),
            List.copyOf(Parts.orNone(sessionFile.keepOut())),
            sessionFile.school(),
            Boolean.TRUE.equals(sessionFile.stiffToday())),
        sessionFile.createdAt(),
        Optional.ofNullable(sessionFile.finishedAt()),
        items);
  }

  private ArchivedSessions.ArchivedItem item(ItemFile itemFile, String at) {
    new Needed().field("candidateId", itemFile.candidateId()).check();
    Map<String, Double> setup =
        Setup.of(file.known(itemFile.candidateId()).parameters(), Parts.orNone(itemFile.setup()))
            .values();
    Optional.ofNullable(itemFile.prescription())
        .ifPresent(
            document ->
                InvalidInput.gather(parts.faults(), at + ".prescription.", document::prescription));
    double share = itemFile.loadShare() == null ? 1 : itemFile.loadShare();
    Asked.LOAD_SHARE.check(parts.faults(), at + ".loadShare", share);
    List<ArchivedSessions.ArchivedSet> sets = new ArrayList<>();
    parts.each(at + ".sets", itemFile.sets(), (file, first) -> sets.add(set(file)));
    Optional<PrescriptionDocument> prescription = Optional.ofNullable(itemFile.prescription());
    return new ArchivedSessions.ArchivedItem(
        itemFile.candidateId(),
        setup,
        new Asked(
            List.copyOf(Parts.orNone(itemFile.prescribed())),
            prescription,
            Optional.ofNullable(itemFile.bout()),
            share),
        Boolean.TRUE.equals(itemFile.ended()),
        sets);
  }

  private ArchivedSessions.ArchivedSet set(SetFile file) {
    new Needed()
        .field("id", file.id())
        .field("loadKg", file.loadKg())
        .field("repetitions", file.repetitions())
        .field("reserve", file.reserve())
        .field("performedAt", file.performedAt())
        .check();
    moment("performedAt", file.performedAt());
    Optional<Pain> pain =
        Optional.ofNullable(file.pain())
            .map(
                painFile -> {
                  new Needed().field("pain.level", painFile.level()).check();
                  return new Pain(painFile.joint(), painFile.level());
                });
    SetRecord record =
        new SetRecord(
            new PerformedSet(file.loadKg(), file.repetitions(), file.reserve()),
            file.kind() == null ? SetRecord.Kind.WORK : file.kind(),
            Optional.ofNullable(file.number()),
            file.side() == null ? Side.NONE : file.side(),
            Optional.ofNullable(file.range()),
            Optional.ofNullable(file.tempoKept()),
            Region.all("felt", Parts.orNone(file.felt())),
            pain);
    return new ArchivedSessions.ArchivedSet(file.id(), record, file.performedAt());
  }

  private ReadWeek week(WeekFile weekFile, String at) {
    new Needed()
        .field("gym", weekFile.gym())
        .field("createdAt", weekFile.createdAt())
        .field("changedAt", weekFile.changedAt())
        .field("brief", weekFile.brief())
        .field("plan", weekFile.plan())
        .check();
    moment("createdAt", weekFile.createdAt());
    moment("changedAt", weekFile.changedAt());
    moment("removedAt", weekFile.removedAt());
    String school = weekFile.brief().school();
    if (school != null) {
      parts.at(at + ".brief.", () -> file.knownSchool(school));
    }
    Function<UUID, PlanStore.ArchivedPlan> kept =
        gym ->
            new PlanStore.ArchivedPlan(
                gym,
                weekFile.createdAt(),
                weekFile.changedAt(),
                Optional.ofNullable(weekFile.removedAt()),
                weekFile.brief(),
                weekFile.plan());
    PlanStore.ArchivedPlan checked = kept.apply(new UUID(0, 0)).checked();
    checked
        .document()
        .week()
        .items()
        .forEach(item -> parts.at(at + ".plan.", () -> file.known(item.candidateId())));
    return new ReadWeek(weekFile.gym(), kept);
  }

  private ReadMark mark(MarkFile markFile) {
    new Needed()
        .field("gym", markFile.gym())
        .field("candidateId", markFile.candidateId())
        .field("words", markFile.words())
        .field("changedAt", markFile.changedAt())
        .check();
    moment("changedAt", markFile.changedAt());
    file.known(markFile.candidateId());
    return new ReadMark(
        markFile.gym(),
        markFile.candidateId(),
        Marks.checked(markFile.words()),
        markFile.changedAt());
  }

  private ReadAnswer answer(AnswerFile file) {
    new Needed()
        .field("kind", file.kind())
        .field("subject", file.subject())
        .field("at", file.at())
        .check();
    moment("at", file.at());
    if ((file.act() == null) != (file.words() == null)) {
      throw new InvalidInput(
          "words", "and act belong together: both, or neither where the lesson was dismissed");
    }
    Optional<Taken> taken =
        Optional.ofNullable(file.act())
            .map(act -> new Taken(act, Objects.requireNonNull(file.words())));
    Answers.check(file.subject(), taken);
    return new ReadAnswer(file.kind(), file.subject(), taken, file.at());
  }
}
