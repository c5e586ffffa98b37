package istmo.app.gyms;

import istmo.app.accounts.CurrentCoach;
import istmo.app.gyms.persistence.GymEntity;
import istmo.app.gyms.persistence.GymRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
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

  @Transactional(readOnly = true)
  public List<Gym> all() {
    return repository.findByCoachIdOrderByName(coach.id()).stream().map(Gyms::view).toList();
  }

  @Transactional(readOnly = true)
  public Gym get(UUID id) {
    return view(entity(id));
  }

  @Transactional
  public Gym add(String name, Set<String> equipment) {
    String trimmed = checkName(name, null);
    GymEntity e = new GymEntity(UUID.randomUUID(), coach.id(), clock.instant());
    e.write(trimmed, Equipment.check(equipment));
    return view(repository.saveAndFlush(e));
  }

  @Transactional
  public Gym change(UUID id, int version, String name, Set<String> equipment) {
    GymEntity e = entity(id);
    if (e.getVersion() != version) {
      throw new Conflict(e.getName() + " was changed elsewhere meanwhile. Load again; nothing was overwritten.");
    }
    e.write(checkName(name, e.getName()), Equipment.check(equipment));
    return view(repository.saveAndFlush(e));
  }

  private GymEntity entity(UUID id) {
    return repository.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("gym"));
  }

  private String checkName(String name, String before) {
    String trimmed = Names.checked(name);
    if (!trimmed.equals(before) && repository.existsByCoachIdAndName(coach.id(), trimmed)) {
      throw new InvalidInput("name", "another gym is called " + trimmed + " already");
    }
    return trimmed;
  }

  private static Gym view(GymEntity e) {
    return new Gym(e.getId(), e.getVersion(), e.getName(), e.equipment());
  }
}
