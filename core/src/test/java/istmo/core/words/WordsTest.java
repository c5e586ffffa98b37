package istmo.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import istmo.core.anatomy.Region;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Obstacle;
import istmo.core.quantity.Fact;
import istmo.core.ranking.explanation.Reason;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class WordsTest {
  /** A kind of fact that nobody says would end a screen with an error. */
  @Test
  void everyKindOfFactIsSaid() {
    List<JavaClass> facts =
        new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("istmo.core")
                .stream()
                .filter(found -> found.isAssignableTo(Fact.class) && !found.isInterface())
                .toList();
    assertThat(facts).hasSizeGreaterThan(150);
    assertThat(facts).allSatisfy(found -> assertThat(Words.says(found.reflect())).isTrue());
  }

  @Test
  void aFactOfNoKindIsRefused() {
    record Unheard() implements Fact {}
    assertThatThrownBy(() -> Words.of(new Unheard())).isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @EnumSource(Hindrance.class)
  void everyHindranceIsOneSentenceAndSaysWhatIsMissing(Hindrance hindrance) {
    assertThat(MovementWords.reason(hindrance)).matches("[A-Z].*\\.");
    assertThat(MovementWords.missing(hindrance)).matches("[^.]+");
  }

  @Test
  void whatIsMissingComesInTheCoachsUnits() {
    assertThat(MovementWords.both(new Obstacle.MachineStop(0.0721)))
        .isEqualTo(
            "The machine's stop ends the repetition before that. Missing: 8\u00a0cm of travel.");
    assertThat(
            MovementWords.both(new Obstacle.AnkleBendsLess(Math.toRadians(41), Math.toRadians(36))))
        .isEqualTo(
            "The heels would lift: the ankle would have to bend to 41°. Missing: 5° of ankle beyond"
                + " this client's 36°.");
  }

  @Test
  void aStudyThatMovesNothingIsCitedWithoutADirection() {
    List<Reason.Cited> cited =
        List.of(new Reason.Cited("A 2019", 0.2), new Reason.Cited("B 2021", 0.001));
    assertThat(RankingWords.of(new Reason.Studied(Region.VL, Optional.of(0.19), cited)))
        .isEqualTo(
            "Studies move the mechanics' figure for the outer quad (sweep) by +21 %: A 2019 (up),"
                + " B 2021.");
    assertThat(RankingWords.of(new Reason.Studied(Region.VL, Optional.empty(), cited)))
        .startsWith("Studies leave the mechanics' figure where it is");
  }

  @Test
  void aDistanceIsSaidInWholePoints() {
    List<Reason.Lost> lost = List.of(new Reason.Lost("Stability", 0.03));
    assertThat(RankingWords.of(new Reason.Below(0.004, "Hack squat", List.of())))
        .isEqualTo("Less than one point below Hack squat.");
    assertThat(RankingWords.of(new Reason.Below(0.021, "Hack squat", lost)))
        .isEqualTo("2 points below Hack squat: Stability −3.");
  }
}
