package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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

  /** What an operation is for stands in the Javadoc of its controller's method, and is served. */
  @Test
  void everyOperationSaysWhatItIsFor() {
    JsonNode paths = RunningApp.get("/v3/api-docs").body().path("paths");
    List<String> silent = new ArrayList<>();
    int operations = 0;
    for (Map.Entry<String, JsonNode> path : paths.properties()) {
      for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
        operations++;
        if (operation.getValue().path("description").asString("").isBlank()) {
          silent.add(operation.getKey() + " " + path.getKey());
        }
      }
    }
    assertThat(silent).isEmpty();
    assertThat(operations).isGreaterThan(100);
  }
}
