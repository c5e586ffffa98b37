package istmo.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.catalogue.CandidateId;
import istmo.core.resource.TextTable;
import istmo.core.search.Findable.Kind;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FinderTest {
  /** What a coach means is among the first so many answers. */
  private static final int FIRST = 3;

  private static List<Finder.Hit> find(String text) {
    return Finder.find(text, EverydayNames.all(), 10);
  }

  /** Common practice: every name on the list is in use in gyms. */
  @Test
  void everyEverydayNameHasItsAnswer() {
    List<String> wrong = new ArrayList<>();
    int names = 0;
    for (String line : TextTable.lines("search/everyday-names.txt")) {
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      names++;
      String[] part = line.split("\\|");
      String meant = part[1].trim();
      List<String> found =
          find(part[0]).stream()
              .limit(FIRST)
              .map(hit -> new CandidateId(hit.thing().id()).exerciseId())
              .toList();
      if (!found.contains(meant)) {
        wrong.add(part[0].trim() + " gives " + found + ", meant is " + meant);
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(names).isGreaterThanOrEqualTo(150);
  }

  @ParameterizedTest
  @CsvSource({
    "romainan deadlift, romanian-deadlift",
    "pendulm squat, pendulum-squat",
    "hip thurst, hip-thrust",
    "bulgarain, rear-raised-split-squat"
  })
  void oneSlipOfTheKeysIsForgiven(String typed, String meant) {
    assertThat(find(typed).stream().map(hit -> new CandidateId(hit.thing().id()).exerciseId()))
        .contains(meant);
  }

  @Test
  void shortWordsForgiveNothing() {
    assertThat(Finder.isSlip("rdk", "rdl")).isFalse();
    assertThat(Finder.isSlip("squta", "squat")).isTrue();
    assertThat(Finder.isSlip("squaat", "squat")).isTrue();
    assertThat(Finder.isSlip("sqat", "squat")).isFalse();
    assertThat(Finder.isSlip("thrst", "thrust")).isTrue();
    assertThat(Finder.isSlip("threst", "thrust")).isTrue();
    assertThat(Finder.isSlip("bridge", "ridges")).isFalse();
  }

  @Test
  void whatIsNotComputedSaysWhy() {
    Findable swing = find("swing").get(0).thing();
    assertThat(swing.kind()).isEqualTo(Kind.BY_WORD);
    assertThat(Words.of(swing.note().orElseThrow())).contains("not computed").contains("speed");
  }

  @Test
  void wholeNamesGoBeforeBeginningsAndPeopleBeforeThings() {
    List<Findable> some =
        List.of(
            new Findable(Kind.EXERCISE, "a", "Squat on a box", List.of(), Optional.empty()),
            new Findable(Kind.EXERCISE, "b", "Belt squat", List.of("squat"), Optional.empty()),
            new Findable(Kind.CLIENT, "c", "Squat Jones", List.of(), Optional.empty()));
    assertThat(Finder.find("SQUATS", some, 10).stream().map(hit -> hit.thing().id()))
        .containsExactly("b", "c", "a");
    assertThat(Finder.find("squats", some, 10).get(0).name()).isEqualTo("squat");
    assertThat(Finder.find("squat", some, 1)).hasSize(1);
    assertThat(Finder.find(" - ", some, 10)).isEmpty();
    assertThat(Finder.find("bench press", some, 10)).isEmpty();
  }

  @Test
  void machinesAndClaimsAreFoundToo() {
    assertThat(find("lat machine").stream().map(hit -> hit.thing().kind())).contains(Kind.MACHINE);
    assertThat(
            Finder.find("glutes", EverydayNames.all(), 200).stream().map(hit -> hit.thing().kind()))
        .contains(Kind.CLAIM);
  }
}
