package istmo.app.catalogue.web;

import istmo.app.platform.DrawingView;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.drawing.Drawing;
import istmo.core.drawing.Pictures;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Small pictures of the exercises, the same for every coach and client. */
@RestController
class PicturesController {
  private static final Duration KEPT = Duration.ofHours(12);

  private static final Set<String> ROUND = Set.of("bar", "weight", "roller", "head");

  /** The picture of a candidate: machine and lifter, in m. */
  record PictureView(
      CandidateId candidateId,
      List<DrawingView.LineView> machine,
      List<DrawingView.CircleView> rounds,
      List<DrawingView.LineView> body) {}

  private final List<PictureView> pictures;

  PicturesController(Catalogue catalogue) {
    pictures =
        Pictures.of(catalogue).entrySet().stream()
            .map(entry -> view(entry.getKey(), entry.getValue()))
            .toList();
  }

  private static PictureView view(CandidateId candidateId, Drawing drawing) {
    return new PictureView(
        candidateId,
        drawing.machine().stream().map(DrawingView.LineView::of).toList(),
        drawing.circles().stream()
            .filter(circle -> ROUND.contains(circle.role()))
            .map(DrawingView.CircleView::of)
            .toList(),
        drawing.body().stream().map(DrawingView.LineView::of).toList());
  }

  /** A man of usual proportions in every candidate, on usual machines. */
  @GetMapping("/api/pictures")
  ResponseEntity<List<PictureView>> pictures() {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
        .body(pictures);
  }
}
