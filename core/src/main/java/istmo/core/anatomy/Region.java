package istmo.core.anatomy;

import java.util.Map;

/**
 * A region that a coach can aim at.
 *
 * @param ordinal place in the list of regions, from 0
 * @param coachName what a coach calls it
 * @param anatomicalName what an anatomist calls it
 * @param muscleShares muscle id to its share of the region; shares add up to 1
 * @param steer how far it can be trained apart from its neighbours: A well, B partly, C little or
 *     disputed
 * @param column place across on the limb chart
 * @param row place down on the limb chart
 */
public record Region(
    int ordinal,
    String id,
    String coachName,
    String anatomicalName,
    String group,
    Map<String, Double> muscleShares,
    String steer,
    String column,
    String row) {}
