package istmo.core.body;

/** Which of the two published segment tables describes the body better. */
public enum Sex {
  FEMALE,
  MALE
}
