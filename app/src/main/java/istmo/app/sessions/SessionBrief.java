package istmo.app.sessions;

import istmo.core.anatomy.Region;
import istmo.core.ranking.brief.Aim;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The brief that a session was made for. */
public record SessionBrief(
    Map<String, Integer> aim, List<String> keepOut, @Nullable String school, Boolean stiffToday) {
  /** Where a session was begun without an aim: the large muscles of the leg. */
  private static final Aim WHOLE_LEG =
      new Aim(Map.of(Region.VL, 1, Region.BFL, 1, Region.GMAXM, 1), Set.of());

  /** What it aims at; never nothing. */
  public Aim aimed() {
    Aim asked = Aim.of(aim, keepOut);
    return asked.isEmpty() ? WHOLE_LEG : asked;
  }

  /** Sessions from before this was asked say nothing of it. */
  public boolean stiffDay() {
    return Boolean.TRUE.equals(stiffToday);
  }
}
