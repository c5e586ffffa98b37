package istmo.app.catalogue.web;

import istmo.app.catalogue.Variants;
import istmo.app.platform.Needed;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A coach's own variants of exercises; they are listed with the catalogue. */
@RestController
@RequestMapping("/api/variants")
class VariantController {
  private final Variants variants;

  VariantController(Variants variants) {
    this.variants = variants;
  }

  /** setup: as it stands for this client; what grows with the body is kept in proportion. */
  record VariantInput(String exerciseId, String name, Map<String, Double> setup, UUID clientId) {}

  /**
   * Keeps a set-up of an exercise as a variant of the coach's own, which is ordered like every
   * other.
   */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  CatalogueController.CandidateView add(@RequestBody VariantInput input) {
    new Needed()
        .field("exerciseId", input.exerciseId())
        .field("setup", input.setup())
        .field("clientId", input.clientId())
        .check();
    Candidate candidate =
        variants.add(input.exerciseId(), input.name(), input.setup(), input.clientId());
    return CatalogueController.CandidateView.own(candidate, false);
  }

  /** The id is the candidate's: exercise/variant. */
  @DeleteMapping("/{exerciseId}/{variant}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void retire(@PathVariable String exerciseId, @PathVariable String variant) {
    variants.retire(new CandidateId(exerciseId + "/" + variant));
  }

  /** Puts one back that was taken out. */
  @PutMapping("/{exerciseId}/{variant}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putBack(@PathVariable String exerciseId, @PathVariable String variant) {
    variants.putBack(new CandidateId(exerciseId + "/" + variant));
  }
}
