package istmo.app.plans.out;

import istmo.core.equipment.Loading;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Units;
import java.util.Locale;
import java.util.stream.Collectors;

/** Unit in which loads are written on a sheet; they are kept in kg. */
public enum Unit {
  KG("kg", 1, 100),
  LB("lb", Units.KG_PER_POUND, 2);

  private final String label;
  private final double kg;
  private final double grain;

  Unit(String label, double kg, double grain) {
    this.label = label;
    this.kg = kg;
    this.grain = grain;
  }

  /** The unit of this label; throws {@code InvalidInput} when there is none. */
  public static Unit get(String label) {
    for (Unit unit : values()) {
      if (unit.label.equals(label)) {
        return unit;
      }
    }
    throw new InvalidInput("unit", "is kg or lb");
  }

  String number(double loadKg) {
    double v = Math.round(loadKg / kg * grain) / grain;
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }

  String words(double loadKg) {
    return number(loadKg) + " " + label;
  }

  /** "62.5 kg: 20 + 1.25 a side". */
  String words(Loading loading) {
    String plates =
        loading.kind() != Loading.Kind.PLATES
            ? ""
            : loading.perSide().isEmpty()
                ? (loading.emptyKg() > 0 ? ": the empty bar" : "")
                : ": "
                    + loading.perSide().stream()
                        .map(this::number)
                        .collect(Collectors.joining(" + "))
                    + " a side";
    return String.format(Locale.ROOT, "%s%s", words(loading.kg()), plates);
  }
}
