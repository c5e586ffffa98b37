package istmo.core;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.quantity.Bound;
import istmo.core.quantity.Units;
import istmo.core.record.SetRegister;
import istmo.core.record.SetRegister.Outcome;
import istmo.core.record.SetRegister.State;
import istmo.core.record.SetRegister.Stored;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * What the front end must agree with: web/src/conformance.json holds what the core says, and the
 * front end's tests run it. Write it again with {@code -Dconformance.write=true}.
 */
class ConformanceTest {
  private static final Path FILE = Path.of("..", "web", "src", "conformance.json");
  private static final long SEED = 20261129;
  private static final int SEQUENCES = 60;
  private static final int MESSAGES = 7;

  private static final List<String> SENTENCES =
      List.of(
          "Hooks at about 138 cm, safeties at about 66 cm above the floor.",
          "Feet 20 to 30 cm apart, 12.7 cm of board, 60 kg.",
          "No length at all.");

  private final Set<Outcome> seen = EnumSet.noneOf(Outcome.class);

  @Test
  void theFrontEndHoldsWhatTheCoreSays() throws IOException {
    String now = document();
    if (Boolean.getBoolean("conformance.write")) {
      Files.writeString(FILE, now);
    }
    assertThat(Files.readString(FILE)).isEqualTo(now);
    assertThat(seen).as("the sequences reach every outcome").containsExactly(Outcome.values());
  }

  private String document() {
    StringBuilder json = new StringBuilder("{\n");
    json.append("  \"kgPerPound\": ").append(Units.KG_PER_POUND).append(",\n");
    json.append("  \"metresPerInch\": ").append(Units.METRES_PER_INCH).append(",\n");
    json.append("  \"standardGravity\": ").append(Units.STANDARD_GRAVITY).append(",\n");
    json.append("  \"inInches\": [\n    ")
        .append(SENTENCES.stream().map(ConformanceTest::inInches).collect(joining(",\n    ")))
        .append("\n  ],\n");
    json.append("  \"register\": [\n");
    List<String> sequences = new ArrayList<>();
    Random random = new Random(SEED);
    for (int k = 0; k < SEQUENCES; k++) {
      sequences.add("    [\n      " + String.join(",\n      ", sequence(random)) + "\n    ]");
    }
    return json.append(String.join(",\n", sequences)).append("\n  ]\n}\n").toString();
  }

  private static String inInches(String sentence) {
    String bound = Bound.quantities(sentence);
    return String.format(
        "{ \"said\": \"%s\", \"inInches\": \"%s\" }", bound, Bound.inInches(bound));
  }

  /** Messages of two devices about one set, each with what becomes of it. */
  private List<String> sequence(Random random) {
    List<String> lines = new ArrayList<>();
    Optional<Stored<Integer>> stored = Optional.empty();
    for (int k = 0; k < MESSAGES; k++) {
      int revision = 1 + random.nextInt(4);
      State<Integer> message =
          new State<>(
              revision,
              random.nextInt(revision),
              random.nextBoolean() ? "a" : "b",
              random.nextInt(5) == 0,
              8 + random.nextInt(2));
      Outcome outcome = SetRegister.judge(stored, message);
      seen.add(outcome);
      lines.add(
          String.format(
              Locale.ROOT,
              "{ \"device\": \"%s\", \"revision\": %d, \"base\": %d, \"removed\": %b,"
                  + " \"repetitions\": %d, \"outcome\": \"%s\" }",
              message.device(),
              message.revision(),
              message.base(),
              message.removed(),
              message.figures(),
              outcome));
      if (outcome == Outcome.STORED) {
        stored =
            Optional.of(
                stored
                    .map(before -> before.taking(message))
                    .orElseGet(() -> Stored.first(message)));
      }
    }
    return lines;
  }
}
