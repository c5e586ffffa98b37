package istmo.app.gyms;

import java.util.Set;
import java.util.UUID;

/** A gym, as other features see it: equipment ids. */
public record Gym(UUID id, int version, String name, Set<String> equipment) {}
