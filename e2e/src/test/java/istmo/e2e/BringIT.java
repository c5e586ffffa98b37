package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.Charset;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Somebody's spreadsheet becomes a record. */
@ExtendWith(Istmo.class)
class BringIT {

  /** As an older spreadsheet writes it: semicolons, decimal commas, days first, not UTF-8. */
  private static final String SHEET =
      "Datum;Übung;Gewicht (lb);Wdh;Bemerkung\n"
          + "24.10.2026;Seated leg curl;88,2;12;müde\n"
          + "24.10.2026;Seated leg curl;88,2;11;\n"
          + "31.10.2026;Curl at the window;44;15;\n";

  @Test
  void aMessySheetIsLookedAtMappedAndBroughtIn() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/clients");
      coach.presses("Change Liv Ternholm");
      coach
          .page
          .getByRole(
              AriaRole.LINK,
              new Page.GetByRoleOptions().setName("Bring in sets from a spreadsheet"))
          .click();
      coach
          .page
          .locator("input[type=file]")
          .setInputFiles(
              new FilePayload(
                  "sets.csv", "text/csv", SHEET.getBytes(Charset.forName("windows-1252"))));
      assertThat(coach.page.getByTestId("import-summary"))
          .containsText("3 sets from 2026-10-24 to 2026-10-31, columns parted by “;”");
      assertThat(coach.page.getByLabel("Unit of loads")).hasValue("LB");
      assertThat(coach.page.getByLabel("Column Übung holds")).hasValue("EXERCISE");
      assertThat(coach.page.getByLabel("Column Bemerkung holds")).hasValue("IGNORED");
      Locator bring =
          coach.page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Bring in \\d+ sets")));
      assertThat(bring).isDisabled();
      coach.findsNoFault("bringing in");
      coach.page.getByLabel("Curl at the window is").selectOption("lying-leg-curl/usual");
      assertThat(bring).isEnabled();
      bring.click();
      assertThat(coach.page.getByText("3 sets on 2 days")).isVisible();
      coach
          .page
          .getByRole(
              AriaRole.LINK, new Page.GetByRoleOptions().setName("The record of Liv Ternholm"))
          .click();
      coach
          .page
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Seated leg curl")))
          .click();
      assertThat(coach.page.getByText("40.01 kg × 12, 11")).isVisible();
    }
  }

  @Test
  void aClientGoesOutAsAFileAndComesInUnderAnotherName() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/clients");
      coach.presses("Change Tarn Holloway");
      Download file =
          coach.page.waitForDownload(
              () -> coach.page.getByText("Take everything out as a file").click());
      coach.opens("/clients");
      coach
          .page
          .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bring in from a file"))
          .click();
      coach.page.locator("input[type=file]").setInputFiles(file.path());
      Locator row = coach.page.getByTestId("archive-clients").locator("tbody tr");
      assertThat(row).containsText("you have a client of that name");
      Locator bring =
          coach.page.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Bring in ")));
      assertThat(bring).isDisabled();
      coach.findsNoFault("an archive");
      coach.page.getByLabel("Tarn Holloway is called here").fill("Tarn Brought");
      coach.page.keyboard().press("Tab");
      assertThat(bring).hasText("Bring in Tarn Brought");
      bring.click();
      coach
          .page
          .getByRole(
              AriaRole.LINK, new Page.GetByRoleOptions().setName("The record of Tarn Holloway"))
          .click();
      assertThat(coach.page.getByText("Tarn Brought").first()).isVisible();
    }
  }
}
