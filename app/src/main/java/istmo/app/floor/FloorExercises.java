package istmo.app.floor;

import istmo.app.clients.Client;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.Session;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Trainable;
import istmo.core.equipment.GymEquipment;
import istmo.core.plan.Flow;
import istmo.core.plan.LoadsToChoose;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Prescription;
import istmo.core.plan.Swap;
import istmo.core.plan.WorkingLoad;
import istmo.core.ranking.brief.Aim;
import istmo.core.record.Outing;
import istmo.core.record.Progression;
import istmo.core.record.Series;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Makes the exercises of one session. */
record FloorExercises(
    Session session,
    Client client,
    GymEquipment equipment,
    Aim aim,
    Offers offers,
    List<Series> record,
    Side weaker,
    Map<CandidateId, String> marks,
    Map<String, List<String>> agreed,
    Function<CandidateId, Trainable> names,
    LocalDate today) {
  private static final int SWAPS = 3;

  List<Floor.Exercise> all() {
    Map<String, Flow.Exercise> flow = new HashMap<>();
    List<Session.Item> asked = session.items().stream().filter(item -> !item.ended()).toList();
    for (Session.Item item : asked) {
      offers
          .find(item.candidateId())
          .filter(offer -> item.refusal().isEmpty())
          .map(offer -> offer.in(item.setup(), item.load()))
          .ifPresent(
              offer ->
                  flow.put(
                      item.id().toString(),
                      exercise(
                          item.id().toString(),
                          offer,
                          prescription(item, offer),
                          item.asked().loadShare())));
    }
    List<List<String>> bouts = bouts(asked, flow.keySet());
    Flow whole = walked(bouts, flow);
    List<Floor.Exercise> list = new ArrayList<>();
    for (Session.Item item : session.items()) {
      Flow.Exercise exercise = flow.get(item.id().toString());
      List<Floor.Exercise> swaps =
          exercise == null ? List.of() : swaps(item, exercise, asked, bouts, flow);
      list.add(made(item, item.candidateId(), item.setup(), exercise, whole, swaps));
    }
    return list;
  }

  private Flow walked(List<List<String>> bouts, Map<String, Flow.Exercise> flow) {
    return Flow.of(
        bouts.stream().map(texts -> texts.stream().map(flow::get).toList()).toList(), weaker);
  }

  /** Exercises in turn where the plan says so, each by itself otherwise, in the session's order. */
  private static List<List<String>> bouts(List<Session.Item> items, Set<String> known) {
    Map<Integer, List<String>> byTurn = new TreeMap<>();
    Map<Integer, Integer> turnOfBout = new HashMap<>();
    for (Session.Item item : items) {
      int turn =
          item.asked().bout().isPresent()
              ? turnOfBout.computeIfAbsent(item.asked().bout().get(), b -> byTurn.size())
              : byTurn.size();
      byTurn.computeIfAbsent(turn, k -> new ArrayList<>());
      if (known.contains(item.id().toString())) {
        byTurn.get(turn).add(item.id().toString());
      }
    }
    return List.copyOf(byTurn.values());
  }

  private static Prescription prescription(Session.Item item, Offer offer) {
    return item.asked()
        .prescription()
        .map(PrescriptionDocument::prescription)
        .orElse(offer.usual());
  }

  private Flow.Exercise exercise(String id, Offer offer, Prescription prescription, double share) {
    return new Flow.Exercise(
        id,
        offer,
        prescription,
        WorkingLoad.of(
            offer,
            prescription,
            equipment,
            recorded(offer),
            next(offer, prescription),
            share,
            client.cautions().loadShare() < 1));
  }

  private Optional<Series> series(CandidateId candidateId, Map<String, Double> setup) {
    return record.stream()
        .filter(
            series ->
                series.candidateId().equals(candidateId)
                    && series.setup().equals(setup)
                    && !series.outings().isEmpty())
        .findFirst();
  }

  private Optional<WorkingLoad.Recorded> recorded(Offer offer) {
    return series(offer.candidateId(), offer.setup())
        .flatMap(Series::last)
        .flatMap(
            outing ->
                WorkingLoad.Recorded.bestOf(
                    outing.work().stream().map(record -> record.done()).toList(), outing.on()));
  }

  private Progression.Next next(Offer offer, Prescription prescription) {
    Series series =
        series(offer.candidateId(), offer.setup())
            .orElse(new Series(offer.candidateId(), offer.setup(), List.of()));
    return Progression.next(
        series,
        new Progression.Asked(
            prescription.repetitionsLow(), prescription.repetitionsHigh(), prescription.reserve()),
        offer.needs(),
        equipment,
        today);
  }

  private List<Floor.Exercise> swaps(
      Session.Item item,
      Flow.Exercise now,
      List<Session.Item> asked,
      List<List<String>> bouts,
      Map<String, Flow.Exercise> flow) {
    List<Floor.Exercise> list = new ArrayList<>();
    for (Swap swap :
        Swap.of(
            now.offer(),
            offers,
            aim,
            now.offer().station(),
            Set.of(),
            asked.stream().map(Session.Item::candidateId).toList(),
            SWAPS)) {
      Offer offer = swap.offer();
      Prescription prescription = offer.usual().withSets(now.prescription().sets());
      Flow.Exercise exercise = exercise(now.id(), offer, prescription, item.asked().loadShare());
      Map<String, Flow.Exercise> other = new HashMap<>(flow);
      other.put(now.id(), exercise);
      list.add(
          made(
              item, offer.candidateId(), offer.setup(), exercise, walked(bouts, other), List.of()));
    }
    return list;
  }

  private Floor.Exercise made(
      Session.Item item,
      CandidateId candidateId,
      Map<String, Double> setup,
      Flow.@Nullable Exercise exercise,
      Flow whole,
      List<Floor.Exercise> swaps) {
    String mark = marks.getOrDefault(candidateId, "");
    Trainable trainable = names.apply(candidateId);
    Optional<Outing> last = series(candidateId, setup).flatMap(Series::last);
    if (exercise == null) {
      String refusal =
          item.ended() ? "" : item.refusal().orElseGet(() -> Words.of(offers.whyNot(candidateId)));
      Prescription none =
          item.asked()
              .prescription()
              .map(PrescriptionDocument::prescription)
              .orElseGet(() -> offers.find(candidateId).map(Offer::usual).orElse(null));
      return new Floor.Exercise(
          item,
          trainable,
          Optional.empty(),
          refusal,
          none,
          new Progression.Next(
              Progression.Rule.BEGIN, Optional.empty(), 1, 1, new Progression.NoRecord()),
          Optional.empty(),
          last,
          List.of(),
          mark,
          List.of(),
          List.of(),
          List.of());
    }
    List<Flow.Step> steps =
        whole.steps().stream().filter(st -> st.exerciseId().equals(exercise.id())).toList();
    return new Floor.Exercise(
        item,
        trainable,
        Optional.of(exercise.offer()),
        "",
        exercise.prescription(),
        next(exercise.offer(), exercise.prescription()),
        Optional.of(exercise.load()),
        last,
        LoadsToChoose.of(exercise.load(), exercise.offer().needs(), equipment),
        mark,
        agreed.getOrDefault(candidateId.text(), List.of()),
        steps,
        swaps);
  }
}
