package istmo.e2e;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.DoubleSupplier;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * How long a coach waits for the ranking, in a real browser: ./istmo bench-screens. No test of the
 * suite, which never looks at a clock: it fails only where what is waited for does not come.
 */
@ExtendWith(Istmo.class)
class ScreenSpeed {
  private static final int TIMES = 20;

  /** Regions of the chart, each pressed once in a round; every press asks for another order. */
  private static final List<String> REGIONS = List.of("VL", "GMAXM", "BFL", "GMEDP", "SOL");

  /** Notes the moment, since the page began, at which the first pick is there. */
  private static final String WATCH_FIRST_PICK =
      """
      new MutationObserver((_, watch) => {
        if (!document.querySelector('[data-testid="first-pick"]')) return
        window.firstPickMs = performance.now()
        watch.disconnect()
      }).observe(document, { childList: true, subtree: true })
      """;

  /**
   * Presses a region and answers after how many milliseconds the chart shows it, and after how many
   * the order is the new one and is painted.
   */
  private static final String PRESS =
      """
      async (id) => {
        const region = document.querySelector(`[role=slider][data-region="${id}"]`)
        const order = document.querySelector('[aria-label="Order"]')
        const frame = () => new Promise((painted) => requestAnimationFrame(painted))
        const before = region.getAttribute('aria-valuenow')
        const start = performance.now()
        region.dispatchEvent(new MouseEvent('click', { bubbles: true }))
        while (region.getAttribute('aria-valuenow') === before) await frame()
        const shown = performance.now() - start
        let quiet = 0
        let settled = shown
        while (quiet < 10) {
          await frame()
          const busy = order.getAttribute('aria-busy') === 'true'
          quiet = busy ? 0 : quiet + 1
          if (busy) settled = performance.now() - start
        }
        return [shown, settled]
      }
      """;

  @Test
  void howLongTheRankingTakes() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/");
      coach.goesTo("Exercises");
      page.locator("[role=slider][data-region=VL]").click();
      page.getByTestId("first-pick").waitFor();
      page.addInitScript(WATCH_FIRST_PICK);
      List<Double> loads =
          measured(
              () -> {
                page.reload();
                page.getByTestId("first-pick").waitFor();
                return ((Number) page.evaluate("window.firstPickMs")).doubleValue();
              });
      List<Double> shown = new ArrayList<>();
      List<Double> settled = new ArrayList<>();
      for (int round = 0; round < TIMES / REGIONS.size() + 1; round++) {
        for (String region : REGIONS) {
          @SuppressWarnings("unchecked")
          List<Number> told = (List<Number>) page.evaluate(PRESS, region);
          if (round > 0) { // in the first round every order is new
            shown.add(told.get(0).doubleValue());
            settled.add(told.get(1).doubleValue());
          }
        }
      }
      say("first pick seen after a warm load", 1200, loads);
      say("a pressed region shown", 100, shown);
      say("the order settled after it", 400, settled);
      Assertions.assertThat(loads).hasSize(TIMES);
    }
  }

  private static List<Double> measured(DoubleSupplier once) {
    List<Double> all = new ArrayList<>();
    for (int k = 0; k < TIMES; k++) {
      all.add(once.getAsDouble());
    }
    return all;
  }

  private static void say(String what, int wantedMs, List<Double> measured) {
    List<Double> sorted = new ArrayList<>(measured);
    Collections.sort(sorted);
    System.out.printf(
        "%-36s wanted %5d ms, median %5.0f, nine of ten within %5.0f%n",
        what, wantedMs, sorted.get(sorted.size() / 2), sorted.get(sorted.size() * 9 / 10));
  }
}
