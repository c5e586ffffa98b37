package istmo.app.catalogue.web;

import istmo.app.catalogue.OwnExercises;
import istmo.app.catalogue.Variants;
import istmo.app.platform.MayBeMissing;
import istmo.app.schools.Schools;
import istmo.core.anatomy.Region;
import istmo.core.body.Caution;
import istmo.core.body.Habit;
import istmo.core.body.PainFlag;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Movement;
import istmo.core.equipment.Equipment;
import istmo.core.movement.SetupParameter;
import istmo.core.ranking.brief.Weights;
import istmo.core.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * What there is to choose from: regions, equipment, schools, exercises and what can be moved in
 * each. The same for every coach, but for own variants.
 */
@RestController
class CatalogueController {
  private final Catalogue catalogue;
  private final Variants variants;
  private final OwnExercises exercises;
  private final Schools schools;

  CatalogueController(
      Catalogue catalogue, Variants variants, OwnExercises exercises, Schools schools) {
    this.catalogue = catalogue;
    this.exercises = exercises;
    this.schools = schools;
    this.variants = variants;
  }

  record RegionView(
      String id,
      String coachName,
      String anatomicalName,
      String group,
      String steer,
      String column,
      String row) {}

  record EquipmentView(String id, String name, List<String> alsoCalled, String group) {}

  /** retired: an own school that was taken out; only to name it. */
  record SchoolView(String id, String label, String reason, boolean retired) {}

  /** A set of weights for an occasion; weights by criterion id. */
  record PresetView(String id, String label, String reason, Map<String, Double> weights) {}

  record CriterionView(String id, String label, String asks) {}

  record SoreMovementView(SoreMovement id, String label) {}

  record PainFlagView(PainFlag id, String label, List<SoreMovementView> movements) {}

  record ApproachView(Soreness.Approach id, String label) {}

  record HabitView(Habit id, String label) {}

  record CautionView(
      Caution id, String label, boolean asksClearance, String reason, String advice) {}

  /** retired: an own variant that was taken out; it is in no order, but sessions may have it. */
  record CandidateView(CandidateId id, String name, boolean own, boolean retired) {
    static CandidateView own(Candidate candidate, boolean retired) {
      return new CandidateView(candidate.id(), candidate.name(), true, retired);
    }
  }

  /**
   * A parameter of a set-up: unit m, deg, kg or none; a choice when choices are given, its value
   * then their index.
   */
  public record ParameterView(
      String id,
      String label,
      String unit,
      double min,
      double max,
      double usual,
      double step,
      SetupParameter.Kind kind,
      List<String> choices,
      String note) {
    /** A parameter as it is served. */
    public static ParameterView of(SetupParameter parameter) {
      return new ParameterView(
          parameter.id(),
          parameter.label(),
          parameter.unit(),
          parameter.allowed().min(),
          parameter.allowed().max(),
          parameter.usual(),
          parameter.step(),
          parameter.kind(),
          parameter.choices(),
          parameter.note());
    }
  }

  record ExerciseView(
      String id,
      String name,
      List<String> alsoCalled,
      String family,
      List<String> needs,
      String repetitions,
      List<String> cues,
      List<String> stopSigns,
      List<String> cautions,
      List<CandidateView> candidates,
      List<ParameterView> parameters) {
    static ExerciseView of(Exercise exercise, List<Candidate> candidates, List<Variants.Own> own) {
      return new ExerciseView(
          exercise.id(),
          exercise.name(),
          exercise.alsoCalled(),
          exercise.family().id(),
          Equipment.ids(exercise.needs()),
          exercise.repetitions(),
          exercise.cues(),
          exercise.stopSigns(),
          exercise.cautions(),
          Stream.concat(
                  candidates.stream()
                      .map(
                          candidate ->
                              new CandidateView(candidate.id(), candidate.name(), false, false)),
                  own.stream()
                      .filter(variant -> variant.candidate().exerciseId().equals(exercise.id()))
                      .map(variant -> CandidateView.own(variant.candidate(), variant.retired())))
              .toList(),
          exercise.family().parameters().stream().map(ParameterView::of).toList());
    }
  }

