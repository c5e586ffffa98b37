package istmo.core.search;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds things by any of their names: whole names before beginnings, beginnings before words in any
 * order, and these before words with one slip of the keys.
 */
public final class Finder {
  /** A word has to be so long before one slip is forgiven. */
  private static final int LEAST_FOR_SLIP = 5;

  private Finder() {}

  /** How well a text fits a name, the best first. */
  private enum Fit {
    WHOLE,
    BEGINNING,
    ALL_WORDS,
    WITH_A_SLIP
  }

  /**
   * Something that was found.
   *
   * @param name the name by which it was found
   */
  public record Hit(Findable thing, String name) {}

  private record Scored(Findable thing, String name, Fit fit, boolean nickname) {}

  /** What fits a text, the best first, at most so many; nothing for a text without a word. */
  public static List<Hit> find(String text, Collection<Findable> among, int most) {
    PlainWords asked = PlainWords.of(text);
    if (asked.isEmpty()) {
      return List.of();
    }
    return among.stream()
        .map(findable -> scored(asked, findable))
        .flatMap(Optional::stream)
        .sorted(
            Comparator.comparing(Scored::fit)
                .thenComparing(scored -> scored.thing().kind())
                .thenComparing(Scored::nickname)
                .thenComparing(scored -> scored.name().length())
                .thenComparing(scored -> scored.thing().name())
                .thenComparing(scored -> scored.thing().id()))
        .limit(most)
        .map(scored -> new Hit(scored.thing(), scored.name()))
        .toList();
  }

  private static Optional<Scored> scored(PlainWords asked, Findable thing) {
    Optional<Scored> best =
        fit(asked, thing.name())
            .map(fit -> new Scored(thing, thing.name(), inSentence(thing, fit), false));
    for (String nickname : thing.alsoCalled()) {
      Optional<Fit> fit = fit(asked, nickname);
      if (fit.isPresent() && (best.isEmpty() || fit.get().compareTo(best.get().fit()) < 0)) {
        best = Optional.of(new Scored(thing, nickname, fit.get(), true));
      }
    }
    return best;
  }

  /** A claim is a sentence: how it begins says no more than any other of its words. */
  private static Fit inSentence(Findable thing, Fit fit) {
    return thing.kind() == Findable.Kind.CLAIM && fit == Fit.BEGINNING ? Fit.ALL_WORDS : fit;
  }

  private static Optional<Fit> fit(PlainWords asked, String name) {
    PlainWords words = PlainWords.of(name);
    if (words.joined().equals(asked.joined())) {
      return Optional.of(Fit.WHOLE);
    }
    if (words.joined().startsWith(asked.joined())) {
      return Optional.of(Fit.BEGINNING);
    }
    if (asked.words().stream()
        .allMatch(first -> words.words().stream().anyMatch(word -> word.startsWith(first)))) {
      return Optional.of(Fit.ALL_WORDS);
    }
    boolean slips =
        asked.words().stream()
            .allMatch(
                first ->
                    words.words().stream()
                        .anyMatch(word -> word.startsWith(first) || isSlip(first, word)));
    return slips ? Optional.of(Fit.WITH_A_SLIP) : Optional.empty();
  }

  /** Whether one letter is wrong, missing, too many, or changed places with its neighbour. */
  static boolean isSlip(String asked, String word) {
    if (asked.length() < LEAST_FOR_SLIP || Math.abs(asked.length() - word.length()) > 1) {
      return false;
    }
    int from = 0;
    while (from < Math.min(asked.length(), word.length())
        && asked.charAt(from) == word.charAt(from)) {
      from++;
    }
    String restAsked = asked.substring(from);
    String restWord = word.substring(from);
    return restAsked.substring(Math.min(1, restAsked.length())).equals(restWord)
        || restWord.substring(Math.min(1, restWord.length())).equals(restAsked)
        || tail(restAsked, 1).equals(tail(restWord, 1))
        || (restAsked.length() > 1
            && restWord.length() > 1
            && restAsked.charAt(0) == restWord.charAt(1)
            && restAsked.charAt(1) == restWord.charAt(0)
            && tail(restAsked, 2).equals(tail(restWord, 2)));
  }

  private static String tail(String text, int from) {
    return text.substring(Math.min(from, text.length()));
  }
}
