package istmo.app.catalogue.web;

import istmo.app.catalogue.OwnExerciseDocument;
import istmo.app.catalogue.OwnExercises;
import istmo.app.platform.Needed;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A coach's own exercises, used by word; they are listed with the catalogue. */
@RestController
@RequestMapping("/api/exercises")
class OwnExerciseController {
  private final OwnExercises exercises;

  OwnExerciseController(OwnExercises exercises) {
    this.exercises = exercises;
  }

  record OwnExerciseInput(String name, OwnExerciseDocument said) {}

  /** version: the one that was seen. */
  record OwnExerciseChange(String name, OwnExerciseDocument said, Integer version) {}

  /** Keeps an exercise of the coach's own: a name, and what it trains by the coach's word. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  CatalogueController.ByWordView add(@RequestBody OwnExerciseInput input) {
    new Needed().field("said", input.said()).check();
    return CatalogueController.ByWordView.of(exercises.add(input.name(), input.said()));
  }

  /** Says something else of it. 409 if it was changed meanwhile. The id is "own-…". */
  @PutMapping("/{exerciseId}")
  CatalogueController.ByWordView change(
      @PathVariable String exerciseId, @RequestBody OwnExerciseChange input) {
    new Needed().field("said", input.said()).field("version", input.version()).check();
    return CatalogueController.ByWordView.of(
        exercises.change(exerciseId, input.version(), input.name(), input.said()));
  }

  /** Takes it out of what can be chosen; sessions that have it keep it. */
  @DeleteMapping("/{exerciseId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void retire(@PathVariable String exerciseId) {
    exercises.retire(exerciseId);
  }

  /** Puts one back that was taken out. */
  @PutMapping("/{exerciseId}/back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putBack(@PathVariable String exerciseId) {
    exercises.putBack(exerciseId);
  }
}
