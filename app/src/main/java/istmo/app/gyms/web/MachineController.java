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
      for (PlateInput p : plates == null ? List.<PlateInput>of() : plates) {
        if (p.kg() == null || p.pairs() == null || pairs.put(p.kg(), p.pairs()) != null) {
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
        PullInput p = pulls.get(k);
        if (p.at() == null || p.forceN() == null || p.loadKg() == null) {
          faults.add(
              new InvalidInput.Fault(
                  "pulls."
                      + k
                      + "."
                      + (p.at() == null ? "at" : p.forceN() == null ? "forceN" : "loadKg"),
                  "is needed"));
        } else {
          result.add(
              new Pull(
                  p.at(),
                  p.forceN(),
                  p.leverM() == null ? 0 : p.leverM(),
                  p.loadKg(),
                  p.direction() == null ? Pull.Direction.STILL : p.direction()));
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
    static FitView of(ResistanceFit f) {
      return new FitView(
          f.values(),
          f.points().stream()
              .map(p -> new FitPointView(p.at(), p.measured(), p.fitted(), p.generic()))
              .toList(),
          f.unit(),
          Rounded.of(f.repeatError()),
          Rounded.of(f.genericError()),
          f.notes());
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
            item,
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
    return FitView.of(ResistanceFit.of(item, gyms.get(gymId).equipment(), input.checked()));
  }

  /** Keeps pulls and what they say; none takes both away. */
  @PutMapping("/{item}/pulls")
  FittedView pull(
      @PathVariable UUID gymId, @PathVariable String item, @RequestBody PullsInput input) {
    List<Pull> pulls = input.checked();
    Gym g = gyms.pull(gymId, version(input.version()), item, pulls);
    return new FittedView(
        view(g), pulls.isEmpty() ? null : FitView.of(ResistanceFit.of(item, g.equipment(), pulls)));
  }

  private static int version(Integer version) {
    if (version == null) {
      throw new InvalidInput("version", "is needed: the version that was shown");
    }
    return version;
  }

  private static MachinesView view(Gym g) {
    List<MachineView> machines = new ArrayList<>();
    for (Equipment.Item i : Equipment.all()) {
      if (g.equipment().items().contains(i.id()) && !i.details().isEmpty()) {
        Travel travel =
            !ResistanceFit.possible(i.id())
                ? Travel.NONE
                : ResistanceFit.onLever(i.id()) ? Travel.LEVER : Travel.RAIL;
        machines.add(
            new MachineView(
                i.id(),
                i.name(),
                travel,
                i.details().stream().map(d -> detail(g, i.id(), d)).toList(),
                g.pulls().getOrDefault(i.id(), List.of()).stream()
                    .map(
                        p ->
                            new PullView(p.at(), p.forceN(), p.leverM(), p.loadKg(), p.direction()))
                    .toList()));
      }
    }
    return new MachinesView(
        g.id(),
        g.name(),
        g.version(),
        g.equipment().plates().pairs().entrySet().stream()
            .map(e -> new PlatesView(e.getKey(), e.getValue()))
            .toList(),
        machines);
  }

  private static DetailView detail(Gym g, String item, Detail d) {
    return new DetailView(
        d.id(),
        d.label(),
        d.unit(),
        d.allowed().min(),
        d.allowed().max(),
        g.equipment().value(item, d.id()),
        d.usual(),
        g.equipment().measured(item, d.id()).isPresent(),
        d.how());
  }
}
