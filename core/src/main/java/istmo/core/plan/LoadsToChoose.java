package istmo.core.plan;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import java.util.List;
import java.util.Set;

/**
 * The loads that a thumb chooses from on the floor: all that this gym can make in a window about
 * the working load, the nearest ones where there are too many. The window is judgement.
 */
public final class LoadsToChoose {
  /** Share of the heaviest load that is asked for at which the window begins. */
  static final double LEAST_SHARE = 0.25;

  /** Share of the heaviest load that is asked for at which the window ends. */
  static final double MOST_SHARE = 1.6;

  /** Where the window ends while no load is known, kg. */
  static final double UNKNOWN_MOST_KG = 120;

  /** More than a thumb goes through. */
  static final int MOST = 160;

  private LoadsToChoose() {}

  /** Loads for an exercise that needs these items, lightest first. */
  public static List<Loading> of(WorkingLoad asked, Set<Equipment> needs, GymEquipment equipment) {
    double heaviestSet =
        asked.sets().stream()
            .flatMap(line -> line.load().stream())
            .mapToDouble(Loading::kg)
            .max()
            .orElse(0);
    double heaviest = Math.max(asked.highKg(), heaviestSet);
    double end = heaviest > 0 ? heaviest * MOST_SHARE : UNKNOWN_MOST_KG;
    List<Loading> all =
        Loading.upTo(end, needs, equipment).stream()
            .filter(loading -> loading.kg() >= heaviest * LEAST_SHARE)
            .toList();
    int lighter = (int) all.stream().filter(loading -> loading.kg() < heaviest).count();
    int from = Math.max(0, Math.min(all.size() - MOST, lighter - MOST / 2));
    return all.subList(from, Math.min(all.size(), from + MOST));
  }
}
