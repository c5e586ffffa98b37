package istmo.app.weeks;

import istmo.app.platform.NotFound;
import istmo.core.plan.Composer;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/** Searches that are running in this instance: how far they are, and a way to stop them. Each belongs to a plan, which belongs to a coach. */
@Service
class Composing {
  private final Map<UUID, Run> runs = new ConcurrentHashMap<>();

  private static final class Run {
    private final UUID planId;
    private final Composer composer;
    private volatile Composer.Progress progress = new Composer.Progress(0, -1, -1);

    Run(UUID planId, Composer composer) {
      this.planId = planId;
      this.composer = composer;
    }
  }

  Optional<Composer.Answer> run(UUID id, UUID planId, Composer composer, double seconds) {
    Run run = new Run(planId, composer);
    runs.put(id, run);
    try {
      return composer.compose(seconds, p -> run.progress = p);
    } finally {
      runs.remove(id);
    }
  }

  Composer.Progress progress(UUID id, UUID planId) {
    return get(id, planId).progress;
  }

  void stop(UUID id, UUID planId) {
    get(id, planId).composer.stop();
  }

  private Run get(UUID id, UUID planId) {
    Run run = runs.get(id);
    if (run == null || !run.planId.equals(planId)) {
      throw new NotFound("search");
    }
    return run;
  }
}
