package istmo.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.quantity.InvalidInput;
import istmo.core.record.SetRegister.Outcome;
import istmo.core.record.SetRegister.State;
import istmo.core.record.SetRegister.Stored;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Any interleaving of logs, corrections, retries, losses and crashes ends in the same record. */
class SetRegisterTest {
  private static State<String> state(int revision, int base, String device, String figures) {
    return new State<>(revision, base, device, false, figures);
  }

  private static Optional<Stored<String>> after(
      Optional<Stored<String>> stored, State<String> message) {
    if (SetRegister.judge(stored, message) != Outcome.STORED) {
      return stored;
    }
    return Optional.of(
        stored.map(before -> before.taking(message)).orElseGet(() -> Stored.first(message)));
  }

  @Test
  void aRetryChangesNothingAndALateOneDoesNotUndo() {
    Optional<Stored<String>> found = after(Optional.empty(), state(1, 0, "a", "60 x 10"));
    assertThat(SetRegister.judge(found, state(1, 0, "a", "60 x 10"))).isEqualTo(Outcome.SAME);
    Optional<Stored<String>> corrected = after(found, state(2, 1, "a", "60 x 11"));
    assertThat(SetRegister.judge(corrected, state(1, 0, "a", "60 x 10"))).isEqualTo(Outcome.STALE);
    assertThat(corrected.orElseThrow().now().figures()).isEqualTo("60 x 11");
  }

  @Test
  void aRemovalStaysRemovedWhenTheLogComesAgain() {
    Optional<Stored<String>> found = after(Optional.empty(), state(1, 0, "a", "60 x 10"));
    Optional<Stored<String>> gone = after(found, new State<>(2, 1, "a", true, "60 x 10"));
    assertThat(SetRegister.judge(gone, state(1, 0, "a", "60 x 10"))).isEqualTo(Outcome.STALE);
    assertThat(gone.orElseThrow().now().removed()).isTrue();
  }

  @Test
  void twoDevicesThatDidNotKnowOfEachOtherAreAConflictAndTheCoachDecides() {
    Optional<Stored<String>> found =
        after(after(Optional.empty(), state(1, 0, "a", "60 x 10")), state(2, 1, "b", "60 x 12"));
    State<String> own = state(2, 1, "a", "60 x 8");
    assertThat(SetRegister.judge(found, own)).isEqualTo(Outcome.CONFLICT);
    assertThat(SetRegister.judge(found, state(1, 0, "a", "60 x 10")))
        .as("the first log, late")
        .isEqualTo(Outcome.STALE);
    Optional<Stored<String>> mine = after(found, state(3, 2, "a", "60 x 8"));
    assertThat(mine.orElseThrow().now().figures()).isEqualTo("60 x 8");
    assertThat(SetRegister.judge(mine, state(2, 1, "b", "60 x 12")))
        .as("the other's retry")
        .isEqualTo(Outcome.STALE);
    assertThat(SetRegister.judge(mine, state(3, 2, "b", "60 x 9")))
        .as("the other goes on without having seen it")
        .isEqualTo(Outcome.CONFLICT);
  }

  @Test
  void theSameChangeOnTwoDevicesIsNoConflict() {
    Optional<Stored<String>> found =
        after(after(Optional.empty(), state(1, 0, "a", "60 x 10")), state(2, 1, "b", "60 x 12"));
    assertThat(SetRegister.judge(found, state(2, 1, "a", "60 x 12"))).isEqualTo(Outcome.SAME);
  }

  @Test
  void revisionsThatCannotBeAreRefused() {
    assertThatThrownBy(() -> state(0, 0, "a", ""))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("revision");
    assertThatThrownBy(() -> state(2, 2, "a", ""))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("base");
    assertThatThrownBy(() -> state(1, 0, " ", ""))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("device");
  }

