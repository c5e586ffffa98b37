package istmo.app.clients.persistence;

import istmo.core.body.Habit;
import istmo.core.body.Measurement;
import istmo.core.body.Profile;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A profile as it is stored; what was not said is missing. */
public record StoredProfile(
    Profile.@Nullable TrainingAge trainingAge,
    @Nullable Integer daysAWeek,
    @Nullable Integer minutes,
    List<Habit> habits,
    Measurement.@Nullable Side strongerSide,
    String notes,
    List<String> likes,
    List<String> dislikes) {
  static StoredProfile of(Profile profile) {
    return new StoredProfile(
        profile.trainingAge().orElse(null),
        profile.daysAWeek().orElse(null),
        profile.minutes().orElse(null),
        List.copyOf(profile.habits()),
        profile.strongerSide().orElse(null),
        profile.notes(),
        List.copyOf(profile.likes()),
        List.copyOf(profile.dislikes()));
  }

  Profile profile() {
    return new Profile(
        Optional.ofNullable(trainingAge),
        Optional.ofNullable(daysAWeek),
        Optional.ofNullable(minutes),
        set(habits),
        Optional.ofNullable(strongerSide),
        notes == null ? "" : notes,
        set(likes),
        set(dislikes));
  }

  private static <T> Set<T> set(List<T> list) {
    return list == null ? Set.of() : Set.copyOf(list);
  }
}
