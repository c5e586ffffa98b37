package istmo.app.record.web;

import istmo.app.catalogue.Trainables;
import istmo.app.platform.FactView;
import istmo.app.platform.LoadingView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.record.Records;
import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Required;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.record.SetRecord;
import istmo.core.record.SideGap;
import istmo.core.training.Equation;
import istmo.core.words.MovementWords;
import istmo.core.words.RecordWords;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A client's record over HTTP. Loads in kg, days in UTC. */
@RestController
@RequestMapping("/api/clients/{clientId}/record")
class RecordController {
  private static final Allowed WEEKS = new Allowed(1, 104, "weeks");
  private static final int NEWEST_OUTINGS = 60;

  private final Records records;
  private final Trainables trainables;

  RecordController(Records records, Trainables trainables) {
    this.records = records;
    this.trainables = trainables;
  }

  record SeriesLineView(
      UUID id,
      CandidateId candidateId,
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
      Map<CandidateId, List<String>> said) {}

  /** The series of a client, newest first: what is trained, how it goes, and what stands out. */
  @GetMapping
  RecordView overview(@PathVariable UUID clientId) {
    Records.Overview overview = records.overview(clientId);
    Function<CandidateId, Trainable> names = trainables.all();
    Map<CandidateId, List<String>> said = new LinkedHashMap<>();
    overview
        .experience()
        .byCandidate()
        .keySet()
        .forEach(
            id -> said.put(id, RecordWords.of(overview.experience().reports(id).orElseThrow())));
    return new RecordView(
        clientId,
        overview.client().name(),
        overview.client().learns(),
        overview.series().stream()
            .map(
                line ->
                    new SeriesLineView(
                        line.id(),
                        line.candidateId(),
                        names.apply(line.candidateId()).name(),
                        setup(names.apply(line.candidateId()), line.setup()),
                        line.outings(),
                        line.sets(),
                        line.firstAt(),
                        line.lastAt()))
            .toList(),
        said);
  }

  /**
   * What differs from the usual set-up, in words: what tells one series of an exercise from
   * another.
   */
  private static List<String> setup(Trainable trainable, Map<String, Double> setup) {
    return trainable.exercise().parameters().stream()
        .filter(
            parameter ->
                parameter.kind() == SetupParameter.Kind.SETUP
                    && setup.containsKey(parameter.id())
                    && Math.abs(
                            Required.entry(setup, parameter.id())
                                - trainable.usual().getOrDefault(parameter.id(), parameter.usual()))
                        > 1e-9)
        .map(
            parameter ->
                parameter.label().toLowerCase(Locale.ROOT)
                    + " "
                    + MovementWords.value(parameter, Required.entry(setup, parameter.id())))
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
    static RecordedSetView of(SetRecord record) {
      return new RecordedSetView(
          record.done().loadKg(),
          record.done().repetitions(),
          record.done().reserve(),
          record.kind(),
          record.side(),
          record.range().orElse(null),
          record.tempoKept().orElse(null),
          Region.ids(record.felt()),
          record.pain().map(felt -> felt.joint()).orElse(null),
          record.pain().map(felt -> felt.level()).orElse(null));
    }
  }

  record RecordedOutingView(LocalDate on, List<RecordedSetView> sets) {}

  record NextView(
      Progression.Rule rule,
      String label,
      @MayBeMissing LoadingView load,
      int repetitionsLow,
      int repetitionsHigh,
      FactView why) {}

  record EquationView(Equation id, String source) {}

  /** outings: the newest, oldest first. */
  record SeriesView(
      CandidateId candidateId,
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
    Series series = one.series();
    List<Outing> newest =
        series
            .outings()
            .subList(
                Math.max(0, series.outings().size() - NEWEST_OUTINGS), series.outings().size());
    return new SeriesView(
        series.candidateId(),
        one.candidate().name(),
        setup(one.candidate(), series.setup()),
        series.maxima().stream().map(RecordController::maximum).toList(),
        series.records().stream()
            .map(
                record ->
                    new RepetitionRecordView(
                        record.loadKg(), record.repetitions(), record.side(), record.on()))
            .toList(),
        SideGap.of(series).map(RecordController::gap).orElse(null),
        newest.stream()
            .map(
                outing ->
                    new RecordedOutingView(
                        outing.on(), outing.sets().stream().map(RecordedSetView::of).toList()))
            .toList(),
        series.outings().size(),
        one.next()
            .map(
                next ->
                    new NextView(
                        next.rule(),
                        next.rule().label(),
                        next.load().map(LoadingView::of).orElse(null),
                        next.repetitionsLow(),
                        next.repetitionsHigh(),
                        FactView.of(next.why())))
            .orElse(null),
        Arrays.stream(Equation.values())
            .map(equation -> new EquationView(equation, equation.source()))
            .toList());
  }

  private static MaximumView maximum(Series.Maximum maximum) {
    Map<Equation, Double> each = new LinkedHashMap<>();
    Arrays.stream(Equation.values())
        .forEach(
            equation ->
                each.put(
                    equation,
                    Rounded.of(Required.entry(maximum.estimate().byEquation(), equation))));
    return new MaximumView(
        maximum.on(),
        maximum.side(),
        maximum.from().loadKg(),
        maximum.from().repetitions(),
        maximum.from().reserve(),
        Rounded.of(maximum.estimate().kg()),
        Rounded.of(maximum.estimate().standardErrorKg()),
        each);
  }

  private static GapView gap(SideGap gap) {
    return new GapView(
        Rounded.of(gap.percent()),
        Rounded.of(gap.standardErrorPercent()),
        gap.weaker().isPresent(),
        gap.grows(),
        gap.readings().stream()
            .map(reading -> new GapReadingView(reading.on(), Rounded.of(reading.percent())))
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
    Records.WeeksOverview overview = records.weeks(clientId, weeks);
    return new WeeksView(
        overview.weeks().stream()
            .map(sets -> new WeekSetsView(sets.monday(), Rounded.of(sets.sets())))
            .toList(),
        Rounded.of(overview.asked()),
        overview.unknown(),
        overview.by().map(session -> session.gym().name()).orElse(null));
  }

  record SaidView(
      LocalDate on,
      CandidateId candidateId,
      String name,
      List<String> felt,
      @MayBeMissing PainFlag joint,
      int pain) {}

  /** Where it was felt and what hurt, newest first. */
  @GetMapping("/said")
  List<SaidView> said(@PathVariable UUID clientId) {
    Function<CandidateId, Trainable> names = trainables.all();
    return records.said(clientId).stream()
        .map(
            said ->
                new SaidView(
                    said.on(),
                    said.candidateId(),
                    names.apply(said.candidateId()).name(),
                    said.outing().sets().stream()
                        .flatMap(record -> record.felt().stream())
                        .map(Region::id)
                        .distinct()
                        .toList(),
                    said.outing().worstPain().map(pain -> pain.joint()).orElse(null),
                    said.outing().worstPain().map(pain -> pain.level()).orElse(0)))
        .toList();
  }
}
