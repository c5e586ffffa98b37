package istmo.app.plans;

/**
 * A plan as a file (docs/formats.md): what it is for, and the week. Whose it is and where is not in
 * it.
 */
public record PlanFile(String format, Integer version, PlanBrief brief, PlanDocument plan) {
  public static final String FORMAT = "istmo-plan";
  public static final int VERSION = 1;

  /** A plan as the file that other programs read. */
  public static PlanFile of(PlanBrief brief, PlanDocument plan) {
    return new PlanFile(FORMAT, VERSION, brief, plan);
  }
}
