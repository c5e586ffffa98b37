package istmo.core.catalogue;

import java.util.Optional;

/**
 * What a candidate is called in plans, records and answers, where it may be gone: {@code
 * exercise/variant}, of a coach's own variant {@code exercise/own-KEY}, of an exercise by word
 * {@code exercise/by-word}. Where a candidate must be there, it is a {@link Candidate}.
 *
 * @param text as it is written
 */
public record CandidateId(String text) implements Comparable<CandidateId> {
  private static final String OWN = "/own-";

  /** A variant of an exercise. */
  static CandidateId of(String exerciseId, String variant) {
    return new CandidateId(exerciseId + "/" + variant);
  }

  /** A coach's own variant of an exercise, by what the coach's store knows it by. */
  static CandidateId own(String exerciseId, String key) {
    return new CandidateId(exerciseId + OWN + key);
  }

  /** The exercise that it names, also where the variant is gone. */
  public String exerciseId() {
    int at = text.indexOf('/');
    return at < 0 ? text : text.substring(0, at);
  }

  /** What a coach's store knows an own variant by; empty for a variant of the catalogue. */
  public Optional<String> ownKey() {
    int at = text.indexOf(OWN);
    return at < 0 ? Optional.empty() : Optional.of(text.substring(at + OWN.length()));
  }

  /** By what is written. */
  @Override
  public int compareTo(CandidateId other) {
    return text.compareTo(other.text);
  }

  /** As it is written. */
  @Override
  public String toString() {
    return text;
  }
}
