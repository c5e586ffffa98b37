package istmo.core.catalogue;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.Bound;
import istmo.core.quantity.Required;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * How it is done where the equipment is missing: {@code catalogue/improvisations.txt} (common
 * practice). Not computed; what the model can compare stands in the order.
 *
 * @param forItems missing any one of them
 * @param needs what must be there
 * @param setUp how it is set up; measures of the client in braces
 * @param safety what must be seen to
 * @param troubles joints that, when sore, take it out
 */
public record Improvisation(
    Set<Equipment> forItems,
    String title,
    Set<Equipment> needs,
    List<String> setUp,
    List<String> safety,
    Set<PainFlag> troubles) {
  private static final Pattern MEASURE = Pattern.compile("\\{(\\w+)([+-]\\d+)?}");

  /**
   * The part of the foot's length between the edge of what is under the heel and the ball, over
   * which the slope runs.
   */
  private static final double SLOPED_FOOT = 0.7;

  private static final Map<String, ToDoubleFunction<Body>> MEASURES =
      Map.of(
          "ankle",
          Body::ankleHeightM,
          "knee",
          body -> body.ankleHeightM() + body.shankM(),
          "hip",
          Improvisation::hip,
          "shoulder",
          body -> hip(body) + body.trunkM(),
          "foot",
          Body::footM,
          "wedge",
          body -> SLOPED_FOOT * body.footM() * Math.sin(Math.toRadians(12)));

  private static final List<Improvisation> ALL = read();

  public Improvisation {
    forItems = Set.copyOf(forItems);
    needs = Set.copyOf(needs);
    setUp = List.copyOf(setUp);
    safety = List.copyOf(safety);
    troubles = Set.copyOf(troubles);
  }

  /**
   * Those that stand for one of the missing items with what is here, for a client whose sore joints
   * allow it; measures filled in.
   */
  public static List<Improvisation> instead(
      Collection<Equipment> missing, Set<Equipment> here, Body body, Cautions cautions) {
    return ALL.stream()
        .filter(
            improvisation ->
                missing.stream().anyMatch(improvisation.forItems::contains)
                    && here.containsAll(improvisation.needs))
        .filter(
            improvisation ->
                cautions.sores().stream()
                    .noneMatch(soreness -> improvisation.troubles.contains(soreness.joint())))
        .map(improvisation -> improvisation.measured(body))
        .toList();
  }

  /** Every improvisation, read once. */
  public static List<Improvisation> all() {
    return ALL;
  }

  private Improvisation measured(Body body) {
    return new Improvisation(
        forItems,
        title,
        needs,
        setUp.stream()
            .map(text -> MEASURE.matcher(text).replaceAll(m -> cm(m, body)))
            .map(Bound::quantities)
            .toList(),
        safety,
        troubles);
  }

  private static String cm(MatchResult m, Body body) {
    double offset = m.group(2) == null ? 0 : Integer.parseInt(m.group(2));
    double cm = 100 * Required.entry(MEASURES, m.group(1)).applyAsDouble(body) + offset;
    return cm < 10 ? String.valueOf(Math.round(10 * cm) / 10.0) : String.valueOf(Math.round(cm));
  }

  private static double hip(Body body) {
    return body.ankleHeightM() + body.shankM() + body.thighM();
  }

  private static List<Improvisation> read() {
    List<Improvisation> all = new ArrayList<>();
    List<Map.Entry<String, String>> block = new ArrayList<>();
    for (Map.Entry<String, String> entry : TextTable.entries("catalogue/improvisations.txt")) {
      if (entry.getKey().equals("for") && !block.isEmpty()) {
        all.add(of(block));
        block.clear();
      }
      block.add(entry);
    }
    all.add(of(block));
    return List.copyOf(all);
  }

  private static Improvisation of(List<Map.Entry<String, String>> block) {
    List<String> setUp = values(block, "set");
    setUp.forEach(
        text ->
            MEASURE
                .matcher(text)
                .results()
                .filter(m -> !MEASURES.containsKey(m.group(1)))
                .findFirst()
                .ifPresent(
                    m -> {
                      throw new IllegalStateException(
                          "improvisations.txt: no measure \"" + m.group(1) + "\"");
                    }));
    return new Improvisation(
        Equipment.all(list(block, "for")),
        String.join("", values(block, "title")),
        Equipment.all(list(block, "needs")),
        setUp,
        values(block, "safety"),
        Set.copyOf(list(block, "out").stream().map(PainFlag::valueOf).toList()));
  }

  private static List<String> values(List<Map.Entry<String, String>> block, String key) {
    return block.stream()
        .filter(entry -> entry.getKey().equals(key))
        .map(Map.Entry::getValue)
        .toList();
  }

  private static List<String> list(List<Map.Entry<String, String>> block, String key) {
    return values(block, key).stream()
        .flatMap(value -> java.util.Arrays.stream(value.split(";")))
        .map(String::trim)
        .filter(value -> !value.isEmpty())
        .toList();
  }
}
