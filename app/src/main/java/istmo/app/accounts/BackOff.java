package istmo.app.accounts;

import java.time.Duration;

/**
 * How long a name has to wait at an address after failures in a row: nothing for the first five,
 * then 2, 4, 8 ... seconds, at most a quarter of an hour.
 */
final class BackOff {
  private static final int FREE = 5;
  private static final Duration MOST = Duration.ofMinutes(15);

  /** After this long without another failure everything is forgotten. */
  static final Duration FORGOTTEN = Duration.ofHours(24);

  private BackOff() {}

  static Duration after(int failures) {
    if (failures < FREE) {
      return Duration.ZERO;
    }
    long seconds = 1L << Math.min(30, failures - FREE + 1);
    return seconds >= MOST.toSeconds() ? MOST : Duration.ofSeconds(seconds);
  }
}
