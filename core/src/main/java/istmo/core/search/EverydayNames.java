package istmo.core.search;

import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.evidence.Claims;
import java.util.ArrayList;
import java.util.List;

/** What everybody can find: exercises, their set-ups, exercises by word, machines and claims. */
public final class EverydayNames {
  private static final List<Findable> ALL = read();

  private EverydayNames() {}

  /** All of them, read once. */
  public static List<Findable> all() {
    return ALL;
  }

  /** An exercise by word, with the reason why it is not computed. */
  public static Findable of(ByWord x) {
    return new Findable(Findable.Kind.BY_WORD, x.candidateId(), x.name(), x.alsoCalled(), x.told());
  }

  /** A set-up of an exercise. */
  public static Findable of(Candidate c) {
    return new Findable(Findable.Kind.SET_UP, c.id(), c.name(), List.of(), "");
  }

  private static List<Findable> read() {
    List<Findable> all = new ArrayList<>();
    for (Exercise x : Catalogue.standard().exercises()) {
      all.add(
          new Findable(
              Findable.Kind.EXERCISE, x.candidates().get(0).id(), x.name(), x.alsoCalled(), ""));
      x.candidates().stream().filter(c -> !c.name().equals(x.name())).forEach(c -> all.add(of(c)));
    }
    Catalogue.standard().byWord().forEach(x -> all.add(of(x)));
    for (Equipment.Item i : Equipment.all()) {
      all.add(new Findable(Findable.Kind.MACHINE, i.id(), i.name(), i.alsoCalled(), ""));
    }
    Claims.standard()
        .all()
        .forEach(c -> all.add(new Findable(Findable.Kind.CLAIM, c.id(), c.says(), List.of(), "")));
    return List.copyOf(all);
  }
}