  /**
   * One device logs, corrects and removes sets; messages are doubled, delayed, put in any order,
   * answers are lost, and the device retries until each set's newest revision was answered.
   * Whatever happens on the way, the record is what the device shows.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void oneDeviceAnyWay(int seed) {
    Random random = new Random(seed);
    for (int round = 0; round < 200; round++) {
      Map<Integer, State<String>> shown = new LinkedHashMap<>();
      Map<Integer, Integer> answered = new HashMap<>();
      Map<Integer, Optional<Stored<String>>> server = new HashMap<>();
      List<Map.Entry<Integer, State<String>>> under = new ArrayList<>();
      for (int act = 0; act < 30; act++) {
        int set = random.nextInt(5);
        State<String> before = shown.get(set);
        State<String> now =
            before == null
                ? state(1, 0, "a", "v" + act)
                : new State<>(
                    before.revision() + 1,
                    Math.min(before.revision(), answered.getOrDefault(set, 0)),
                    "a",
                    random.nextInt(4) == 0,
                    "v" + act);
        shown.put(set, now);
        for (int copies = random.nextInt(3); copies > 0; copies--) {
          under.add(Map.entry(set, now));
        }
        Collections.shuffle(under, random);
        for (int n = random.nextInt(3); n > 0 && !under.isEmpty(); n--) {
          deliver(server, answered, under.remove(under.size() - 1), random.nextBoolean());
        }
      }
      boolean late = random.nextBoolean();
      if (late) {
        shown.forEach((set, state) -> deliver(server, answered, Map.entry(set, state), true));
      }
      under.forEach(entry -> deliver(server, answered, entry, true));
      shown.forEach((set, state) -> deliver(server, answered, Map.entry(set, state), true));
      shown.forEach(
          (set, state) ->
              assertThat(server.get(set).orElseThrow().now())
                  .as("seed %d set %d", seed, set)
                  .isEqualTo(state));
      assertThat(server).hasSameSizeAs(shown);
    }
  }

  private static void deliver(
      Map<Integer, Optional<Stored<String>>> server,
      Map<Integer, Integer> answered,
      Map.Entry<Integer, State<String>> message,
      boolean answerArrives) {
    Optional<Stored<String>> before = server.getOrDefault(message.getKey(), Optional.empty());
    Outcome outcome = SetRegister.judge(before, message.getValue());
    assertThat(outcome)
        .as("one device is never in conflict with itself")
        .isNotEqualTo(Outcome.CONFLICT);
    server.put(message.getKey(), after(before, message.getValue()));
    if (answerArrives) {
      answered.merge(
          message.getKey(), server.get(message.getKey()).orElseThrow().now().revision(), Math::max);
    }
  }

  /**
   * Two devices change one set at the same time: of the two changes one is stored and the other is
   * told to be in conflict, never both and never neither; what the coach then decides is the record
   * on both.
   */
  @ParameterizedTest
  @ValueSource(ints = {11, 12, 13, 14})
  void twoDevicesNeverOverwriteUnseen(int seed) {
    Random random = new Random(seed);
    for (int round = 0; round < 300; round++) {
      Optional<Stored<String>> server = after(Optional.empty(), state(1, 0, "a", "first"));
      List<State<String>> messages =
          new ArrayList<>(
              List.of(
                  state(2, 1, "a", "of a"),
                  state(2, 1, "b", "of b"),
                  state(1, 0, "a", "first"),
                  state(2, 1, "a", "of a"),
                  state(2, 1, "b", "of b")));
      Collections.shuffle(messages, random);
      Map<String, Outcome> newest = new HashMap<>();
      for (State<String> message : messages) {
        Outcome outcome = SetRegister.judge(server, message);
        server = after(server, message);
        if (message.revision() == 2 && outcome != Outcome.SAME) {
          newest.put(message.device(), outcome);
        }
      }
      assertThat(newest.values()).containsExactlyInAnyOrder(Outcome.STORED, Outcome.CONFLICT);
      String loser = newest.get("a") == Outcome.CONFLICT ? "a" : "b";
      State<String> keepMine = state(3, 2, loser, "of " + loser);
      server = after(server, keepMine);
      for (State<String> message : messages) {
        server = after(server, message);
      }
      assertThat(server.orElseThrow().now()).isEqualTo(keepMine);
    }
  }
}
