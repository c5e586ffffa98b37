package istmo.app.exchange;

import istmo.app.catalogue.OwnExercises;
import istmo.app.catalogue.Variants;
import istmo.app.exchange.ArchiveReading.ReadExercise;
import istmo.app.exchange.ArchiveReading.ReadVariant;
import istmo.app.schools.Schools;
import istmo.core.catalogue.CandidateId;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Own variants, exercises and schools of an archive brought in: by their ids there, those here. */
@Component
class OwnThingsImport {
  private final Variants variants;
  private final OwnExercises exercises;
  private final Schools schools;

  OwnThingsImport(Variants variants, OwnExercises exercises, Schools schools) {
    this.variants = variants;
    this.exercises = exercises;
    this.schools = schools;
  }

  Map<CandidateId, CandidateId> catalogue(ArchiveReading file) {
    Map<CandidateId, CandidateId> names = new HashMap<>();
    for (ReadVariant variant : file.variants.values()) {
      names.put(
          variant.id(),
          variants
              .bringIn(
                  variant.id().ownKey().orElseThrow(),
                  variant.exerciseId(),
                  variant.name(),
                  variant.setup(),
                  variant.retired())
              .id());
    }
    for (ReadExercise exercise : file.exercises.values()) {
      names.put(
          exercise.exercise().candidateId(),
          exercises
              .bringIn(exercise.exercise(), exercise.said(), exercise.retired())
              .candidateId());
    }
    return names;
  }

  Map<String, String> schools(ArchiveReading file) {
    Map<String, String> names = new HashMap<>();
    file.schools
        .values()
        .forEach(
            school ->
                names.put(
                    school.id(),
                    schools.bringIn(school.id(), school.wish(), school.retired()).id()));
    return names;
  }
}
