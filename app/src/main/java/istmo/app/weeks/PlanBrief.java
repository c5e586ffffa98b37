package istmo.app.weeks;

import java.util.List;
import java.util.Map;

/** What a week is planned for, as it is kept: aim, what to keep out, school, what the order is weighed for. */
public record PlanBrief(Map<String, Integer> aim, List<String> keepOut, String school, String preset, Map<String, Double> weights) {}
