package istmo.app.record.web;

import istmo.app.catalogue.Trainables;
import istmo.app.clients.Clients;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.platform.Rounded;
import istmo.app.record.Answers;
import istmo.app.record.Records;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.Trainable;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Required;
import istmo.core.record.Lesson;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.SetRecord;
import istmo.core.record.SideGap;
import istmo.core.training.Equation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A client's record over HTTP. Loads in kg, days in UTC. */
@RestController
@RequestMapping("/api/clients/{clientId}/record")
class RecordController {
  private static final Allowed WEEKS = new Allowed(1, 104, "weeks");
  private static final int NEWEST_OUTINGS = 60;

  private final Records records;
  private final Answers answers;
  private final Clients clients;
  private final Trainables trainables;

  RecordController(Records records, Answers answers, Clients clients, Trainables trainables) {
    this.records = records;
    this.answers = answers;
    this.clients = clients;
    this.trainables = trainables;
  }

  record SeriesLineView(
      UUID id,
      String candidateId,
      String name,
      List<String> setup,
      long outings,
      long sets,
      Instant firstAt,
      Instant lastAt) {}

  /** said: what this client has said of an exercise, in words, by candidate id. */
  record RecordView(
      UUID clientId,
      String clientName,
      boolean learns,
      List<SeriesLineView> series,
      Map<String, List<String>> said) {}

  /** The series of a client, newest first: what is trained, how it goes, and what stands out. */
  @GetMapping
  RecordView overview(@PathVariable UUID clientId) {
    Records.Overview o = records.overview(clientId);
    Function<String, Trainable> names = trainables.all();
    Map<String, List<String>> said = new LinkedHashMap<>();
    o.experience().byCandidate().keySet().forEach(id -> said.put(id, o.experience().words(id)));
    return new RecordView(
        clientId,
        o.client().name(),
        o.client().learns(),
        o.series().stream()
            .map(
                l ->
                    new SeriesLineView(
                        l.id(),
                        l.candidateId(),
                        names.apply(l.candidateId()).name(),
                        setup(names.apply(l.candidateId()), l.setup()),
                        l.outings(),
                        l.sets(),
                        l.firstAt(),
                        l.lastAt()))
            .toList(),
        said);
  }

  /**
   * What differs from the usual set-up, in words: what tells one series of an exercise from
   * another.
   */
  private static List<String> setup(Trainable c, Map<String, Double> setup) {
    return c.exercise().parameters().stream()
        .filter(
            p ->
                p.kind() == SetupParameter.Kind.SETUP
                    && setup.containsKey(p.id())
                    && Math.abs(
                            Required.entry(setup, p.id())
                                - c.usual().getOrDefault(p.id(), p.usual()))
                        > 1e-9)
        .map(p -> p.label().toLowerCase(Locale.ROOT) + " " + p.words(Required.entry(setup, p.id())))
        .toList();
  }

  /** kg and its standard error; byEquation: what each published equation says. */
  record MaximumView(
      LocalDate on,
      Side side,
      double loadKg,
      int repetitions,
      double reserve,
      double kg,
      double standardErrorKg,
      Map<Equation, Double> byEquation) {}

  record RepetitionRecordView(double loadKg, int repetitions, Side side, LocalDate on) {}

  record GapReadingView(LocalDate on, double percent) {}

  record GapView(
      double percent,
      double standardErrorPercent,
      boolean told,
      boolean grows,
      List<GapReadingView> readings) {}

  record RecordedSetView(
      double loadKg,
      int repetitions,
      double reserve,
      SetRecord.Kind kind,
      Side side,
      @MayBeMissing SetRecord.Range range,
      @MayBeMissing Boolean tempoKept,
      List<String> felt,
      @MayBeMissing PainFlag painJoint,
      @MayBeMissing Integer pain) {
    static RecordedSetView of(SetRecord s) {
      return new RecordedSetView(
          s.done().loadKg(),
          s.done().repetitions(),
          s.done().reserve(),
          s.kind(),
          s.side(),
          s.range().orElse(null),
          s.tempoKept().orElse(null),
          List.copyOf(s.felt()),
          s.pain().map(p -> p.joint()).orElse(null),
          s.pain().map(p -> p.level()).orElse(null));
    }
  }

  record RecordedOutingView(LocalDate on, List<RecordedSetView> sets) {}

  record NextView(
      Progression.Rule rule,
      String label,
      @MayBeMissing LoadingView load,
      int repetitionsLow,
      int repetitionsHigh,
      String words) {}

  record EquationView(Equation id, String source) {}

  /** outings: the newest, oldest first. */
  record SeriesView(
      String candidateId,
      String name,
      List<String> setup,
      List<MaximumView> maxima,
      List<RepetitionRecordView> records,
      @MayBeMissing GapView gap,
      List<RecordedOutingView> outings,
      long outingsInAll,
      @MayBeMissing NextView next,
      List<EquationView> equations) {}

