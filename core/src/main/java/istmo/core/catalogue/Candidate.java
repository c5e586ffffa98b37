package istmo.core.catalogue;

import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import java.util.Optional;

/**
 * An exercise with a named usual set-up.
 *
 * @param id "exercise/variant"
 * @param yields parameter that gives way upwards when the ankle does not allow the usual set-up ("as low as the heels stay down"), before depth is taken back
 */
public record Candidate(String id, String exerciseId, String name, Setup usual, Optional<SetupParameter> yields) {}
