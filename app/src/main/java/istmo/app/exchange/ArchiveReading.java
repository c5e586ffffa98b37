package istmo.app.exchange;

import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.AnswerFile;
import istmo.app.exchange.ArchiveDocument.CautionFile;
import istmo.app.exchange.ArchiveDocument.ClientFile;
import istmo.app.exchange.ArchiveDocument.GymFile;
import istmo.app.exchange.ArchiveDocument.ItemFile;
import istmo.app.exchange.ArchiveDocument.LiftFile;
import istmo.app.exchange.ArchiveDocument.MarkFile;
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
import istmo.app.gyms.Gyms;
import istmo.app.plans.PlanStore;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.record.Answers;
import istmo.app.schools.Schools;
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
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Lesson;
import istmo.core.record.Pain;
import istmo.core.record.SetRecord;
import istmo.core.stimulus.School;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A document read into what the features take, with every fault by its place
 * ("clients[0].sessions[3].items[1].sets[0].loadKg"). Nothing is kept here: {@link ArchiveImport}
 * does that.
 */
final class ArchiveReading {
  /** Gyms are told by their name in the file, until it is known which ones they are here. */
  record ReadGym(String name, GymEquipment equipment, Map<String, List<Pull>> pulls) {}

  record ReadVariant(
      String id, String exerciseId, String name, Map<String, Double> setup, boolean retired) {}

  record ReadSchool(String id, Schools.SchoolSettings wish, boolean retired) {}

  record ReadSession(
      String gym,
      SessionBrief brief,
      Instant createdAt,
      Optional<Instant> finishedAt,
      List<SessionImport.ArchivedItem> items) {}

  record ReadWeek(String gym, Function<UUID, PlanStore.ArchivedPlan> at) {}

  record ReadMark(String gym, String candidateId, String words, Instant changedAt) {}

  record ReadAnswer(
      Lesson.Kind kind, String subject, Optional<Lesson.Proposal> taken, Instant at) {}

  /**
   * @param at where it stands in the document
   */
  record ReadClient(
      String at,
      Clients.ClientRecord whole,
      List<ReadSession> sessions,
      List<ReadWeek> weeks,
      List<ReadMark> marks,
      List<ReadAnswer> answers) {
    Set<String> gyms() {
      Set<String> named = new HashSet<>();
      sessions.forEach(s -> named.add(s.gym()));
      weeks.forEach(w -> named.add(w.gym()));
      marks.forEach(m -> named.add(m.gym()));
      return named;
    }
  }

  /** Nothing that is kept here is older: what is, is a slip. */
  private static final Instant OLDEST = Instant.parse("1950-01-01T00:00:00Z");

  private final Clients clients;
  private final Instant latest;
  private final List<InvalidInput.Fault> faults = new ArrayList<>();
  final Map<String, ReadGym> gyms = new LinkedHashMap<>();
  final Map<String, ReadVariant> variants = new LinkedHashMap<>();
  final Map<String, ReadSchool> schools = new LinkedHashMap<>();
  final List<ReadClient> read = new ArrayList<>();

  private ArchiveReading(Clients clients, Instant latest) {
    this.clients = clients;
    this.latest = latest;
  }

  static ArchiveReading of(ArchiveDocument document, Clients clients, Instant now) {
    ArchiveReading r = new ArchiveReading(clients, now.plus(1, ChronoUnit.DAYS));
    r.each("gyms", document.gyms(), (g, at) -> r.gym(g));
    r.each("variants", document.variants(), (v, at) -> r.variant(v));
    r.each("schools", document.schools(), (s, at) -> r.school(s));
    r.each("clients", document.clients(), r::client);
    return r;
  }

  List<InvalidInput.Fault> faults() {
    return faults;
  }

  private interface Part<T> {
    void read(T part, String at);
  }

  /**
   * Reads each part of a list; what is wrong with one does not hide what is wrong with the next.
   */
  private <T> void each(String name, @Nullable List<T> parts, Part<T> reader) {
    for (int k = 0; parts != null && k < parts.size(); k++) {
      String at = name + "[" + k + "]";
      T part = parts.get(k);
      if (part == null) {
        faults.add(new InvalidInput.Fault(at, "is empty"));
      } else {
        InvalidInput.gather(faults, at + ".", () -> reader.read(part, at));
      }
    }
  }

  /** The value, or nothing where it has faults: these are added under the part's name. */
  private <T> Optional<T> at(String part, Supplier<T> value) {
    List<T> made = new ArrayList<>();
    InvalidInput.gather(faults, part, () -> made.add(value.get()));
    return made.stream().findFirst();
  }

