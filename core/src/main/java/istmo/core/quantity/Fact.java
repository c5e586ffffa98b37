package istmo.core.quantity;

/**
 * What a computation found: figures and names, without a sentence. {@code istmo.core.words} says
 * it, and a program reads it as it is. Facts are records; those of one thing are sealed.
 */
public interface Fact {
  /** A sentence that somebody wrote down, as it stands in the catalogue or in a client's notes. */
  record Written(String sentence) implements Fact {}
}
