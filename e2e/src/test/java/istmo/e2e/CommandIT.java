package istmo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The one command with a user's own data: what it says is what happened. */
class CommandIT {
  private static final Path REPO =
      Path.of(System.getProperty("repo.dir")).toAbsolutePath().normalize();

  @TempDir private Path folder;
  private Path home;
  private Process served;

  private record Ended(int code, String said) {}

  @BeforeEach
  void ownHome() throws IOException {
    Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
    home =
        Path.of(
            System.getenv("ISTMO_PG_HOME")
                + "-own-"
                + UUID.randomUUID().toString().substring(0, 8));
  }

  @AfterEach
  void stop() throws Exception {
    if (served != null) {
      served.destroy();
      served.waitFor(60, TimeUnit.SECONDS);
    }
    Process process =
        command(
                Map.of("ISTMO_PG_HOME", home.toString()),
                REPO.resolve("scripts/pg.sh").toString(),
                "destroy")
            .start();
    assertThat(process.waitFor(90, TimeUnit.SECONDS)).isTrue();
    Files.deleteIfExists(Path.of(home + ".lock"));
  }

  private ProcessBuilder command(Map<String, String> more, String... words) {
    ProcessBuilder builder = new ProcessBuilder(words).redirectErrorStream(true);
    builder.environment().keySet().removeIf(key -> key.startsWith("DB_") || key.startsWith("PG_"));
    builder.environment().putAll(more);
    return builder;
  }

  private ProcessBuilder istmo(String... words) {
    List<String> all = new ArrayList<>(List.of(REPO.resolve("istmo").toString()));
    all.addAll(List.of(words));
    Map<String, String> own =
        Map.of(
            "ISTMO_OWN_HOME",
            home.toString(),
            "ISTMO_BACKUPS",
            folder.resolve("backups").toString());
    return command(own, all.toArray(String[]::new));
  }

  private Ended run(String... words) throws Exception {
    Process process = istmo(words).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
    return new Ended(process.exitValue(), said);
  }

  @Test
  void aBackupOrARestoreThatFailsSaysSoAndEndsWithAnErrorCode() throws Exception {
    Path whole = folder.resolve("whole.dump");
    Ended first = run("backup", whole.toString());
    assertThat(first.code()).as(first.said()).isZero();
    assertThat(first.said()).contains("backed up into " + whole, "client 0");

    Path nowhere = folder.resolve("missing").resolve("x.dump");
    Ended missing = run("backup", nowhere.toString());
    assertThat(missing.code()).isNotZero();
    assertThat(missing.said()).contains("nothing was backed up").doesNotContain("backed up into");

    Path broken = folder.resolve("broken.dump");
    byte[] bytes = Files.readAllBytes(whole);
    Files.write(broken, java.util.Arrays.copyOf(bytes, bytes.length / 2));
    Ended refused = run("restore", broken.toString());
    assertThat(refused.code()).isNotZero();
    assertThat(refused.said()).contains("the data are as they were").doesNotContain("restored: ");

    Ended none = run("restore", nowhere.toString());
    assertThat(none.code()).isNotZero();
    assertThat(none.said()).contains("there is no backup").doesNotContain("restored: ");
    assertThat(folder.toFile().list())
        .as("no half file is left")
        .noneMatch(name -> name.endsWith(".part"));
  }

  @Test
  void aSecondStartIsRefusedAndLeavesTheFirstOneAlone() throws Exception {
    int port = freePort();
    ProcessBuilder first = istmo("serve").redirectOutput(Istmo.output("serve-first.log").toFile());
    first.environment().put("PORT", "" + port);
    served = first.start();
    awaitHealth(port);

    ProcessBuilder second = istmo("serve");
    second.environment().put("PORT", "" + freePort());
    Process process = second.start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isNotZero();
    assertThat(said).contains("is running already");
    assertThat(isHealthy(port)).as("the first one still answers, with its database").isTrue();
    assertThat(Files.getPosixFilePermissions(REPO.resolve(".tools/serve.log")))
        .as("only the owner reads the log")
        .isEqualTo(PosixFilePermissions.fromString("rw-------"));
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private static void awaitHealth(int port) throws Exception {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(180);
    while (!isHealthy(port)) {
      assertThat(System.nanoTime()).as("see e2e/target/serve-first.log").isLessThan(end);
      Thread.sleep(300);
    }
  }

  /** The health answer includes whether the database is reached. */
  private static boolean isHealthy(int port) throws InterruptedException {
    try {
      HttpRequest health =
          HttpRequest.newBuilder(
                  URI.create("http://127.0.0.1:" + port + "/actuator/health/readiness"))
              .build();
      return HttpClient.newHttpClient()
              .send(health, HttpResponse.BodyHandlers.ofString())
              .statusCode()
          == 200;
    } catch (IOException notYet) {
      return false;
    }
  }
}
