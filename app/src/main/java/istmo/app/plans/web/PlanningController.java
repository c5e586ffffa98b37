package istmo.app.plans.web;

import istmo.app.platform.Needed;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Block;
import istmo.core.plan.Drops;
import istmo.core.plan.Pairing;
import istmo.core.plan.Prescriber;
import istmo.core.plan.Prescription;
import istmo.core.plan.Scheme;
import istmo.core.plan.Spread;
import istmo.core.quantity.Allowed;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What can be chosen in planning, whichever plan it is for. */
@RestController
@RequestMapping("/api/weeks")
class PlanningController {
  record SchemeView(Scheme scheme, String label, String how) {}

  record PairingView(Pairing pairing, String label) {}

  record PlanningView(
      List<SchemeView> schemes,
      List<PairingView> pairings,
      int leastBlockWeeks,
      int mostBlockWeeks,
      List<List<Integer>> weekdays,
      LimitsView limits) {}

  /** What one number of a prescription may be. */
  record RangeView(double min, double max) {
    static RangeView of(Allowed allowed) {
      return new RangeView(allowed.min(), allowed.max());
    }
  }

  /** tempoS: each part of a repetition, s. */
  record LimitsView(
      RangeView sets,
      RangeView repetitions,
      RangeView reserve,
      RangeView restS,
      RangeView sideRestS,
      RangeView drops,
      RangeView dropsLess,
      int easierLetters,
      RangeView tempoS) {}

  record SchemeInput(Scheme scheme, PrescriptionDocument prescription) {}

  /** What can be chosen in planning. */
  @GetMapping("/planning")
  PlanningView planning() {
    return new PlanningView(
        Arrays.stream(Scheme.values())
            .map(scheme -> new SchemeView(scheme, scheme.label(), scheme.how()))
            .toList(),
        Arrays.stream(Pairing.values())
            .map(pairing -> new PairingView(pairing, pairing.label()))
            .toList(),
        (int) Block.WEEKS.min(),
        (int) Block.WEEKS.max(),
        Spread.all(),
        new LimitsView(
            RangeView.of(Prescription.SETS),
            RangeView.of(Prescription.REPETITIONS),
            RangeView.of(Prescription.RESERVE),
            RangeView.of(Prescription.REST_S),
            RangeView.of(Prescription.SIDE_REST_S),
            RangeView.of(Drops.NUMBER),
            RangeView.of(Drops.LESS),
            Drops.MOST_LETTERS,
            RangeView.of(Tempo.PHASE_S)));
  }

  /**
   * Another way to string sets together, with the repetitions, reserve and pauses that go with it.
   */
  @PostMapping("/prescriptions")
  PrescriptionDocument scheme(@RequestBody SchemeInput input) {
    new Needed()
        .field("scheme", input.scheme())
        .field("prescription", input.prescription())
        .check();
    return PrescriptionDocument.of(
        Prescriber.inScheme(input.scheme(), input.prescription().prescription()));
  }
}
