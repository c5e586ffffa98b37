package istmo.core.words;

import static istmo.core.words.Say.say;

import istmo.core.catalogue.Catalogue;
import istmo.core.evidence.Point;
import istmo.core.evidence.Posterior;
import istmo.core.evidence.Verdict;
import istmo.core.movement.SetupParameter;
import java.util.ArrayList;
import java.util.List;

/** What is said of claims, and of the set-ups that studies and claims compare. */
public final class EvidenceWords {
  private EvidenceWords() {}

  /** A candidate's name and what differs from its usual set-up. */
  public static String of(Point point) {
    StringBuilder text =
        new StringBuilder(Catalogue.standard().candidate(point.candidateId()).name());
    for (Point.Otherwise other : point.otherwise()) {
      String label = other.parameter().label();
      text.append(", ")
          .append(Character.toLowerCase(label.charAt(0)))
          .append(label.substring(1))
          .append(' ')
          .append(value(other.parameter(), other.value()));
    }
    return text.toString();
  }

  private static String value(SetupParameter parameter, double v) {
    if (!parameter.choices().isEmpty()) {
      return parameter.choices().get((int) v);
    }
    return switch (parameter.unit()) {
      case "m" -> say("%.0f cm", 100 * v);
      case "deg" -> say("%.0f°", v);
      default ->
          ((v == Math.rint(v) ? String.valueOf((int) v) : String.valueOf(v))
                  + " "
                  + parameter.unit())
              .trim();
    };
  }

  /** What figures and findings say of a claim. */
  public static String of(Verdict verdict) {
    List<String> parts = new ArrayList<>();
    verdict.mechanics().ifPresent(estimate -> parts.add("Mechanics: " + change(estimate) + "."));
    if (verdict.supporting().isEmpty() && verdict.opposing().isEmpty()) {
      parts.add(
          verdict.bearing().isEmpty()
              ? "No study of it in the data file."
              : "Studies bear on it without comparing just this.");
    } else {
      parts.add(
          say(
              "Studies: %d for, %d against.",
              verdict.supporting().size(), verdict.opposing().size()));
    }
    verdict.both().ifPresent(estimate -> parts.add("Together: " + change(estimate) + "."));
    if (verdict.mechanics().isEmpty() && verdict.word() != Verdict.Word.UNTESTED) {
      parts.add("Not computed; findings alone.");
    }
    return String.join(" ", parts);
  }

  /** "+18 % (-5 to +46 %)": change with its 80 % interval. */
  public static String change(Posterior.Estimate estimate) {
    return say(
        "%+.0f %% (%+.0f to %+.0f %%)",
        percent(estimate.mean()), percent(estimate.low()), percent(estimate.high()));
  }

  private static double percent(double log) {
    return 100 * (Math.exp(log) - 1);
  }
}
