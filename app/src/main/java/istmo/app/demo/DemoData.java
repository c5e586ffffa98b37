package istmo.app.demo;

import istmo.app.accounts.Accounts;
import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.plans.Composing;
import istmo.app.plans.Plan;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.Plans;
import istmo.app.platform.Conflict;
import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import istmo.core.body.Habit;
import istmo.core.body.Intake;
import istmo.core.body.Intake.Ankle;
import istmo.core.body.Intake.Thigh;
import istmo.core.body.Measurement;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Sex;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.body.Soreness.Approach;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull;
import istmo.core.measuring.StandIn;
import istmo.core.plan.Pairing;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.stimulus.School;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * An invented island town: two gyms, a few clients of different build, eight weeks of records, a
 * planned week. Loaded once, into an empty account. Nobody here exists.
 */
@Component
@ConditionalOnProperty("istmo.demo")
class DemoData {
  private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
  private static final double COMPOSED_S = 1;

  private final Clients clients;
  private final Gyms gyms;
  private final DemoRecords records;
  private final Plans plans;
  private final Composing composing;
  private final CurrentCoach coach;
  private final Clock clock;

  DemoData(
      Clients clients,
      Gyms gyms,
      DemoRecords records,
      Plans plans,
      Composing composing,
      CurrentCoach coach,
      Clock clock) {
    this.plans = plans;
    this.composing = composing;
    this.coach = coach;
    this.clients = clients;
    this.gyms = gyms;
    this.records = records;
    this.clock = clock;
  }

  /** Writes the demo's clients, gyms, plans and records, where there are none yet. */
  @EventListener(ApplicationStartedEvent.class)
  @Order(2)
  public void load() {
    coach.as(Accounts.FIRST, this::loadOnce);
  }

  private Void loadOnce() {
    if (clients.all().isEmpty() && gyms.all().isEmpty()) {
      write();
    }
    return null;
  }

  private void write() {
    Gym quayside = machines(gyms.add("Quayside Hall", Equipment.everything()));
    Gym boatshed = boatshed();
    LocalDate today = LocalDate.now(clock);
    Client oda = oda(today);
    Client tarn = tarn(today);
    Client pia = pia();
    others();
    records.quads(oda, quayside);
    records.hinges(tarn, boatshed);
    records.knee(pia, quayside);
    records.today(
        oda,
        quayside,
        Aim.of(Map.of("VL", 3, "RF", 2), List.of()),
        "heel-raised-squat/wedge",
        "leg-extension-reclined/reclined",
        "seated-leg-curl/usual");
    records.today(
        tarn,
        boatshed,
        Aim.of(Map.of("GMAXM", 3, "BFL", 2), List.of()),
        "romanian-deadlift/usual",
        "split-squat/lean");
    plan(oda, quayside);
  }

  private Gym boatshed() {
    return gyms.add(
        "Boatshed",
        Set.of(
            Equipment.BARBELL,
            Equipment.RACK,
            Equipment.WEDGE,
            Equipment.FIXED_TRACK,
            Equipment.LYING_CURL,
            Equipment.BENCH,
            Equipment.DUMBBELLS,
            Equipment.PULL_DOWN));
  }

  /** All quads, and a right leg that leads. */
  private Client oda(LocalDate today) {
    Client oda =
        clients.add(
            "Oda Fenwick",
            new Intake(1.66, 63, Sex.FEMALE, Thigh.SHORT, Ankle.FREE),
            new Profile(
                Optional.of(TrainingAge.YEARS),
                Optional.of(3),
                Optional.of(60),
                Set.of(Habit.SQUAT_TO_QUADS),
                Optional.of(Side.RIGHT),
                "Likes to see the plates go on.",
                Set.of("heel-raised-squat"),
                Set.of()),
            Cautions.none());
    for (int week = 8; week >= 0; week -= 4) {
      measure(oda, MeasurementKind.MASS, Side.NONE, 63.6 - 0.1 * week, today.minusWeeks(week));
      measure(
          oda,
          MeasurementKind.THIGH_GIRTH,
          Side.LEFT,
          0.556 - 0.0015 * week,
          today.minusWeeks(week));
      measure(
          oda,
          MeasurementKind.THIGH_GIRTH,
          Side.RIGHT,
          0.561 - 0.001 * week,
          today.minusWeeks(week));
    }
    ankles(oda, today);
    measure(oda, MeasurementKind.THIGH, Side.LEFT, 0.392, today.minusWeeks(8));
    measure(oda, MeasurementKind.THIGH, Side.LEFT, 0.396, today.minusWeeks(8));
    measure(oda, MeasurementKind.THIGH, Side.RIGHT, 0.395, today.minusWeeks(8));
    clients.addLift(
        oda.id(),
        new KnownLift(
            Catalogue.standard().candidate("heel-raised-squat/wedge"),
            new PerformedSet(40, 8, 2),
            today.minusWeeks(2)));
    return oda;
  }

  /** Two months of drills for the ankles: the left one follows, the right one led before. */
  private void ankles(Client client, LocalDate today) {
    double[] left = {0.11, 0.12, 0.135, 0.145};
    double[] right = {0.145, 0.15, 0.15, 0.155};
    for (int k = 0; k < left.length; k++) {
      LocalDate on = today.minusWeeks(9 - 3L * k);
      measure(client, MeasurementKind.KNEE_TO_WALL, Side.LEFT, left[k], on);
      measure(client, MeasurementKind.KNEE_TO_WALL, Side.LEFT, left[k] + 0.005, on);
      measure(client, MeasurementKind.KNEE_TO_WALL, Side.RIGHT, right[k], on);
    }
  }

