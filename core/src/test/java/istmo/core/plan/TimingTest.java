package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import istmo.core.anatomy.Region;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.InvalidInput.Fault;
import istmo.core.ranking.brief.Aim;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimingTest {
  private static final Offer PRESS =
      Plans.offer(
          "press",
          Map.of(Region.VL, 1.0),
          Role.HEAVY,
          Set.of(Equipment.LEG_PRESS),
          3,
          Plans.THREE_OF_TEN);
  private static final Offer CURL =
      Plans.offer(
          "curl",
          Map.of(Region.BFL, 1.0),
          Role.SINGLE,
          Set.of(Equipment.SEATED_CURL),
          1,
          Plans.THREE_OF_TEN);
  private static final Offer FLOOR =
      Plans.offer(
          "floor", Map.of(Region.GMAXM, 1.0), Role.COMPOUND, Set.of(), 0.5, Plans.THREE_OF_TEN);
  private static final Offers OFFERS = new Offers(List.of(PRESS, CURL, FLOOR));

  /** Common practice: two down, two low, two up is six seconds a repetition. */
  @Test
  void twoDownTwoLowTwoUpIsSixSeconds() {
    assertThat(Plans.THREE_OF_TEN.tempo().secondsARepetition()).isEqualTo(6);
    assertThat(Plans.THREE_OF_TEN.workS(0, false)).isEqualTo(60);
    assertThat(Plans.THREE_OF_TEN.workS(0, true)).as("both sides and the change").isEqualTo(130);
  }

  /**
   * By hand: press 180 set-up + 2 x 60 lighter + 3 x 60 work + 2 x 120 rest = 720; walk 60; curl 60
   * + 60 + 180 + 240 = 540.
   */
  @Test
  void aSessionByHand() {
    Timing timing =
        Timing.of(
            Plans.day(
                60,
                Bout.of(Plans.item("press", Plans.THREE_OF_TEN)),
                Bout.of(Plans.item("curl", Plans.THREE_OF_TEN))),
            OFFERS);
    assertThat(timing.totalS()).isEqualTo(1320);
    assertThat(timing.secondsOf(0)).isEqualTo(720);
    assertThat(timing.secondsOf(Timing.Kind.WALK)).isEqualTo(60);
    assertThat(timing.secondsOf(Timing.Kind.WORK)).isEqualTo(360);
    assertThat(timing.secondsOf(Timing.Kind.REST)).isEqualTo(480);
  }

  /**
   * By hand, press and curl in turn: 180 + 120 + walk 60 + 60 + 60 to begin with; then work 60,
   * across 30, work 60, wait 20, and of the press's own rest of 120 the 110 that the curl's turn
   * took are over: 10 more; press 60, across 30: the curl's 120 are over. A round after the first
   * is 20 + 10 + 60 + 30 + 60 = 180: 480 + 150 + 2 x 180 = 990.
   */
  @Test
  void takingTurnsByHand() {
    Timing timing =
        Timing.of(
            Plans.day(
                60,
                new Bout(
                    List.of(
                        Plans.item("press", Plans.THREE_OF_TEN),
                        Plans.item("curl", Plans.THREE_OF_TEN)))),
            OFFERS);
    assertThat(timing.totalS()).isEqualTo(990);
    assertThat(Pairing.Saving.of(PRESS, CURL).seconds(3))
        .as("against 1320 one after the other")
        .isLessThanOrEqualTo(1320 - 990);
    for (Planned.Item item :
        List.of(Plans.item("press", Plans.THREE_OF_TEN), Plans.item("curl", Plans.THREE_OF_TEN))) {
      List<Timing.Segment> work =
          timing.segments().stream()
              .filter(
                  segment ->
                      segment.kind() == Timing.Kind.WORK && segment.itemId().equals(item.id()))
              .toList();
      for (int k = 1; k < work.size(); k++) {
        assertThat(work.get(k).startS() - work.get(k - 1).startS() - work.get(k - 1).seconds())
            .as("its own rest")
            .isGreaterThanOrEqualTo(120);
      }
    }
  }

  /** Wide press, then close press, nothing re-racked: the second is not set up again. */
  @Test
  void anotherSetUpOfTheSameExerciseInTurnIsNotReRacked() {
    Offer wide =
        Plans.offer(
            "press/wide",
            Map.of(Region.VL, 1.0),
            Role.HEAVY,
            Set.of(Equipment.LEG_PRESS),
            3,
            Plans.THREE_OF_TEN);
    Offer close =
        Plans.offer(
            "press/close",
            Map.of(Region.VL, 1.0),
            Role.HEAVY,
            Set.of(Equipment.LEG_PRESS),
            3,
            Plans.THREE_OF_TEN);
    Offers offers = new Offers(List.of(wide, close));
    Bout inTurn =
        new Bout(
            List.of(
                Plans.item("press/wide", Plans.THREE_OF_TEN),
                Plans.item("press/close", Plans.THREE_OF_TEN)));
    Timing timing = Timing.of(Plans.day(60, inTurn), offers);
    assertThat(timing.secondsOf(Timing.Kind.SET_UP)).isEqualTo(180);
    assertThat(timing.secondsOf(Timing.Kind.WARM_UP)).isEqualTo(120);
    assertThat(timing.secondsOf(Timing.Kind.WALK)).isZero();
  }

  @Test
  void whatIsTiedToNoPlaceIsNotWalkedTo() {
    Timing timing =
        Timing.of(
            Plans.day(
                60,
                Bout.of(Plans.item("press", Plans.THREE_OF_TEN)),
                Bout.of(Plans.item("floor", Plans.THREE_OF_TEN))),
            OFFERS);
    assertThat(timing.secondsOf(Timing.Kind.WALK)).isZero();
  }

  /** What the solver counts is never less than what the clock says. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theSolversTimeIsNeverTooShort(long seed) {
    Random random = new Random(seed);
    List<Offer> offers = List.of(PRESS, CURL, FLOOR);
    Task task =
        new Task(
            OFFERS,
            Plans.targets(Map.of(Region.VL, 1.0)),
            List.of(new Day(1, 60, false, List.of())),
            Pairing.TWO_PLACES,
            false,
            Optional.empty());
    Appraisal.Choice choice = Appraisal.nothing(1);
    int n = 2 + random.nextInt(3);
    for (int c = 0; c < 3; c++) {
      choice.sets().get(0).put(c, n);
    }
    boolean pair = random.nextBoolean();
    if (pair) {
      choice.pairs().get(0).add(new int[] {0, 1});
    }
    List<Bout> bouts =
        pair
            ? List.of(new Bout(List.of(item(PRESS, n), item(CURL, n))), Bout.of(item(FLOOR, n)))
            : List.of(Bout.of(item(PRESS, n)), Bout.of(item(CURL, n)), Bout.of(item(FLOOR, n)));
    double clock = Timing.of(task.frames().get(0).with(bouts), OFFERS).totalS();
    assertThat((double) Appraisal.seconds(task, 0, offers, choice))
        .isGreaterThanOrEqualTo(clock)
        .isLessThan(clock + 120);
  }

  /**
   * At one station the same holds in any order: with squats in the rack, hinges from the floor in
   * front of it and bridges without a bar between them. Nobody walks, and the bar stays loaded.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theSolversTimeIsNeverTooShortAtOneStation(long seed) {
    Random random = new Random(seed);
    Set<Equipment> rack = Set.of(Equipment.BARBELL, Equipment.RACK);
    Offers real =
        Plans.real(
            Aim.of(Map.of("VL", 2, "BFL", 2, "GMAXM", 2), Set.of()),
            TrainingAge.MONTHS,
            Plans.EVERYTHING);
    List<Offer> there =
        new ArrayList<>(
            real.all().stream().filter(offer -> rack.containsAll(offer.station())).toList());
    Collections.shuffle(there, random);
    List<Offer> chosen = there.subList(0, 3 + random.nextInt(3));
    Task task =
        new Task(
            real,
            Plans.targets(Map.of(Region.VL, 1.0)),
            List.of(new Day(1, 60, true, List.of())),
            Pairing.NONE,
            false,
            Optional.empty());
    Appraisal.Choice choice = Appraisal.nothing(1);
    List<Bout> bouts = new ArrayList<>();
    for (int c = 0; c < chosen.size(); c++) {
      choice.sets().get(0).put(c, 3);
      Offer offer = chosen.get(c);
      bouts.add(Bout.of(Plans.item(offer.candidateId().text(), offer.usual().withSets(3))));
    }
    Timing timing = Timing.of(task.frames().get(0).with(bouts), real);
    assertThat(timing.secondsOf(Timing.Kind.WALK)).isZero();
    assertThat((double) Appraisal.seconds(task, 0, chosen, choice))
        .isGreaterThanOrEqualTo(timing.totalS());
  }

  private static Planned.Item item(Offer offer, int sets) {
    return Plans.item(offer.candidateId().text(), Plans.THREE_OF_TEN.withSets(sets));
  }

  /** Ten repetitions of 6 s; what a scheme adds in time and in what the sets count as. */
  @ParameterizedTest
  @CsvSource({
    "STRAIGHT,60,60,3",
    "ALWAYS_TEN,60,60,3",
    "LADDER,105,105,3.75",
    "ONE_AND_A_HALF,90,90,3.3",
    "LOW_PARTIALS,72,72,3.45",
    "PAUSES,70,70,3",
    "DROP,60,146,3.8",
    "EASIER,60,103,3.4",
    "DOUBLE_DIP,78,78,3.15",
    "SHORT_PULSES,72,72,3.15",
    "LONG_PULSES,72,72,3.3",
    "FALLING,60,36,3",
    "TOES_IN_TURN,60,60,3"
  })
  void schemesHaveTheirArithmetic(Scheme scheme, double firstSetS, double lastSetS, double counts) {
    Prescription prescription = new Prescription(3, 10, 10, 2, new Tempo(2, 2, 2, 0), 120, scheme);
    assertThat(prescription.workS(0, false)).isCloseTo(firstSetS, offset(1e-9));
    assertThat(prescription.workS(2, false)).isCloseTo(lastSetS, offset(1e-9));
    assertThat(prescription.hardSets()).isCloseTo(counts, offset(1e-9));
  }

  @Test
  void ascendingSetsLoseTwoRepetitionsEach() {
    Prescription prescription =
        Prescriber.inScheme(
            Scheme.ASCENDING,
            new Prescription(4, 8, 12, 2, new Tempo(2, 0, 1, 0), 120, Scheme.STRAIGHT));
    assertThat(prescription.repetitions()).containsExactly(12.0, 10.0, 8.0, 6.0);
    assertThat(prescription.repetitionsLow()).isEqualTo(6);
  }

  @ParameterizedTest
  @CsvSource({"0,1", "2,1", "4,1", "5,0.75", "6,0.5"})
  void easySetsCountLess(double reserve, double each) {
    assertThat(new Prescription(4, 8, 12, reserve, Tempo.USUAL, 90, Scheme.STRAIGHT).hardSets())
        .isCloseTo(4 * each, offset(1e-9));
  }

  @Test
  void everyFaultOfAPrescriptionIsNamed() {
    assertThatThrownBy(() -> new Prescription(0, 12, 8, 1.3, Tempo.USUAL, 700, Scheme.STRAIGHT))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(Fault::field)
                    .containsExactly("sets", "repetitionsHigh", "reserve", "restS"));
    assertThatThrownBy(
            () ->
                new Planned.Week(
                    List.of(new Day(3, 60, false, List.of()), new Day(3, 60, false, List.of()))))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("weekdays");
    assertThatThrownBy(() -> new Day(8, 60, false, List.of())).hasMessageContaining("Monday");
    assertThatThrownBy(() -> new Day(1, 5, false, List.of())).hasMessageContaining("minutes");
  }
}
