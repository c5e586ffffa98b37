package istmo.app.accounts;

import istmo.core.quantity.InvalidInput;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** What a password needs, and how it is kept. */
final class Passwords {
  private static final int SHORTEST = 10;
  private static final int LEAST_DIFFERENT = 5;

  /** bcrypt takes no more bytes. */
  private static final int LONGEST_BYTES = 72;

  private static final int STRENGTH = 12;
  private static final BCryptPasswordEncoder ENCODER = new BCryptPasswordEncoder(STRENGTH);

  private Passwords() {}

  static String hash(String password) {
    return ENCODER.encode(password);
  }

  static boolean matches(@Nullable String password, @Nullable String hash) {
    return password != null && isShortEnough(password) && ENCODER.matches(password, hash);
  }

  /** What is wrong with a new password, on the field that it came in; empty when nothing is. */
  static Optional<InvalidInput.Fault> fault(String field, @Nullable String password) {
    if (password == null || password.length() < SHORTEST || !isShortEnough(password)) {
      return Optional.of(
          new InvalidInput.Fault(
              field,
              "needs at least "
                  + SHORTEST
                  + " characters, and at most "
                  + LONGEST_BYTES
                  + " bytes"));
    }
    return isEasyToGuess(password)
        ? Optional.of(
            new InvalidInput.Fault(
                field,
                "is too easy to guess: needs at least "
                    + LEAST_DIFFERENT
                    + " different characters that are no plain sequence"))
        : Optional.empty();
  }

  private static boolean isShortEnough(String password) {
    return password.getBytes(StandardCharsets.UTF_8).length <= LONGEST_BYTES;
  }

  private static boolean isEasyToGuess(String password) {
    int[] signs = password.strip().codePoints().toArray();
    return "1234567890".equals(password)
        || isSequence(signs, 1)
        || isSequence(signs, -1)
        || Arrays.stream(signs).distinct().count() < LEAST_DIFFERENT;
  }

  private static boolean isSequence(int[] signs, int step) {
    return IntStream.range(1, signs.length).allMatch(k -> signs[k] - signs[k - 1] == step);
  }
}