  private void gym(GymFile g) {
    new Needed().field("name", g.name()).field("equipment", g.equipment()).check();
    Map<Double, Integer> pairs = new HashMap<>();
    orNone(g.plates()).forEach(p -> pairs.put(p.kg(), p.pairs()));
    GymEquipment equipment =
        new GymEquipment(g.equipment(), orNone(g.measured()), new Plates(pairs));
    Gyms.checkPulls(equipment, orNone(g.pulls()));
    once(
        gyms,
        Names.checked(g.name()),
        "name",
        new ReadGym(g.name().strip(), equipment, orNone(g.pulls())));
  }

  private void variant(VariantFile v) {
    new Needed().field("id", v.id()).field("name", v.name()).field("setup", v.setup()).check();
    if (Candidate.ownKey(v.id()).isEmpty()) {
      throw new InvalidInput("id", "is not an own variant's: exercise/own-…");
    }
    Exercise exercise = Catalogue.standard().exercise(exercise(v.id()));
    once(
        variants,
        v.id(),
        "id",
        new ReadVariant(
            v.id(),
            exercise.id(),
            Names.checked(v.name()),
            Setup.of(exercise.family().parameters(), v.setup()).values(),
            Boolean.TRUE.equals(v.retired())));
  }

  private void school(SchoolFile s) {
    double practice = Objects.requireNonNullElse(s.practiceTrust(), School.USUAL_PRACTICE_TRUST);
    new Needed()
        .field("id", s.id())
        .field("label", s.label())
        .field("reason", s.reason())
        .field("lengthBias", s.lengthBias())
        .field("passiveWeight", s.passiveWeight())
        .field("activityTrust", s.activityTrust())
        .field("basics", s.basics())
        .check();
    Schools.SchoolSettings settings =
        new Schools.SchoolSettings(
            s.label(),
            s.reason(),
            s.lengthBias(),
            s.passiveWeight(),
            s.activityTrust(),
            practice,
            s.basics());
    settings.own(s.id(), s.label());
    once(schools, s.id(), "id", new ReadSchool(s.id(), settings, Boolean.TRUE.equals(s.retired())));
  }

  private static <T> void once(Map<String, T> into, String key, String field, T value) {
    if (into.putIfAbsent(key, value) != null) {
      throw new InvalidInput(field, "\"" + key + "\" is there twice");
    }
  }

