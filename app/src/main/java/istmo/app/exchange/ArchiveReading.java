package istmo.app.exchange;

import istmo.app.catalogue.OwnExerciseDocument;
import istmo.app.clients.ClientRecord;
import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveDocument.ExerciseFile;
import istmo.app.exchange.ArchiveDocument.GymFile;
import istmo.app.exchange.ArchiveDocument.SchoolFile;
import istmo.app.exchange.ArchiveDocument.VariantFile;
import istmo.app.gyms.Gyms;
import istmo.app.plans.PlanStore;
import istmo.app.platform.Names;
import istmo.app.platform.Needed;
import istmo.app.record.Taken;
import istmo.app.schools.Schools;
import istmo.app.sessions.ArchivedSessions;
import istmo.app.sessions.SessionBrief;
import istmo.core.catalogue.AnyExercise;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Trainable;
import istmo.core.equipment.Equipment;
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
import java.util.EnumMap;
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
      String name, GymEquipment equipment, Map<Equipment, List<Pull>> pulls, boolean removed) {}

  record ReadVariant(
      CandidateId id, String exerciseId, String name, Map<String, Double> setup, boolean retired) {}

  record ReadExercise(ByWord exercise, OwnExerciseDocument said, boolean retired) {}

  record ReadSchool(String id, Schools.SchoolSettings wish, boolean retired) {}

  record ReadSession(
      String gym,
      SessionBrief brief,
      Instant createdAt,
      Optional<Instant> finishedAt,
      List<ArchivedSessions.ArchivedItem> items) {}

  record ReadWeek(String gym, Function<UUID, PlanStore.ArchivedPlan> at) {}

  record ReadMark(String gym, CandidateId candidateId, String words, Instant changedAt) {}

  record ReadAnswer(Lesson.Kind kind, String subject, Optional<Taken> taken, Instant at) {}

  /**
   * @param at where it stands in the document
   */
  record ReadClient(
      String at,
      ClientRecord whole,
      List<ReadSession> sessions,
      List<ReadWeek> weeks,
      List<ReadMark> marks,
      List<ReadAnswer> answers) {
    Set<String> gyms() {
      Set<String> named = new HashSet<>();
      sessions.forEach(session -> named.add(session.gym()));
      weeks.forEach(week -> named.add(week.gym()));
      marks.forEach(mark -> named.add(mark.gym()));
      return named;
    }
  }

  private final Parts parts = new Parts();
  final Map<String, ReadGym> gyms = new LinkedHashMap<>();
  final Map<CandidateId, ReadVariant> variants = new LinkedHashMap<>();
  final Map<CandidateId, ReadExercise> exercises = new LinkedHashMap<>();
  final Map<String, ReadSchool> schools = new LinkedHashMap<>();
  final List<ReadClient> read = new ArrayList<>();

  private ArchiveReading() {}

  static ArchiveReading of(ArchiveDocument document, Clients clients, Instant now) {
    ArchiveReading reading = new ArchiveReading();
    ClientReading client =
        new ClientReading(reading, reading.parts, clients, now.plus(1, ChronoUnit.DAYS));
    reading.parts.each("gyms", document.gyms(), (file, at) -> reading.gym(file));
    reading.parts.each("variants", document.variants(), (file, at) -> reading.variant(file));
    reading.parts.each("exercises", document.exercises(), (file, at) -> reading.exercise(file));
    reading.parts.each("schools", document.schools(), (file, at) -> reading.school(file));
    reading.parts.each(
        "clients",
        document.clients(),
        (file, at) -> client.read(file, at).ifPresent(reading.read::add));
    return reading;
  }

  List<InvalidInput.Fault> faults() {
    return parts.faults();
  }

  private void gym(GymFile file) {
    new Needed().field("name", file.name()).field("equipment", file.equipment()).check();
    Map<Double, Integer> pairs = new HashMap<>();
    Parts.orNone(file.plates())
        .forEach(platesFile -> pairs.put(platesFile.kg(), platesFile.pairs()));
    GymEquipment equipment =
        GymEquipment.of(file.equipment(), Parts.orNone(file.measured()), new Plates(pairs));
    Map<Equipment, List<Pull>> pulls = new EnumMap<>(Equipment.class);
    Parts.orNone(file.pulls()).forEach((id, all) -> pulls.put(Equipment.of(id), all));
    Gyms.checkPulls(equipment, pulls);
    once(
        gyms,
        Names.checked(file.name()),
        "name",
        new ReadGym(file.name().strip(), equipment, pulls, Boolean.TRUE.equals(file.removed())));
  }

  private void variant(VariantFile file) {
    new Needed()
        .field("id", file.id())
        .field("name", file.name())
        .field("setup", file.setup())
        .check();
    if (file.id().ownKey().isEmpty()) {
      throw new InvalidInput("id", "is not an own variant's: exercise/own-…");
    }
    Exercise exercise = Catalogue.standard().exercise(file.id().exerciseId());
    once(
        variants,
        file.id(),
        "id",
        new ReadVariant(
            file.id(),
            exercise.id(),
            Names.checked(file.name()),
            Setup.of(exercise.family().parameters(), file.setup()).values(),
            Boolean.TRUE.equals(file.retired())));
  }

  private void exercise(ExerciseFile file) {
    new Needed()
        .field("id", file.id())
        .field("name", file.name())
        .field("said", file.said())
        .check();
    String key =
        ByWord.ownKey(file.id())
            .filter(text -> file.id().equals(ByWord.ownId(text)))
            .orElseThrow(() -> new InvalidInput("id", "is not an own exercise's: own-…"));
    ByWord exercise = file.said().exercise(key, Names.checked(file.name()));
    once(
        exercises,
        exercise.candidateId(),
        "id",
        new ReadExercise(exercise, file.said(), Boolean.TRUE.equals(file.retired())));
  }

  private void school(SchoolFile file) {
    double practice = Objects.requireNonNullElse(file.practiceTrust(), School.USUAL_PRACTICE_TRUST);
    new Needed()
        .field("id", file.id())
        .field("label", file.label())
        .field("reason", file.reason())
        .field("lengthBias", file.lengthBias())
        .field("passiveWeight", file.passiveWeight())
        .field("activityTrust", file.activityTrust())
        .field("basics", file.basics())
        .check();
    Schools.SchoolSettings settings =
        new Schools.SchoolSettings(
            file.label(),
            file.reason(),
            file.lengthBias(),
            file.passiveWeight(),
            file.activityTrust(),
            practice,
            file.basics());
    settings.own(file.id(), file.label());
    once(
        schools,
        file.id(),
        "id",
        new ReadSchool(file.id(), settings, Boolean.TRUE.equals(file.retired())));
  }

  private static <K, T> void once(Map<K, T> into, K key, String field, T value) {
    if (into.putIfAbsent(key, value) != null) {
      throw new InvalidInput(field, "\"" + key + "\" is there twice");
    }
  }

  /**
   * The exercise of a candidate of the catalogue, or of an own variant or an own exercise that the
   * document brings along.
   */
  AnyExercise known(CandidateId candidateId) {
    if (ByWord.ownKey(candidateId).isPresent()) {
      return Optional.ofNullable(exercises.get(candidateId))
          .map(ReadExercise::exercise)
          .orElseThrow(() -> notBrought(candidateId, "exercise", "exercises"));
    }
    if (candidateId.ownKey().isPresent()) {
      return Optional.ofNullable(variants.get(candidateId))
          .map(variant -> Catalogue.standard().exercise(variant.exerciseId()))
          .orElseThrow(() -> notBrought(candidateId, "variant", "variants"));
    }
    return Catalogue.standard()
        .trainable(candidateId)
        .map(Trainable::exercise)
        .orElseThrow(
            () ->
                new InvalidInput("candidateId", "\"" + candidateId + "\" is not in the catalogue"));
  }

  private static InvalidInput notBrought(CandidateId candidateId, String what, String part) {
    return new InvalidInput(
        "candidateId",
        "\"" + candidateId + "\" is an own " + what + " that is not among this file's " + part);
  }

  String knownSchool(String id) {
    return schools.containsKey(id) ? id : School.get(id).id();
  }
}
