package istmo.app.exchange;

import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveReading.ReadClient;
import istmo.app.floor.Marks;
import istmo.app.plans.PlanStore;
import istmo.app.record.Answers;
import istmo.app.sessions.ArchivedSessions;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Required;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Clients of an archive brought in, with everything that is kept of them. */
@Component
class ClientFilesImport {
  private final Clients clients;
  private final PlanStore plans;
  private final Marks marks;
  private final Answers answers;
  private final ArchivedSessions sessions;

  ClientFilesImport(
      Clients clients, PlanStore plans, Marks marks, Answers answers, ArchivedSessions sessions) {
    this.clients = clients;
    this.plans = plans;
    this.marks = marks;
    this.answers = answers;
    this.sessions = sessions;
  }

  UUID bring(ReadClient client, String as, Translation here) {
    UUID id = clients.bringIn(client.whole().named(as));
    client.weeks().forEach(week -> plans.bringIn(id, here.week(week)));
    client
        .marks()
        .forEach(
            mark ->
                marks.keep(
                    id,
                    Required.entry(here.gyms(), mark.gym()),
                    here.candidate(mark.candidateId()),
                    mark.words(),
                    mark.changedAt()));
    client
        .answers()
        .forEach(
            answer ->
                answers.answer(
                    id,
                    answer.kind(),
                    here.candidate(new CandidateId(answer.subject())).text(),
                    answer.taken(),
                    answer.at()));
    sessions.bring(id, client.sessions().stream().map(here::session).toList());
    return id;
  }
}
