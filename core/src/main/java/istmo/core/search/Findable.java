package istmo.core.search;

import istmo.core.quantity.Fact;
import java.util.List;
import java.util.Optional;

/**
 * Something that can be found.
 *
 * @param id of what it is, within its kind
 * @param name as it is shown
 * @param alsoCalled other names by which it is found
 * @param note what to know of it; empty where there is nothing
 */
public record Findable(
    Kind kind, String id, String name, List<String> alsoCalled, Optional<Fact> note) {
  /** What it is; of hits that match as well, the kinds that stand first come first. */
  public enum Kind {
    CLIENT,
    EXERCISE,
    BY_WORD,
    SET_UP,
    MACHINE,
    GYM,
    CLAIM
  }

  public Findable {
    alsoCalled = List.copyOf(alsoCalled);
  }
}
