package istmo.app.catalogue;

import istmo.core.catalogue.Catalogue;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The catalogue that the application works with. */
@Configuration
class CatalogueConfig {
  @Bean
  Catalogue catalogue() {
    return Catalogue.standard();
  }
}
