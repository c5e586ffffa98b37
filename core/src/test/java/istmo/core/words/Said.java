package istmo.core.words;

import istmo.core.quantity.Fact;
import java.util.Collection;
import java.util.List;

/** Facts as they are said, for tests that ask for the words. */
public final class Said {
  private Said() {}

  /** Each of some facts, as it is said. */
  public static List<String> all(Collection<? extends Fact> facts) {
    return facts.stream().map(Words::of).toList();
  }

  /** All of them, one after the other. */
  public static String together(Collection<? extends Fact> facts) {
    return String.join(" ", all(facts));
  }
}
