package istmo.app.bench.web;

import istmo.app.bench.Bench;
import istmo.app.catalogue.Variants;
import istmo.app.platform.Needed;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.TapelessStart;
import istmo.core.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Starts without a tape. What is found stands in the set-up's units: m and deg. */
@RestController
class StartController {
  private final Bench bench;
  private final Variants variants;

  StartController(Bench bench, Variants variants) {
    this.bench = bench;
    this.variants = variants;
  }

  record QuestionView(
      String id, String label, String unit, double min, double max, double usual, double step) {}

  record StartWayView(
      TapelessStart way, String label, List<String> steps, List<QuestionView> questions) {}

  record StartInput(
      UUID clientId,
      UUID gymId,
      CandidateId candidateId,
      TapelessStart way,
      Map<String, Double> answers,
      Boolean stiffToday) {}

  record FoundView(Map<String, Double> setup, String sentence) {}

  /** The ways that suit a candidate; without one, all. */
  @GetMapping("/api/starts")
  List<StartWayView> ways(@RequestParam Optional<CandidateId> candidateId) {
    List<TapelessStart> ways =
        candidateId
            .map(id -> TapelessStart.of(variants.candidate(id)))
            .orElseGet(() -> Arrays.asList(TapelessStart.values()));
    return ways.stream()
        .map(
            start ->
                new StartWayView(
                    start,
                    start.label(),
                    start.steps(),
                    start.questions().stream()
                        .map(
                            question ->
                                new QuestionView(
                                    question.id(),
                                    question.label(),
                                    question.unit(),
                                    question.allowed().min(),
                                    question.allowed().max(),
                                    question.usual(),
                                    question.step()))
                        .toList()))
        .toList();
  }

  /**
   * The set-up values that follow from the answers to a way without a tape; lengths m, angles deg.
   */
  @PostMapping("/api/starts")
  FoundView find(@RequestBody StartInput input) {
    new Needed().field("clientId", input.clientId()).field("way", input.way()).check();
    TapelessStart.Found found =
        bench.start(
            input.clientId(),
            Optional.ofNullable(input.gymId()),
            Optional.ofNullable(input.candidateId()),
            Boolean.TRUE.equals(input.stiffToday()),
            input.way(),
            input.answers() == null ? Map.of() : input.answers());
    return new FoundView(found.setup(), Words.of(found.place()));
  }
}
