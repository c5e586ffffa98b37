package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * web/openapi.json is what the application serves. Write it again with {@code -Dapi.write=true},
 * then {@code npm run gen:api} in web/.
 */
@ExtendWith(RunningApp.class)
class ApiDescriptionTest {
  private static final Path FILE = Path.of(System.getProperty("repo.dir"), "web", "openapi.json");

  @Test
  void theCommittedDescriptionIsFresh() throws Exception {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    JsonNode served = RunningApp.get("/v3/api-docs").body();
    if (Boolean.getBoolean("api.write")) {
      Files.writeString(FILE, mapper.writeValueAsString(served) + "\n");
    }
    assertThat(mapper.readTree(Files.readString(FILE))).isEqualTo(served);
  }
}