  /**
   * One exercise of a client over time: estimated maxima with their intervals, records, the gap
   * between sides, the newest outings and the next load.
   */
  @GetMapping("/series/{seriesId}")
  SeriesView series(@PathVariable UUID clientId, @PathVariable UUID seriesId) {
    Records.OneSeries one = records.series(clientId, seriesId);
    Series s = one.series();
    List<Outing> newest =
        s.outings().subList(Math.max(0, s.outings().size() - NEWEST_OUTINGS), s.outings().size());
    return new SeriesView(
        s.candidateId(),
        one.candidate().name(),
        setup(one.candidate(), s.setup()),
        s.maxima().stream().map(RecordController::maximum).toList(),
        s.records().stream()
            .map(r -> new RepetitionRecordView(r.loadKg(), r.repetitions(), r.side(), r.on()))
            .toList(),
        SideGap.of(s).map(RecordController::gap).orElse(null),
        newest.stream()
            .map(
                o ->
                    new RecordedOutingView(
                        o.on(), o.sets().stream().map(RecordedSetView::of).toList()))
            .toList(),
        s.outings().size(),
        one.next()
            .map(
                n ->
                    new NextView(
                        n.rule(),
                        n.rule().label(),
                        n.load().map(LoadingView::of).orElse(null),
                        n.repetitionsLow(),
                        n.repetitionsHigh(),
                        n.words()))
            .orElse(null),
        Arrays.stream(Equation.values()).map(e -> new EquationView(e, e.source())).toList());
  }

  private static MaximumView maximum(Series.Maximum m) {
    Map<Equation, Double> each = new LinkedHashMap<>();
    Arrays.stream(Equation.values())
        .forEach(e -> each.put(e, Rounded.of(Required.entry(m.estimate().byEquation(), e))));
    return new MaximumView(
        m.on(),
        m.side(),
        m.from().loadKg(),
        m.from().repetitions(),
        m.from().reserve(),
        Rounded.of(m.estimate().kg()),
        Rounded.of(m.estimate().standardErrorKg()),
        each);
  }

  private static GapView gap(SideGap g) {
    return new GapView(
        Rounded.of(g.percent()),
        Rounded.of(g.standardErrorPercent()),
        g.weaker().isPresent(),
        g.grows(),
        g.readings().stream()
            .map(r -> new GapReadingView(r.on(), Rounded.of(r.percent())))
            .toList());
  }

  record WeekSetsView(LocalDate monday, Map<String, Double> sets) {}

  /**
   * asked: effective sets a week by region id, of the newest session's aim; unknown: what was done
   * and is not counted.
   */
  record WeeksView(
      List<WeekSetsView> weeks,
      Map<String, Double> asked,
      List<String> unknown,
      @MayBeMissing String gymName) {}

  /** Sets by region and week of a client, for the last {@code weeks} weeks. */
  @GetMapping("/weeks")
  WeeksView weeks(@PathVariable UUID clientId, @RequestParam(defaultValue = "12") int weeks) {
    WEEKS.check("weeks", weeks);
    Records.WeeksOverview w = records.weeks(clientId, weeks);
    return new WeeksView(
        w.weeks().stream().map(x -> new WeekSetsView(x.monday(), Rounded.of(x.sets()))).toList(),
        w.asked(),
        w.unknown(),
        w.by().map(s -> s.gym().name()).orElse(null));
  }

  record SaidView(
      LocalDate on,
      String candidateId,
      String name,
      List<String> felt,
      @MayBeMissing PainFlag joint,
      int pain) {}

  /** Where it was felt and what hurt, newest first. */
  @GetMapping("/said")
  List<SaidView> said(@PathVariable UUID clientId) {
    Function<String, Trainable> names = trainables.all();
    return records.said(clientId).stream()
        .map(
            s ->
                new SaidView(
                    s.on(),
                    s.candidateId(),
                    names.apply(s.candidateId()).name(),
                    s.outing().sets().stream().flatMap(x -> x.felt().stream()).distinct().toList(),
                    s.outing().worstPain().map(p -> p.joint()).orElse(null),
                    s.outing().worstPain().map(p -> p.level()).orElse(0)))
        .toList();
  }

  record ProposalView(Lesson.Act act, String words) {}

  record LessonAnswerView(
      UUID id, boolean accepted, @MayBeMissing ProposalView taken, Instant at) {}

  record LessonView(
      Lesson.Kind kind,
      String label,
      String subject,
      String name,
      String figures,
      LocalDate on,
      List<ProposalView> proposals,
      @MayBeMissing LessonAnswerView answer) {}

  /** What the record of a client suggests, each with the facts behind it. */
  @GetMapping("/lessons")
  List<LessonView> lessons(@PathVariable UUID clientId) {
    return records.lessons(clientId).stream()
        .map(
            t -> {
              Lesson l = t.lesson();
              return new LessonView(
                  l.kind(),
                  l.kind().label(),
                  l.subject(),
                  l.name(),
                  l.figures(),
                  l.on(),
                  l.proposals().stream().map(p -> new ProposalView(p.act(), p.words())).toList(),
                  t.answer().map(RecordController::answer).orElse(null));
            })
        .toList();
  }

  private static LessonAnswerView answer(Answers.Answer a) {
    return new LessonAnswerView(
        a.id(),
        a.taken().isPresent(),
        a.taken().map(p -> new ProposalView(p.act(), p.words())).orElse(null),
        a.at());
  }

  /** taken: the proposal that is accepted; none dismisses the lesson. */
  record AnswerInput(Lesson.Kind kind, String subject, @MayBeMissing ProposalView taken) {}

  /** Agrees to a lesson or refuses it; an agreed one changes later sessions. */
  @PostMapping("/lessons/answers")
  LessonAnswerView answer(@PathVariable UUID clientId, @RequestBody AnswerInput input) {
    new Needed().field("kind", input.kind()).field("subject", input.subject()).check();
    Optional<Lesson.Proposal> taken =
        Optional.ofNullable(input.taken())
            .map(
                p -> {
                  new Needed().field("taken.act", p.act()).field("taken.words", p.words()).check();
                  return new Lesson.Proposal(p.act(), p.words());
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
