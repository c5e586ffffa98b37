package istmo.app.gyms.web;

import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.core.equipment.Detail;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull;
import istmo.core.measuring.ResistanceFit;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of a gym's machines. Values in the details' units (m, deg, kg); forces in N. */
@RestController
@RequestMapping("/api/gyms/{gymId}/machines")
class MachineController {
  private final Gyms gyms;

  MachineController(Gyms gyms) {
    this.gyms = gyms;
  }

  /**
   * The value that is used; measured says whether somebody has measured it here. Unit "yes" is 1 or
   * 0.
   */
  record DetailView(
      String id,
      String label,
      String unit,
      double min,
      double max,
      double value,
      double generic,
      boolean measured,
      String how) {}

  record PullView(
      double at, double forceN, double leverM, double loadKg, Pull.Direction direction) {}

  /** How its resistance can be measured. */
  enum Travel {
    /** by a lever's angle, deg */
    LEVER,
    /** along a rail, m */
    RAIL,
    /** nothing to measure */
    NONE
  }

  record MachineView(
      String item, String name, Travel travel, List<DetailView> details, List<PullView> pulls) {}

  record MachinesView(
      UUID gymId,
      String gymName,
      int version,
      List<PlatesView> plates,
      List<MachineView> machines) {}

  /** Plates of one mass, kg, and how many pairs of them. */
  record PlatesView(double kg, int pairs) {}

  record PlateInput(Double kg, Integer pairs) {}

  record PlatesInput(Integer version, List<PlateInput> plates) {
    Plates checked() {
      Map<Double, Integer> pairs = new LinkedHashMap<>();
      for (PlateInput input : plates == null ? List.<PlateInput>of() : plates) {
        if (input.kg() == null
            || input.pairs() == null
            || pairs.put(input.kg(), input.pairs()) != null) {
          throw new InvalidInput("plates", "needs each mass once, with its pairs");
        }
      }
      return new Plates(pairs);
    }
  }

  record MeasuredInput(Integer version, Map<String, Double> measured) {}

  record PullInput(
      Double at, Double forceN, Double leverM, Double loadKg, Pull.Direction direction) {}

  record PullsInput(Integer version, List<PullInput> pulls) {
    List<Pull> checked() {
      List<Pull> result = new ArrayList<>();
      List<InvalidInput.Fault> faults = new ArrayList<>();
      for (int k = 0; pulls != null && k < pulls.size(); k++) {
        PullInput input = pulls.get(k);
        if (input.at() == null || input.forceN() == null || input.loadKg() == null) {
          faults.add(
              new InvalidInput.Fault(
                  "pulls."
                      + k
                      + "."
                      + (input.at() == null ? "at" : input.forceN() == null ? "forceN" : "loadKg"),
                  "is needed"));
        } else {
          result.add(
              new Pull(
                  input.at(),
                  input.forceN(),
                  input.leverM() == null ? 0 : input.leverM(),
                  input.loadKg(),
                  input.direction() == null ? Pull.Direction.STILL : input.direction()));
        }
      }
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return result;
    }
  }

  record FitPointView(double at, double measured, double fitted, double generic) {}

  /** unit of the points: m (moment over the stack's weight) or N. Errors are shares. */
  record FitView(
      Map<String, Double> values,
      List<FitPointView> points,
      String unit,
      double repeatError,
      double genericError,
      List<String> notes) {
    static FitView of(ResistanceFit resistanceFit) {
      return new FitView(
          resistanceFit.values(),
          resistanceFit.points().stream()
              .map(
                  point ->
                      new FitPointView(
                          point.at(), point.measured(), point.fitted(), point.generic()))
              .toList(),
          resistanceFit.unit(),
          Rounded.of(resistanceFit.repeatError()),
          Rounded.of(resistanceFit.genericError()),
          Words.of(resistanceFit.notes()));
    }
  }

  record FittedView(MachinesView machines, @MayBeMissing FitView fit) {}

  /** The machines of a gym with what is known of each: its measured details, pulls and plates. */
  @GetMapping
  MachinesView all(@PathVariable UUID gymId) {
    return view(gyms.get(gymId));
  }

  /** Keeps all values of one thing; what is left out becomes generic again. */
  @PutMapping("/{item}")
  MachinesView know(
      @PathVariable UUID gymId, @PathVariable String item, @RequestBody MeasuredInput input) {
    return view(
        gyms.know(
            gymId,
            version(input.version()),
            Equipment.of(item),
            input.measured() == null ? Map.of() : input.measured()));
  }

  /** Keeps which plates there are; smallest step of bars and sleds that say nothing themselves. */
  @PutMapping
  MachinesView plates(@PathVariable UUID gymId, @RequestBody PlatesInput input) {
    return view(gyms.plates(gymId, version(input.version()), input.checked()));
  }

  /** What pulls say, without keeping it. */
  @PostMapping("/{item}/fit")
  FitView fit(@PathVariable UUID gymId, @PathVariable String item, @RequestBody PullsInput input) {
    return FitView.of(
        ResistanceFit.of(Equipment.of(item), gyms.get(gymId).equipment(), input.checked()));
  }

  /** Keeps pulls and what they say; none takes both away. */
  @PutMapping("/{item}/pulls")
  FittedView pull(
      @PathVariable UUID gymId, @PathVariable String item, @RequestBody PullsInput input) {
    List<Pull> pulls = input.checked();
    Gym gym = gyms.pull(gymId, version(input.version()), Equipment.of(item), pulls);
    return new FittedView(
        view(gym),
        pulls.isEmpty()
            ? null
            : FitView.of(ResistanceFit.of(Equipment.of(item), gym.equipment(), pulls)));
  }

  private static int version(Integer version) {
    if (version == null) {
      throw new InvalidInput("version", "is needed: the version that was shown");
    }
    return version;
  }

  private static MachinesView view(Gym gym) {
    List<MachineView> machines = new ArrayList<>();
    for (Equipment item : Equipment.values()) {
      if (gym.equipment().items().contains(item) && !item.details().isEmpty()) {
        Travel travel =
            !ResistanceFit.possible(item)
                ? Travel.NONE
                : ResistanceFit.onLever(item) ? Travel.LEVER : Travel.RAIL;
        machines.add(
            new MachineView(
                item.id(),
                item.label(),
                travel,
                item.details().stream().map(detail -> detail(gym, item, detail)).toList(),
                gym.pulls().getOrDefault(item, List.of()).stream()
                    .map(
                        pull ->
                            new PullView(
                                pull.at(),
                                pull.forceN(),
                                pull.leverM(),
                                pull.loadKg(),
                                pull.direction()))
                    .toList()));
      }
    }
    return new MachinesView(
        gym.id(),
        gym.name(),
        gym.version(),
        gym.equipment().plates().pairs().entrySet().stream()
            .map(entry -> new PlatesView(entry.getKey(), entry.getValue()))
            .toList(),
        machines);
  }

  private static DetailView detail(Gym gym, Equipment item, Detail detail) {
    return new DetailView(
        detail.id(),
        detail.label(),
        detail.unit(),
        detail.allowed().min(),
        detail.allowed().max(),
        gym.equipment().value(item, detail.id()),
        detail.usual(),
        gym.equipment().measured(item, detail.id()).isPresent(),
        detail.how());
  }
}
