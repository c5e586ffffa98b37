package istmo.app.exchange;

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
import istmo.app.exchange.ArchiveDocument.SorenessFile;
import istmo.app.exchange.ArchiveDocument.WeekFile;
import istmo.app.exchange.ArchiveReading.ReadAnswer;
import istmo.app.exchange.ArchiveReading.ReadClient;
import istmo.app.exchange.ArchiveReading.ReadMark;
import istmo.app.exchange.ArchiveReading.ReadSession;
import istmo.app.exchange.ArchiveReading.ReadWeek;
import istmo.app.floor.Floor;
import istmo.app.plans.PlanStore;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.record.Answers;
import istmo.app.sessions.Asked;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.SessionBrief;
import istmo.app.sessions.SessionImport;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.Measurement.Side;
import istmo.core.body.Profile;
import istmo.core.body.Restriction;
import istmo.core.body.Soreness;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Lesson;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
  Optional<ReadClient> read(ClientFile c, String at) {
    new Needed()
        .field("name", c.name())
        .field("statureM", c.statureM())
        .field("massKg", c.massKg())
        .field("sex", c.sex())
        .field("thigh", c.thigh())
        .field("ankle", c.ankle())
        .check();
    String in = at + ".";
    Optional<String> name = parts.at(in, () -> Names.checked(c.name()));
    Optional<Intake> intake =
        parts.at(in, () -> new Intake(c.statureM(), c.massKg(), c.sex(), c.thigh(), c.ankle()));
    Optional<Profile> profile = parts.at(in + "profile.", () -> profile(c.profile()));
    Optional<Cautions> cautions =
        parts.at(
            in,
            () ->
                new Cautions(
                    Parts.orNone(c.pain()).stream().map(ClientReading::sore).toList(),
                    Parts.orNone(c.cautions()).stream().map(ClientReading::caution).toList(),
                    Parts.orNone(c.restrictions()).stream()
                        .map(ClientReading::restriction)
                        .toList()));
    int before = parts.faults().size();
    List<Measurement> readings = new ArrayList<>();
    parts.each(in + "measurements", c.measurements(), (m, a) -> readings.add(reading(m)));
    List<KnownLift> lifts = new ArrayList<>();
    parts.each(in + "lifts", c.lifts(), (l, a) -> lifts.add(lift(l)));
    boolean allRead = parts.faults().size() == before;
    List<ReadSession> sessions = new ArrayList<>();
    parts.each(in + "sessions", c.sessions(), (s, a) -> sessions.add(session(s, a)));
    List<ReadWeek> weeks = new ArrayList<>();
    parts.each(in + "weeks", c.weeks(), (w, a) -> weeks.add(week(w, a)));
    List<ReadMark> marks = new ArrayList<>();
    parts.each(in + "marks", c.marks(), (m, a) -> marks.add(mark(m)));
    List<ReadAnswer> answers = new ArrayList<>();
    parts.each(in + "answers", c.answers(), (x, a) -> answers.add(answer(x)));
    if (allRead
        && name.isPresent()
        && intake.isPresent()
        && profile.isPresent()
        && cautions.isPresent()) {
      Clients.ClientRecord whole =
          new Clients.ClientRecord(
              name.get(),
              intake.get(),
              profile.get(),
              cautions.get(),
              !Boolean.FALSE.equals(c.learns()),
              readings,
              lifts);
      InvalidInput.gather(parts.faults(), in, () -> clients.check(whole));
      return Optional.of(new ReadClient(in, whole, sessions, weeks, marks, answers));
    }
    return Optional.empty();
  }

  private static Profile profile(ProfileFile p) {
    return p == null
        ? Profile.unknown()
        : new Profile(
            Optional.ofNullable(p.trainingAge()),
            Optional.ofNullable(p.daysAWeek()),
            Optional.ofNullable(p.minutes()),
            Parts.orNone(p.habits()),
            Optional.ofNullable(p.strongerSide()),
            p.notes() == null ? "" : p.notes(),
            Parts.orNone(p.likes()),
            Parts.orNone(p.dislikes()));
  }

  private static Soreness sore(SorenessFile s) {
    new Needed().field("pain.joint", s.joint()).field("pain.approach", s.approach()).check();
    return new Soreness(s.joint(), Parts.orNone(s.movements()), s.approach());
  }

  private static Cautions.Entry caution(CautionFile c) {
    new Needed().field("cautions.caution", c.caution()).check();
    return new Cautions.Entry(
        c.caution(),
        c.clearedBy() == null && c.clearedOn() == null
            ? Optional.empty()
            : Optional.of(new Cautions.Clearance(c.clearedBy(), c.clearedOn())));
  }

  private static Restriction restriction(RestrictionFile r) {
    return new Restriction(
        r.by(),
        r.on(),
        r.text(),
        Optional.ofNullable(r.kneeMaxDeg()),
        Optional.ofNullable(r.hipMaxDeg()),
        Boolean.TRUE.equals(r.noLoadedBack()));
  }

  private static Measurement reading(ReadingFile m) {
    new Needed().field("kind", m.kind()).field("value", m.value()).field("on", m.on()).check();
    return new Measurement(m.kind(), m.side() == null ? Side.NONE : m.side(), m.value(), m.on());
  }

  private static KnownLift lift(LiftFile l) {
    new Needed()
        .field("candidateId", l.candidateId())
        .field("loadKg", l.loadKg())
        .field("repetitions", l.repetitions())
        .field("reserve", l.reserve())
        .check();
    return new KnownLift(
        l.candidateId(), new PerformedSet(l.loadKg(), l.repetitions(), l.reserve()), l.on());
  }

  /** Throws for a moment to come, or one that is too long ago. */
  private void moment(String field, @Nullable Instant at) {
    if (at != null && (at.isBefore(OLDEST) || at.isAfter(latest))) {
      throw new InvalidInput(field, "is not within 1950 and today");
    }
  }

  private ReadSession session(SessionFile s, String at) {
    new Needed()
        .field("gym", s.gym())
        .field("school", s.school())
        .field("createdAt", s.createdAt())
        .check();
    moment("createdAt", s.createdAt());
    moment("finishedAt", s.finishedAt());
    int before = parts.faults().size();
    Set<String> keepOut = new HashSet<>(Parts.orNone(s.keepOut()));
    Optional<Aim> aim = parts.at(at + ".", () -> new Aim(Parts.orNone(s.aim()), keepOut));
    parts.at(at + ".", () -> file.knownSchool(s.school()));
    if (s.finishedAt() != null && s.finishedAt().isBefore(s.createdAt())) {
      parts.faults().add(new InvalidInput.Fault(at + ".finishedAt", "is before the session began"));
    }
    List<SessionImport.ArchivedItem> items = new ArrayList<>();
    parts.each(at + ".items", s.items(), (i, a) -> items.add(item(i, a)));
    if (parts.faults().size() > before) {
      // a session at fault is never brought in; what else is wrong with the file is still looked
      // for
      SessionBrief nothing = new SessionBrief(Map.of(), List.of(), s.school(), false);
      return new ReadSession(s.gym(), nothing, s.createdAt(), Optional.empty(), items);
    }
    return new ReadSession(
        s.gym(),
        new SessionBrief(
            aim.orElseThrow().weights(),
            List.copyOf(Parts.orNone(s.keepOut())),
            s.school(),
            Boolean.TRUE.equals(s.stiffToday())),
        s.createdAt(),
        Optional.ofNullable(s.finishedAt()),
        items);
  }

  private SessionImport.ArchivedItem item(ItemFile i, String at) {
    new Needed().field("candidateId", i.candidateId()).check();
    Map<String, Double> setup =
        Setup.of(file.known(i.candidateId()).parameters(), Parts.orNone(i.setup())).values();
    Optional.ofNullable(i.prescription())
        .ifPresent(
            p -> InvalidInput.gather(parts.faults(), at + ".prescription.", p::prescription));
    double share = i.loadShare() == null ? 1 : i.loadShare();
    Asked.LOAD_SHARE.check(parts.faults(), at + ".loadShare", share);
    List<SessionImport.ArchivedSet> sets = new ArrayList<>();
    parts.each(at + ".sets", i.sets(), (s, a) -> sets.add(set(s)));
    Optional<PrescriptionDocument> prescription = Optional.ofNullable(i.prescription());
    return new SessionImport.ArchivedItem(
        i.candidateId(),
        setup,
        new Asked(
            List.copyOf(Parts.orNone(i.prescribed())),
            prescription,
            Optional.ofNullable(i.bout()),
            share),
        Boolean.TRUE.equals(i.ended()),
        sets);
  }

  private SessionImport.ArchivedSet set(SetFile s) {
    new Needed()
        .field("id", s.id())
        .field("loadKg", s.loadKg())
        .field("repetitions", s.repetitions())
        .field("reserve", s.reserve())
        .field("performedAt", s.performedAt())
        .check();
    moment("performedAt", s.performedAt());
    Optional<Pain> pain =
        Optional.ofNullable(s.pain())
            .map(
                p -> {
                  new Needed().field("pain.level", p.level()).check();
                  return new Pain(p.joint(), p.level());
                });
    SetRecord record =
        new SetRecord(
            new PerformedSet(s.loadKg(), s.repetitions(), s.reserve()),
            s.kind() == null ? SetRecord.Kind.WORK : s.kind(),
            Optional.ofNullable(s.number()),
            s.side() == null ? Side.NONE : s.side(),
            Optional.ofNullable(s.range()),
            Optional.ofNullable(s.tempoKept()),
            Parts.orNone(s.felt()),
            pain);
    return new SessionImport.ArchivedSet(s.id(), record, s.performedAt());
  }

  private ReadWeek week(WeekFile w, String at) {
    new Needed()
        .field("gym", w.gym())
        .field("createdAt", w.createdAt())
        .field("changedAt", w.changedAt())
        .field("brief", w.brief())
        .field("plan", w.plan())
        .check();
    moment("createdAt", w.createdAt());
    moment("changedAt", w.changedAt());
    moment("removedAt", w.removedAt());
    String school = w.brief().school();
    if (school != null) {
      parts.at(at + ".brief.", () -> file.knownSchool(school));
    }
    Function<UUID, PlanStore.ArchivedPlan> kept =
        gym ->
            new PlanStore.ArchivedPlan(
                gym,
                w.createdAt(),
                w.changedAt(),
                Optional.ofNullable(w.removedAt()),
                w.brief(),
                w.plan());
    PlanStore.ArchivedPlan checked = kept.apply(new UUID(0, 0)).checked();
    checked
        .document()
        .week()
        .items()
        .forEach(i -> parts.at(at + ".plan.", () -> file.known(i.candidateId())));
    return new ReadWeek(w.gym(), kept);
  }

  private ReadMark mark(MarkFile m) {
    new Needed()
        .field("gym", m.gym())
        .field("candidateId", m.candidateId())
        .field("words", m.words())
        .field("changedAt", m.changedAt())
        .check();
    moment("changedAt", m.changedAt());
    file.known(m.candidateId());
    return new ReadMark(m.gym(), m.candidateId(), Floor.checkedMark(m.words()), m.changedAt());
  }

  private ReadAnswer answer(AnswerFile a) {
    new Needed().field("kind", a.kind()).field("subject", a.subject()).field("at", a.at()).check();
    moment("at", a.at());
    if ((a.act() == null) != (a.words() == null)) {
      throw new InvalidInput(
          "words", "and act belong together: both, or neither where the lesson was dismissed");
    }
    Optional<Lesson.Proposal> taken =
        Optional.ofNullable(a.act())
            .map(act -> new Lesson.Proposal(act, Objects.requireNonNull(a.words())));
    Answers.check(a.subject(), taken);
    return new ReadAnswer(a.kind(), a.subject(), taken, a.at());
  }
}
