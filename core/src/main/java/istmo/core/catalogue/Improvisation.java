package istmo.core.catalogue;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.Required;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * How it is done where the equipment is missing: {@code catalogue/improvisations.txt} (common
 * practice). Not computed; what the model can compare stands in the order.
 *
 * @param forItems equipment ids; missing any one of them
 * @param needs equipment ids that must be there
 * @param setUp how it is set up; measures of the client in braces
 * @param safety what must be seen to
 * @param troubles joints that, when sore, take it out
 */
public record Improvisation(
    Set<String> forItems,
    String title,
    Set<String> needs,
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
          b -> b.ankleHeightM() + b.shankM(),
          "hip",
          Improvisation::hip,
          "shoulder",
          b -> hip(b) + b.trunkM(),
          "foot",
          Body::footM,
          "wedge",
          b -> SLOPED_FOOT * b.footM() * Math.sin(Math.toRadians(12)));

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
      Collection<String> missing, Set<String> here, Body body, Cautions cautions) {
    return ALL.stream()
        .filter(i -> missing.stream().anyMatch(i.forItems::contains) && here.containsAll(i.needs))
        .filter(i -> cautions.sores().stream().noneMatch(s -> i.troubles.contains(s.joint())))
        .map(i -> i.measured(body))
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
        setUp.stream().map(s -> MEASURE.matcher(s).replaceAll(m -> cm(m, body))).toList(),
        safety,
        troubles);
  }

  private static String cm(MatchResult m, Body body) {
    double offset = m.group(2) == null ? 0 : Integer.parseInt(m.group(2));
    double cm = 100 * Required.entry(MEASURES, m.group(1)).applyAsDouble(body) + offset;
    return cm < 10
        ? String.format(Locale.ROOT, "%.1f", cm)
        : String.format(Locale.ROOT, "%.0f", cm);
  }

  private static double hip(Body b) {
    return b.ankleHeightM() + b.shankM() + b.thighM();
  }

  private static List<Improvisation> read() {
    List<Improvisation> all = new ArrayList<>();
    List<Map.Entry<String, String>> block = new ArrayList<>();
    for (Map.Entry<String, String> e : TextTable.entries("catalogue/improvisations.txt")) {
      if (e.getKey().equals("for") && !block.isEmpty()) {
        all.add(of(block));
        block.clear();
      }
      block.add(e);
    }
    all.add(of(block));
    return List.copyOf(all);
  }

  private static Improvisation of(List<Map.Entry<String, String>> block) {
    List<String> setUp = values(block, "set");
    setUp.forEach(
        s ->
            MEASURE
                .matcher(s)
                .results()
                .filter(m -> !MEASURES.containsKey(m.group(1)))
                .findFirst()
                .ifPresent(
                    m -> {
                      throw new IllegalStateException(
                          "improvisations.txt: no measure \"" + m.group(1) + "\"");
                    }));
    return new Improvisation(
        Equipment.check(Set.copyOf(list(block, "for"))),
        String.join("", values(block, "title")),
        Equipment.check(Set.copyOf(list(block, "needs"))),
        setUp,
        values(block, "safety"),
        Set.copyOf(list(block, "out").stream().map(PainFlag::valueOf).toList()));
  }

  private static List<String> values(List<Map.Entry<String, String>> block, String key) {
    return block.stream().filter(e -> e.getKey().equals(key)).map(Map.Entry::getValue).toList();
  }

  private static List<String> list(List<Map.Entry<String, String>> block, String key) {
    return values(block, key).stream()
        .flatMap(v -> java.util.Arrays.stream(v.split(";")))
        .map(String::trim)
        .filter(v -> !v.isEmpty())
        .toList();
  }
}
