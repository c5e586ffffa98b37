package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Demo data is loaded once, into an empty account, however often the application starts; another
 * instance on the same database finds it.
 */
class DemoDataTest {
  private static ConfigurableApplicationContext start() {
    SpringApplication application = new SpringApplication(IstmoApplication.class);
    application.setDefaultProperties(
        Map.of("logging.level.root", "WARN", "spring.main.banner-mode", "off"));
    return application.run(
        "--server.port=0",
        "--spring.datasource.url=" + System.getenv("DB_URL") + "?currentSchema=demo_test",
        "--spring.flyway.default-schema=demo_test",
        "--istmo.demo=true");
  }

  private static <T> T asCoach(
      ConfigurableApplicationContext app, java.util.function.Supplier<T> act) {
    return app.getBean(istmo.app.accounts.CurrentCoach.class)
        .as(istmo.app.accounts.Accounts.FIRST, act);
  }

  @Test
  void itIsLoadedOnce() {
    try (ConfigurableApplicationContext first = start()) {
      var clients = asCoach(first, () -> first.getBean(istmo.app.clients.Clients.class).all());
      assertThat(clients).hasSize(12).anyMatch(client -> client.name().equals("Oda Fenwick"));
      clients.forEach(client -> assertThat(client.intake().body()).isNotNull());
      assertThat(
              asCoach(
                  first,
                  () ->
                      first
                          .getBean(istmo.app.plans.PlanStore.class)
                          .list(java.util.Optional.empty())))
          .singleElement()
          .satisfies(line -> assertThat(line.document().week().items()).hasSizeGreaterThan(3));
      var plans = first.getBean(istmo.app.sessions.SessionReader.class);
      assertThat(asCoach(first, () -> plans.list(java.util.Optional.empty())))
          .hasSize(33)
          .satisfies(
              all ->
                  assertThat(all.stream().filter(s -> s.finishedAt().isEmpty()))
                      .as("open today")
                      .hasSize(2));
    }
    try (ConfigurableApplicationContext again = start()) {
      assertThat(
              asCoach(
                  again,
                  () ->
                      again
                          .getBean(istmo.app.sessions.SessionReader.class)
                          .list(java.util.Optional.empty())))
          .hasSize(33);
      assertThat(asCoach(again, () -> again.getBean(istmo.app.gyms.Gyms.class).all())).hasSize(2);
    }
  }
}
