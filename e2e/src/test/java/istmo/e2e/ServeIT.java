package istmo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/**
 * Another address than loopback's usual name, over HTTPS with a self-made certificate; and backups
 * that are restored.
 */
@ExtendWith(Istmo.class)
class ServeIT {
  /** Loopback too, but none of the names to which Istmo answers unasked. */
  private static final String ADDRESS = "127.0.0.9";

  private static final Path SCRIPTS =
      Path.of(System.getProperty("repo.dir")).resolve("scripts").toAbsolutePath().normalize();

  /** The last line of what a command says. */
  private static String run(String... command) throws Exception {
    return lines(command).strip().lines().reduce((first, second) -> second).orElse("");
  }

  private static String lines(String... command) throws Exception {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(out).isZero();
    return out;
  }

  private static Map<String, String> certificate(Path folder) throws Exception {
    Map<String, String> lines = new TreeMap<>();
    lines(SCRIPTS.resolve("cert.sh").toString(), folder.toString(), ADDRESS)
        .lines()
        .forEach(
            line ->
                lines.put(
                    line.substring(0, line.indexOf('=')), line.substring(line.indexOf('=') + 1)));
    return lines;
  }

  @Test
  void anotherAddressIsServedOverHttpsUnderThatNameOnly(@TempDir Path folder) throws Exception {
    Map<String, String> made = certificate(folder);
    assertThat(made.get("FINGERPRINT")).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
    assertThat(certificate(folder)).as("the same address keeps its certificate").isEqualTo(made);
    made.remove("FINGERPRINT");
    made.putAll(
        Map.of(
            "SERVER_ADDRESS",
            ADDRESS,
            "ISTMO_NAMES",
            ADDRESS,
            "SERVER_SERVLET_SESSION_COOKIE_SECURE",
            "true"));
    try (Istmo served = Istmo.served("served", ADDRESS, made);
        BrowserContext phone =
            Istmo.browser()
                .newContext(
                    new Browser.NewContextOptions()
                        .setIgnoreHTTPSErrors(true)
                        .setViewportSize(390, 844))) {
      Page page = phone.newPage();
      page.navigate(served.home() + "/floor");
      PlaywrightAssertions.assertThat(
              page.getByRole(
                  AriaRole.HEADING,
                  new Page.GetByRoleOptions().setName("The first coach on this machine")))
          .isVisible();
      page.getByLabel("Coach's name").fill("Invented Coach");
      page.getByLabel("Name to sign in with").fill("coach");
      page.getByLabel("Password").fill("a long enough password");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Begin")).click();
      PlaywrightAssertions.assertThat(page.getByText("Take a session along")).isVisible();
      assertThat(phone.cookies())
          .anySatisfy(
              cookie -> {
                assertThat(cookie.name).isEqualTo("istmo");
                assertThat(cookie.secure).isTrue();
                assertThat(cookie.httpOnly).isTrue();
              });
      String port = served.home().substring(served.home().lastIndexOf(':') + 1);
      assertThat(
              phone
                  .request()
                  .get(
                      "https://" + ADDRESS + ":" + port + "/api/account",
                      com.microsoft.playwright.options.RequestOptions.create()
                          .setHeader("Host", "somewhere.example:" + port))
                  .status())
          .as("a foreign name")
          .isEqualTo(403);
      assertThat(phone.request().get("http://" + ADDRESS + ":" + port + "/api/account").status())
          .as("without encryption")
          .isEqualTo(400);
    }
  }

  @Test
  void aBackupIsRestoredWholeAndABrokenOneChangesNothing(@TempDir Path folder) throws Exception {
    Path file = folder.resolve("istmo.dump");
    String pg = SCRIPTS.resolve("pg.sh").toString();
    Files.setPosixFilePermissions(
        folder, java.nio.file.attribute.PosixFilePermissions.fromString("rwxr-xr-x"));
    String before = run(pg, "backup", file.toString());
    assertThat(before)
        .contains("client ")
        .contains("performed_set ")
        .doesNotContain("client 0")
        .doesNotContain("performed_set 0");
    try {
      assertThat(run(pg, "restore", file.toString(), "restored"))
          .as("every coach, client, session, set and plan is back")
          .isEqualTo(before);
      assertThat(run(pg, "restore", file.toString(), "restored"))
          .as("again, over what is there")
          .isEqualTo(before);
      Path broken = folder.resolve("broken.dump");
      Files.write(
          broken, java.util.Arrays.copyOf(Files.readAllBytes(file), (int) Files.size(file) / 2));
      Process process =
          new ProcessBuilder(pg, "restore", broken.toString(), "restored")
              .redirectErrorStream(true)
              .start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(process.waitFor()).as(said).isNotZero();
      assertThat(said).contains("the data are as they were");
      assertThat(run(pg, "backup", folder.resolve("after.dump").toString()))
          .as("the running one")
          .isEqualTo(before);
    } finally {
      run(pg, "drop", "restored");
      run(pg, "drop", "before_restored");
    }
  }
}
