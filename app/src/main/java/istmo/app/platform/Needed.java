package istmo.app.platform;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What an input cannot do without. */
public final class Needed {
  private final List<InvalidInput.Fault> faults = new ArrayList<>();

  /** Remembers the field as missing when its value is null. */
  public Needed field(String name, @Nullable Object value) {
    if (value == null) {
      faults.add(new InvalidInput.Fault(name, "is needed"));
    }
    return this;
  }

  /** Throws {@link InvalidInput} naming every field that is missing. */
  public void check() {
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }
}
