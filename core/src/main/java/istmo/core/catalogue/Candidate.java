package istmo.core.catalogue;

import istmo.core.movement.Setup;

/**
 * An exercise with a named usual set-up.
 *
 * @param id "exercise/variant"
 */
public record Candidate(String id, String exerciseId, String name, Setup usual) {}
