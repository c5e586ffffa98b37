package istmo.core.body;

/**
 * Something that asks for caution: what it limits or leaves out until the clinician in charge has
 * cleared it, and what to say. Common conventions, not medical advice; a clinician's written word
 * goes first ({@link Restriction}).
 */
public enum Caution {
  RED_FLAG(
      "a red flag",
      true,
      CautionLimits.EVERYTHING,
      "Stop: a sign that a licensed clinician should see first. Nothing is proposed until the"
          + " clinician has cleared training.",
      ""),
  KNEE_REPLACEMENT(
      "knee replacement",
      true,
      CautionLimits.knee(90),
      "Deep knee bend under load waits for the surgeon's word.",
      "Controlled range, no impact; kneeling as tolerated."),
  HIP_REPLACEMENT(
      "hip replacement",
      true,
      CautionLimits.hip(90),
      "Hip bend beyond 90° waits for the surgeon's word: which movements are barred depends on the"
          + " approach.",
      "Mind the movements that the surgeon named."),
  RECENT_SURGERY(
      "recent surgery or injury",
      true,
      CautionLimits.EVERYTHING,
      "Nothing is proposed before the clinician in charge has cleared training.",
      "The treating clinician sets the timetable."),
  BACK_CONDITION(
      "known back condition",
      true,
      CautionLimits.back(0.4),
      "More than two fifths of what the lower back can waits for clearance.",
      "A repeatable, roughly neutral back; no end-range rounding under load."),
  MUSCLE_TEAR(
      "old muscle tear",
      true,
      CautionLimits.NONE,
      "What lowers the body by the hamstrings alone waits for clearance.",
      "Begin short of the full stretch and slowly; more range, then more load, and speed last."
          + " Sudden pain: stop."),
  KNEE_LIGAMENT(
      "knee ligament surgery",
      true,
      CautionLimits.NONE,
      "Straightening the knee against a machine's lever waits for the surgeon's word.",
      "Controlled range, knee over the toes; no twisting and no jumps before they are allowed."),
  HERNIA(
      "hernia of belly or groin",
      true,
      CautionLimits.back(0.4),
      "What braces the trunk hard, with more than two fifths of what the lower back can, waits for"
          + " clearance.",
      "No breath-holding and no straining; breathe out on the effort. A lump that grows, hurts or"
          + " stays out: stop, and see the clinician."),
  PREGNANCY(
      "pregnancy",
      true,
      CautionLimits.FACE_DOWN,
      "Lying face down, and a bar or belt across the hips, are left out.",
      "Moderate effort, no breath-holding, no long work on the back after mid-pregnancy. Bleeding,"
          + " fluid loss, contractions, dizziness, headache, chest or calf pain: stop, and call the"
          + " clinician."),
  HIGH_BLOOD_PRESSURE(
      "high blood pressure",
      true,
      CautionLimits.NONE,
      "",
      "No breath-holding and no grinding maxima: heavy leg presses drive the pressure highest."
          + " Breathe out on the effort."),
  YOUTH(
      "growing up",
      false,
      CautionLimits.NONE,
      "",
      "Supervised, technique first, no maximal singles. Pain at the bump below the knee or at the"
          + " heel: less load."),
  LAY_OFF(
      "back after a lay-off",
      false,
      CautionLimits.NONE,
      "",
      "Begin at about half and add about a tenth a week; soreness is no aim.");

  /**
   * Signs with which training stops until a clinician has looked (common practice; from memory of
   * guidance for coaches).
   */
  public static final java.util.List<String> RED_FLAGS =
      java.util.List.of(
          "pain that is sharp, new and strong, or there at rest and at night",
          "a joint that swells, locks or gives way",
          "numbness, tingling or weakness in a leg, or numbness in the saddle area",
          "trouble with bladder or bowel together with back pain",
          "calf pain with warmth, redness and swelling",
          "chest pain, breathlessness out of proportion, fainting on effort",
          "a fall or blow after which the leg cannot be stood on",
          "fever or unexplained loss of weight with bone or joint pain");

  private final String label;
  private final boolean asksClearance;
  private final CautionLimits limits;
  private final String reason;
  private final String advice;

  Caution(String label, boolean asksClearance, CautionLimits limits, String reason, String advice) {
    this.label = label;
    this.asksClearance = asksClearance;
    this.limits = limits;
    this.reason = reason;
    this.advice = advice;
  }

  /** Name that the coach ticks. */
  public String label() {
    return label;
  }

  /** Whether a clinician's word is asked for before training. */
  public boolean asksClearance() {
    return asksClearance;
  }

  /** Why it limits or leaves out; empty when it does neither. */
  public String reason() {
    return reason;
  }

  /** What to do, in a sentence. */
  public String advice() {
    return advice;
  }

  /** What it limits or leaves out. */
  CautionLimits limits() {
    return limits;
  }
}
