package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Coming in: the demo by itself, an installation of one's own by name and password. */
@ExtendWith(Istmo.class)
class SignInIT {

  @Test
  void theDemoSignsInByItselfAndSaysSo() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/clients");
      coach.looksBehind("Account: demo, signed in by itself");
      assertThat(page.getByText("this one", new Page.GetByTextOptions().setExact(true)))
          .isVisible();
      coach.findsNoFault("account").presses("Sign out");
      coach.presses("Enter the demo");
      coach.looksBehind("Account: demo, signed in by itself");
    }
  }

  @Test
  void anInstallationOfOnesOwnAsksForItsFirstAccountAndThenForTheSignIn() throws Exception {
    String address = Istmo.withoutDemo("own");
    try (Coach coach = Coach.at(address)) {
      Page page = coach.page;
      coach.opens("/clients");
      assertThat(
              page.getByRole(
                  AriaRole.HEADING,
                  new Page.GetByRoleOptions().setName("The first coach on this machine")))
          .isVisible();
      coach
          .findsNoFault("first account")
          .fills("Coach's name", "Maren Solvik")
          .fills("Name to sign in with", "maren")
          .fills("Password", "short")
          .presses("Begin");
      assertThat(page.getByText("needs at least 10 characters")).isVisible();
      coach.fills("Password", "wind over the quay").presses("Begin");
      assertThat(page.getByText("No client yet.")).isVisible();

      // the session ends elsewhere: the sign-in comes on top, and what was typed stays
      coach
          .presses("New client")
          .fills("Name", "Half a Client")
          .fills("Height (cm)", "171")
          .fills("Weight (kg)", "70")
          .picksChoice("Sex, for proportions", "male");
      page.context().clearCookies();
      coach.presses("Save");
      assertThat(page.getByText("You were signed out. What you typed is kept.")).isVisible();
      page.getByRole(AriaRole.DIALOG).getByLabel("Name").fill("maren");
      page.getByRole(AriaRole.DIALOG).getByLabel("Password").fill("wind over the quay");
      coach.findsNoFault("sign-in").presses("Sign in");
      assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
      coach.presses("Save");
      assertThat(
              page.getByRole(
                  AriaRole.HEADING, new Page.GetByRoleOptions().setName("Half a Client")))
          .isVisible();

      anotherCoachSeesNoneOfIt(coach);
      aSampleShowsWhatThereIs(coach);
    }
  }

  private static void anotherCoachSeesNoneOfIt(Coach coach) {
    Page page = coach.page;
    coach.looksBehind("Account: Maren Solvik");
    var form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Another coach"));
    form.getByLabel("Coach's name").fill("Ivo Tarrant");
    form.getByLabel("Name to sign in with").fill("ivo");
    form.getByLabel("Password").fill("rope and tackle 9");
    form.getByRole(AriaRole.BUTTON).click();
    assertThat(form.getByText("Added.")).isVisible();
    coach.presses("Sign out");
    coach.fills("Name", "ivo").fills("Password", "rope and tackle 9").presses("Sign in");
    coach.looksBehind("Account: Ivo Tarrant");
    coach.opens("/clients");
    assertThat(page.getByText("No client yet.")).isVisible();
  }

  /** Who has nothing yet can look around with a sample. */
  private static void aSampleShowsWhatThereIs(Coach coach) {
    Page page = coach.page;
    coach.opens("/").presses("Look around with a sample client");
    assertThat(page.getByTestId("first-pick")).isVisible();
    assertThat(page.getByTestId("brief")).containsText("Sample client");
    assertThat(page.locator("[data-thumb]").first()).isVisible();
    coach.keepsAPicture("sample");
  }
}
