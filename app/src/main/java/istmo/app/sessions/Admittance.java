package istmo.app.sessions;

import istmo.app.bench.Bench;
import istmo.app.catalogue.Trainables;
import istmo.app.clients.Client;
import istmo.app.gyms.Gym;
import istmo.app.platform.Conflict;
import istmo.core.body.Cautions;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Admission;
import istmo.core.stimulus.School;
import istmo.core.training.LoadEstimate;
import istmo.core.words.MovementWords;
import istmo.core.words.Words;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What an exercise gets in a session of a client: its set-up, whether the client may do it, a first
 * load. What is computed goes over the bench; for an exercise by word the word decides.
 */
@Component
class Admittance {
  private final Bench bench;
  private final Trainables trainables;

  Admittance(Bench bench, Trainables trainables) {
    this.bench = bench;
    this.trainables = trainables;
  }

  /** Whose session it is, where, by which school, and whether the client is stiff on that day. */
  record Place(Client client, Gym gym, School school, boolean stiff) {}

  /**
   * How an exercise stands in a session.
   *
   * @param setup by parameter id; nothing for an exercise by word
   * @param obstacle why the client cannot take the set-up, if they cannot
   * @param refusal why the client's cautions leave it out, if they do
   * @param load a first load, where one is known
   */
  record Standing(
      String name,
      Map<String, Double> setup,
      Optional<String> obstacle,
      Optional<String> refusal,
      Optional<LoadEstimate> load) {}

  /** How it stands; without a wished set-up, in the usual one as far as the client takes it. */
  Standing of(Place place, CandidateId candidateId, Optional<Map<String, Double>> wished) {
    Trainable trainable = trainables.get(candidateId);
    if (trainable.exercise() instanceof ByWord byWord) {
      wished
          .filter(w -> !w.isEmpty())
          .ifPresent(
              w -> {
                throw new InvalidInput("setup", "an exercise by word has no set-up to move");
              });
      return new Standing(
          trainable.name(),
          Map.of(),
          Optional.empty(),
          Admission.refusal(place.client().cautions(), byWord)
              .map(Cautions.Refusal::why)
              .map(Words::of),
          Optional.empty());
    }
    Bench.Side side =
        bench.side(
            place.client(),
            place.gym().equipment(),
            new Bench.SetupRequest(
                place.client().id(),
                Optional.of(place.gym().id()),
                candidateId,
                wished,
                place.stiff()),
            place.school());
    return new Standing(
        trainable.name(),
        side.setup().values(),
        Bench.obstacle(side).map(cannot -> MovementWords.reason(cannot.why())),
        side.refusal().map(Cautions.Refusal::why).map(Words::of),
        side.load());
  }

  /** The set-up; throws {@link Conflict} where the client cannot take it, or should not. */
  Map<String, Double> admitted(
      Place place, CandidateId candidateId, Optional<Map<String, Double>> wished) {
    Standing standing = of(place, candidateId, wished);
    standing
        .obstacle()
        .ifPresent(
            reason -> {
              throw new Conflict(
                  String.format(
                      "%s is not possible for %s in this set-up. %s",
                      standing.name(), place.client().name(), reason));
            });
    standing
        .refusal()
        .ifPresent(
            reason -> {
              throw new Conflict(
                  String.format(
                      "%s is left out for %s. %s", standing.name(), place.client().name(), reason));
            });
    return standing.setup();
  }

  /** The usual set-up, as far as the client takes it, whatever cautions say now. */
  Map<String, Double> usual(Client client, Gym gym, CandidateId candidateId) {
    return trainables.get(candidateId).exercise() instanceof ByWord
        ? Map.of()
        : bench.usual(client, gym.equipment(), candidateId).values();
  }
}
