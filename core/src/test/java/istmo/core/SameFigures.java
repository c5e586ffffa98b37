package istmo.core;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;

/**
 * Compares a text that was written once with what is computed now. Words must be the same. A figure
 * with decimals may differ by one in its last written digit, because processors and Java versions
 * round the last bits of a double differently.
 */
public final class SameFigures {
  private static final Pattern FIGURE = Pattern.compile("(?<![A-Za-z0-9])-?\\d+\\.\\d+");

  private SameFigures() {}

  /** Asserts that both texts say the same. */
  public static void assertSame(String what, String computed, String written) {
    Assertions.assertThat(words(computed)).as(what).isEqualTo(words(written));
    List<String> now = figures(computed);
    List<String> then = figures(written);
    for (int k = 0; k < now.size(); k++) {
      BigDecimal expected = new BigDecimal(then.get(k));
      BigDecimal difference = new BigDecimal(now.get(k)).subtract(expected).abs();
      Assertions.assertThat(difference)
          .as("%s: figure %d is %s, written is %s", what, k + 1, now.get(k), then.get(k))
          .isLessThanOrEqualTo(expected.ulp());
    }
  }

  /**
   * Asserts that a page holds this block, from its first line to its last; writes it there instead
   * with {@code -Dvalidation.write=true}.
   */
  public static void assertWritten(Path page, String block) throws IOException {
    String text = Files.readString(page);
    String last = block.substring(block.lastIndexOf('\n') + 1);
    int begin = text.indexOf(block.substring(0, block.indexOf('\n')));
    int end = text.indexOf(last) + last.length();
    Assertions.assertThat(begin).as("marker in " + page.getFileName()).isNotNegative();
    if (Boolean.getBoolean("validation.write")) {
      Files.writeString(page, text.substring(0, begin) + block + text.substring(end));
      return;
    }
    assertSame(page.getFileName().toString(), block, text.substring(begin, end));
  }

  private static String words(String text) {
    return FIGURE.matcher(text).replaceAll("#");
  }

  private static List<String> figures(String text) {
    return FIGURE.matcher(text).results().map(MatchResult::group).toList();
  }
}
