package istmo.app.exchange.web;

import istmo.app.clients.Client;
import istmo.app.catalogue.Variants;
import istmo.app.exchange.ClientFile;
import istmo.app.plans.PrescriptionDocument;
import istmo.app.plans.Session;
import istmo.app.weeks.PlanFile;
import istmo.app.platform.MayBeMissing;
import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import istmo.core.body.Habit;
import istmo.core.body.Intake;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.catalogue.Candidate;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.Lesson;
import istmo.core.record.SetRecord;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One client's file, docs/formats.md. */
@RestController
class ClientFileController {
  static final String FORMAT = "istmo-client";
  static final int VERSION = 4;

  private final ClientFile file;
  private final Variants variants;
  private final Clock clock;

  ClientFileController(ClientFile file, Variants variants, Clock clock) {
    this.file = file;
    this.variants = variants;
    this.clock = clock;
  }

  record FileSorenessView(PainFlag joint, Set<SoreMovement> movements, Soreness.Approach approach) {}

  record FileProfileView(
      @MayBeMissing Profile.TrainingAge trainingAge, @MayBeMissing Integer daysAWeek, @MayBeMissing Integer minutes, Set<Habit> habits, @MayBeMissing Side strongerSide, String notes, Set<String> likes, Set<String> dislikes) {}

  record FileLiftView(String candidateId, double loadKg, int repetitions, double reserve, LocalDate on) {}

  record FileCautionView(Caution caution, @MayBeMissing String clearedBy, @MayBeMissing LocalDate clearedOn) {}

  record FileRestrictionView(String by, LocalDate on, String text, @MayBeMissing Double kneeMaxDeg, @MayBeMissing Double hipMaxDeg, boolean noLoadedBack) {}

  record FileReadingView(MeasurementKind kind, Side side, double value, LocalDate on) {}

  record FilePainView(PainFlag joint, int level) {}

  record FileSetView(
      UUID id, double loadKg, int repetitions, double reserve, SetRecord.Kind kind, @MayBeMissing Integer number, Side side, @MayBeMissing SetRecord.Range range, @MayBeMissing Boolean tempoKept, Set<String> felt, @MayBeMissing FilePainView pain, Instant performedAt) {
    static FileSetView of(Session.LoggedSet s) {
      SetRecord r = s.record();
      return new FileSetView(
          s.id(), r.done().loadKg(), r.done().repetitions(), r.done().reserve(), r.kind(), r.number().orElse(null), r.side(), r.range().orElse(null), r.tempoKept().orElse(null), r.felt(), r.pain().map(p -> new FilePainView(p.joint(), p.level())).orElse(null), s.performedAt());
    }
  }

  record FileMarkView(String gym, String candidateId, String words, Instant changedAt) {}

  record FileAnswerView(Lesson.Kind kind, String subject, boolean accepted, @MayBeMissing String words, Instant at) {}

  record FileItemView(String candidateId, String name, Map<String, Double> setup, List<String> prescribed, @MayBeMissing PrescriptionDocument prescription, @MayBeMissing Integer bout, boolean ended, List<FileSetView> sets) {}

  record FileSessionView(String gym, Map<String, Integer> aim, List<String> keepOut, String school, boolean stiffToday, Instant createdAt, @MayBeMissing Instant finishedAt, List<FileItemView> items) {}

  record ClientFileView(
      String format,
      int version,
      Instant exportedAt,
      String name,
      double statureM,
      double massKg,
      Sex sex,
      Intake.Thigh thigh,
      Intake.Ankle ankle,
      List<FileSorenessView> pain,
      List<FileCautionView> cautions,
      List<FileRestrictionView> restrictions,
      FileProfileView profile,
      List<FileReadingView> measurements,
      List<FileLiftView> lifts,
      List<FileSessionView> sessions,
      List<PlanFile> weeks,
      boolean learns,
      List<FileMarkView> marks,
      List<FileAnswerView> answers) {}

  @GetMapping("/api/clients/{id}/file")
  ResponseEntity<ClientFileView> export(@PathVariable UUID id) {
    ClientFile.Contents c = file.contents(id);
    Client client = c.client();
    Function<String, Candidate> candidates = variants.candidates();
    Intake i = client.intake();
    ClientFileView view =
        new ClientFileView(
            FORMAT,
            VERSION,
            clock.instant(),
            client.name(),
            i.statureM(),
            i.massKg(),
            i.sex(),
            i.thigh(),
            i.ankle(),
            client.cautions().sores().stream().map(x -> new FileSorenessView(x.joint(), x.movements(), x.approach())).toList(),
            client.cautions().entries().stream().map(e -> new FileCautionView(e.caution(), e.clearance().map(Cautions.Clearance::by).orElse(null), e.clearance().map(Cautions.Clearance::on).orElse(null))).toList(),
            client.cautions().restrictions().stream().map(r -> new FileRestrictionView(r.by(), r.on(), r.text(), r.kneeMaxDeg().orElse(null), r.hipMaxDeg().orElse(null), r.noLoadedBack())).toList(),
            profile(client.profile()),
            c.readings().stream().map(r -> new FileReadingView(r.measurement().kind(), r.measurement().side(), r.measurement().value(), r.measurement().on())).toList(),
            c.lifts().stream().map(l -> new FileLiftView(l.lift().candidateId(), l.lift().set().loadKg(), l.lift().set().repetitions(), l.lift().set().reserve(), l.lift().on())).toList(),
            c.sessions().stream().map(s -> session(s, candidates)).toList(),
            c.weeks(),
            client.learns(),
            c.marks().stream().map(m -> new FileMarkView(c.gyms().getOrDefault(m.gymId(), ""), m.candidateId(), m.words(), m.changedAt())).toList(),
            c.answers().stream().map(a -> new FileAnswerView(a.kind(), a.subject(), a.taken().isPresent(), a.taken().map(Lesson.Proposal::words).orElse(null), a.at())).toList());
    ContentDisposition download = ContentDisposition.attachment().filename(client.name() + ".json", StandardCharsets.UTF_8).build();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, download.toString()).body(view);
  }

  private static FileProfileView profile(Profile p) {
    return new FileProfileView(p.trainingAge().orElse(null), p.daysAWeek().orElse(null), p.minutes().orElse(null), p.habits(), p.strongerSide().orElse(null), p.notes(), p.likes(), p.dislikes());
  }

  private static FileSessionView session(Session s, Function<String, Candidate> candidates) {
    return new FileSessionView(
        s.gym().name(),
        s.brief().aim(),
        s.brief().keepOut(),
        s.brief().school(),
        s.brief().stiffDay(),
        s.createdAt(),
        s.finishedAt().orElse(null),
        s.items().stream().map(i -> new FileItemView(i.candidateId(), candidates.apply(i.candidateId()).name(), i.setup(), i.asked().words(), i.asked().prescription().orElse(null), i.asked().bout().orElse(null), i.ended(), i.sets().stream().map(FileSetView::of).toList())).toList());
  }

  /** Erases for good; {@code name} must be the client's, so that nobody is erased by a slip. */
  @DeleteMapping("/api/clients/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void erase(@PathVariable UUID id, @RequestParam String name) {
    if (!file.contents(id).client().name().equals(name)) {
      throw new InvalidInput("name", "is not this client's name; nothing was erased");
    }
    file.erase(id);
  }
}
