package istmo.core.plan;

import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * From what the solver has chosen to a week in its order, each exercise as it is usually
 * prescribed.
 */
public final class Composition {
  private Composition() {}

  /**
   * The week that the solver's answer says, with what was pinned where it was.
   *
   * @param arranged puts the bouts of a session in order, as {@link Arrangement#of} does
   * @param ids makes an id for each exercise that is not pinned
   */
  public static Week week(
      Task task, Composer.Answer answer, UnaryOperator<List<Bout>> arranged, Supplier<String> ids) {
    List<Day> days = new ArrayList<>();
    for (int d = 0; d < task.frames().size(); d++) {
      Day frame = task.frames().get(d);
      Composer.Answer.OfDay chosen = answer.choices().get(d);
      List<Bout> bouts = new ArrayList<>(frame.bouts());
      Set<CandidateId> paired = new HashSet<>();
      for (List<CandidateId> pair : chosen.pairs()) {
        bouts.add(new Bout(pair.stream().map(id -> item(task, id, chosen.sets(), ids)).toList()));
        paired.addAll(pair);
      }
      chosen.sets().keySet().stream()
          .filter(id -> !paired.contains(id))
          .forEach(id -> bouts.add(Bout.of(item(task, id, chosen.sets(), ids))));
      days.add(frame.with(arranged.apply(bouts)));
    }
    return new Week(days);
  }

  private static Item item(
      Task task, CandidateId candidateId, Map<CandidateId, Integer> sets, Supplier<String> ids) {
    return new Item(
        ids.get(),
        candidateId,
        task.offers().get(candidateId).usual().withSets(Required.entry(sets, candidateId)),
        false);
  }
}
