package istmo.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.body.Technique;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.Lesson;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** From marks on a picture to a client's technique, and what it changes. */
class TechniqueReadingTest {
  private static final Body MAN = Body.estimated(1.80, 82, Sex.MALE);
  private static final GymEquipment PLACE = GymEquipment.generic(Set.of());
  private static final LocalDate DAY = LocalDate.of(2026, 5, 12);
  private static final Photographer CAREFUL = new Photographer(6, 3, 3, 0.9, 0.3);

  private static Candidate candidate(String id) {
    return Catalogue.standard().candidate(id);
  }

  private static Family family(String id) {
    return candidate(id).exercise().family();
  }

  /** The client as he moves when one technique parameter is otherwise than usual. */
  private static Posture moved(String id, String parameter, double shift, double loadKg) {
    Family family = family(id);
    Setup setup = candidate(id).usualFor(MAN, PLACE);
    SetupParameter moved =
        family.parameters().stream()
            .filter(each -> each.id().equals(parameter))
            .findFirst()
            .orElseThrow();
    return (Posture) family.posture(MAN, setup.with(moved, setup.get(moved) + shift), 1, loadKg);
  }

  private static TechniqueReading read(String id, Posture truth, double loadKg) {
    SidePicture picture =
        CAREFUL.of(MAN, truth, new Random(3), family(id).legs(candidate(id).usual()) == 2);
    Outcome outcome =
        TechniqueReading.of(
            new TechniqueReading.Subject(
                MAN, Set.of(), candidate(id), PLACE, Map.of(), Optional.of(loadKg)),
            picture);
    return (TechniqueReading) outcome;
  }

