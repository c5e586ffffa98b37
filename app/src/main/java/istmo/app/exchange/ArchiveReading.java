package istmo.app.exchange;

import istmo.app.catalogue.OwnExerciseDocument;
import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.ExerciseFile;
import istmo.app.exchange.ArchiveDocument.GymFile;
import istmo.app.exchange.ArchiveDocument.SchoolFile;
import istmo.app.exchange.ArchiveDocument.VariantFile;
import istmo.app.gyms.Gyms;
import istmo.app.plans.PlanStore;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.schools.Schools;
import istmo.app.sessions.SessionBrief;
import istmo.app.sessions.SessionImport;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Trainable;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.Lesson;
import istmo.core.stimulus.School;
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

/**
 * A document read into what the features take, with every fault by its place
 * ("clients[0].sessions[3].items[1].sets[0].loadKg"). Nothing is kept here: {@link ArchiveImport}
 * does that.
 */
final class ArchiveReading {
  /** Gyms are told by their name in the file, until it is known which ones they are here. */
  record ReadGym(
      String name, GymEquipment equipment, Map<String, List<Pull>> pulls, boolean removed) {}

  record ReadVariant(
      String id, String exerciseId, String name, Map<String, Double> setup, boolean retired) {}

  record ReadExercise(ByWord exercise, OwnExerciseDocument said, boolean retired) {}

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

  private final Parts parts = new Parts();
  final Map<String, ReadGym> gyms = new LinkedHashMap<>();
  final Map<String, ReadVariant> variants = new LinkedHashMap<>();
  final Map<String, ReadExercise> exercises = new LinkedHashMap<>();
  final Map<String, ReadSchool> schools = new LinkedHashMap<>();
  final List<ReadClient> read = new ArrayList<>();

  private ArchiveReading() {}

  static ArchiveReading of(ArchiveDocument document, Clients clients, Instant now) {
    ArchiveReading r = new ArchiveReading();
    ClientReading client = new ClientReading(r, r.parts, clients, now.plus(1, ChronoUnit.DAYS));
    r.parts.each("gyms", document.gyms(), (g, at) -> r.gym(g));
    r.parts.each("variants", document.variants(), (v, at) -> r.variant(v));
    r.parts.each("exercises", document.exercises(), (x, at) -> r.exercise(x));
    r.parts.each("schools", document.schools(), (s, at) -> r.school(s));
    r.parts.each(
        "clients", document.clients(), (c, at) -> client.read(c, at).ifPresent(r.read::add));
    return r;
  }

  List<InvalidInput.Fault> faults() {
    return parts.faults();
  }

  private void gym(GymFile g) {
    new Needed().field("name", g.name()).field("equipment", g.equipment()).check();
    Map<Double, Integer> pairs = new HashMap<>();
    Parts.orNone(g.plates()).forEach(p -> pairs.put(p.kg(), p.pairs()));
    GymEquipment equipment =
        new GymEquipment(g.equipment(), Parts.orNone(g.measured()), new Plates(pairs));
    Gyms.checkPulls(equipment, Parts.orNone(g.pulls()));
    once(
        gyms,
        Names.checked(g.name()),
        "name",
        new ReadGym(
            g.name().strip(),
            equipment,
            Parts.orNone(g.pulls()),
            Boolean.TRUE.equals(g.removed())));
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

  private void exercise(ExerciseFile x) {
    new Needed().field("id", x.id()).field("name", x.name()).field("said", x.said()).check();
    String key =
        ByWord.ownKey(x.id())
            .filter(k -> x.id().equals(ByWord.ownId(k)))
            .orElseThrow(() -> new InvalidInput("id", "is not an own exercise's: own-…"));
    ByWord exercise = x.said().exercise(key, Names.checked(x.name()));
    once(
        exercises,
        exercise.candidateId(),
        "id",
        new ReadExercise(exercise, x.said(), Boolean.TRUE.equals(x.retired())));
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

  /**
   * The exercise of a candidate of the catalogue, or of an own variant or an own exercise that the
   * document brings along.
   */
  AnyExercise known(String candidateId) {
    if (ByWord.ownKey(candidateId).isPresent()) {
      return Optional.ofNullable(exercises.get(candidateId))
          .map(ReadExercise::exercise)
          .orElseThrow(() -> notBrought(candidateId, "exercise", "exercises"));
    }
    if (Candidate.ownKey(candidateId).isPresent()) {
      return Optional.ofNullable(variants.get(candidateId))
          .map(v -> Catalogue.standard().exercise(v.exerciseId()))
          .orElseThrow(() -> notBrought(candidateId, "variant", "variants"));
    }
    return Catalogue.standard()
        .trainable(candidateId)
        .map(Trainable::exercise)
        .orElseThrow(
            () ->
                new InvalidInput("candidateId", "\"" + candidateId + "\" is not in the catalogue"));
  }

  private static InvalidInput notBrought(String candidateId, String what, String part) {
    return new InvalidInput(
        "candidateId",
        "\"" + candidateId + "\" is an own " + what + " that is not among this file's " + part);
  }

  String knownSchool(String id) {
    return schools.containsKey(id) ? id : School.get(id).id();
  }

  private static String exercise(String candidateId) {
    return candidateId.substring(0, Math.max(0, candidateId.indexOf('/')));
  }
}
