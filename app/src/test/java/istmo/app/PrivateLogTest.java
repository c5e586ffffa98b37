package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import ch.qos.logback.core.read.ListAppender;
import istmo.app.accounts.persistence.CoachEntity;
import istmo.app.accounts.persistence.CoachRepository;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;

/** What is stored of people stays out of the log, also when storing it fails. */
@ExtendWith(RunningApp.class)
class PrivateLogTest {
  @Test
  void aRowThatCannotBeStoredIsNotWrittenIntoTheLog() {
    CoachRepository coaches = RunningApp.bean(CoachRepository.class);
    ListAppender<ILoggingEvent> log = new ListAppender<>();
    Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    log.start();
    root.addAppender(log);
    try {
      CoachEntity twice =
          new CoachEntity(UUID.randomUUID(), "A name that is private", Instant.now());
      twice.setPassword("owner", "a hash that is private"); // the name to sign in with is in use
      assertThatThrownBy(() -> coaches.saveAndFlush(twice))
          .isInstanceOf(DataIntegrityViolationException.class)
          .satisfies(
              e ->
                  LoggerFactory.getLogger(PrivateLogTest.class)
                      .error("as a handler of errors logs it", e));
    } finally {
      root.detachAppender(log);
    }
    assertThat(log.list).anySatisfy(event -> assertThat(event.getLevel()).isEqualTo(Level.ERROR));
    for (ILoggingEvent event : log.list) {
      StringBuilder words = new StringBuilder(event.getFormattedMessage());
      for (IThrowableProxy proxy = event.getThrowableProxy();
          proxy != null;
          proxy = proxy.getCause()) {
        words.append('\n').append(proxy.getMessage());
      }
      assertThat(words.toString()).doesNotContain("that is private", "(owner)");
    }
  }
}
