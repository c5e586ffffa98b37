package istmo.core.evidence;

import istmo.core.evidence.Finding.Direction;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What figures and findings say of a claim, by a school, on the reference body.
 *
 * @param mechanics ln of how much more the first side gives than the second, mechanics alone; empty
 *     where the claim has no sides
 * @param both the same with studies
 * @param supporting findings that found what the claim expects
 * @param opposing findings that found something else
 * @param bearing findings that bear on it without saying more or less
 */
public record Verdict(
    Claim claim,
    Word word,
    Optional<Posterior.Estimate> mechanics,
    Optional<Posterior.Estimate> both,
    List<Finding> supporting,
    List<Finding> opposing,
    List<Finding> bearing)
    implements Fact {
  /** The verdict itself. */
  public enum Word {
    SUPPORTED("supported"),
    LEANING("leaning"),
    NO_DIFFERENCE("no difference to be seen"),
    /** Figures say otherwise, and no study was found that does. */
    OTHERWISE("mechanics say otherwise"),
    CONTRADICTED("contradicted"),
    UNTESTED("untested");

    private final String label;

    Word(String label) {
      this.label = label;
    }

    /** Words for a verdict. */
    public String label() {
      return label;
    }
  }

  /**
   * What a coach cannot tell apart: differences below are none (the rule for two set-ups of one
   * exercise).
   */
  public static final double MARGIN = 0.14;

  private static final double SURE = 0.8;
  private static final double LIKELY = 0.5;
  private static final double MORE_LIKELY_THAN_NOT = 0.6;

  /** The verdict on every claim. */
  public static List<Verdict> all(Posterior posterior) {
    return Claims.standard().all().stream().map(claim -> of(claim, posterior)).toList();
  }

  /** The verdict on one claim. */
  public static Verdict of(Claim claim, Posterior posterior) {
    List<Finding> supporting = new ArrayList<>();
    List<Finding> opposing = new ArrayList<>();
    List<Finding> bearing = new ArrayList<>();
    for (Claim.Bearing told : claim.bearing()) {
      (told.direction().isEmpty() || claim.expects().isEmpty()
              ? bearing
              : told.direction().equals(claim.expects()) ? supporting : opposing)
          .add(told.finding());
    }
    Optional<Posterior.Estimate> mechanics =
        claim
            .sides()
            .map(
                sides ->
                    posterior.mechanicsDifference(sides.first(), sides.second(), claim.regions()));
    Optional<Posterior.Estimate> both =
        claim
            .sides()
            .map(sides -> posterior.difference(sides.first(), sides.second(), claim.regions()));
    Word word =
        both.isPresent()
            ? byFigures(
                claim.expects().orElseThrow(),
                both.get(),
                !supporting.isEmpty(),
                !opposing.isEmpty())
            : byFindings(claim);
    return new Verdict(
        claim,
        word,
        mechanics,
        both,
        List.copyOf(supporting),
        List.copyOf(opposing),
        List.copyOf(bearing));
  }

  /**
   * Nothing is called supported or contradicted by mechanics alone.
   *
   * @param found whether a study found what the claim expects
   * @param opposed whether a study found something else
   */
  static Word byFigures(
      Direction expects, Posterior.Estimate estimate, boolean found, boolean opposed) {
    double inside = estimate.within(MARGIN);
    double up = estimate.above(MARGIN);
    double down = 1 - inside - up;
    boolean alike = expects == Direction.ALIKE;
    double as = alike ? inside : expects == Direction.MORE ? up : down;
    double against = alike ? Math.max(up, down) : expects == Direction.MORE ? down : up;
    if (against >= MORE_LIKELY_THAN_NOT) {
      return opposed ? Word.CONTRADICTED : Word.OTHERWISE;
    }
    if (as >= (alike ? MORE_LIKELY_THAN_NOT : SURE) && found) {
      return Word.SUPPORTED;
    }
    return alike || as >= LIKELY ? Word.LEANING : Word.NO_DIFFERENCE;
  }

  /** Findings vote, each with what its way of measuring counts. */
  private static Word byFindings(Claim claim) {
    Map<Direction, Double> votes = new EnumMap<>(Direction.class);
    boolean growth = false;
    for (Claim.Bearing bearing : claim.bearing()) {
      if (bearing.direction().isPresent()) {
        votes.merge(
            bearing.direction().get(),
            bearing.finding().how().trust() * bearing.finding().memory().trust(),
            Double::sum);
        growth |= bearing.finding().how().growth();
      }
    }
    if (votes.isEmpty() || claim.expects().isEmpty()) {
      return Word.UNTESTED;
    }
    double all = votes.values().stream().mapToDouble(Double::doubleValue).sum();
    Direction most =
        votes.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    if (most == claim.expects().get()) {
      return growth && Required.entry(votes, most) >= MORE_LIKELY_THAN_NOT * all
          ? Word.SUPPORTED
          : Word.LEANING;
    }
    return most.alike() ? Word.NO_DIFFERENCE : Word.CONTRADICTED;
  }
}
