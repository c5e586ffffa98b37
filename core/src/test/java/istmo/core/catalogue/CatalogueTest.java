package istmo.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Intake;
import istmo.core.body.Sex;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.PerformedSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {
  @ParameterizedTest
  @CsvSource({
    "the 45,leg-press",
    "RDL,romanian-deadlift",
    "squat,back-squat",
    "prone curl,lying-leg-curl",
    "bent-knee calf raise,seated-calf-raise"
  })
  void exercisesCarryTheGymsNicknames(String nickname, String exercise) {
    assertThat(Catalogue.standard().exercise(exercise).alsoCalled()).contains(nickname);
  }

  @Test
  void everyExerciseSaysWhatACoachNeeds() {
    for (Exercise exercise : Catalogue.standard().exercises()) {
      assertThat(exercise.cues()).as(exercise.id()).isNotEmpty();
      assertThat(exercise.stopSigns()).as(exercise.id()).isNotEmpty();
      assertThat(exercise.alsoCalled()).as(exercise.id()).isNotEmpty();
      assertThat(exercise.repetitions()).matches("\\d+-\\d+");
    }
    assertThatThrownBy(() -> Catalogue.standard().candidate("none/such"))
        .isInstanceOf(InvalidInput.class);
  }

  @Test
  void regionsCoverOnlyMusclesThatExistAndEachMuscleHasItsSource() {
    assertThat(List.of(Region.values())).hasSize(25);
    Muscles.standard()
        .all()
        .forEach(muscle -> assertThat(muscle.source()).as(muscle.id()).contains("from memory"));
  }

  @Test
  void aLongThighTakesFromTheTrunkNotFromTheStature() {
    Body usual = new Intake(1.75, 75, Sex.MALE, Intake.Thigh.USUAL, Intake.Ankle.USUAL).body();
    Body longThigh = new Intake(1.75, 75, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.USUAL).body();
    assertThat(longThigh.thighM()).isGreaterThan(usual.thighM());
    assertThat(longThigh.thighM() + longThigh.trunkM()).isEqualTo(usual.thighM() + usual.trunkM());
    assertThatThrownBy(() -> new Intake(175, 75, Sex.MALE, Intake.Thigh.USUAL, Intake.Ankle.USUAL))
        .hasMessageContaining("1.3 to 2.2 m");
    assertThatThrownBy(() -> usual.withLengths(0.82, usual.shankM(), usual.trunkM()))
        .hasMessageContaining("thighM");
  }

  @Test
  void setsAreCheckedWhole() {
    assertThat(new PerformedSet(0, 12, 0.5).loadKg()).isZero();
    assertThatThrownBy(() -> new PerformedSet(-1, 0, 11))
        .isInstanceOfSatisfying(InvalidInput.class, e -> assertThat(e.faults()).hasSize(3));
    assertThatThrownBy(() -> new PerformedSet(50, 8, Double.NaN)).hasMessageContaining("reserve");
  }

  /**
   * An id comes from outside too: whatever it is, it names something or nothing, and throws not.
   */
  @Test
  void anIdNamesItsExerciseAndItsOwnVariant() {
    CandidateId own = new CandidateId("back-squat/own-7f");
    assertThat(own.exerciseId()).isEqualTo("back-squat");
    assertThat(own.ownKey()).contains("7f");
    assertThat(new CandidateId("back-squat/high-bar").ownKey()).isEmpty();
    assertThat(new CandidateId("nothing").exerciseId()).isEqualTo("nothing");
    assertThat(new CandidateId("/").exerciseId()).isEmpty();
    assertThat(new CandidateId("").exerciseId()).isEmpty();
  }
}
