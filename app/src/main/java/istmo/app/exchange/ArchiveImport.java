package istmo.app.exchange;

import istmo.app.clients.Clients;
import istmo.app.exchange.ArchiveReading.ReadClient;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.platform.Names;
import istmo.app.platform.Transactions;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JacksonException.Reference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** An archive brought in: looked at first, then all of it or nothing. */
@Service
public class ArchiveImport {
  /** What one text of a request may have is 100 million. */
  private static final int MOST_CHARACTERS = 99_000_000;

  private final Clients clients;
  private final Gyms gyms;
  private final OwnThingsImport ownThings;
  private final ClientFilesImport clientFiles;
  private final Clock clock;
  private final JsonMapper json;
  private final Transactions transactions;

  ArchiveImport(
      Clients clients,
      Gyms gyms,
      OwnThingsImport ownThings,
      ClientFilesImport clientFiles,
      Clock clock,
      JsonMapper json,
      Transactions transactions) {
    this.clients = clients;
    this.gyms = gyms;
    this.ownThings = ownThings;
    this.clientFiles = clientFiles;
    this.clock = clock;
    this.json = json.rebuild().enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();
    this.transactions = transactions;
  }

  /**
   * What a coach says of a file.
   *
   * @param gyms which of the coach's gyms one of the file is, by its name there; where nothing is
   *     said the one of that name, or else a new one
   * @param names how a client is to be called here; empty to leave one out
   */
  public record ImportChoices(Map<String, UUID> gyms, Map<String, String> names) {}

  /**
   * A gym of the file, and the one here that it may be.
   *
   * @param here the gym that it will be; empty for a new one
   */
  public record GymLine(String name, int items, Optional<UUID> here) {}

  /**
   * A client of the file, and the name under which they come in.
   *
   * @param as how it will be called; empty where it is left out
   * @param taken whether the coach has a client of that name
   */
  public record ClientLine(
      String name, int sessions, int sets, int weeks, Optional<String> as, boolean taken) {}

  /**
   * What bringing the file in would do.
   *
   * @param faults everything that stands in the way
   */
  public record Preview(
      List<ClientLine> clients,
      List<GymLine> gyms,
      int variants,
      int exercises,
      int schools,
      List<InvalidInput.Fault> faults) {
    /** Whether it can be brought in as it is. */
    public boolean ready() {
      return faults.isEmpty();
    }
  }

  /**
   * What has been brought in.
   *
   * @param clients their ids here, by the name in the file
   */
  public record ImportResult(Map<String, UUID> clients, int sessions, int sets, int weeks) {}

  /** What is in a file, and what stands in the way of bringing it in. */
  public Preview preview(String text, ImportChoices wished) {
    return preview(ArchiveReading.of(read(text), clients, clock.instant()), wished);
  }

  private Preview preview(ArchiveReading file, ImportChoices wished) {
    List<InvalidInput.Fault> faults = new ArrayList<>(file.faults());
    List<Gym> own = gyms.all();
    Map<String, Gym> byName = own.stream().collect(Collectors.toMap(Gym::name, gym -> gym));
    Set<UUID> ids = own.stream().map(Gym::id).collect(Collectors.toSet());
    List<GymLine> places = new ArrayList<>();
    Set<String> named = new TreeSet<>(file.gyms.keySet());
    file.read.forEach(client -> named.addAll(client.gyms()));
    for (String name : named) {
      Optional<UUID> here =
          Optional.ofNullable(wished.gyms().get(name))
              .or(() -> Optional.ofNullable(byName.get(name)).map(Gym::id));
      if (here.filter(id -> !ids.contains(id)).isPresent()
          || (here.isEmpty() && !file.gyms.containsKey(name))) {
        faults.add(new InvalidInput.Fault("gyms." + name, "say which of your gyms it is"));
      }
      places.add(
          new GymLine(
              name,
              Optional.ofNullable(file.gyms.get(name))
                  .map(gym -> gym.equipment().items().size())
                  .orElse(0),
              here));
    }
    Set<String> taken = new HashSet<>(clients.namesById().values());
    List<ClientLine> lines = new ArrayList<>();
    for (ReadClient client : file.read) {
      String name = client.whole().name();
      String as = Optional.ofNullable(wished.names().get(name)).orElse(name).strip();
      boolean clash = !as.isEmpty() && !taken.add(as);
      if (clash) {
        faults.add(
            new InvalidInput.Fault(
                "names." + name,
                "another client is called " + as + ": give another name, or leave this one out"));
      }
      if (as.isEmpty()) {
        faults.removeIf(
            fault -> fault.field().startsWith(client.at())); // what is left out harms nobody
      } else {
        InvalidInput.gather(faults, "names." + name + ".", () -> Names.checked(as));
      }
      lines.add(
          new ClientLine(
              name,
              client.sessions().size(),
              client.sessions().stream()
                  .flatMap(session -> session.items().stream())
                  .mapToInt(item -> item.sets().size())
                  .sum(),
              client.weeks().size(),
              Optional.of(as).filter(first -> !first.isEmpty()),
              clash));
    }
    return new Preview(
        lines, places, file.variants.size(), file.exercises.size(), file.schools.size(), faults);
  }

