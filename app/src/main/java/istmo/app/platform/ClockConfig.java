package istmo.app.platform;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock. */
@Configuration
class ClockConfig {
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
