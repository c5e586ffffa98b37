package istmo.core.validation;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.CommonPractice;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Finding;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.record.Experience;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Map;

/**
 * Rows of common practice whose direction comes out, without being told and with them as a voice.
 *
 * @param surely those that hardly anybody disputes
 */
record PracticeRows(int all, int without, int with, int surely, int surelyWithout, int surelyWith) {
  static PracticeRows of(List<Body> bodies, GymEquipment gym) {
    Evidence told = Evidence.of(School.STRETCH);
    Evidence untold = Evidence.of(School.STUDIES_ONLY);
    int[] count = new int[6];
    for (Body body : bodies) {
      Map<CandidateId, Evaluation> evaluations = Evaluated.of(body, gym, School.STRETCH);
      for (Finding finding : CommonPractice.standard().all()) {
        Evaluation more = evaluations.get(finding.setUpA().orElseThrow().candidateId());
        Evaluation less = evaluations.get(finding.setUpB().orElseThrow().candidateId());
        if (!(more instanceof Evaluation.Computed computed
            && less instanceof Evaluation.Computed otherComputed)) {
          continue; // this body cannot do one of them
        }
        boolean surely = finding.memory() == Finding.Memory.HIGH;
        boolean without = mean(computed, untold, finding) > mean(otherComputed, untold, finding);
        boolean with = mean(computed, told, finding) > mean(otherComputed, told, finding);
        List<Boolean> hits =
            List.of(true, without, with, surely, surely && without, surely && with);
        for (int k = 0; k < count.length; k++) {
          count[k] += hits.get(k) ? 1 : 0;
        }
      }
    }
    return new PracticeRows(count[0], count[1], count[2], count[3], count[4], count[5]);
  }

  private static double mean(Evaluation.Computed computed, Evidence evidence, Finding finding) {
    RegionValues stimulus = ScoredCandidate.of(computed, evidence, Experience.NONE).stimulus();
    double sum = 0;
    double volume = 0;
    for (Region region : finding.regionsA()) {
      double v = region.muscle().volumeM3();
      sum += v * stimulus.get(region);
      volume += v;
    }
    return sum / volume;
  }
}
