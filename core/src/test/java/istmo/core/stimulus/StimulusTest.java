package istmo.core.stimulus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Regions;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.Bodies;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StimulusTest {
  private static final Analysis SQUAT = Bodies.analysis(Bodies.MAN, "squat", Map.of("depth", 85.0));

  /** The same repetition with every muscle at a length and an active tension of our choosing, no passive part. */
  private static Analysis with(double[] length, double[] tension) {
    List<AnalysisPoint> points = new ArrayList<>();
    for (int k = 0; k < length.length; k++) {
      AnalysisPoint p = SQUAT.points().get(k);
      int n = p.activation().length;
      double[] l = new double[n];
      double[] t = new double[n];
      java.util.Arrays.fill(l, length[k]);
      java.util.Arrays.fill(t, tension[k]);
      points.add(new AnalysisPoint(p.posture(), p.limitKg(), p.externalNm(), p.activation(), l, t, new double[n], p.momentArmM(), 0, p.contactNm(), p.residualNm()));
    }
    return new Analysis(1, 1, 1, List.of(), points, List.of());
  }

  @Test
  void fullTensionAtOptimalLengthCountsOneInEverySchool() {
    Analysis full = with(new double[] {1, 1, 1}, new double[] {1, 1, 1});
    for (School school : School.all()) {
      assertThat(Stimulus.byRegion(full, school).values()).allSatisfy(v -> assertThat(v).isCloseTo(1, within(1e-12)));
    }
  }

  /** By hand: lengths 0.8 and 1.4 at half tension. Stretch: ((0.5 x 0.7)^3 + (0.5 x 1.6)^3) / 2, cube root; squeeze: (0.5 x 1.2 + 0.5 x 0.6) / 2. */
  @Test
  void lengthCountsAsTheSchoolSays() {
    Analysis two = with(new double[] {0.8, 1.4}, new double[] {0.5, 0.5});
    assertThat(Stimulus.byRegion(two, School.STRETCH).get("VL")).isCloseTo(Math.cbrt((Math.pow(0.35, 3) + Math.pow(0.8, 3)) / 2), within(1e-12));
    assertThat(Stimulus.byRegion(two, School.WHOLE_RANGE).get("VL")).isCloseTo(0.5, within(1e-12));
    assertThat(Stimulus.byRegion(two, School.SQUEEZE).get("VL")).isCloseTo((0.5 * 1.2 + 0.5 * 0.6) / 2, within(1e-12));
  }

  @Test
  void theLengthWeightNeitherTurnsNegativeNorRunsAway() {
    Analysis extremes = with(new double[] {0.35, 3}, new double[] {1, 1});
    assertThat(Stimulus.tension(extremes.points().get(0), new School("x", "", "", 3, 1, 0), 0)).isZero();
    assertThat(Stimulus.tension(extremes.points().get(1), School.STRETCH, 0)).isEqualTo(3);
  }

  @Test
  void theFaceCheckNamesTheGroupsThatGetTooMuch() {
    Map<String, Double> s = new LinkedHashMap<>();
    Regions.standard().all().forEach(r -> s.put(r.id(), r.group().equals("quads") ? 0.8 : r.group().equals("glutes") ? 0.5 : 0.1));
    assertThat(Stimulus.faceCheckMisses(s, "quads")).containsExactly("glutes");
    assertThat(Stimulus.faceCheckMisses(s, "hamstrings")).contains("quads", "glutes");
    s.replaceAll((id, v) -> v == 0.5 ? 0.39 : v);
    assertThat(Stimulus.faceCheckMisses(s, "quads")).isEmpty();
  }

  @Test
  void anUnknownSchoolSaysWhatThereIs() {
    assertThatThrownBy(() -> School.get("astrology")).isInstanceOf(InvalidInput.class).hasMessageContaining("whole-range");
  }
}
