package istmo.app.platform;

import istmo.core.equipment.Loading;
import java.util.List;

/**
 * A load that a gym can make, kg. perSide: plates on one side, heaviest first; emptyKg: of the
 * load, what is there with none on.
 */
public record LoadingView(
    double kg, Loading.Kind kind, double emptyKg, List<Double> perSide, Loading.PlateKind plates) {
  /** A loading as it is served. */
  public static LoadingView of(Loading loading) {
    return new LoadingView(
        Rounded.of(loading.kg()),
        loading.kind(),
        loading.emptyKg(),
        loading.perSide(),
        loading.plateKind());
  }
}
