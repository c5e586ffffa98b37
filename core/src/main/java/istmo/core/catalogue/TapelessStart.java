package istmo.core.catalogue;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Ways to find a start without a tape, turned into the set-up's own units (common practice; the
 * geometry is ours).
 */
public enum TapelessStart {
  JUMP_AND_LAND(
      "Jump and land",
      List.of(
          "Jump up a hand's breadth and land softly, three times; leave the feet where they land."
              + " Or stand as if about to leap.",
          "Count in this client's own foot lengths from the middle of one heel to the middle of the"
              + " other: set one shoe after another between them.",
          "Read the right foot like the hand of a clock: straight ahead is twelve, one o'clock is"
              + " five minutes."),
      List.of(
          new Question(
              "footLengths",
              "Foot lengths from heel to heel",
              "foot lengths",
              new Allowed(0.5, 4, "foot lengths"),
              1.5,
              0.25),
          new Question(
              "minutes",
              "The right foot points at",
              "minutes past twelve",
              new Allowed(0, 8, "minutes"),
              3,
              0.5))) {
    @Override
    boolean suits(Candidate candidate, Exercise exercise) {
      return has(exercise, "stance")
          && has(exercise, "toeOut")
          && !exercise.family().id().equals("press")
          && !exercise.family().id().equals("hack")
          && !exercise.family().id().equals("lever-squat");
    }

    @Override
    Found find(
        Body body,
        GymEquipment equipment,
        Optional<Candidate> candidate,
        Map<String, Double> answers) {
      Exercise exercise = candidate.orElseThrow().exercise();
      double stance = Required.entry(answers, "footLengths") * body.footM();
      double toeOut = 6 * Required.entry(answers, "minutes");
      return checked(
          exercise, Map.of("stance", stance, "toeOut", toeOut), new StanceFound(stance, toeOut));
    }
  },
  HEELS_STAY_DOWN(
      "As low as the heels stay down",
      List.of(
          "Empty sled. Feet in the middle of the plate; bend to this client's depth.",
          "Move the feet down a shoe's thickness at a time. Stop at the last place where both heels"
              + " stay flat at the bottom.",
          "What this client's ankle should allow is computed here; where the heels tell another"
              + " story, they are right: measure the knee to the wall again."),
      List.of()) {
    @Override
    boolean suits(Candidate candidate, Exercise exercise) {
      return has(exercise, "footHeight");
    }

    /**
     * The lowest feet at which the wished depth, or as much of it as goes, is reached without the
     * heels lifting, the pelvis tucking or the plate ending.
     */
    @Override
    Found find(
        Body body,
        GymEquipment equipment,
        Optional<Candidate> candidate,
        Map<String, Double> answers) {
      Candidate start = candidate.orElseThrow();
      Exercise exercise = start.exercise();
      SetupParameter height = parameter(exercise, "footHeight").orElseThrow();
      Setup lowest = start.usualFor(body, equipment).with(height, height.allowed().min());
      Optional<Reach> reach = Reach.of(body, exercise.family(), lowest, Optional.of(height));
      if (reach.isEmpty()) {
        throw new InvalidInput("way", "no height of the feet lets this client reach a depth here");
      }
      return checked(
          exercise,
          Map.of("footHeight", reach.get().setup().get(height)),
          new FeetOnPlate(reach.get().setup().get(height)));
    }
  },
  SIT_AND_REACH(
      "Sit and reach the heel",
      List.of(
          "Sit on the very edge of the bench that will hold the rear foot; reach one heel out as"
              + " far as the straight leg takes it, whole foot down.",
          "Mark the heel. Stand up, front heel on the mark, rear instep on the bench."),
      List.of(
          new Question(
              "benchHeight", "Height of the bench", "cm", new Allowed(20, 70, "cm"), 43, 1))) {
    @Override
    boolean suits(Candidate candidate, Exercise exercise) {
      return has(exercise, "rearHeight")
          && candidate.usual().values().getOrDefault("rear", 0.0) == INSTEP;
    }

    /** The rear ankle lies over the edge of the bench; without a candidate only the words. */
    @Override
    Found find(
        Body body,
        GymEquipment equipment,
        Optional<Candidate> candidate,
        Map<String, Double> answers) {
      double bench = Required.entry(answers, "benchHeight") / 100;
      double heel = strideM(body, bench);
      FrontHeel found = new FrontHeel(heel);
      double stride = heel + Segments.ANKLE_FROM_HEEL * body.footM();
      return candidate
          .map(
              start ->
                  checked(start.exercise(), Map.of("stride", stride, "rearHeight", bench), found))
          .orElse(new Found(Map.of(), found));
    }
  };

