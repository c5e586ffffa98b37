package istmo.app.search;

import istmo.app.catalogue.Trainables;
import istmo.app.clients.Clients;
import istmo.app.gyms.Gyms;
import istmo.core.catalogue.ByWord;
import istmo.core.quantity.InvalidInput;
import istmo.core.search.EverydayNames;
import istmo.core.search.Findable;
import istmo.core.search.Finder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** One search over what everybody can find and what the signed-in coach has. */
@Service
public class Search {
  private static final int MOST_HITS = 20;
  private static final int LONGEST_TEXT = 100;

  private final Trainables trainables;
  private final Clients clients;
  private final Gyms gyms;

  Search(Trainables trainables, Clients clients, Gyms gyms) {
    this.trainables = trainables;
    this.clients = clients;
    this.gyms = gyms;
  }

  /** What fits a text, the best first. */
  public List<Finder.Hit> find(String text) {
    if (text.length() > LONGEST_TEXT) {
      throw new InvalidInput("text", "takes at most " + LONGEST_TEXT + " characters");
    }
    List<Findable> all = new ArrayList<>(EverydayNames.all());
    trainables.ownVariants().forEach(candidate -> all.add(EverydayNames.of(candidate)));
    trainables.byWord().stream()
        .filter(byWord -> ByWord.ownKey(byWord.id()).isPresent())
        .forEach(byWord -> all.add(EverydayNames.of(byWord)));
    clients
        .namesById()
        .forEach((id, name) -> all.add(plain(Findable.Kind.CLIENT, id.toString(), name)));
    gyms.all().stream()
        .filter(gym -> !gym.removed())
        .forEach(gym -> all.add(plain(Findable.Kind.GYM, gym.id().toString(), gym.name())));
    return Finder.find(text, all, MOST_HITS);
  }

  private static Findable plain(Findable.Kind kind, String id, String name) {
    return new Findable(kind, id, name, List.of(), Optional.empty());
  }
}
