package istmo.app.plans.out;

import istmo.app.plans.Plan;
import istmo.app.plans.Plans;
import istmo.core.plan.Block;
import istmo.core.plan.Offer;
import istmo.core.plan.Planned;
import istmo.core.plan.Timing;
import istmo.core.words.Words;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntFunction;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * The sessions of a plan as all-day events (RFC 5545): those of a block each with what its week
 * asks, else the same ones weekly. The hour is the client's; health notes are not in it.
 */
public final class PlanCalendar {
  private static final int WEEKS_WITHOUT_BLOCK = 8;

  /**
   * A line of a calendar is at most 75 octets long (RFC 5545, 3.1). The library counts characters,
   * so there is room for some of two octets.
   */
  private static final int LINE_CHARACTERS = 60;

  private PlanCalendar() {}

  /**
   * The plan as the text of a calendar file.
   *
   * @param today where the plan has no first day it begins on the Monday after
   * @param step gives the plan as a week of its block asks for it
   */
  public static String of(Plan plan, LocalDate today, Instant now, IntFunction<Plan> step) {
    LocalDate monday =
        Optional.ofNullable(plan.document().startsOn())
            .orElse(today.with(TemporalAdjusters.next(DayOfWeek.MONDAY)))
            .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Istmo//plan//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    Optional<Block> block = Plans.block(plan.document(), plan.client().profile().trainingAge());
    List<Block.Step> steps = block.map(Block::weeks).orElse(List.of());
    for (Block.Step weekStep : steps) {
      Plan week = step.apply(weekStep.number());
      Shown shown =
          new Shown(
              "week " + weekStep.number() + ", " + weekStep.kind().label() + ", ",
              Words.of(weekStep) + "\n",
              weekStep.load(),
              false);
      days(calendar, week, monday.plusWeeks(weekStep.number() - 1L), now, shown);
    }
    if (steps.isEmpty()) {
      days(calendar, plan, monday, now, Shown.WITHOUT_BLOCK);
    }
    return written(calendar);
  }

  private static String written(Calendar calendar) {
    StringWriter text = new StringWriter();
    try {
      new CalendarOutputter(false, LINE_CHARACTERS).output(calendar, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  /**
   * What is said of the days of a week.
   *
   * @param prefix before the name of each
   * @param words before what is done
   * @param load share of the usual load
   * @param weekly whether they come back every week
   */
  private record Shown(String prefix, String words, double load, boolean weekly) {
    private static final Shown WITHOUT_BLOCK = new Shown("", "", 1, true);
  }

  private static void days(
      Calendar calendar, Plan week, LocalDate monday, Instant now, Shown shown) {
    int number = 0;
    for (Planned.Day day : week.week().days()) {
      number++;
      LocalDate on = monday.plusDays(day.weekday() - 1L);
      VEvent event =
          new VEvent(
              on,
              String.format(
                  Locale.ROOT,
                  "Legs, %ssession %d of %d",
                  shown.prefix(),
                  number,
                  week.week().days().size()));
      event.add(
          new Uid(
              UUID.nameUUIDFromBytes((week.id() + "/" + on).getBytes(StandardCharsets.UTF_8))
                  + "@istmo"));
      event.replace(new DtStamp(now));
      event.add(new Location(week.gym().name()));
      event.add(new Description(shown.words() + description(week, day, shown.load())));
      if (shown.weekly()) {
        event.add(new RRule<LocalDate>("FREQ=WEEKLY;COUNT=" + WEEKS_WITHOUT_BLOCK));
      }
      calendar.add(event);
    }
  }

  private static String description(Plan week, Planned.Day day, double load) {
    StringBuilder text =
        new StringBuilder(
            String.format(
                Locale.ROOT, "About %.0f minutes.", Timing.of(day, week.offers()).minutes()));
    for (Planned.Item item : day.items()) {
      Optional<Offer> found = week.offers().find(item.candidateId());
      found.ifPresent(
          offer ->
              text.append("\n")
                  .append(offer.name())
                  .append(": ")
                  .append(SheetWords.prescription(item.prescription(), offer.oneLeg()))
                  .append("; ")
                  .append(SheetWords.load(week.load(item, load), Unit.KG)));
    }
    return text.toString();
  }
}
