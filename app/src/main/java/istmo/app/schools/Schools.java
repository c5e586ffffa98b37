package istmo.app.schools;

import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.app.schools.persistence.OwnSchoolEntity;
import istmo.app.schools.persistence.OwnSchoolRepository;
import istmo.core.quantity.InvalidInput;
import istmo.core.stimulus.School;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * By which schools the signed-in coach can judge: the stated ones, and own. An own school that was
 * taken out still judges the sessions that have it.
 */
@Service
public class Schools {
  /**
   * Own schools that a coach can have: each costs some milliseconds wherever places are told by
   * school.
   */
  static final int MOST = 8;

  private static final String OWN = "own-";

  private final OwnSchoolRepository repository;
  private final CurrentCoach coach;
  private final Clock clock;

  Schools(OwnSchoolRepository repository, CurrentCoach coach, Clock clock) {
    this.repository = repository;
    this.coach = coach;
    this.clock = clock;
  }

  /** What can be chosen: the stated ones, then own ones that are in use, oldest first. */
  @Transactional(readOnly = true)
  public List<School> all() {
    return listed().stream().filter(listed -> !listed.retired()).map(Listed::school).toList();
  }

  /** A school that can be named; an own one that is taken out is in no list to choose from. */
  public record Listed(School school, boolean own, boolean retired) {}

  /** The stated ones, the default first, then own ones, retired too. */
  @Transactional(readOnly = true)
  public List<Listed> listed() {
    List<Listed> all =
        new ArrayList<>(
            School.all().stream().map(school -> new Listed(school, false, false)).toList());
    repository
        .findByCoachIdOrderByCreatedAt(coach.id())
        .forEach(entity -> all.add(new Listed(school(entity), true, entity.isRetired())));
    return List.copyOf(all);
  }

  /**
   * The school, or the default for none; throws {@link InvalidInput} for what is neither stated nor
   * this coach's.
   */
  @Transactional(readOnly = true)
  public School get(@Nullable String id) {
    if (id == null) {
      return School.STRETCH;
    }
    return id.startsWith(OWN)
        ? entity(id)
            .map(Schools::school)
            .orElseThrow(
                () -> new InvalidInput("school", "\"" + id + "\" is not one of your schools"))
        : School.get(id);
  }

  /** What a coach can set of a school. */
  public record SchoolSettings(
      String label,
      String reason,
      double lengthBias,
      double passiveWeight,
      double activityTrust,
      double practiceTrust,
      double basics) {
    private School.Leanings leanings() {
      return new School.Leanings(lengthBias, passiveWeight, activityTrust, practiceTrust, basics);
    }

    /** The school that these settings make; throws {@code InvalidInput} where they make none. */
    public School own(String id, String name) {
      return School.own(id, name, reason, leanings());
    }
  }

  /** Adds a school of the coach's own; throws {@code InvalidInput} for settings that cannot be. */
  @Transactional
  public School add(SchoolSettings settings) {
    if (repository.findByCoachIdOrderByCreatedAt(coach.id()).stream()
            .filter(entity -> !entity.isRetired())
            .count()
        >= MOST) {
      throw new Conflict("There are " + MOST + " own schools; take one out first.");
    }
    return save(new OwnSchoolEntity(UUID.randomUUID(), coach.id(), clock.instant()), settings);
  }

  /**
   * Takes over a school that was kept elsewhere as {@code id}: the one that is here already, if
   * there is one alike, or a new one. Where the name or the room is taken, it gets another name, or
   * comes taken out.
   */
  @Transactional
  public School bringIn(String id, SchoolSettings settings, boolean retired) {
    School wished = settings.own(id, settings.label());
    List<OwnSchoolEntity> here = repository.findByCoachIdOrderByCreatedAt(coach.id());
    Optional<School> same =
        here.stream().map(Schools::school).filter(school -> alike(school, wished)).findFirst();
    if (same.isPresent()) {
      return same.get();
    }
    Set<String> taken =
        listed().stream()
            .map(listed -> listed.school().label().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    OwnSchoolEntity entity =
        new OwnSchoolEntity(
            key(id).filter(uuid -> !repository.existsById(uuid)).orElseGet(UUID::randomUUID),
            coach.id(),
            clock.instant());
    entity.set(
        Names.free(
            settings.label().strip(),
            School.LONGEST_NAME,
            name -> taken.contains(name.toLowerCase(Locale.ROOT))),
        settings.reason().strip(),
        settings.lengthBias(),
        settings.passiveWeight(),
        settings.activityTrust(),
        settings.practiceTrust(),
        settings.basics());
    if (retired
        || here.stream().filter(ownSchoolEntity -> !ownSchoolEntity.isRetired()).count() >= MOST) {
      entity.retire(clock.instant());
    }
    return school(repository.save(entity));
  }

  private static boolean alike(School school, School otherSchool) {
    return school.equals(
        School.own(school.id(), otherSchool.label(), otherSchool.reason(), otherSchool.leanings()));
  }

  /** Changes one, or puts one back that was taken out. */
  @Transactional
  public School change(String id, SchoolSettings settings) {
    return save(entity(id).orElseThrow(() -> new NotFound("school")), settings);
  }

  /** Takes a school of the coach's own out of use; what was judged by it keeps its name. */
  @Transactional
  public void retire(String id) {
    entity(id).orElseThrow(() -> new NotFound("school")).retire(clock.instant());
  }

  private School save(OwnSchoolEntity entity, SchoolSettings settings) {
    String label = settings.label() == null ? "" : settings.label().strip();
    School checked = settings.own(OWN + entity.getId(), label);
    if (all().stream()
        .anyMatch(
            school ->
                !school.id().equals(checked.id()) && school.label().equalsIgnoreCase(label))) {
      throw new Conflict("There is a school of that name: " + label + ".");
    }
    entity.set(
        label,
        settings.reason().strip(),
        settings.lengthBias(),
        settings.passiveWeight(),
        settings.activityTrust(),
        settings.practiceTrust(),
        settings.basics());
    repository.save(entity);
    return checked;
  }

  private Optional<OwnSchoolEntity> entity(String id) {
    return key(id).flatMap(uuid -> repository.findByIdAndCoachId(uuid, coach.id()));
  }

  private static Optional<UUID> key(String id) {
    try {
      return id.startsWith(OWN)
          ? Optional.of(UUID.fromString(id.substring(OWN.length())))
          : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static School school(OwnSchoolEntity entity) {
    return School.own(
        OWN + entity.getId(),
        entity.getLabel(),
        entity.getReason(),
        new School.Leanings(
            entity.getLengthBias(),
            entity.getPassiveWeight(),
            entity.getActivityTrust(),
            entity.getPracticeTrust(),
            entity.getBasics()));
  }
}
