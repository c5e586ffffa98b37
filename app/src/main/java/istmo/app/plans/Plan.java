package istmo.app.plans;

import istmo.app.clients.Client;
import istmo.app.gyms.Gym;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Arrangement;
import istmo.core.plan.Coverage;
import istmo.core.plan.Offers;
import istmo.core.plan.Planned;
import istmo.core.plan.Targets;
import istmo.core.plan.Task;
import istmo.core.plan.WorkingLoad;
import istmo.core.ranking.brief.Aim;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A planned week with everything that follows from it.
 *
 * @param week of the document, or as a step of the block asks for it
 * @param records best set of each candidate when it was done last in the set-up that is planned
 * @param undo what going back would take back, and {@code redo} what going on would do again; empty
 *     where there is nothing
 */
public record Plan(
    UUID id,
    int version,
    Instant changedAt,
    Client client,
    Gym gym,
    PlanBrief brief,
    Aim aim,
    PlanDocument document,
    Planned.Week week,
    Offers offers,
    Targets targets,
    Coverage coverage,
    Arrangement arrangement,
    Map<CandidateId, WorkingLoad.Recorded> records,
    Optional<String> undo,
    Optional<String> redo) {
  Task task() {
    return new Task(
        offers,
        targets,
        Task.frames(week, offers),
        document.pairing(),
        Boolean.TRUE.equals(document.varied()),
        client.profile().trainingAge());
  }

  /**
   * The loads of an exercise, where it is on offer; {@code share} of the planned load, as a step of
   * a block asks.
   */
  public WorkingLoad load(Planned.Item item, double share) {
    return WorkingLoad.of(
        offers.get(item.candidateId()),
        item.prescription(),
        gym.equipment(),
        Optional.ofNullable(records.get(item.candidateId())),
        share,
        client.cautions().loadShare() < 1);
  }
}
