package istmo.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** The application: the core behind a JSON interface, the screens, and the records. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class IstmoApplication {
  /** Starts the application. */
  public static void main(String[] args) {
    SpringApplication.run(IstmoApplication.class, args);
  }
}