  private void client(ClientFile c, String at) {
    new Needed()
        .field("name", c.name())
        .field("statureM", c.statureM())
        .field("massKg", c.massKg())
        .field("sex", c.sex())
        .field("thigh", c.thigh())
        .field("ankle", c.ankle())
        .check();
    String in = at + ".";
    Optional<String> name = at(in, () -> Names.checked(c.name()));
    Optional<Intake> intake =
        at(in, () -> new Intake(c.statureM(), c.massKg(), c.sex(), c.thigh(), c.ankle()));
    Optional<Profile> profile = at(in + "profile.", () -> profile(c.profile()));
    Optional<Cautions> cautions =
        at(
            in,
            () ->
                new Cautions(
                    orNone(c.pain()).stream().map(ArchiveReading::sore).toList(),
                    orNone(c.cautions()).stream().map(ArchiveReading::caution).toList(),
                    orNone(c.restrictions()).stream().map(ArchiveReading::restriction).toList()));
    int before = faults.size();
    List<Measurement> readings = new ArrayList<>();
    each(in + "measurements", c.measurements(), (m, a) -> readings.add(reading(m)));
    List<KnownLift> lifts = new ArrayList<>();
    each(in + "lifts", c.lifts(), (l, a) -> lifts.add(lift(l)));
    boolean allRead = faults.size() == before;
    List<ReadSession> sessions = new ArrayList<>();
    each(in + "sessions", c.sessions(), (s, a) -> sessions.add(session(s, a)));
    List<ReadWeek> weeks = new ArrayList<>();
    each(in + "weeks", c.weeks(), (w, a) -> weeks.add(week(w, a)));
    List<ReadMark> marks = new ArrayList<>();
    each(in + "marks", c.marks(), (m, a) -> marks.add(mark(m)));
    List<ReadAnswer> answers = new ArrayList<>();
    each(in + "answers", c.answers(), (x, a) -> answers.add(answer(x)));
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
      InvalidInput.gather(faults, in, () -> clients.check(whole));
      read.add(new ReadClient(in, whole, sessions, weeks, marks, answers));
    }
  }

  private static Profile profile(ProfileFile p) {
    return p == null
        ? Profile.unknown()
        : new Profile(
            Optional.ofNullable(p.trainingAge()),
            Optional.ofNullable(p.daysAWeek()),
            Optional.ofNullable(p.minutes()),
            orNone(p.habits()),
            Optional.ofNullable(p.strongerSide()),
            p.notes() == null ? "" : p.notes(),
            orNone(p.likes()),
            orNone(p.dislikes()));
  }

  private static Soreness sore(SorenessFile s) {
    new Needed().field("pain.joint", s.joint()).field("pain.approach", s.approach()).check();
    return new Soreness(s.joint(), orNone(s.movements()), s.approach());
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
    int before = faults.size();
    Set<String> keepOut = new HashSet<>(orNone(s.keepOut()));
    Optional<Aim> aim = at(at + ".", () -> new Aim(orNone(s.aim()), keepOut));
    at(at + ".", () -> knownSchool(s.school()));
    if (s.finishedAt() != null && s.finishedAt().isBefore(s.createdAt())) {
      faults.add(new InvalidInput.Fault(at + ".finishedAt", "is before the session began"));
    }
    List<SessionImport.ArchivedItem> items = new ArrayList<>();
    each(at + ".items", s.items(), (i, a) -> items.add(item(i, a)));
    if (faults.size() > before) {
      // a session at fault is never brought in; what else is wrong with the file is still looked
      // for
      SessionBrief nothing = new SessionBrief(Map.of(), List.of(), s.school(), false);
      return new ReadSession(s.gym(), nothing, s.createdAt(), Optional.empty(), items);
    }
    return new ReadSession(
        s.gym(),
        new SessionBrief(
            aim.orElseThrow().weights(),
            List.copyOf(orNone(s.keepOut())),
            s.school(),
            Boolean.TRUE.equals(s.stiffToday())),
        s.createdAt(),
        Optional.ofNullable(s.finishedAt()),
        items);
  }

  private SessionImport.ArchivedItem item(ItemFile i, String at) {
    new Needed().field("candidateId", i.candidateId()).check();
    Exercise exercise = known(i.candidateId());
    Map<String, Double> setup =
        Setup.of(exercise.family().parameters(), orNone(i.setup())).values();
    Optional.ofNullable(i.prescription())
        .ifPresent(p -> InvalidInput.gather(faults, at + ".prescription.", p::prescription));
    double share = i.loadShare() == null ? 1 : i.loadShare();
    Asked.LOAD_SHARE.check(faults, at + ".loadShare", share);
    List<SessionImport.ArchivedSet> sets = new ArrayList<>();
    each(at + ".sets", i.sets(), (s, a) -> sets.add(set(s)));
    Optional<PrescriptionDocument> prescription = Optional.ofNullable(i.prescription());
    return new SessionImport.ArchivedItem(
        i.candidateId(),
        setup,
        new Asked(
            List.copyOf(orNone(i.prescribed())),
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
            orNone(s.felt()),
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
      at(at + ".brief.", () -> knownSchool(school));
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
    checked.document().week().items().forEach(i -> at(at + ".plan.", () -> known(i.candidateId())));
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
    known(m.candidateId());
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

  /**
   * The exercise of a candidate of the catalogue, or of an own variant that the document brings
   * along.
   */
  private Exercise known(String candidateId) {
    if (Candidate.ownKey(candidateId).isEmpty()) {
      return Catalogue.standard().candidates().stream()
          .filter(c -> c.id().equals(candidateId))
          .findFirst()
          .map(Catalogue.standard()::exerciseOf)
          .orElseThrow(
              () ->
                  new InvalidInput(
                      "candidateId", "\"" + candidateId + "\" is not in the catalogue"));
    }
    if (!variants.containsKey(candidateId)) {
      throw new InvalidInput(
          "candidateId",
          "\"" + candidateId + "\" is an own variant that is not among this file's variants");
    }
    return Catalogue.standard().exercise(variants.get(candidateId).exerciseId());
  }

  private String knownSchool(String id) {
    return schools.containsKey(id) ? id : School.get(id).id();
  }

  private static String exercise(String candidateId) {
    return candidateId.substring(0, Math.max(0, candidateId.indexOf('/')));
  }

  private static <T> List<T> orNone(@Nullable List<T> list) {
    return list == null ? List.of() : list;
  }

  private static <T> Set<T> orNone(@Nullable Set<T> set) {
    return set == null ? Set.of() : set;
  }

  private static <K, V> Map<K, V> orNone(@Nullable Map<K, V> map) {
    return map == null ? Map.of() : map;
  }
}
