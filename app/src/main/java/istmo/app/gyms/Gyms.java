package istmo.app.gyms;

import istmo.app.accounts.CurrentCoach;
import istmo.app.gyms.persistence.GymEntity;
import istmo.app.gyms.persistence.GymRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull;
import istmo.core.measuring.ResistanceFit;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The signed-in coach's gyms. */
@Service
public class Gyms {
  private final GymRepository repository;
  private final CurrentCoach coach;
  private final Clock clock;

  Gyms(GymRepository repository, CurrentCoach coach, Clock clock) {
    this.repository = repository;
    this.coach = coach;
    this.clock = clock;
  }

  /** Every gym of the coach, those that were taken out too, by name. */
  @Transactional(readOnly = true)
  public List<Gym> all() {
    return repository.findByCoachIdOrderByName(coach.id()).stream().map(Gyms::view).toList();
  }

  /** The gym with this id; throws {@code NotFound} when the coach has none. */
  @Transactional(readOnly = true)
  public Gym get(UUID id) {
    return view(entity(id));
  }

  /** The gym with this id, for something new: throws {@code Conflict} where it was taken out. */
  @Transactional(readOnly = true)
  public Gym inUse(UUID id) {
    Gym gym = get(id);
    if (gym.removed()) {
      throw new Conflict(gym.name() + " was taken out. Put it back first.");
    }
    return gym;
  }

  /** Takes a gym out of every list; what was done and planned there keeps it. */
  @Transactional
  public void takeOut(UUID id) {
    GymEntity entity = entity(id);
    if (!entity.isRemoved()) {
      entity.takeOut(clock.instant());
    }
  }

  /** Puts one back that was taken out. */
  @Transactional
  public Gym putBack(UUID id) {
    GymEntity entity = entity(id);
    entity.putBack();
    return view(repository.saveAndFlush(entity));
  }

  /** Adds a gym with equipment; throws {@code InvalidInput} for what cannot be. */
  @Transactional
  public Gym add(String name, Set<Equipment> equipment) {
    String trimmed = checkName(name, null);
    GymEntity entity = new GymEntity(UUID.randomUUID(), coach.id(), clock.instant());
    entity.write(trimmed, equipment);
    return view(repository.saveAndFlush(entity));
  }

  /** A gym with everything that is known of it. */
  @Transactional
  public Gym bringIn(
      String name, GymEquipment equipment, Map<Equipment, List<Pull>> pulls, boolean removed) {
    String trimmed = checkName(name, null);
    checkPulls(equipment, pulls);
    GymEntity entity = new GymEntity(UUID.randomUUID(), coach.id(), clock.instant());
    entity.write(trimmed, equipment.items());
    entity.know(equipment, pulls);
    if (removed) {
      entity.takeOut(clock.instant());
    }
    return view(repository.saveAndFlush(entity));
  }

  /** Throws where pulls could not have said anything of a machine. */
  public static void checkPulls(GymEquipment equipment, Map<Equipment, List<Pull>> pulls) {
    pulls.forEach((item, all) -> ResistanceFit.of(item, equipment, all));
  }

  /**
   * Changes name and equipment; throws {@code Conflict} when the gym was changed since {@code
   * version}.
   */
  @Transactional
  public Gym change(UUID id, int version, String name, Set<Equipment> equipment) {
    GymEntity entity = seen(id, version);
    entity.write(checkName(name, entity.getId()), equipment);
    return view(repository.saveAndFlush(entity));
  }

  /**
   * Keeps what is known of one thing: its values as they are given, all of them. Pulls of it are
   * forgotten where a value that came from them is changed by hand.
   */
  @Transactional
  public Gym know(UUID id, int version, Equipment item, Map<String, Double> values) {
    GymEntity entity = seen(id, version);
    Map<Equipment, List<Pull>> pulls = new HashMap<>(entity.pulls());
    if (pulls.containsKey(item)
        && !fitted(entity.equipment(), item, pulls.get(item)).entrySet().stream()
            .allMatch(entry -> near(entry.getValue(), values.get(entry.getKey())))) {
      pulls.remove(item);
    }
    return keep(entity, item, values, pulls);
  }

  /** Keeps pulls with a hanging scale and what they say; no pulls takes both away. */
  @Transactional
  public Gym pull(UUID id, int version, Equipment item, List<Pull> pulls) {
    GymEntity entity = seen(id, version);
    Map<String, Double> values =
        new LinkedHashMap<>(entity.equipment().measured().getOrDefault(item, Map.of()));
    Map<Equipment, List<Pull>> all = new HashMap<>(entity.pulls());
    if (all.containsKey(item)) {
      values.keySet().removeAll(fitted(entity.equipment(), item, all.get(item)).keySet());
    }
    if (pulls.isEmpty()) {
      all.remove(item);
    } else {
      all.put(item, pulls);
      values.putAll(fitted(entity.equipment(), item, pulls));
    }
    return keep(entity, item, values, all);
  }

  /** Keeps which plates there are. */
  @Transactional
  public Gym plates(UUID id, int version, Plates plates) {
    GymEntity entity = seen(id, version);
    entity.know(
        new GymEquipment(entity.equipment().items(), entity.equipment().measured(), plates),
        entity.pulls());
    return view(repository.saveAndFlush(entity));
  }

  private static Map<String, Double> fitted(
      GymEquipment equipment, Equipment item, List<Pull> pulls) {
    return ResistanceFit.of(item, equipment, pulls).values();
  }

  private static boolean near(double a, @Nullable Double b) {
    return b != null && Math.abs(a - b) < 1e-9;
  }

  private Gym keep(
      GymEntity entity,
      Equipment item,
      Map<String, Double> values,
      Map<Equipment, List<Pull>> pulls) {
    Map<Equipment, Map<String, Double>> measured = new EnumMap<>(Equipment.class);
    measured.putAll(entity.equipment().measured());
    measured.put(item, values);
    entity.know(
        new GymEquipment(entity.equipment().items(), measured, entity.equipment().plates()), pulls);
    return view(repository.saveAndFlush(entity));
  }

  private GymEntity seen(UUID id, int version) {
    GymEntity entity = entity(id);
    if (entity.getVersion() != version) {
      throw new Conflict(
          entity.getName()
              + " was changed elsewhere meanwhile. Load again; nothing was overwritten.");
    }
    return entity;
  }

  private GymEntity entity(UUID id) {
    return repository.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("gym"));
  }

  private String checkName(String name, @Nullable UUID own) {
    String trimmed = Names.checked(name);
    boolean taken =
        own == null
            ? repository.existsByCoachIdAndName(coach.id(), trimmed)
            : repository.existsByCoachIdAndNameAndIdNot(coach.id(), trimmed, own);
    if (taken) {
      throw new InvalidInput(
          "name", "another gym is called " + trimmed + " already, or was before it was taken out");
    }
    return trimmed;
  }

  private static Gym view(GymEntity entity) {
    return new Gym(
        entity.getId(),
        entity.getVersion(),
        entity.getName(),
        entity.equipment(),
        entity.pulls(),
        entity.isRemoved());
  }
}
