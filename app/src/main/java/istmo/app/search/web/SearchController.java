package istmo.app.search.web;

import istmo.app.search.Search;
import istmo.core.search.Findable;
import istmo.core.words.Words;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** One search from everywhere. */
@RestController
class SearchController {
  private final Search search;

  SearchController(Search search) {
    this.search = search;
  }

  /**
   * id: of an exercise, a set-up and an exercise by word the candidate's; by: the name by which it
   * was found; note: what to know of it.
   */
  record HitView(Findable.Kind kind, String id, String name, String by, String note) {}

  /**
   * Exercises, set-ups, machines, claims, and the coach's own clients and gyms by any of their
   * names, the best first.
   */
  @GetMapping("/api/search")
  List<HitView> find(@RequestParam String text) {
    return search.find(text).stream()
        .map(
            hit ->
                new HitView(
                    hit.thing().kind(),
                    hit.thing().id(),
                    hit.thing().name(),
                    hit.name(),
                    hit.thing().note().map(Words::of).orElse("")))
        .toList();
  }
}