  /** Throws {@link InvalidInput} that names everything at fault; then nothing is kept. */
  public ImportResult bring(String text, ImportChoices wished) {
    ArchiveReading file = ArchiveReading.of(read(text), clients, clock.instant());
    return transactions.write(() -> bring(file, wished));
  }

  private ImportResult bring(ArchiveReading file, ImportChoices wished) {
    Preview preview = preview(file, wished);
    if (!preview.ready()) {
      throw new InvalidInput(preview.faults());
    }
    Map<String, UUID> places = new HashMap<>();
    preview
        .gyms()
        .forEach(
            line ->
                places.put(
                    line.name(),
                    line.here()
                        .orElseGet(
                            () -> {
                              ArchiveReading.ReadGym read = Required.entry(file.gyms, line.name());
                              return gyms.bringIn(
                                      read.name(), read.equipment(), read.pulls(), read.removed())
                                  .id();
                            })));
    Translation here = new Translation(places, ownThings.catalogue(file), ownThings.schools(file));
    Map<String, UUID> ids = new HashMap<>();
    int sessions = 0;
    int sets = 0;
    int planned = 0;
    for (int k = 0; k < file.read.size(); k++) {
      ClientLine line = preview.clients().get(k);
      if (line.as().isPresent()) {
        ids.put(line.name(), clientFiles.bring(file.read.get(k), line.as().get(), here));
        sessions += line.sessions();
        sets += line.sets();
        planned += line.weeks();
      }
    }
    return new ImportResult(ids, sessions, sets, planned);
  }

  private ArchiveDocument read(String text) {
    if (text.length() > MOST_CHARACTERS) {
      int millions = MOST_CHARACTERS / 1_000_000;
      throw new InvalidInput(
          "text", "is longer than " + millions + " million characters; use a backup for so much");
    }
    ArchiveDocument document;
    try {
      document =
          json.readValue(
              text.startsWith("\uFEFF") ? text.substring(1) : text, ArchiveDocument.class);
    } catch (JacksonException e) {
      throw new InvalidInput(at(e), "cannot be read: " + e.getOriginalMessage());
    }
    if (document == null
        || !ArchiveDocument.FORMAT.equals(document.format())
        || document.version() == null
        || document.version() != ArchiveDocument.VERSION) {
      throw new InvalidInput(
          "format",
          "is not "
              + ArchiveDocument.FORMAT
              + " version "
              + ArchiveDocument.VERSION
              + ", so this is not a file that Istmo wrote for a client or an account");
    }
    return document;
  }

  /** Where reading ended: "clients[0].lifts[1].on"; "text" where it is not JSON at all. */
  private static String at(JacksonException e) {
    StringBuilder at = new StringBuilder();
    for (Reference reference : e.getPath()) {
      at.append(
          reference.getPropertyName() == null
              ? "[" + reference.getIndex() + "]"
              : (at.isEmpty() ? "" : ".") + reference.getPropertyName());
    }
    return at.isEmpty() ? "text" : at.toString();
  }
}
