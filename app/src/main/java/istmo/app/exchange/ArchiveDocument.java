package istmo.app.exchange;

import istmo.app.catalogue.OwnExerciseDocument;
import istmo.app.clients.SightingDocument;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.platform.MayBeMissing;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.body.Caution;
import istmo.core.body.Habit;
import istmo.core.body.Intake;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.measuring.Pull;
import istmo.core.picture.Sighting;
import istmo.core.record.Lesson;
import istmo.core.record.SetRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Everything of one client, or of a whole account, as it goes out and comes in again
 * (docs/formats.md). Lengths in m, masses in kg, angles in deg, days and moments in ISO 8601.
 *
 * @param gyms that the clients' sessions, weeks and marks are of; all of them in an account's file
 * @param variants own variants that are named in it; all of them in an account's file
 * @param exercises own exercises, likewise; files of before they came lack them
 * @param schools likewise
 */
public record ArchiveDocument(
    String format,
    Integer version,
    Instant exportedAt,
    List<GymFile> gyms,
    List<VariantFile> variants,
    @MayBeMissing @Nullable List<ExerciseFile> exercises,
    List<SchoolFile> schools,
    List<ClientFile> clients) {
  public static final String FORMAT = "istmo-archive";
  public static final int VERSION = 1;

  /** How many pairs of plates of one mass. */
  public record PlatesFile(Double kg, Integer pairs) {}

  /**
   * A gym.
   *
   * @param measured item id to detail id to value; {@code pulls} item id to pulls with a hanging
   *     scale
   */
  public record GymFile(
      String name,
      Set<String> equipment,
      Map<String, Map<String, Double>> measured,
      List<PlatesFile> plates,
      Map<String, List<Pull>> pulls,
      @MayBeMissing @Nullable Boolean removed) {}

  /**
   * A variant of the coach's own.
   *
   * @param id as candidates name it: "exercise/own-…"
   */
  public record VariantFile(
      CandidateId id, String name, Map<String, Double> setup, Boolean retired) {}

  /**
   * An exercise of the coach's own, used by word.
   *
   * @param id "own-…"; candidates begin with it
   */
  public record ExerciseFile(String id, String name, OwnExerciseDocument said, Boolean retired) {}

  /** An own school. */
  public record SchoolFile(
      String id,
      String label,
      String reason,
      Double lengthBias,
      Double passiveWeight,
      Double activityTrust,
      @MayBeMissing Double practiceTrust,
      Double basics,
      Boolean retired) {}

  /** A sore joint, the movements that hurt, and how to deal with it. */
  public record SorenessFile(
      PainFlag joint, Set<SoreMovement> movements, Soreness.Approach approach) {}

  /** What is known of a client's training and tastes. */
  public record ProfileFile(
      @MayBeMissing Profile.TrainingAge trainingAge,
      @MayBeMissing Integer daysAWeek,
      @MayBeMissing Integer minutes,
      Set<Habit> habits,
      @MayBeMissing Side strongerSide,
      String notes,
      Set<String> likes,
      Set<String> dislikes) {}

  /** A caution, with its clearance where there is one. */
  public record CautionFile(
      Caution caution, @MayBeMissing String clearedBy, @MayBeMissing LocalDate clearedOn) {}

  /** A written restriction by a clinician. */
  public record RestrictionFile(
      String by,
      LocalDate on,
      String text,
      @MayBeMissing Double kneeMaxDeg,
      @MayBeMissing Double hipMaxDeg,
      Boolean noLoadedBack) {}

  /** One measurement, in SI units. */
  public record ReadingFile(MeasurementKind kind, Side side, Double value, LocalDate on) {}

  /** One known lift. */
  public record LiftFile(
      CandidateId candidateId, Double loadKg, Integer repetitions, Double reserve, LocalDate on) {}

  /**
   * What a picture told: shifts of technique by parameter in its own unit, angles in rad, lengths
   * in m.
   */
  public record SightingFile(
      CandidateId candidateId, LocalDate on, Double loadKg, SightingDocument told) {
    static SightingFile of(Sighting sighting) {
      return new SightingFile(
          sighting.candidateId(), sighting.on(), sighting.loadKg(), SightingDocument.of(sighting));
    }
  }

  /** Pain in a joint, 0 to 10. */
  public record PainFile(PainFlag joint, Integer level) {}

  /**
   * A set.
   *
   * @param id kept where it is free
   */
  public record SetFile(
      UUID id,
      Double loadKg,
      Integer repetitions,
      Double reserve,
      @MayBeMissing SetRecord.Kind kind,
      @MayBeMissing Integer number,
      @MayBeMissing Side side,
      @MayBeMissing SetRecord.Range range,
      @MayBeMissing Boolean tempoKept,
      @MayBeMissing Set<String> felt,
      @MayBeMissing PainFile pain,
      Instant performedAt) {}

  /**
   * An exercise of a session, with its sets.
   *
   * @param name of the candidate, for people; it is not read back
   */
  public record ItemFile(
      CandidateId candidateId,
      String name,
      Map<String, Double> setup,
      List<String> prescribed,
      @MayBeMissing PrescriptionDocument prescription,
      @MayBeMissing Integer bout,
      @MayBeMissing Double loadShare,
      @MayBeMissing Boolean ended,
      List<SetFile> sets) {}

  /**
   * A session.
   *
   * @param gym its name
   */
  public record SessionFile(
      String gym,
      Map<String, Integer> aim,
      List<String> keepOut,
      String school,
      Boolean stiffToday,
      Instant createdAt,
      @MayBeMissing Instant finishedAt,
      List<ItemFile> items) {}

  /** A plan as it stands, without the edits before it. */
  public record WeekFile(
      String gym,
      Instant createdAt,
      Instant changedAt,
      @MayBeMissing Instant removedAt,
      PlanBrief brief,
      PlanDocument plan) {}

  /** Settings of a machine, by the gym's name in the file. */
  public record MarkFile(String gym, CandidateId candidateId, String words, Instant changedAt) {}

  /**
   * An answer to a lesson.
   *
   * @param act and {@code words}: the proposal that was agreed to; missing where the lesson was
   *     dismissed
   */
  public record AnswerFile(
      Lesson.Kind kind,
      String subject,
      @MayBeMissing Lesson.Act act,
      @MayBeMissing String words,
      Instant at) {}

  /**
   * A client with everything that is kept of them.
   *
   * @param sessions oldest first
   */
  public record ClientFile(
      String name,
      Double statureM,
      Double massKg,
      Sex sex,
      Intake.Thigh thigh,
      Intake.Ankle ankle,
      List<SorenessFile> pain,
      List<CautionFile> cautions,
      List<RestrictionFile> restrictions,
      ProfileFile profile,
      List<ReadingFile> measurements,
      List<LiftFile> lifts,
      List<SessionFile> sessions,
      @MayBeMissing List<WeekFile> weeks,
      @MayBeMissing Boolean learns,
      @MayBeMissing List<MarkFile> marks,
      @MayBeMissing List<AnswerFile> answers,
      @MayBeMissing List<SightingFile> sightings) {}
}