  /** Of the choice how the rear foot stands (OtherLeg.Foot): on its instep, on a bench. */
  private static final double INSTEP = 1;

  /**
   * Hip centre above the seat, and behind its edge when one sits on the very edge, m (own
   * estimates).
   */
  private static final double HIP_ABOVE_SEAT = 0.09;

  private static final double HIP_BEHIND_EDGE = 0.10;

  /** One thing to answer; values in its unit. */
  public record Question(
      String id, String label, String unit, Allowed allowed, double usual, double step) {}

  /**
   * What was found.
   *
   * @param setup values for the set-up, in the parameters' units; empty where no exercise takes
   *     them
   * @param place where the feet stand; {@code words.BodyWords} says it
   */
  public record Found(Map<String, Double> setup, FeetFound place) {}

  /** Where the feet stand after a start without a tape. */
  public sealed interface FeetFound extends Fact {}

  /** Ankles so far apart, m, and toes turned out, deg. */
  public record StanceFound(double stanceM, double toeOutDeg) implements FeetFound {}

  /** Ankles above the line of the hips along the plate, m; below it where negative. */
  public record FeetOnPlate(double heightM) implements FeetFound {}

  /** The front heel so far in front of the bench, m. */
  public record FrontHeel(double aheadM) implements FeetFound {}

  private final String label;
  private final List<String> steps;
  private final List<Question> questions;

  TapelessStart(String label, List<String> steps, List<Question> questions) {
    this.label = label;
    this.steps = steps;
    this.questions = questions;
  }

  /** Name of the way. */
  public String label() {
    return label;
  }

  /** What client and coach do, in order. */
  public List<String> steps() {
    return steps;
  }

  /** What is asked after the steps. */
  public List<Question> questions() {
    return questions;
  }

  /** The ways that suit an exercise. */
  public static List<TapelessStart> of(Candidate candidate) {
    Exercise exercise = candidate.exercise();
    List<TapelessStart> list = new ArrayList<>();
    for (TapelessStart start : values()) {
      if (start.suits(candidate, exercise)) {
        list.add(start);
      }
    }
    return list;
  }

  /**
   * What the answers say of a candidate, or of the client alone where the way needs none; throws
   * {@link InvalidInput} naming an answer that is missing, out of range, or leads beyond what the
   * set-up takes.
   */
  public Found found(
      Body body,
      GymEquipment equipment,
      Optional<Candidate> candidate,
      Map<String, Double> answers) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    if ((this != SIT_AND_REACH || candidate.isPresent())
        && candidate.filter(start -> suits(start, start.exercise())).isEmpty()) {
      faults.add(new InvalidInput.Fault("candidateId", "needs an exercise that takes this start"));
    }
    Map<String, Double> complete = new LinkedHashMap<>();
    for (Question question : questions) {
      Double v = answers.get(question.id());
      if (v == null || !question.allowed().contains(v)) {
        faults.add(
            InvalidInput.Fault.saying(
                "answers." + question.id(),
                "needs %.4g to %.4g %s",
                question.allowed().min(),
                question.allowed().max(),
                question.unit()));
      } else {
        complete.put(question.id(), v);
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return find(body, equipment, candidate, complete);
  }

  abstract boolean suits(Candidate candidate, Exercise exercise);

  abstract Found find(
      Body body,
      GymEquipment equipment,
      Optional<Candidate> candidate,
      Map<String, Double> answers);

  /** Edge of the bench to the heel, by the straight leg from the hip to the floor, m. */
  static double strideM(Body body, double benchM) {
    double down = benchM + HIP_ABOVE_SEAT - body.ankleHeightM();
    double leg = body.thighM() + body.shankM();
    return Math.sqrt(Math.max(0, leg * leg - down * down))
        - HIP_BEHIND_EDGE
        - Segments.ANKLE_FROM_HEEL * body.footM();
  }

  private static Optional<SetupParameter> parameter(Exercise exercise, String id) {
    return exercise.family().parameters().stream()
        .filter(parameter -> parameter.id().equals(id))
        .findFirst();
  }

  private static boolean has(Exercise exercise, String id) {
    return parameter(exercise, id).isPresent();
  }

  private static Found checked(Exercise exercise, Map<String, Double> values, FeetFound place) {
    Map<String, Double> setup = new LinkedHashMap<>();
    values.forEach(
        (id, v) ->
            setup.put(id, parameter(exercise, id).orElseThrow().allowed().check("setup." + id, v)));
    return new Found(setup, place);
  }
}
