package istmo.core.search;

import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.evidence.Claims;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What everybody can find: exercises, their set-ups, exercises by word, machines and claims. */
public final class EverydayNames {
  private static final List<Findable> ALL = read(Catalogue.standard());

  private EverydayNames() {}

  /** All of them, read once. */
  public static List<Findable> all() {
    return ALL;
  }

  /** An exercise by word, with the reason why it is not computed. */
  public static Findable of(ByWord byWord) {
    return new Findable(
        Findable.Kind.BY_WORD,
        byWord.candidateId().text(),
        byWord.name(),
        byWord.alsoCalled(),
        Optional.of(byWord.told()));
  }

  /** A set-up of an exercise. */
  public static Findable of(Candidate candidate) {
    return new Findable(
        Findable.Kind.SET_UP, candidate.id().text(), candidate.name(), List.of(), Optional.empty());
  }

  private static List<Findable> read(Catalogue catalogue) {
    List<Findable> all = new ArrayList<>();
    for (Exercise exercise : catalogue.exercises()) {
      List<Candidate> candidates = catalogue.candidatesOf(exercise);
      all.add(
          new Findable(
              Findable.Kind.EXERCISE,
              candidates.get(0).id().text(),
              exercise.name(),
              exercise.alsoCalled(),
              Optional.empty()));
      candidates.stream()
          .filter(candidate -> !candidate.name().equals(exercise.name()))
          .forEach(candidate -> all.add(of(candidate)));
    }
    catalogue.byWord().forEach(byWord -> all.add(of(byWord)));
    for (Equipment item : Equipment.values()) {
      all.add(
          new Findable(
              Findable.Kind.MACHINE, item.id(), item.label(), item.alsoCalled(), Optional.empty()));
    }
    Claims.standard()
        .all()
        .forEach(
            claim ->
                all.add(
                    new Findable(
                        Findable.Kind.CLAIM,
                        claim.id(),
                        claim.says(),
                        List.of(),
                        Optional.empty())));
    return List.copyOf(all);
  }
}
