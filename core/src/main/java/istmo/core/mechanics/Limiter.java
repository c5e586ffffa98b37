package istmo.core.mechanics;

/**
 * How much one muscle or the lower back limits the load.
 *
 * @param id muscle id, or ERECTORS or ABDOMINALS
 * @param share of the whole sensitivity; all shares add up to 1
 * @param kgPerPercent how much the limit rises when it is one per cent stronger, kg
 */
public record Limiter(String id, double share, double kgPerPercent) {}
