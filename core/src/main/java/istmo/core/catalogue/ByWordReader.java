package istmo.core.catalogue;

import istmo.core.anatomy.Region;
import istmo.core.body.Caution;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads {@code catalogue/by-word.txt}; what is wrong there stops the application at its start. */
final class ByWordReader {
  private static final String RESOURCE = "catalogue/by-word.txt";
  private final List<Map.Entry<String, String>> block;

  private ByWordReader(List<Map.Entry<String, String>> block) {
    this.block = block;
  }

  static List<ByWord> all() {
    List<ByWord> all = new ArrayList<>();
    List<Map.Entry<String, String>> block = new ArrayList<>();
    for (Map.Entry<String, String> entry : TextTable.entries(RESOURCE)) {
      if (entry.getKey().equals("id") && !block.isEmpty()) {
        all.add(new ByWordReader(block).exercise());
        block = new ArrayList<>();
      }
      block.add(entry);
    }
    all.add(new ByWordReader(block).exercise());
    return List.copyOf(all);
  }

  private ByWord exercise() {
    Set<Movement> does = EnumSet.noneOf(Movement.class);
    list("does").forEach(muscle -> does.add(Movement.valueOf(muscle)));
    Map<PainFlag, String> exclusions = new EnumMap<>(PainFlag.class);
    for (String line : values("out")) {
      String[] part = line.split("\\|", 2);
      exclusions.put(PainFlag.valueOf(part[0].trim()), part[1].trim());
    }
    Map<Caution, String> waits = new EnumMap<>(Caution.class);
    for (String line : values("until-cleared")) {
      String[] part = line.split("\\|", 2);
      waits.put(Caution.valueOf(part[0].trim()), part[1].trim());
    }
    return new ByWord(
        one("id"),
        one("name"),
        list("also"),
        Equipment.all(list("needs")),
        does,
        regions("mainly"),
        regions("partly"),
        ByWord.Bend.valueOf(one("knee")),
        ByWord.Bend.valueOf(one("hip")),
        ByWord.Back.valueOf(one("back")),
        values("on-belly").contains("yes"),
        values("one-leg").contains("yes"),
        exclusions,
        waits,
        one("repetitions"),
        Double.parseDouble(one("set-up-minutes")),
        values("cue"),
        values("stop"),
        values("caution"),
        one("why"),
        values("computed-as").stream().findFirst().map(CandidateId::new));
  }

  private Set<Region> regions(String key) {
    return list(key).stream()
        .map(Region::of)
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Region.class)));
  }

  private String one(String key) {
    List<String> found = values(key);
    if (found.size() != 1) {
      throw new IllegalStateException(
          RESOURCE + ": " + block.get(0).getValue() + " needs \"" + key + "\" once");
    }
    return found.get(0);
  }

  private List<String> values(String key) {
    return block.stream()
        .filter(entry -> entry.getKey().equals(key))
        .map(Map.Entry::getValue)
        .toList();
  }

  private List<String> list(String key) {
    return values(key).stream()
        .flatMap(value -> Arrays.stream(value.split(";")))
        .map(String::trim)
        .filter(value -> !value.isEmpty())
        .toList();
  }
}
