package istmo.core.search;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A name as it is compared: small letters, no accents, hyphens as blanks, words in the singular. So
 * "Step-Downs" and "step down" are the same.
 */
record PlainWords(List<String> words) {
  private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
  private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{Nd}]+");
  private static final Pattern APOSTROPHE = Pattern.compile("['\u2019]");
  private static final int LEAST_FOR_PLURAL = 3;

  static PlainWords of(String text) {
    String small =
        ACCENTS
            .matcher(Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD))
            .replaceAll("");
    String[] parts = BETWEEN.split(APOSTROPHE.matcher(small).replaceAll("").strip());
    return new PlainWords(
        Arrays.stream(parts).filter(word -> !word.isEmpty()).map(PlainWords::singular).toList());
  }

  private static String singular(String word) {
    boolean plural = word.length() >= LEAST_FOR_PLURAL && word.endsWith("s");
    return plural && !word.endsWith("ss") ? word.substring(0, word.length() - 1) : word;
  }

  /** All words in one, so that "stepdown" is "step down". */
  String joined() {
    return String.join("", words);
  }

  boolean isEmpty() {
    return words.isEmpty();
  }
}
