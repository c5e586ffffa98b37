package istmo.core.plan;

import istmo.core.plan.Planned.Week;

/** Weeks to be composed. */
final class ComposerCases {
  private ComposerCases() {}

  static final double LONG_ENOUGH_S = 60;

  static Week composed(Task task, double seconds) {
    int[] next = {0};
    return Composition.week(
        task,
        new Composer(task).compose(seconds, progress -> {}).orElseThrow(),
        bouts -> bouts,
        () -> "i" + next[0]++);
  }
}
