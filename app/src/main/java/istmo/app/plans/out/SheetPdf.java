package istmo.app.plans.out;

import istmo.app.plans.Plan;
import istmo.core.plan.Offer;
import istmo.core.plan.Offers;
import istmo.core.plan.Planned;
import istmo.core.plan.Timing;
import istmo.core.plan.WorkingLoad;
import istmo.core.words.Words;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * The sheet of one session on one A4 page: drawings of the set-ups, what to do, and a table to
 * write in.
 */
public final class SheetPdf {
  private static final float MARGIN = 34;
  private static final float FIGURE = 88;
  private static final float TABLE = 190;

  /** Heights of a line to write on: as high as all of it still fits on the page. */
  private static final float[] ROWS = {22, 19, 16, 13};

  private static final float GAP = 10;
  private static final float SMALL = 7.6f;
  private static final float ROW_OF_HEADS = 10;

  /** What is planned, to be written over. */
  private static final float FAINT = 0.6f;

  private static final float[] COLUMNS = {0, 28, 78, 116, 150};
  private static final String[] HEADS = {"set", "load", "reps", "reserve", "felt, pain"};

  private final Plan plan;
  private final Planned.Day day;
  private final Unit unit;
  private final LengthUnit length;
  private final double share;
  private final String title;
  private float row;

  private SheetPdf(
      Plan plan, Planned.Day day, Unit unit, LengthUnit length, double share, String title) {
    this.plan = plan;
    this.day = day;
    this.unit = unit;
    this.length = length;
    this.share = share;
    this.title = title;
  }

  /**
   * One session on paper.
   *
   * @param title what stands on top
   * @param share of the planned load, as a step of a block asks
   */
  public static byte[] of(
      Plan plan, Planned.Day day, Unit unit, LengthUnit length, double share, String title) {
    SheetPdf sheet = new SheetPdf(plan, day, unit, length, share, title);
    try {
      float room = PDRectangle.A4.getHeight() - MARGIN;
      float used = Float.MAX_VALUE;
      for (int k = 0; k < ROWS.length && used > room; k++) {
        sheet.row = ROWS[k];
        used = sheet.write(1, new ByteArrayOutputStream());
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      sheet.write(Math.min(1, room / used), out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Writes the page at a scale and returns how far down it came at scale 1. */
  private float write(float scale, ByteArrayOutputStream to) throws IOException {
    try (PDDocument document = new PDDocument()) {
      document.getDocumentInformation().setTitle(title);
      PDPage page = new PDPage(PDRectangle.A4);
      document.addPage(page);
      float y;
      try (Page canvas =
          new Page(
              document,
              new PDPageContentStream(document, page),
              PDRectangle.A4.getHeight(),
              scale)) {
        float width = PDRectangle.A4.getWidth() / Math.max(scale, 0.01f) - 2 * MARGIN;
        y = canvas.text(title, MARGIN, MARGIN, width, 15, true, 0);
        y = canvas.text(SheetWords.brief(plan), MARGIN, y + 1, width, 9.5f, false, 0.1f);
        y =
            canvas.text(
                String.format(
                    Locale.ROOT,
                    "About %.0f of %d minutes. Safeties set before loading. Sharp or new pain,"
                        + " swelling, locking, numbness: stop, and see a licensed clinician.",
                    Timing.of(day, plan.offers()).minutes(),
                    day.minutes()),
                MARGIN,
                y + 1,
                width,
                SMALL,
                false,
                0.25f);
        int number = 1;
        for (Planned.Bout bout : day.bouts()) {
          canvas.rule(MARGIN, y + 4, MARGIN + width, y + 4, number == 1 ? 1.2f : 0.5f, 0.2f);
          y += 7;
          if (bout.alternates()) {
            y =
                canvas.text(
                    "In turn, " + bout.rounds() + " rounds:", MARGIN, y, width, SMALL, true, 0.2f);
          }
          for (Planned.Item item : bout.items()) {
            Optional<Offer> found = plan.offers().find(item.candidateId());
            y =
                found.isPresent()
                    ? exercise(canvas, number, item, found.get(), y, width)
                    : canvas.text(
                            number + ". Left out now: " + item.candidateId(),
                            MARGIN,
                            y,
                            width,
                            10,
                            false,
                            0.3f)
                        + 4;
            number++;
          }
        }
      }
      document.save(to);
      return y;
    }
  }

  private float exercise(
      Page page, int number, Planned.Item item, Offer offer, float top, float width)
      throws IOException {
    WorkingLoad load = plan.load(item, share);
    float x = MARGIN + FIGURE + GAP;
    float textWidth = width - FIGURE - TABLE - 2 * GAP;
    Optional<Offers.Figure> figure =
        plan.offers().figure(offer.candidateId(), plan.client().body(false));
    if (figure.isPresent()) {
      page.figure(figure.get().side(), MARGIN, top + 2, FIGURE, FIGURE - 8);
    }
    float y = page.text(number + ". " + offer.name(), x, top, textWidth, 11, true, 0);
    y =
        page.text(
            SheetWords.prescription(item.prescription(), offer.oneLeg()),
            x,
            y,
            textWidth,
            8.6f,
            false,
            0);
    y = page.text(SheetWords.load(load, unit), x, y, textWidth, 8.6f, true, 0);
    for (String line : small(offer, load)) {
      y = page.text(line, x, y + 0.5f, textWidth, SMALL, false, 0.2f);
    }
    float table = table(page, load, MARGIN + width - TABLE, top);
    return Math.max(Math.max(y, table), top + FIGURE - 4) + 4;
  }

  /** Lighter sets, set-up, and cues and stop signs, three of them together. */
  private List<String> small(Offer offer, WorkingLoad load) {
    List<String> lines = new ArrayList<>();
    String lighter = SheetWords.warmUps(load, unit);
    String setup = SheetWords.setup(offer);
    if (!lighter.isEmpty()) {
      lines.add(lighter);
    }
    if (!setup.isEmpty()) {
      lines.add("Set up: " + setup);
    }
    offer.cues().stream().limit(2).map(Words::of).forEach(lines::add);
    offer.stopSigns().stream()
        .limit(3 - Math.min(2, offer.cues().size()))
        .forEach(text -> lines.add("Stop: " + text));
    return lines.stream().map(length::told).toList();
  }

  private float table(Page page, WorkingLoad load, float x, float top) throws IOException {
    for (int c = 0; c < HEADS.length; c++) {
      page.text(HEADS[c], x + COLUMNS[c], top + 1, TABLE, SMALL, false, 0.35f);
    }
    float y = top + ROW_OF_HEADS;
    int number = 0;
    for (WorkingLoad.SetLine set : load.sets()) {
      number += set.drop() == 0 ? 1 : 0;
      y += row;
      float line = y - SMALL - 3;
      page.text(
          set.drop() > 0 ? "drop" : String.valueOf(number), x, line, TABLE, SMALL, false, 0.35f);
      page.text(
          set.load().map(loading -> unit.number(loading.kg())).orElse(""),
          x + COLUMNS[1],
          line,
          TABLE,
          SMALL,
          false,
          FAINT);
      page.text(
          SheetWords.range(set.repetitionsLow(), set.repetitionsHigh()),
          x + COLUMNS[2],
          line,
          TABLE,
          SMALL,
          false,
          FAINT);
      page.rule(x, y, x + TABLE, y, 0.4f, 0.55f);
    }
    return y;
  }
}
