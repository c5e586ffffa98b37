package istmo.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Measurement.Side;
import istmo.core.record.Lesson;
import istmo.core.record.Lessons;
import istmo.core.words.RecordWords;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is said of a joint's range over the months, and what is not. */
class RangeCourseTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

  private static Measurement wall(Side side, double cm, int daysAgo) {
    return new Measurement(MeasurementKind.KNEE_TO_WALL, side, cm / 100, TODAY.minusDays(daysAgo));
  }

  private static Readings readings(Measurement... all) {
    return new Readings(List.of(all));
  }

  private static RangeCourse only(Readings readings) {
    List<RangeCourse> courses = RangeCourse.of(readings);
    assertThat(courses).hasSize(1);
    return courses.get(0);
  }

  /** Powden, Hoch and Hoch 2015 (from memory): 1.9 cm is the smallest change that is seen. */
  @Test
  void aChangeIsToldFromThePublishedSmallestDetectableOneOn() {
    assertThat(only(readings(wall(Side.LEFT, 8, 60), wall(Side.LEFT, 9.8, 0))).changed()).isEmpty();
    RangeCourse.Changed changed =
        only(readings(wall(Side.LEFT, 8, 60), wall(Side.LEFT, 10.1, 0))).changed().orElseThrow();
    assertThat(changed.gained()).isTrue();
    assertThat(changed.error()).isCloseTo(0.019, within(0.001));
    assertThat(changed.since()).isEqualTo(TODAY.minusDays(60));
    assertThat(Words.of(changed))
        .isEqualTo(
            "8\u00a0cm on 2 Apr 2026, 10.1\u00a0cm now: 2.1\u00a0cm more (±\u00a02\u00a0cm).");
  }

  @Test
  void severalReadingsADayShowASmallerChange() {
    Measurement[] all =
        Stream.of(60, 0)
            .flatMap(
                day ->
                    IntStream.range(0, 4)
                        .mapToObj(k -> wall(Side.RIGHT, (day == 0 ? 9.4 : 8) + 0.1 * k, day)))
            .toArray(Measurement[]::new);
    assertThat(only(readings(all)).changed()).isPresent();
  }

  @Test
  void readingsThatScatterHideTheSameChange() {
    Readings scattered =
        readings(
            wall(Side.LEFT, 6, 60),
            wall(Side.LEFT, 10, 60),
            wall(Side.LEFT, 7, 60),
            wall(Side.LEFT, 8, 0),
            wall(Side.LEFT, 12, 0),
            wall(Side.LEFT, 9, 0));
    RangeCourse course = only(scattered);
    assertThat(course.changed()).isEmpty();
    assertThat(course.newest().error())
        .as("own scatter widens what is usual")
        .isGreaterThan(0.007 / Math.sqrt(3));
  }

  @Test
  void aLossIsALessonWithItsWayOnAndAnOldOneIsNot() {
    Readings lost =
        readings(
            new Measurement(MeasurementKind.HIP_FLEXION, Side.RIGHT, 125, TODAY.minusDays(90)),
            new Measurement(MeasurementKind.HIP_FLEXION, Side.RIGHT, 108, TODAY.minusDays(3)));
    List<Lesson> lessons = Lessons.ofRange(lost, TODAY);
    assertThat(lessons).hasSize(1);
    Lesson lesson = lessons.get(0);
    assertThat(lesson.name()).isEqualTo("Hip bend before the pelvis tucks, right");
    assertThat(RecordWords.of(lesson.found())).contains("125°", "108° now", "17° less");
    assertThat(RecordWords.of(lesson, lesson.proposals().get(0)))
        .contains("may not be now", "licensed clinician");
    assertThat(Lessons.ofRange(lost, TODAY.plusDays(60))).isEmpty();
  }

  @Test
  void onlyTheYearBeforeTheNewestDayCounts() {
    assertThat(
            only(readings(
                    wall(Side.LEFT, 4, 800), wall(Side.LEFT, 10, 300), wall(Side.LEFT, 10.5, 0)))
                .changed())
        .isEmpty();
  }

  @Test
  void theSideThatGoesLessFarIsNamedOnceAndBesideItself() {
    List<RangeCourse.Told> both =
        RangeCourse.told(readings(wall(Side.LEFT, 7, 0), wall(Side.RIGHT, 11, 0)));
    assertThat(both.get(0).course().side()).isEqualTo(Side.LEFT);
    assertThat(both.get(0).found()).hasSize(1);
    RangeCourse.SidesDiffer differ = (RangeCourse.SidesDiffer) both.get(0).found().get(0);
    assertThat(differ.lesser()).isEqualTo(Side.LEFT);
    assertThat(differ.by()).isCloseTo(0.04, within(1e-9));
    assertThat(Words.of(differ)).startsWith("The left side goes 4\u00a0cm less far than the other");
    assertThat(both.get(1).found()).isEmpty();
    assertThat(RangeCourse.told(readings(wall(Side.LEFT, 10, 0), wall(Side.RIGHT, 11, 0))))
        .allMatch(alike -> alike.found().isEmpty());
  }

  @Test
  void girthsAndLengthsAreNoRange() {
    assertThat(
            RangeCourse.of(
                readings(new Measurement(MeasurementKind.THIGH_GIRTH, Side.LEFT, 0.55, TODAY))))
        .isEmpty();
  }
}
