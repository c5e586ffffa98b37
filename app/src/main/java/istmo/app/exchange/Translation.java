package istmo.app.exchange;

import istmo.app.exchange.ArchiveReading.ReadSession;
import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanStore;
import istmo.app.sessions.ArchivedSessions;
import istmo.app.sessions.SessionBrief;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What things of the file are called here: gyms, own variants and own schools by their names or ids
 * there.
 */
record Translation(
    Map<String, UUID> gyms, Map<CandidateId, CandidateId> variants, Map<String, String> schools) {
  CandidateId candidate(CandidateId id) {
    return variants.getOrDefault(id, id);
  }

  ArchivedSessions.ArchivedSession session(ReadSession session) {
    SessionBrief brief = session.brief();
    return new ArchivedSessions.ArchivedSession(
        Required.entry(gyms, session.gym()),
        new SessionBrief(brief.aim(), brief.keepOut(), school(brief.school()), brief.stiffToday()),
        session.createdAt(),
        session.finishedAt(),
        session.items().stream()
            .map(
                item ->
                    new ArchivedSessions.ArchivedItem(
                        candidate(item.candidateId()),
                        item.setup(),
                        item.asked(),
                        item.ended(),
                        item.sets()))
            .toList());
  }

  PlanStore.ArchivedPlan week(ArchiveReading.ReadWeek week) {
    PlanStore.ArchivedPlan plan = week.at().apply(gyms.get(week.gym()));
    PlanBrief brief = plan.brief();
    return new PlanStore.ArchivedPlan(
        plan.gymId(),
        plan.createdAt(),
        plan.changedAt(),
        plan.removedAt(),
        new PlanBrief(
            brief.aim(), brief.keepOut(), school(brief.school()), brief.preset(), brief.weights()),
        plan.document().naming(this::candidate));
  }

  private @Nullable String school(@Nullable String id) {
    return id == null ? null : schools.getOrDefault(id, id);
  }
}
