package istmo.core.catalogue;

import istmo.core.body.Caution;
import istmo.core.body.PainFlag;
import istmo.core.equipment.Equipment;
import istmo.core.movement.SetupParameter;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What can be planned, logged and followed: an exercise that is computed, or one by word. */
public sealed interface AnyExercise permits Exercise, ByWord {
  /** Carried to any station (common practice). */
  Set<Equipment> CARRIED = Set.of(Equipment.BENCH, Equipment.BOX, Equipment.WEDGE, Equipment.BANDS);

  /** Its id; candidates begin with it. */
  String id();

  /** Everyday name. */
  String name();

  /** Nicknames, so that it is found. */
  List<String> alsoCalled();

  /** Equipment that it needs. */
  Set<Equipment> needs();

  /** Usual range of repetitions, such as "8-12". */
  String repetitions();

  /** To set up and load, min (common practice). */
  double setUpMinutes();

  /** Joint to the reason why it takes the exercise out when it is sore. */
  Map<PainFlag, String> exclusions();

  /** Caution to the reason why the exercise waits until a clinician has cleared it. */
  Map<Caution, String> waits();

  /** What to tell the client. */
  List<String> cues();

  /** What ends a set. */
  List<String> stopSigns();

  /** What goes wrong or is felt elsewhere, and the change to try. */
  Map<String, String> faults();

  /** What must be seen to. */
  List<String> cautions();

  /** What can be moved in its set-up; nothing where it is not computed. */
  List<SetupParameter> parameters();

  /** What stays where it is of equipment. */
  static Set<Equipment> station(Set<Equipment> needs) {
    Set<Equipment> station = EnumSet.noneOf(Equipment.class);
    station.addAll(needs);
    station.removeAll(CARRIED);
    return station;
  }
}
