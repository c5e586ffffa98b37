package istmo.app.floor.web;

import istmo.app.floor.Floor;
import istmo.app.floor.web.FloorViews.FloorItemView;
import istmo.app.floor.web.FloorViews.FloorRegionView;
import istmo.app.floor.web.FloorViews.FloorSetView;
import istmo.app.floor.web.FloorViews.FloorView;
import istmo.app.floor.web.FloorViews.PainAdviceView;
import istmo.app.sessions.Session;
import istmo.core.anatomy.Region;
import istmo.core.body.PainFlag;
import istmo.core.record.Pain;
import istmo.core.words.Words;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The floor over HTTP: a session to take along (docs/floor.md). Loads in kg, times in s. */
@RestController
@RequestMapping("/api/floor")
class FloorController {
  private static final List<PainAdviceView> PAIN =
      Arrays.stream(PainFlag.values())
          .map(
              flag ->
                  new PainAdviceView(
                      flag,
                      flag.label().replace("sore ", ""),
                      IntStream.rangeClosed(0, (int) Pain.LEVEL.max())
                          .mapToObj(l -> new Pain(flag, l).next())
                          .toList()))
          .toList();

  private final Floor floor;
  private final Clock clock;

  FloorController(Floor floor, Clock clock) {
    this.floor = floor;
    this.clock = clock;
  }

  /**
   * Everything that the floor needs for one session, so that it can go on without a network:
   * set-ups, loads, rests, substitutes and cautions.
   */
  @GetMapping("/{sessionId}")
  FloorView walk(@PathVariable UUID sessionId) {
    Floor.Walk walk = floor.walk(sessionId);
    Session session = walk.session();
    return new FloorView(
        session.id(),
        session.client().id(),
        session.client().name(),
        session.gym().id(),
        session.gym().name(),
        session.createdAt(),
        session.finishedAt().orElse(null),
        Words.of(session.client().cautions().statements()),
        walk.weaker().side(),
        Words.of(walk.weaker()),
        walk.exercises().stream()
            .filter(exercise -> !exercise.item().ended() || !exercise.item().sets().isEmpty())
            .map(
                exercise ->
                    new FloorItemView(
                        exercise.item().id(),
                        exercise.item().ended(),
                        FloorViews.exercise(
                            exercise, exercise.item().candidateId(), exercise.item().setup()),
                        exercise.item().sets().stream()
                            .map(
                                loggedSet ->
                                    FloorSetView.of(
                                        loggedSet.id(),
                                        loggedSet.revision(),
                                        false,
                                        loggedSet.record(),
                                        loggedSet.performedAt()))
                            .toList()))
            .toList(),
        PAIN,
        Arrays.stream(Region.values())
            .map(
                region -> new FloorRegionView(region.id(), region.coachName(), region.group().id()))
            .toList(),
        clock.instant());
  }
}
