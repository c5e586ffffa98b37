package istmo.app.gyms.web;

import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Names;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.InvalidInput;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gyms over HTTP. */
@RestController
@RequestMapping("/api/gyms")
class GymController {
  private final Gyms gyms;

  GymController(Gyms gyms) {
    this.gyms = gyms;
  }

  record GymInput(Integer version, String name, Set<String> equipment) {
    Set<Equipment> items() {
      return Equipment.all(equipment == null ? Set.of() : equipment);
    }
  }

  /** removed: it was taken out; only to name it, and to put it back. */
  record GymView(UUID id, int version, String name, Set<String> equipment, boolean removed) {
    static GymView of(Gym gym) {
      return new GymView(
          gym.id(),
          gym.version(),
          gym.name(),
          new TreeSet<>(Equipment.ids(gym.equipment().items())),
          gym.removed());
    }
  }

  /** Every gym with its equipment, by name; those that were taken out only where asked for. */
  @GetMapping
  List<GymView> all(@RequestParam(defaultValue = "false") boolean removed) {
    return gyms.all().stream().filter(gym -> gym.removed() == removed).map(GymView::of).toList();
  }

  /** Takes a gym out of every list. Sessions and plans of it keep it. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOut(@PathVariable UUID id) {
    gyms.takeOut(id);
  }

  /** Puts one back that was taken out. */
  @PostMapping("/{id}/restore")
  GymView putBack(@PathVariable UUID id) {
    return GymView.of(gyms.putBack(id));
  }

  /** One gym with its equipment. */
  @GetMapping("/{id}")
  GymView one(@PathVariable UUID id) {
    return GymView.of(gyms.get(id));
  }

  /** Adds a gym with a name and equipment ids of the catalogue. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  GymView add(@RequestBody GymInput input) {
    InvalidInput.together(() -> Names.checked(input.name()), input::items);
    return GymView.of(gyms.add(input.name(), input.items()));
  }

  /**
   * Changes name and equipment of a gym. {@code version} must be the one that was read; 409 if it
   * has changed since.
   */
  @PutMapping("/{id}")
  GymView change(@PathVariable UUID id, @RequestBody GymInput input) {
    if (input.version() == null) {
      throw new InvalidInput("version", "is needed: the version that was shown");
    }
    InvalidInput.together(() -> Names.checked(input.name()), input::items);
    return GymView.of(gyms.change(id, input.version(), input.name(), input.items()));
  }
}
