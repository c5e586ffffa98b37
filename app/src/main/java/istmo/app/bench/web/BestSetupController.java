package istmo.app.bench.web;

import istmo.app.bench.Bench;
import istmo.app.platform.FactView;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.schools.Schools;
import istmo.core.anatomy.RegionValues;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.setup.BestSetup;
import istmo.core.words.OrderWords;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The best set-up for an aim over HTTP, and what one step of each control changes. */
@RestController
class BestSetupController {
  private final Bench bench;
  private final Schools schools;

  BestSetupController(Bench bench, Schools schools) {
    this.bench = bench;
    this.schools = schools;
  }

  /**
   * aim: region id to 1, 2 or 3; keepOut: region ids; the side without a set-up begins with the
   * usual one.
   */
  record AimedSideInput(
      BenchController.SideInput side,
      Map<String, Integer> aim,
      Set<String> keepOut,
      String school) {
    Bench.SetupRequest request() {
      if (side == null || side.clientId() == null || side.candidateId() == null) {
        throw new InvalidInput("side", "needs clientId and candidateId");
      }
      return new Bench.SetupRequest(
          side.clientId(),
          Optional.ofNullable(side.gymId()),
          side.candidateId(),
          Optional.ofNullable(side.setup()),
          Boolean.TRUE.equals(side.stiffToday()));
    }

    Aim wanted() {
      return Aim.of(aim == null ? Map.of() : aim, keepOut == null ? Set.of() : keepOut);
    }
  }

  record MovedView(String parameterId, double from, double to) {}

  /**
   * gain: share of the fit at the beginning; flat: controls of which one step either way changes
   * next to nothing; bounded: why the best goes no further; elsewhere: what changes in regions that
   * are not aimed at; tried: set-ups computed, there is no bound.
   */
  record BestView(
      Map<String, Double> setup,
      double gain,
      boolean toldApart,
      String sentence,
      List<MovedView> moved,
      List<String> flat,
      List<FactView> bounded,
      String elsewhere,
      int tried) {}

  /**
   * One way of one control: where it is then, what the aim gains as a share, and every region's
   * change of stimulus; or why it cannot go there.
   */
  record WayView(
      double value,
      @MayBeMissing Double gain,
      @MayBeMissing String obstacle,
      Map<String, Double> change) {}

  record StepView(String parameterId, double step, WayView more, WayView less) {}

  record StepsView(Map<String, Double> setup, List<StepView> steps) {}

  /** The set-up of an exercise that gives an aim most on this body, and why it goes no further. */
  @PostMapping("/api/bench/best")
  BestView best(@RequestBody AimedSideInput input) {
    BestSetup.Best best = bench.best(input.request(), input.wanted(), schools.get(input.school()));
    return new BestView(
        best.to().values(),
        Rounded.of(best.gain()),
        best.toldApart(),
        OrderWords.of(best),
        best.moved().stream()
            .map(moved -> new MovedView(moved.parameter().id(), moved.from(), moved.to()))
            .toList(),
        best.flat().stream().map(SetupParameter::id).toList(),
        FactView.of(best.bounded()),
        OrderWords.changes(best.elsewhere()),
        best.tried());
  }

  /** What one step of each control either way changes for the aim. */
  @PostMapping("/api/bench/steps")
  StepsView steps(@RequestBody AimedSideInput input) {
    BestSetup.Steps found =
        bench.steps(input.request(), input.wanted(), schools.get(input.school()));
    return new StepsView(
        found.at().values(),
        found.steps().stream()
            .map(
                step ->
                    new StepView(
                        step.parameter().id(),
                        step.parameter().step(),
                        way(found, step.more()),
                        way(found, step.less())))
            .toList());
  }

  private static WayView way(BestSetup.Steps from, BestSetup.Move move) {
    Map<String, Double> change =
        move.byRegion()
            .map(
                to ->
                    Rounded.of(
                        RegionValues.of(region -> to.get(region) - from.byRegion().get(region))))
            .orElse(Map.of());
    return move.obstacle()
        .map(why -> new WayView(move.value(), null, Words.of(why), Map.of()))
        .orElseGet(() -> new WayView(move.value(), Rounded.of(from.gain(move)), null, change));
  }
}
