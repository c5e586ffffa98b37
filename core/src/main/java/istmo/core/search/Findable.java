package istmo.core.search;

import java.util.List;

/**
 * Something that can be found.
 *
 * @param id of what it is, within its kind
 * @param name as it is shown
 * @param alsoCalled other names by which it is found
 * @param note what to know of it, in a sentence; empty where there is nothing
 */
public record Findable(Kind kind, String id, String name, List<String> alsoCalled, String note) {
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
