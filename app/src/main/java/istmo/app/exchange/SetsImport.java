package istmo.app.exchange;

import istmo.app.catalogue.Trainables;
import istmo.app.sessions.EarlierSets;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.quantity.InvalidInput;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Earlier sets from a spreadsheet: looked at first, then all brought in or none. */
@Service
public class SetsImport {
  private final Catalogue catalogue;
  private final EarlierSets earlier;
  private final Trainables trainables;

  SetsImport(Catalogue catalogue, EarlierSets earlier, Trainables trainables) {
    this.catalogue = catalogue;
    this.trainables = trainables;
    this.earlier = earlier;
  }

  /**
   * A name of the table, and the exercise that it stands for.
   *
   * @param candidateId empty where nothing of that name is known and nothing was said; {@code
   *     skipped} where it was said to leave it out
   */
  public record Named(String name, int sets, Optional<CandidateId> candidateId, boolean skipped) {}

  /** What a table holds, and which exercise each of its names stands for. */
  public record Preview(SetsTable table, List<Named> exercises) {
    /** Whether it can be brought in as it is. */
    public boolean ready() {
      return table.faultCount() == 0
          && exercises.stream()
              .allMatch(named -> named.candidateId().isPresent() || named.skipped());
    }
  }

  /**
   * Reads a table without keeping anything of it.
   *
   * @param exercises by a table's name, the candidate that it stands for; empty to leave it out
   */
  public Preview preview(
      String text, SetsTable.ReadingChoices wished, Map<String, String> exercises) {
    SetsTable table = SetsTable.read(text, wished);
    Map<String, CandidateId> known = names();
    List<Named> named = new ArrayList<>();
    table
        .exercises()
        .forEach(
            (name, sets) -> {
              String said = exercises.get(name);
              if (said != null && !said.isEmpty()) {
                trainables.get(new CandidateId(said));
              }
              Optional<CandidateId> id =
                  said != null
                      ? Optional.of(said).filter(x -> !x.isEmpty()).map(CandidateId::new)
                      : Optional.ofNullable(known.get(plain(name)));
              named.add(new Named(name, sets, id, said != null && said.isEmpty()));
            });
    return new Preview(table, named);
  }

  /**
   * Throws {@link InvalidInput} that names every line at fault, and every exercise of which nobody
   * said what it is.
   */
  public EarlierSets.ImportResult bring(
      UUID clientId,
      UUID gymId,
      String text,
      SetsTable.ReadingChoices wished,
      Map<String, String> exercises) {
    Preview preview = preview(text, wished, exercises);
    if (!preview.ready()) {
      List<InvalidInput.Fault> faults = new ArrayList<>(preview.table().faults());
      preview.exercises().stream()
          .filter(named -> named.candidateId().isEmpty() && !named.skipped())
          .forEach(
              named ->
                  faults.add(
                      new InvalidInput.Fault(
                          "exercises." + named.name(),
                          "say which exercise it is, or leave it out")));
      throw new InvalidInput(faults);
    }
    Map<String, CandidateId> ids = new HashMap<>();
    preview
        .exercises()
        .forEach(named -> named.candidateId().ifPresent(id -> ids.put(named.name(), id)));
    Map<String, Integer> alike = new HashMap<>();
    List<EarlierSets.ImportedSet> sets = new ArrayList<>();
    for (SetsTable.Row row : preview.table().rows()) {
      CandidateId candidate = ids.get(row.exercise());
      if (candidate != null) {
        String says = clientId + " " + row.on() + " " + candidate + " " + row.set();
        sets.add(
            new EarlierSets.ImportedSet(
                UUID.nameUUIDFromBytes(
                    (says + " " + alike.merge(says, 1, Integer::sum))
                        .getBytes(StandardCharsets.UTF_8)),
                row.on(),
                candidate,
                row.set()));
      }
    }
    return earlier.bring(clientId, gymId, sets);
  }

  /** What the gym's names and nicknames stand for; an exercise's own name is its first set-up. */
  private Map<String, CandidateId> names() {
    Map<String, CandidateId> names = new LinkedHashMap<>();
    trainables
        .ownVariants()
        .forEach(candidate -> names.put(plain(candidate.name()), candidate.id()));
    for (Candidate candidate : catalogue.candidates()) {
      names.putIfAbsent(plain(candidate.name()), candidate.id());
      names.putIfAbsent(candidate.id().text(), candidate.id());
    }
    for (Candidate candidate : catalogue.candidates()) {
      Exercise exercise = candidate.exercise();
      names.putIfAbsent(plain(exercise.name()), candidate.id());
      exercise.alsoCalled().forEach(name -> names.putIfAbsent(plain(name), candidate.id()));
    }
    for (ByWord byWord : trainables.byWord()) {
      names.putIfAbsent(plain(byWord.name()), byWord.candidateId());
      names.putIfAbsent(byWord.candidateId().text(), byWord.candidateId());
      byWord.alsoCalled().forEach(name -> names.putIfAbsent(plain(name), byWord.candidateId()));
    }
    return names;
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ").strip();
  }
}
