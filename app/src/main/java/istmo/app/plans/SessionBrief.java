package istmo.app.plans;

import java.util.List;
import java.util.Map;

/** The brief that a session was made for. */
public record SessionBrief(Map<String, Integer> aim, List<String> keepOut, String school, Boolean stiffToday) {
  /** Sessions from before this was asked say nothing of it. */
  public boolean stiffDay() {
    return Boolean.TRUE.equals(stiffToday);
  }
}
