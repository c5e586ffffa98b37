package istmo.app.record.web;

import istmo.app.clients.Clients;
import istmo.app.platform.FactView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.record.Answers;
import istmo.app.record.Records;
import istmo.app.record.Taken;
import istmo.core.record.Lesson;
import istmo.core.words.RecordWords;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a client's record suggests, and what the coach answers to it. */
@RestController
@RequestMapping("/api/clients/{clientId}/record")
class LessonController {
  private final Records records;
  private final Answers answers;
  private final Clients clients;

  LessonController(Records records, Answers answers, Clients clients) {
    this.records = records;
    this.answers = answers;
    this.clients = clients;
  }

  record ProposalView(Lesson.Act act, String words) {}

  record LessonAnswerView(
      UUID id, boolean accepted, @MayBeMissing ProposalView taken, Instant at) {}

  record LessonView(
      Lesson.Kind kind,
      String label,
      String subject,
      String name,
      FactView found,
      LocalDate on,
      List<ProposalView> proposals,
      @MayBeMissing LessonAnswerView answer) {}

  /** What the record of a client suggests, each with the facts behind it. */
  @GetMapping("/lessons")
  List<LessonView> lessons(@PathVariable UUID clientId) {
    return records.lessons(clientId).stream()
        .map(
            taught -> {
              Lesson lesson = taught.lesson();
              return new LessonView(
                  lesson.kind(),
                  lesson.kind().label(),
                  lesson.subject(),
                  lesson.name(),
                  FactView.of(lesson.found()),
                  lesson.on(),
                  lesson.proposals().stream()
                      .map(
                          proposal ->
                              new ProposalView(proposal.act(), RecordWords.of(lesson, proposal)))
                      .toList(),
                  taught.answer().map(LessonController::answer).orElse(null));
            })
        .toList();
  }

  private static LessonAnswerView answer(Answers.Answer answer) {
    return new LessonAnswerView(
        answer.id(),
        answer.taken().isPresent(),
        answer.taken().map(taken -> new ProposalView(taken.act(), taken.words())).orElse(null),
        answer.at());
  }

  /** taken: the proposal that is accepted; none dismisses the lesson. */
  record AnswerInput(Lesson.Kind kind, String subject, @MayBeMissing ProposalView taken) {}

  /** Agrees to a lesson or refuses it; an agreed one changes later sessions. */
  @PostMapping("/lessons/answers")
  LessonAnswerView answer(@PathVariable UUID clientId, @RequestBody AnswerInput input) {
    new Needed().field("kind", input.kind()).field("subject", input.subject()).check();
    Optional<Taken> taken =
        Optional.ofNullable(input.taken())
            .map(
                view -> {
                  new Needed()
                      .field("taken.act", view.act())
                      .field("taken.words", view.words())
                      .check();
                  return new Taken(view.act(), view.words());
                });
    return answer(answers.answer(clientId, input.kind(), input.subject(), taken));
  }

  /** Takes an answer to a lesson back. */
  @DeleteMapping("/lessons/answers/{answerId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(@PathVariable UUID clientId, @PathVariable UUID answerId) {
    answers.takeBack(clientId, answerId);
  }

  record LearnsInput(Boolean on) {}

  /** Lets what was felt and what hurt count in this client's order, or not. */
  @PutMapping("/learns")
  LearnsInput learns(@PathVariable UUID clientId, @RequestBody LearnsInput input) {
    new Needed().field("on", input.on()).check();
    return new LearnsInput(clients.learn(clientId, input.on()).learns());
  }
}
