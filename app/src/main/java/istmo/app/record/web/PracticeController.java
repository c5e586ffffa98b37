package istmo.app.record.web;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Rounded;
import istmo.app.record.Practices;
import istmo.core.record.Practice;
import istmo.core.words.Words;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The third voice on claims: the coach's own clients. */
@RestController
class PracticeController {
  private final Practices practices;

  PracticeController(Practices practices) {
    this.practices = practices;
  }

  record PracticeCountView(int clients, int sessions, int felt) {
    static PracticeCountView of(Practice.Count count) {
      return new PracticeCountView(count.clients(), count.sessions(), count.felt());
    }
  }

  /**
   * Difference of shares, first less second, with its 80 % interval; told: it is no matter of
   * chance by that.
   */
  record PracticeDifferenceView(double share, double low, double high, boolean told) {}

  /** difference: missing while there are too few sessions of either side. */
  record PracticeView(
      String claimId,
      PracticeCountView first,
      PracticeCountView second,
      @MayBeMissing PracticeDifferenceView difference,
      String words) {}

  /** For each claim of whose sides anybody was asked. */
  @GetMapping("/api/claims/practice")
  List<PracticeView> practice() {
    return practices.all().entrySet().stream()
        .map(
            entry ->
                new PracticeView(
                    entry.getKey().id(),
                    PracticeCountView.of(entry.getValue().first()),
                    PracticeCountView.of(entry.getValue().second()),
                    entry
                        .getValue()
                        .difference()
                        .map(
                            difference ->
                                new PracticeDifferenceView(
                                    Rounded.of(difference.share()),
                                    Rounded.of(difference.low()),
                                    Rounded.of(difference.high()),
                                    difference.told()))
                        .orElse(null),
                    Words.of(entry.getValue())))
        .toList();
  }
}
