package istmo.app.schools.web;

import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.schools.Schools;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Schools: how tension is judged, and how much studies of activity count. */
@RestController
@RequestMapping("/api/schools")
class SchoolController {
  private final Schools schools;

  SchoolController(Schools schools) {
    this.schools = schools;
  }

  /**
   * own: whether this coach made it and can change it; retired: taken out, and put back by changing
   * it. The first of the list is the default.
   */
  record SchoolSettingsView(
      String id,
      String label,
      String reason,
      double lengthBias,
      double passiveWeight,
      double activityTrust,
      double practiceTrust,
      double basics,
      boolean own,
      boolean retired) {
    static SchoolSettingsView of(School school, boolean own, boolean retired) {
      return new SchoolSettingsView(
          school.id(),
          school.label(),
          school.reason(),
          school.lengthBias(),
          school.passiveWeight(),
          school.activityTrust(),
          school.practiceTrust(),
          school.basics(),
          own,
          retired);
    }
  }

  /**
   * lengthBias -1.5 to 1.5, passiveWeight, activityTrust and practiceTrust 0 to 1, basics 0 to 3;
   * without practiceTrust it is what the stated schools have.
   */
  record SchoolInput(
      String label,
      String reason,
      Double lengthBias,
      Double passiveWeight,
      Double activityTrust,
      @MayBeMissing Double practiceTrust,
      Double basics) {
    Schools.SchoolSettings wish() {
      new Needed()
          .field("lengthBias", lengthBias)
          .field("passiveWeight", passiveWeight)
          .field("activityTrust", activityTrust)
          .field("basics", basics)
          .check();
      return new Schools.SchoolSettings(
          label,
          reason,
          lengthBias,
          passiveWeight,
          activityTrust,
          Objects.requireNonNullElse(practiceTrust, School.USUAL_PRACTICE_TRUST),
          basics);
    }
  }

  /** Every school of thought with its settings: the stated ones, and the coach's own. */
  @GetMapping
  List<SchoolSettingsView> all() {
    return schools.listed().stream()
        .map(listed -> SchoolSettingsView.of(listed.school(), listed.own(), listed.retired()))
        .toList();
  }

  /** Adds a school of the coach's own. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  SchoolSettingsView add(@RequestBody SchoolInput input) {
    return SchoolSettingsView.of(schools.add(input.wish()), true, false);
  }

  /** Changes a school of the coach's own. */
  @PutMapping("/{id}")
  SchoolSettingsView change(@PathVariable String id, @RequestBody SchoolInput input) {
    return SchoolSettingsView.of(schools.change(id, input.wish()), true, false);
  }

  /** Takes one out; sessions that were judged by it keep it. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void retire(@PathVariable String id) {
    schools.retire(id);
  }
}
