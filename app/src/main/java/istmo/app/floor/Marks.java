package istmo.app.floor;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Clients;
import istmo.app.floor.persistence.MarkEntity;
import istmo.app.floor.persistence.MarkRepository;
import istmo.app.gyms.Gyms;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Settings of machines for clients, in the coach's words. */
@Service
public class Marks {
  private static final int LONGEST = 200;

  private final MarkRepository marks;
  private final Clients clients;
  private final Gyms gyms;
  private final Trainables trainables;
  private final CurrentCoach coach;

  Marks(
      MarkRepository marks, Clients clients, Gyms gyms, Trainables trainables, CurrentCoach coach) {
    this.marks = marks;
    this.clients = clients;
    this.gyms = gyms;
    this.trainables = trainables;
    this.coach = coach;
  }

  /** Keeps the settings of a machine for a client; an older message does not undo a newer one. */
  @Transactional
  public void keep(UUID clientId, UUID gymId, CandidateId candidateId, String words, Instant at) {
    String trimmed = checked(words);
    clients.check(clientId);
    gyms.get(gymId);
    trainables.get(candidateId);
    marks.keep(UUID.randomUUID(), coach.id(), clientId, gymId, candidateId.text(), trimmed, at);
  }

  /** The words without blanks around them; throws what is too long. */
  public static String checked(String words) {
    String trimmed = words == null ? "" : words.strip();
    if (trimmed.length() > LONGEST) {
      throw new InvalidInput("words", "takes at most " + LONGEST + " characters");
    }
    return trimmed;
  }

  /** Every mark of a client. */
  @Transactional(readOnly = true)
  public List<Mark> of(UUID clientId) {
    return marks.findByCoachIdAndClientId(coach.id(), clientId).stream()
        .sorted(Comparator.comparing(MarkEntity::getCandidateId))
        .map(
            entity ->
                new Mark(
                    entity.getGymId(),
                    entity.getCandidateId(),
                    entity.getWords(),
                    entity.getChangedAt()))
        .toList();
  }

  /** Settings of a machine for a client, in the coach's words. */
  public record Mark(UUID gymId, CandidateId candidateId, String words, Instant changedAt) {}

  /** The words by candidate id. */
  Map<CandidateId, String> words(UUID clientId, UUID gymId) {
    return marks.findByCoachIdAndClientIdAndGymId(coach.id(), clientId, gymId).stream()
        .collect(Collectors.toMap(MarkEntity::getCandidateId, MarkEntity::getWords));
  }
}