  private static TechniqueFit.Adjusted told(TechniqueReading reading, String parameter) {
    return reading.found().technique().stream()
        .filter(adjusted -> adjusted.parameter().id().equals(parameter))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whoseKneesStayBackIsSeenToUseLessKneeTravel() {
    Posture truth = moved("back-squat/high-bar", "kneeTravel", -0.25, 80);
    TechniqueFit.Adjusted travel = told(read("back-squat/high-bar", truth, 80), "kneeTravel");
    assertThat(travel.shift()).isCloseTo(-0.25, within(0.08));
    assertThat(travel.error()).isLessThan(0.08);
  }

  @Test
  void whoLeansInASplitSquatIsSeenToLean() {
    Posture truth = moved("split-squat/upright", "lean", 9, 30);
    TechniqueFit.Adjusted lean = told(read("split-squat/upright", truth, 30), "lean");
    assertThat(lean.shift()).isCloseTo(9, within(1.5 * lean.error()));
    assertThat(lean.spread()).isGreaterThan(lean.error());
  }

  @Test
  void whoMovesAsAssumedIsLeftAsHeWas() {
    Posture truth = moved("back-squat/high-bar", "kneeTravel", 0, 80);
    TechniqueFit.Adjusted travel = told(read("back-squat/high-bar", truth, 80), "kneeTravel");
    assertThat(travel.shift()).isCloseTo(0, within(1.5 * travel.error()));
  }

  /** The same picture turned over: filmed from the left. */
  @Test
  void theLeftSideIsReadAsTheRight() {
    Posture truth = moved("back-squat/high-bar", "kneeTravel", 0, 80);
    SidePicture right = CAREFUL.of(MAN, truth, new Random(3), true);
    SidePicture left =
        new SidePicture(
            right.widthPx(),
            right.heightPx(),
            right.marks().stream()
                .map(mark -> new Mark(mark.landmark(), right.widthPx() - mark.xPx(), mark.yPx()))
                .toList());
    Scene scene = new Scene(MAN, truth, Set.of(), true);
    PictureReading.Seen one = (PictureReading.Seen) PictureFit.read(right, scene);
    PictureReading.Seen other = (PictureReading.Seen) PictureFit.read(left, scene);
    assertThat(other.trunk().value()).isCloseTo(one.trunk().value(), within(1e-6));
    assertThat(other.fitted().get(3).xPx())
        .isCloseTo(right.widthPx() - one.fitted().get(3).xPx(), within(1e-3));
  }

  @Test
  void aMarkAtTheWrongPlaceIsNamed() {
    Posture truth = moved("back-squat/high-bar", "kneeTravel", 0, 80);
    SidePicture good = CAREFUL.of(MAN, truth, new Random(3), true);
    List<Mark> marks = new ArrayList<>();
    for (Mark mark : good.marks()) {
      marks.add(
          mark.landmark() == Landmark.ANKLE
              ? new Mark(Landmark.ANKLE, mark.xPx() + 90, mark.yPx() - 60)
              : mark);
    }
    PictureReading reading =
        PictureFit.read(
            new SidePicture(good.widthPx(), good.heightPx(), marks),
            new Scene(MAN, truth, Set.of(), true));
    assertThat(reading).isInstanceOf(PictureReading.NotSeen.class);
    assertThat(Words.of(((PictureReading.NotSeen) reading).why())).contains("ankle");
  }

  @Test
  void marksThatCannotBeAreRefusedByName() {
    assertThatThrownBy(() -> new SidePicture(800, 600, List.of(new Mark(Landmark.KNEE, 5, 5))))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("heel, toe, ankle, hip, shoulder");
    assertThatThrownBy(
            () -> new SidePicture(800, 600, List.of(new Mark(Landmark.KNEE, 900, Double.NaN))))
        .hasMessageContaining("marks[0]");
  }

  @Test
  void marksSetTwiceAreSurerAndSayHowWellTheyRepeat() {
    Posture truth = moved("back-squat/high-bar", "kneeTravel", 0, 80);
    SidePicture once = CAREFUL.of(MAN, truth, new Random(3), true);
    List<Mark> twice = new ArrayList<>(once.marks());
    once.marks().forEach(mark -> twice.add(new Mark(mark.landmark(), mark.xPx() + 2, mark.yPx())));
    SidePicture both = new SidePicture(once.widthPx(), once.heightPx(), twice);
    assertThat(both.repeatErrorPx().orElseThrow()).isCloseTo(1, within(1e-9));
    Scene scene = new Scene(MAN, truth, Set.of(), true);
    PictureReading.Seen sure = (PictureReading.Seen) PictureFit.read(both, scene);
    PictureReading.Seen less = (PictureReading.Seen) PictureFit.read(once, scene);
    assertThat(sure.trunk().error()).isLessThan(less.trunk().error());
  }

  @Test
  void whatWasSeenIsTheClientsUsualAndCanBeTakenBack() {
    TechniqueReading reading =
        read("split-squat/upright", moved("split-squat/upright", "lean", 9, 30), 30);
    Technique technique = Sighting.technique(List.of(reading.kept(DAY)));
    Body seen = MAN.moving(technique);
    Candidate candidate = candidate("split-squat/upright");
    double lean = candidate.usualFor(MAN, PLACE).values().get("lean");
    assertThat(candidate.usualFor(seen, PLACE).values().get("lean"))
        .isCloseTo(lean + told(reading, "lean").shift(), within(1e-9))
        .isGreaterThan(lean + 4);
    assertThat(candidate("back-squat/high-bar").usualFor(seen, PLACE))
        .as("another exercise stays as it was")
        .isEqualTo(candidate("back-squat/high-bar").usualFor(MAN, PLACE));
    assertThat(seen.moving(Sighting.technique(List.of()))).isEqualTo(MAN);
  }

  @Test
  void picturesOfTheNewestDayCountTogether() {
    Sighting.Posed posed =
        read("split-squat/upright", moved("split-squat/upright", "lean", 0, 30), 30)
            .kept(DAY)
            .posed();
    List<Sighting> all =
        List.of(
            sighting(DAY.minusDays(30), 20, 2, posed),
            sighting(DAY, 4, 2, posed),
            sighting(DAY, 8, 2, posed));
    Technique.Seen seen = Sighting.technique(all).of("split-squat", "lean").orElseThrow();
    assertThat(seen.shift()).isCloseTo(6, within(1e-9));
    assertThat(seen.spread()).isCloseTo(Math.sqrt(2), within(1e-9));
    assertThat(seen.on()).isEqualTo(DAY);
  }

  private static Sighting sighting(
      LocalDate on, double shift, double spread, Sighting.Posed posed) {
    return new Sighting(
        on,
        new CandidateId("split-squat/upright"),
        30,
        Map.of("lean", new Sighting.Shift(shift, spread)),
        posed);
  }

  @Test
  void aChangeIsToldFromTwiceItsErrorOn() {
    Sighting.Posed before = posed(0.05, Math.toRadians(40));
    Sighting.Posed deeper = posed(-0.05, Math.toRadians(44));
    List<TechniqueChange> changes =
        TechniqueChange.of(
            List.of(sighting(DAY, 0, 2, before), sighting(DAY.plusDays(56), 0, 2, deeper)));
    assertThat(changes)
        .as("the lean differs by less than its error")
        .singleElement()
        .satisfies(
            change -> {
              assertThat(change.exerciseId()).isEqualTo("split-squat");
              assertThat(Words.of(change.change()))
                  .isEqualTo("Deeper by 10\u00a0cm than on 12 May 2026.");
            });
    assertThat(TechniqueChange.of(List.of(sighting(DAY, 0, 2, before)))).isEmpty();
    List<Sighting> both =
        List.of(sighting(DAY, 0, 2, before), sighting(DAY.plusDays(56), 0, 2, deeper));
    List<Lesson> lessons = TechniqueChange.lessons(both, DAY.plusDays(60));
    assertThat(lessons).hasSize(1);
    assertThat(Words.of(lessons.get(0).found()))
        .isEqualTo("Deeper by 10\u00a0cm than on 12 May 2026.");
    assertThat(lessons.get(0).proposals()).hasSize(1);
    assertThat(TechniqueChange.lessons(both, DAY.plusDays(56 + 43))).as("of the past").isEmpty();
  }

  private static Sighting.Posed posed(double hipAboveKneeM, double trunkRad) {
    Figure other = new Figure(0.3, 0.05);
    return new Sighting.Posed(
        other,
        other,
        new Figure(trunkRad, Math.toRadians(3)),
        new Figure(0, 0.02),
        new Figure(hipAboveKneeM, 0.03));
  }
}
