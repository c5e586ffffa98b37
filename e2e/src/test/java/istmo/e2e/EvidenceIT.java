package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Studies, schools, weights, claims and comparisons as a coach meets them. */
@ExtendWith(Istmo.class)
class EvidenceIT {

  /**
   * What an order is weighed for, by hand too; what would move a strip up; two compared point by
   * point.
   */
  @Test
  void anOrderIsWeighedAndTwoOfItCompared() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/exercises?aim=BFL.2~GMAXM.2");
      List<String> usual = coach.order();
      coach.presses("more").says("Weighed for", "a sore back");
      assertThat(page.getByTestId("brief")).containsText("for a sore back");
      assertThat(page.locator("section[aria-busy=false][aria-label=Order]")).isVisible();
      Assertions.assertThat(coach.order()).isNotEqualTo(usual);
      page.getByText(Pattern.compile("^What counts how much")).click();
      page.getByLabel("time to set up").fill("9");
      assertThat(page.getByTestId("brief")).containsText("own weights");
      coach.presses("Back to the preset");
      assertThat(page.getByTestId("brief")).not().containsText("own weights");
      coach.says("Weighed for", "muscle growth");
      page.getByTestId("together").click();
      assertThat(page.getByText("Three together")).isVisible();
      page.locator("[data-candidate]").nth(3).click();
      assertThat(page.getByText("What would move it up")).isVisible();
      assertThat(page.getByTestId("by-school")).containsText("by the squeeze");
      coach.findsNoFault("order").keepsAPicture("order-weighed");
      page.locator("input[aria-label^='compare ']").nth(0).check();
      page.locator("input[aria-label^='compare ']").nth(1).check();
      page.getByRole(
              AriaRole.LINK, new Page.GetByRoleOptions().setName("Compare these 2 point by point"))
          .click();
      assertThat(page.getByTestId("differences")).containsText("outer hamstring");
      assertThat(
              page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("Point by point")))
          .containsText("Gives out first");
      coach.says("Add", "Leg press, feet low");
      assertThat(
              page.getByRole(
                  AriaRole.COLUMNHEADER,
                  new Page.GetByRoleOptions().setName("Leg press, feet low")))
          .isVisible();
      coach.findsNoFault("compare").keepsAPicture("compare");
      page.reload();
      assertThat(
              page.getByRole(
                  AriaRole.COLUMNHEADER,
                  new Page.GetByRoleOptions().setName("Leg press, feet low")))
          .isVisible();
    }
  }

  /**
   * A claim is found by its words, opens with its opposite, and goes to the bench with both
   * set-ups.
   */
  @Test
  void aClaimGoesToTheBenchWithBothSetUps() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach
          .opens("/exercises?aim=VL.2")
          .says("Client", "Oda Fenwick")
          .looksBehind("Gym sayings, tested");
      assertThat(page.locator("[data-claim]").first()).isVisible();
      Assertions.assertThat(page.locator("[data-claim]").count()).isGreaterThanOrEqualTo(50);
      page.getByRole(AriaRole.SEARCHBOX).fill("feet forward: more quads");
      assertThat(page.locator("[data-claim]")).hasCount(2);
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("more quads, and deeper")))
          .click();
      assertThat(page.locator("[data-claim=track-forward-glutes]")).containsText("Mechanics:");
      assertThat(page.locator("[data-claim=track-forward-quads]"))
          .containsText("does not say which");
      coach.findsNoFault("claims").keepsAPicture("claims");
      page.locator("[data-claim=track-forward-quads]")
          .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Both set-ups"))
          .click();
      assertThat(page.getByTestId("changes")).isVisible();
      Locator feet =
          page.getByLabel("Feet in front of the bar", new Page.GetByLabelOptions().setExact(false))
              .first();
      assertThat(feet).isVisible();
      Assertions.assertThat(page.url()).contains("pinned=").contains("set=");
      page.goBack();
      page.getByRole(AriaRole.SEARCHBOX).fill("Maeo");
      coach.presses("the studies");
      assertThat(page.getByText("Maeo et al. 2021 Med Sci Sports Exerc")).isVisible();
      assertThat(
              page.getByText(Pattern.compile("Here: Seated leg curl against Lying leg curl"))
                  .first())
          .isVisible();
    }
  }

  /** A school of one's own, refused where it is out of range, judges the order at once. */
  @Test
  void aSchoolOfOnesOwnJudges() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/schools").presses("A way of your own").presses("Keep");
      assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("needs a name");
      coach.fills("Ranked", "by the short end").fills("Why", "to see what moves").presses("Keep");
      assertThat(
              page.getByRole(
                  AriaRole.HEADING, new Page.GetByRoleOptions().setName("Ranked by the short end")))
          .isVisible();
      coach.findsNoFault("schools");
      coach
          .goesTo("Exercises")
          .says("Target", "all quads")
          .presses("more")
          .says("Way of ranking", "by the short end");
      assertThat(page.getByTestId("brief")).containsText("by the short end");
      assertThat(page.getByTestId("first-pick")).isVisible();
      coach.looksBehind("Ways of ranking").presses("Take out");
      assertThat(page.getByText("taken out")).isVisible();
    }
  }

  /** The same screens on a phone: nothing sticks out. */
  @Test
  void nothingSticksOutOnAPhone() {
    try (Coach coach = Coach.withAPhone()) {
      Page page = coach.page;
      coach.opens("/claims");
      assertThat(page.locator("[data-claim]").first()).isVisible();
      coach.needsNoSideScroll("claims");
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("inner thigh more")))
          .click();
      coach.needsNoSideScroll("an open claim").opens("/schools");
      assertThat(page.getByText("the default")).isVisible();
      coach
          .needsNoSideScroll("schools")
          .opens("/compare?with=hack-squat/usual~back-squat/high-bar&aim=VL.2");
      assertThat(page.getByTestId("differences")).containsText("Knee bend at the bottom");
      coach.needsNoSideScroll("compare");
    }
  }
}