  /** Tall, long thighs, stiff ankles. */
  private Client tarn(LocalDate today) {
    Client tarn =
        clients.add(
            "Tarn Holloway",
            new Intake(1.90, 94, Sex.MALE, Thigh.LONG, Ankle.STIFF),
            new Profile(
                Optional.of(TrainingAge.MONTHS),
                Optional.of(2),
                Optional.of(50),
                Set.of(Habit.HINGE_TO_BACK),
                Optional.empty(),
                "",
                Set.of(),
                Set.of("deadlift")),
            Cautions.none());
    clients.addLift(
        tarn.id(),
        new KnownLift(
            Catalogue.standard().candidate("romanian-deadlift/usual"),
            new PerformedSet(80, 10, 2),
            today.minusDays(4)));
    return tarn;
  }

  /** A knee that minds deep bends. */
  private Client pia() {
    return clients.add(
        "Pia Lindqvale",
        new Intake(1.72, 70, Sex.FEMALE, Thigh.USUAL, Ankle.USUAL),
        Profile.unknown(),
        sore(new Soreness(PainFlag.KNEE, Set.of(SoreMovement.DEEP_KNEE), Approach.LESS_RANGE)));
  }

  private void others() {
    clients.add(
        "Joss Merrow",
        new Intake(1.76, 81, Sex.MALE, Thigh.USUAL, Ankle.USUAL),
        Profile.unknown(),
        sore(new Soreness(PainFlag.LOWER_BACK, Set.of(SoreMovement.LEANING), Approach.LEAVE_OUT)));
    clients.add(
        "Wren Calloway",
        new Intake(1.58, 54, Sex.FEMALE, Thigh.USUAL, Ankle.STIFF),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Bo Harkness",
        new Intake(1.83, 105, Sex.MALE, Thigh.SHORT, Ankle.USUAL),
        Profile.unknown(),
        new Cautions(
            List.of(),
            List.of(new Cautions.Entry(Caution.HIGH_BLOOD_PRESSURE, Optional.empty())),
            List.of()));
    clients.add(
        "Sunniva Aldergate",
        new Intake(1.69, 66, Sex.FEMALE, Thigh.LONG, Ankle.USUAL),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Rook Tamsin",
        new Intake(1.88, 82, Sex.MALE, Thigh.USUAL, Ankle.FREE),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Mirren Oakshott",
        new Intake(1.63, 71, Sex.FEMALE, Thigh.SHORT, Ankle.STIFF),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Caspar Windrow",
        new Intake(1.79, 90, Sex.MALE, Thigh.USUAL, Ankle.STIFF),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Liv Ternholm",
        new Intake(1.75, 64, Sex.FEMALE, Thigh.LONG, Ankle.FREE),
        Profile.unknown(),
        Cautions.none());
    clients.add(
        "Edda Brackwater",
        new Intake(1.66, 58, Sex.FEMALE, Thigh.USUAL, Ankle.USUAL),
        Profile.unknown(),
        Cautions.none());
  }

  /** What has been measured of the hall's machines and plates. */
  private Gym machines(Gym hall) {
    Gym known = hall;
    known =
        gyms.know(
            known.id(),
            known.version(),
            Equipment.LEG_PRESS,
            Map.of("railAngle", 42.0, "sledMass", 52.0, "stop", 0.62));
    known =
        gyms.know(
            known.id(),
            known.version(),
            Equipment.SEATED_CURL,
            Map.of("step", 2.5, "thighPad", 1.0));
    known =
        gyms.plates(
            known.id(),
            known.version(),
            new Plates(Map.of(20.0, 4, 15.0, 2, 10.0, 3, 5.0, 2, 2.5, 2, 1.25, 1)));
    return gyms.pull(known.id(), known.version(), Equipment.LEG_EXTENSION, pulls());
  }

  private void plan(Client oda, Gym quayside) {
    PlanBrief more =
        new PlanBrief(
            Map.of("VL", 3, "RF", 2, "GMAXM", 1),
            List.of("ERECTORS"),
            School.STRETCH.id(),
            Weights.USUAL.preset().id(),
            Map.of());
    Plan week =
        plans.begin(
            oda.id(),
            quayside.id(),
            more,
            "Quads, winter",
            new Plans.Wished(Optional.empty(), Optional.empty(), false, Pairing.NONE));
    try {
      composing.compose(week.id(), week.version(), UUID.randomUUID(), COMPOSED_S);
    } catch (Conflict quicker) {
      LOG.info("Somebody has changed the demo's week already; it is left as it is.");
    }
  }

  /** Pulls with the stand-in scale on the stand-in's cam, each a little off as by hand. */
  private static List<Pull> pulls() {
    List<Pull> pulls = new ArrayList<>();
    double[] off = {0.015, 0.004, -0.012, -0.02, 0.01, 0.018, -0.006, 0.002, 0.012, -0.011};
    for (double at : new double[] {8, 35, 62, 90, 112}) {
      for (Pull.Direction direction : List.of(Pull.Direction.UP, Pull.Direction.DOWN)) {
        Pull exact = new Pull(at, 0, 0.38, 40, direction);
        pulls.add(
            new Pull(
                at,
                (1 + off[pulls.size()])
                    * StandIn.forceN(
                        Equipment.LEG_EXTENSION, GymEquipment.generic(Set.of()), exact),
                0.38,
                40,
                direction));
      }
    }
    return pulls;
  }

  private static Cautions sore(Soreness soreness) {
    return new Cautions(List.of(soreness), List.of(), List.of());
  }

  private void measure(Client client, MeasurementKind kind, Side side, double value, LocalDate on) {
    clients.measure(client.id(), new Measurement(kind, side, value, on));
  }
}