  /**
   * An exercise by word. mainly and partly: region ids for which a hard set counts whole and half;
   * told: why it is not computed; version: of an own one, to change it with; retired: an own one
   * that was taken out.
   */
  record ByWordView(
      String id,
      CandidateId candidateId,
      String name,
      List<String> alsoCalled,
      List<String> needs,
      List<Movement> does,
      List<String> mainly,
      List<String> partly,
      ByWord.Bend knee,
      ByWord.Bend hip,
      ByWord.Back back,
      boolean onBelly,
      boolean oneLeg,
      List<PainFlag> troubles,
      String repetitions,
      double setUpMinutes,
      List<String> cues,
      List<String> stopSigns,
      List<String> cautions,
      String told,
      boolean own,
      boolean retired,
      @MayBeMissing Integer version) {
    static ByWordView of(OwnExercises.Own own) {
      return of(own.exercise(), true, own.retired(), own.version());
    }

    static ByWordView of(ByWord x) {
      return of(x, false, false, null);
    }

    private static ByWordView of(
        ByWord x, boolean own, boolean retired, @Nullable Integer version) {
      return new ByWordView(
          x.id(),
          x.candidateId(),
          x.name(),
          x.alsoCalled(),
          Equipment.ids(x.needs()),
          x.does().stream().sorted().toList(),
          Region.ids(x.mainly()),
          Region.ids(x.partly()),
          x.knee(),
          x.hip(),
          x.back(),
          x.onBelly(),
          x.oneLeg(),
          x.exclusions().keySet().stream().sorted().toList(),
          x.repetitions(),
          x.setUpMinutes(),
          x.cues(),
          x.stopSigns(),
          x.cautions(),
          Words.of(x.told()),
          own,
          retired,
          version);
    }
  }

  record MovementView(Movement id, String label) {}

  record BendView(ByWord.Bend id, String label) {}

  record BackView(ByWord.Back id, String label) {}

  record CatalogueView(
      List<RegionView> regions,
      List<EquipmentView> equipment,
      List<SchoolView> schools,
      List<PresetView> presets,
      List<CriterionView> criteria,
      List<PainFlagView> painFlags,
      List<ApproachView> approaches,
      List<CautionView> cautions,
      List<String> redFlags,
      List<HabitView> habits,
      List<ExerciseView> exercises,
      List<ByWordView> byWord,
      List<MovementView> movements,
      List<BendView> bends,
      List<BackView> backs) {}

  /**
   * Regions, equipment, exercises with their set-up parameters, schools and presets, and the
   * coach's own variants.
   */
  @GetMapping("/api/catalogue")
  CatalogueView catalogue() {
    List<Variants.Own> own = variants.all();
    return new CatalogueView(
        Arrays.stream(Region.values()).map(CatalogueController::region).toList(),
        Arrays.stream(Equipment.values())
            .map(
                item -> new EquipmentView(item.id(), item.label(), item.alsoCalled(), item.group()))
            .toList(),
        schoolViews(),
        presets(),
        Arrays.stream(Weights.Criterion.values())
            .map(
                criterion -> new CriterionView(criterion.id(), criterion.label(), criterion.asks()))
            .toList(),
        painFlags(),
        Arrays.stream(Soreness.Approach.values())
            .map(approach -> new ApproachView(approach, approach.label()))
            .toList(),
        Arrays.stream(Caution.values())
            .map(
                caution ->
                    new CautionView(
                        caution,
                        caution.label(),
                        caution.asksClearance(),
                        caution.reason(),
                        caution.advice()))
            .toList(),
        Caution.RED_FLAGS,
        Arrays.stream(Habit.values()).map(habit -> new HabitView(habit, habit.label())).toList(),
        catalogue.exercises().stream()
            .map(exercise -> ExerciseView.of(exercise, catalogue.candidatesOf(exercise), own))
            .toList(),
        Stream.concat(
                catalogue.byWord().stream().map(ByWordView::of),
                exercises.all().stream().map(ByWordView::of))
            .toList(),
        Arrays.stream(Movement.values())
            .map(movement -> new MovementView(movement, movement.label()))
            .toList(),
        Arrays.stream(ByWord.Bend.values()).map(bend -> new BendView(bend, bend.label())).toList(),
        Arrays.stream(ByWord.Back.values()).map(back -> new BackView(back, back.label())).toList());
  }

  private List<SchoolView> schoolViews() {
    return schools.listed().stream()
        .map(
            listed ->
                new SchoolView(
                    listed.school().id(),
                    listed.school().label(),
                    listed.school().reason(),
                    listed.retired()))
        .toList();
  }

  private static List<PresetView> presets() {
    return Arrays.stream(Weights.Preset.values())
        .map(
            preset ->
                new PresetView(
                    preset.id(),
                    preset.label(),
                    preset.reason(),
                    new Weights(preset, Map.of()).all()))
        .toList();
  }

  private static List<PainFlagView> painFlags() {
    return Arrays.stream(PainFlag.values())
        .map(
            flag ->
                new PainFlagView(
                    flag,
                    flag.label(),
                    Arrays.stream(SoreMovement.values())
                        .filter(movement -> movement.joint() == flag)
                        .map(movement -> new SoreMovementView(movement, movement.label()))
                        .toList()))
        .toList();
  }

  private static RegionView region(Region region) {
    return new RegionView(
        region.id(),
        region.coachName(),
        region.anatomicalName(),
        region.group().id(),
        region.steer().name(),
        region.column(),
        region.row());
  }
}
