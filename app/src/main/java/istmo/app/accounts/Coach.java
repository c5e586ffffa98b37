package istmo.app.accounts;

import java.util.UUID;

/** A coach, as other features see one. */
public record Coach(UUID id, String name) {}
