package istmo.app.clients;

import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import java.util.Set;
import java.util.UUID;

/** A client, as other features see it. */
public record Client(UUID id, int version, String name, Intake intake, Set<PainFlag> pain) {}
