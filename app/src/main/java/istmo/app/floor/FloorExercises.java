package istmo.app.floor;

import istmo.app.clients.Client;
import istmo.app.sessions.PrescriptionDocument;
import istmo.app.sessions.Session;
import istmo.core.body.Measurement.Side;
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
    Map<String, String> marks,
    Map<String, List<String>> agreed,
    Function<String, Trainable> names,
    LocalDate today) {
  private static final int SWAPS = 3;

  List<Floor.Exercise> all() {
    Map<String, Flow.Exercise> flow = new HashMap<>();
    List<Session.Item> asked = session.items().stream().filter(i -> !i.ended()).toList();
    for (Session.Item i : asked) {
      offers
          .find(i.candidateId())
          .filter(o -> i.refusal().isEmpty())
          .map(o -> o.in(i.setup(), i.load()))
          .ifPresent(
              o ->
                  flow.put(
                      i.id().toString(),
                      exercise(i.id().toString(), o, prescription(i, o), i.asked().loadShare())));
    }
    List<List<String>> bouts = bouts(asked, flow.keySet());
    Flow whole = walked(bouts, flow);
    List<Floor.Exercise> list = new ArrayList<>();
    for (Session.Item i : session.items()) {
      Flow.Exercise x = flow.get(i.id().toString());
      List<Floor.Exercise> swaps = x == null ? List.of() : swaps(i, x, asked, bouts, flow);
      list.add(made(i, i.candidateId(), i.setup(), x, whole, swaps));
    }
    return list;
  }

  private Flow walked(List<List<String>> bouts, Map<String, Flow.Exercise> flow) {
    return Flow.of(bouts.stream().map(b -> b.stream().map(flow::get).toList()).toList(), weaker);
  }

  /** Exercises in turn where the plan says so, each by itself otherwise, in the session's order. */
  private static List<List<String>> bouts(List<Session.Item> items, Set<String> known) {
    Map<Integer, List<String>> byTurn = new TreeMap<>();
    Map<Integer, Integer> turnOfBout = new HashMap<>();
    for (Session.Item i : items) {
      int turn =
          i.asked().bout().isPresent()
              ? turnOfBout.computeIfAbsent(i.asked().bout().get(), b -> byTurn.size())
              : byTurn.size();
      byTurn.computeIfAbsent(turn, k -> new ArrayList<>());
      if (known.contains(i.id().toString())) {
        byTurn.get(turn).add(i.id().toString());
      }
    }
    return List.copyOf(byTurn.values());
  }

  private static Prescription prescription(Session.Item i, Offer o) {
    return i.asked().prescription().map(PrescriptionDocument::prescription).orElse(o.usual());
  }

  private Flow.Exercise exercise(String id, Offer o, Prescription p, double share) {
    return new Flow.Exercise(
        id,
        o,
        p,
        WorkingLoad.of(
            o, p, equipment, recorded(o), next(o, p), share, client.cautions().loadShare() < 1));
  }

  private Optional<Series> series(String candidateId, Map<String, Double> setup) {
    return record.stream()
        .filter(
            s ->
                s.candidateId().equals(candidateId)
                    && s.setup().equals(setup)
                    && !s.outings().isEmpty())
        .findFirst();
  }

  private Optional<WorkingLoad.Recorded> recorded(Offer o) {
    return series(o.candidateId(), o.setup())
        .flatMap(Series::last)
        .flatMap(
            x ->
                WorkingLoad.Recorded.bestOf(x.work().stream().map(w -> w.done()).toList(), x.on()));
  }

  private Progression.Next next(Offer o, Prescription p) {
    Series s =
        series(o.candidateId(), o.setup())
            .orElse(new Series(o.candidateId(), o.setup(), List.of()));
    return Progression.next(
        s,
        new Progression.Asked(p.repetitionsLow(), p.repetitionsHigh(), p.reserve()),
        o.needs(),
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
      Offer o = swap.offer();
      Prescription p = o.usual().withSets(now.prescription().sets());
      Flow.Exercise x = exercise(now.id(), o, p, item.asked().loadShare());
      Map<String, Flow.Exercise> other = new HashMap<>(flow);
      other.put(now.id(), x);
      list.add(made(item, o.candidateId(), o.setup(), x, walked(bouts, other), List.of()));
    }
    return list;
  }

  private Floor.Exercise made(
      Session.Item item,
      String candidateId,
      Map<String, Double> setup,
      Flow.@Nullable Exercise x,
      Flow whole,
      List<Floor.Exercise> swaps) {
    String mark = marks.getOrDefault(candidateId, "");
    Trainable trainable = names.apply(candidateId);
    Optional<Outing> last = series(candidateId, setup).flatMap(Series::last);
    if (x == null) {
      String refusal =
          item.ended() ? "" : item.refusal().orElseGet(() -> offers.whyNot(candidateId));
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
          new Progression.Next(Progression.Rule.BEGIN, Optional.empty(), 1, 1, ""),
          Optional.empty(),
          last,
          List.of(),
          mark,
          List.of(),
          List.of(),
          List.of());
    }
    List<Flow.Step> steps =
        whole.steps().stream().filter(st -> st.exerciseId().equals(x.id())).toList();
    return new Floor.Exercise(
        item,
        trainable,
        Optional.of(x.offer()),
        "",
        x.prescription(),
        next(x.offer(), x.prescription()),
        Optional.of(x.load()),
        last,
        LoadsToChoose.of(x.load(), x.offer().needs(), equipment),
        mark,
        agreed.getOrDefault(candidateId, List.of()),
        steps,
        swaps);
  }
}
