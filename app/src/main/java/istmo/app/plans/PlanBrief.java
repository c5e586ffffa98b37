package istmo.app.plans;

import istmo.core.ranking.brief.Weights;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a week is planned for, as it is kept: aim, what to keep out, school, what the order is
 * weighed for. What is left out is as usual.
 */
public record PlanBrief(
    Map<String, Integer> aim,
    List<String> keepOut,
    @Nullable String school,
    String preset,
    Map<String, Double> weights) {
  public PlanBrief {
    aim = aim == null ? Map.of() : aim;
    keepOut = keepOut == null ? List.of() : keepOut;
    preset = preset == null ? Weights.Preset.GROWTH.id() : preset;
    weights = weights == null ? Map.of() : weights;
  }
}
