package istmo.core.movement.family;

import istmo.core.movement.Family;
import istmo.core.quantity.InvalidInput;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All families by id. */
public final class Families {
  private static final Map<String, Family> BY_ID = new LinkedHashMap<>();

  static {
    for (Family family :
        List.of(
            new AccommodatingResistance(new SquatFamily(SquatFamily.Kind.FREE)),
            new SquatFamily(SquatFamily.Kind.BELT),
            new SquatFamily(SquatFamily.Kind.HANGING),
            new AccommodatingResistance(new GuidedSquatFamily()),
            new AccommodatingResistance(new HackFamily()),
            new AccommodatingResistance(new LeverSquatFamily()),
            new AccommodatingResistance(new PressFamily()),
            new AccommodatingResistance(new HingeFamily(HingeFamily.Kind.FREE)),
            new HingeFamily(HingeFamily.Kind.TRACK),
            new HingeFamily(HingeFamily.Kind.CABLE),
            new SplitFamily(SplitFamily.Kind.FREE),
            new SplitFamily(SplitFamily.Kind.TRACK),
            new SplitFamily(SplitFamily.Kind.STEP),
            new SplitFamily(SplitFamily.Kind.SIDE),
            new OneLegHingeFamily(),
            new ShinFamily(),
            new AccommodatingResistance(new ThrustFamily(false)),
            new AccommodatingResistance(new ThrustFamily(true)),
            new BackExtensionFamily(),
            new HipSwingFamily(HipSwingFamily.Kind.CABLE),
            new HipSwingFamily(HipSwingFamily.Kind.WEIGHT),
            new HipSwingFamily(HipSwingFamily.Kind.LEVER),
            new SideLyingFamily(SideLyingFamily.Kind.LEG_LIFT),
            new SideLyingFamily(SideLyingFamily.Kind.UPPER_LEG_PLANK),
            new HipMachineFamily(true),
            new HipMachineFamily(false),
            new KneelFamily(KneelFamily.Kind.CURL),
            new KneelFamily(KneelFamily.Kind.LEAN_BACK),
            new KneelFamily(KneelFamily.Kind.SISSY),
            new AccommodatingResistance(new DeadliftFamily()),
            new KneeMachineFamily(KneeMachineFamily.Machine.LEG_EXTENSION),
            new KneeMachineFamily(KneeMachineFamily.Machine.SEATED_CURL),
            new KneeMachineFamily(KneeMachineFamily.Machine.LYING_CURL),
            new KneeMachineFamily(KneeMachineFamily.Machine.STANDING_CURL),
            new CalfFamily(CalfFamily.Kind.STANDING),
            new CalfFamily(CalfFamily.Kind.SEATED),
            new CalfFamily(CalfFamily.Kind.BENT_OVER),
            new CalfFamily(CalfFamily.Kind.PRESS))) {
      BY_ID.put(family.id(), family);
    }
  }

  private Families() {}

  /** Every family, in a fixed order. */
  public static List<Family> all() {
    return List.copyOf(BY_ID.values());
  }

  /** The family, or {@link InvalidInput} that lists what there is. */
  public static Family get(String id) {
    Family family = BY_ID.get(id);
    if (family == null) {
      throw new InvalidInput(
          "family", "\"" + id + "\" is not a family; there are " + BY_ID.keySet());
    }
    return family;
  }
}
