package istmo.app.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The OpenAPI description: the same on every machine, with what an answer always holds marked as
 * required.
 */
@Configuration
class ApiDescription {
  private static final String OPTIONAL = "x-may-be-missing";

  @Bean
  OpenAPI openApi() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Istmo")
                .version("1")
                .description("Lengths in m, masses in kg, moments in N m, angles in deg."))
        .servers(List.of(new Server().url("/")));
  }

  @Bean
  PropertyCustomizer markOptional() {
    return (property, type) -> {
      if (type.getCtxAnnotations() != null
          && Arrays.stream(type.getCtxAnnotations()).anyMatch(MayBeMissing.class::isInstance)) {
        property.addExtension(OPTIONAL, true);
      }
      return property;
    };
  }

  @Bean
  OpenApiCustomizer requireTheRest() {
    return api -> {
      Map<String, Schema> sorted = new TreeMap<>(api.getComponents().getSchemas());
      sorted.forEach(ApiDescription::require);
      api.getComponents().setSchemas(sorted);
    };
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void require(String name, Schema schema) {
    if (!(name.endsWith("View") || name.endsWith("Line") || name.endsWith("Document"))
        || schema.getProperties() == null) {
      return;
    }
    List<String> required = new ArrayList<>();
    ((Map<String, Schema>) schema.getProperties())
        .forEach(
            (property, described) -> {
              if (described.getExtensions() == null
                  || described.getExtensions().remove(OPTIONAL) == null) {
                required.add(property);
              }
            });
    schema.setRequired(required);
  }
}
