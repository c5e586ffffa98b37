package istmo.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.SameFigures;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.quantity.Vec3;
import istmo.core.watching.WatchedSet;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Films whose truth is known: repetitions of the model's postures, moved from rest to rest with
 * least jerk (Flash and Hogan 1985), photographed frame by frame, with marks that wander by pixels
 * and are lost at times.
 */
class FilmTest {
  private static final Path PAGE = Path.of("..", "docs", "validation.md");
  private static final String BEGIN = "<!-- films: written by FilmTest -->";
  private static final String END = "<!-- end of films -->";
  private static final int SETS = 100;
  private static final double LOAD_KG = 60;
  private static final double TRACK_PX = 1.5;
  private static final List<String> EXERCISES =
      List.of("back-squat/high-bar", "front-squat/front", "romanian-deadlift/usual");

  /** One repetition as it was done: times in s, depth as a share of the whole. */
  private record Done(double loweringS, double lowS, double liftingS, double topS, double depth) {}

  /** A film being made. */
  private static final class Maker {
    private final Random random;
    private final Body body;
    private final Family family;
    private final Candidate candidate;
    private final Setup setup;
    private final Photographer photographer;
    private final Map<Landmark, Vec3> offsets = new EnumMap<>(Landmark.class);
    private final Vec3 aim;
    private double lost;
    private double heelLiftM;
    private double extraLeanM;

    Maker(String id, long seed) {
      random = new Random(seed);
      candidate = Catalogue.standard().candidate(id);
      family = candidate.exercise().family();
      body = Body.estimated(1.65 + 0.25 * random.nextDouble(), 75, Sex.MALE);
      Setup usual = candidate.usualFor(body, GymEquipment.generic(Set.of()));
      setup = Reach.of(body, family, usual, candidate.yields()).orElseThrow().setup();
      photographer =
          new Photographer(
              20 * (random.nextDouble() - 0.5), 4 * (random.nextDouble() - 0.5), 3.2, 0.95, 1);
      for (Landmark landmark : Landmark.values()) {
        offsets.put(
            landmark, new Vec3(0.01 * random.nextGaussian(), 0.01 * random.nextGaussian(), 0));
      }
      Posture low = posture(1);
      aim =
          new Vec3(
              0.5 * (low.points().hip().x() + low.points().ankle().x()),
              low.points().heel().y() + photographer.heightM(),
              0);
    }

    Posture posture(double phase) {
      return (Posture) family.posture(body, setup, phase, LOAD_KG);
    }

    List<Mark> marks(double phase, double noisePx) {
      Posture.Points at = posture(phase).points();
      Map<Landmark, Vec3> places = new EnumMap<>(Landmark.class);
      places.put(Landmark.HEEL, at.heel().plus(phase > 0.6 ? heelLiftM : 0, Vec3.UP));
      places.put(Landmark.TOE, at.toe());
      places.put(Landmark.ANKLE, at.ankle());
      places.put(Landmark.KNEE, at.knee());
      places.put(Landmark.HIP, at.hip());
      places.put(
          Landmark.SHOULDER,
          at.shoulder().plus(0.11 * body.statureM(), Vec3.RIGHT).plus(extraLeanM, Vec3.FORWARD));
      places.put(Landmark.OTHER_ANKLE, new Vec3(at.ankle().x(), at.ankle().y(), -at.ankle().z()));
      List<Mark> marks = new ArrayList<>();
      places.forEach(
          (landmark, place) -> {
            double[] px = photographer.onFilm(place.plus(1, offset(landmark)), aim);
            marks.add(
                new Mark(
                    landmark,
                    px[0] + noisePx * random.nextGaussian(),
                    px[1] + noisePx * random.nextGaussian()));
          });
      return marks;
    }

    private Vec3 offset(Landmark landmark) {
      return Required.entry(offsets, landmark);
    }

    SidePicture marked() {
      return new SidePicture(Photographer.WIDTH, Photographer.HEIGHT, marks(1, 0));
    }

    /** The frames of a set; {@code leans} puts the shoulder forward by so much in each, m. */
    List<Film.Frame> frames(List<Done> done, double hz) {
      List<Film.Frame> frames = new ArrayList<>();
      double now = 0;
      double next = 0;
      for (double[] move : moves(done)) {
        while (next < now + move[0]) {
          double s = (next - now) / move[0];
          double way = s * s * s * (10 + s * (6 * s - 15));
          extraLeanM = move[3];
          if (random.nextDouble() > lost) {
            double phase = move[1] + way * (move[2] - move[1]);
            frames.add(new Film.Frame(next, marks(phase, TRACK_PX)));
          }
          next += 1 / hz;
        }
        now += move[0];
      }
      return frames;
    }

    private static List<double[]> moves(List<Done> done) {
      List<double[]> moves = new ArrayList<>(); // seconds, from, to, shoulder forward
      moves.add(new double[] {0.8, 0, 0, 0});
      for (Done each : done) {
        moves.add(new double[] {each.loweringS(), 0, each.depth(), 0});
        moves.add(new double[] {Math.max(0.05, each.lowS()), each.depth(), each.depth(), 0});
        moves.add(new double[] {each.liftingS(), each.depth(), 0, 0});
        moves.add(new double[] {Math.max(0.05, each.topS()), 0, 0, 0});
      }
      moves.add(new double[] {0.8, 0, 0, 0});
      return moves;
    }

    Film film(List<Film.Frame> frames, WatchedSet.Asked asked) {
      return reading().film(marked(), frames, asked);
    }

    TechniqueReading reading() {
      return (TechniqueReading)
          TechniqueReading.of(
              new TechniqueReading.Subject(
                  body,
                  Set.of(),
                  candidate,
                  GymEquipment.generic(Set.of()),
                  Map.of(),
                  Optional.of(LOAD_KG)),
              marked());
    }
  }

  private static List<Done> set(Random random, int repetitions) {
    List<Done> done = new ArrayList<>();
    for (int k = 0; k < repetitions; k++) {
      done.add(
          new Done(
              1 + 2 * random.nextDouble(),
              random.nextInt(3) == 0 ? 0.6 : 0,
              0.7 + 0.5 * random.nextDouble() + 0.03 * k,
              0.4,
              0.92 + 0.08 * random.nextDouble()));
    }
    return done;
  }

  @Test
  void everyRepetitionOfAHundredSetsIsFound() throws Exception {
    Random random = new Random(21);
    int truth = 0;
    int found = 0;
    int right = 0;
    double squares = 0;
    int lows = 0;
    for (int s = 0; s < SETS; s++) {
      Maker maker = new Maker(EXERCISES.get(s % EXERCISES.size()), 500 + s);
      maker.lost = 0.03;
      List<Done> done = set(random, 1 + random.nextInt(8));
      double hz = new double[] {15, 24, 30}[s % 3];
      Film film = maker.film(maker.frames(done, hz), WatchedSet.Asked.NOTHING);
      truth += done.size();
      found += film.repetitions().size();
      double now = 0.8;
      for (int k = 0; k < done.size(); k++) {
        Done each = done.get(k);
        double from = now + each.loweringS() + Math.max(0.05, each.lowS());
        double to = from + each.liftingS();
        for (Film.FilmedRepetition repetition : film.repetitions()) {
          if (repetition.timing().startS() < to && repetition.timing().endS() > from) {
            right++;
            double[] leans = TechniqueFit.leans(maker.posture(each.depth()));
            squares += Math.pow(repetition.low().kneeBend() - leans[0] - leans[1], 2);
            squares += Math.pow(repetition.low().trunk() - leans[2], 2);
            lows += 2;
          }
        }
        now = to + Math.max(0.05, each.topS());
      }
    }
    double rms = Math.toDegrees(Math.sqrt(squares / lows));
    assertThat(found).isEqualTo(truth);
    assertThat(right).isEqualTo(truth);
    assertThat(rms).isLessThan(4);
    SameFigures.assertWritten(
        PAGE,
        String.format(
            Locale.ROOT,
            "%s%n%nOf %d repetitions %d were found, %d of them right; knee bend and lean at their"
                + " low ends are %.1f° off (root mean square).%n%n%s",
            BEGIN,
            truth,
            found,
            right,
            rms,
            END));
  }

  @Test
  void aShortRepetitionAndADroppedLoweringAreTold() {
    Maker maker = new Maker("back-squat/high-bar", 7);
    List<Done> done =
        List.of(
            new Done(3, 0, 1, 0.4, 1),
            new Done(3, 0, 1, 0.4, 1),
            new Done(0.9, 0, 1.1, 0.4, 1),
            new Done(3, 0, 1.2, 0.4, 0.7));
    Film film = maker.film(maker.frames(done, 30), new WatchedSet.Asked(3, 0, true));
    assertThat(film.repetitions()).hasSize(4);
    assertThat(film.watched().findings())
        .extracting(WatchedSet.Deviation::kind)
        .containsExactly(WatchedSet.Kind.SHORT_RANGE, WatchedSet.Kind.DROPPED_LOWERING);
    assertThat(film.watched().findings().get(0).repetitions()).containsExactly(4);
    assertThat(film.watched().findings().get(1).repetitions()).containsExactly(3);
    assertThat(film.findings()).isEmpty();
  }

  @Test
  void heelsThatLiftAreTold() {
    Maker maker = new Maker("back-squat/high-bar", 7);
    List<Film.Frame> frames = maker.frames(List.of(new Done(2, 0, 1, 0.4, 1)), 30);
    maker.heelLiftM = 0.05;
    double end = frames.get(frames.size() - 1).timeS() + 1 / 30.0;
    for (Film.Frame frame : maker.frames(List.of(new Done(2, 0, 1, 0.4, 1)), 30)) {
      frames.add(new Film.Frame(end + frame.timeS(), frame.marks()));
    }
    maker.heelLiftM = 0;
    Film film = maker.film(frames, WatchedSet.Asked.NOTHING);
    assertThat(film.findings()).hasSize(1);
    assertThat(film.findings().get(0).kind()).isEqualTo(Film.Kind.HEELS_LIFT);
    assertThat(film.findings().get(0).repetitions()).containsExactly(2);
  }

  @Test
  void hipsThatRiseFirstAreTold() {
    Maker maker = new Maker("back-squat/high-bar", 7);
    List<Film.Frame> frames = new ArrayList<>();
    double time = 0;
    for (Film.Frame frame : maker.frames(List.of(new Done(2, 0, 1.2, 0.4, 1)), 30)) {
      frames.add(frame);
      time = frame.timeS() + 1 / 30.0;
    }
    // the second one: the shoulder stays behind, and comes forward while the hips rise
    for (Film.Frame frame : maker.frames(List.of(new Done(2, 0, 1.2, 0.4, 1)), 30)) {
      double lifting = (frame.timeS() - 0.8 - 2.05) / 1.2;
      maker.extraLeanM = lifting > 0.05 && lifting < 0.7 ? 0.16 : 0;
      double phase = phase(frame.timeS());
      frames.add(new Film.Frame(time + frame.timeS(), maker.marks(phase, 0)));
    }
    Film film = maker.film(frames, WatchedSet.Asked.NOTHING);
    assertThat(film.findings())
        .anyMatch(
            finding ->
                finding.kind() == Film.Kind.HIPS_FIRST && finding.repetitions().equals(List.of(2)));
  }

  /** Phase of the one repetition above at a time. */
  private static double phase(double timeS) {
    double lowering = Math.max(0, Math.min(1, (timeS - 0.8) / 2));
    double lifting = Math.max(0, Math.min(1, (timeS - 2.85) / 1.2));
    return least(lowering) - least(lifting);
  }

  private static double least(double s) {
    return s * s * s * (10 + s * (6 * s - 15));
  }

  @Test
  void aMarkThatIsLostForAWhileIsTold() {
    Maker maker = new Maker("back-squat/high-bar", 7);
    List<Film.Frame> frames = new ArrayList<>();
    for (Film.Frame frame : maker.frames(List.of(new Done(2, 0, 1, 0.4, 1)), 30)) {
      boolean hidden = frame.timeS() < 0.7;
      frames.add(
          new Film.Frame(
              frame.timeS(),
              frame.marks().stream()
                  .filter(mark -> !hidden || mark.landmark() != Landmark.HIP)
                  .toList()));
    }
    Film film = maker.film(frames, WatchedSet.Asked.NOTHING);
    assertThat(film.repetitions()).hasSize(1);
    assertThat(film.lost()).hasSize(1);
    assertThat(film.lost().get(0).landmark()).isEqualTo(Landmark.HIP);
  }

  @Test
  void aFilmWhoseMarksAreLostSaysSo() {
    Maker maker = new Maker("back-squat/high-bar", 7);
    List<Film.Frame> frames = new ArrayList<>();
    for (int k = 0; k < 20; k++) {
      frames.add(
          new Film.Frame(
              k / 30.0,
              maker.marks(0.5, 0).stream()
                  .filter(mark -> mark.landmark() != Landmark.HIP)
                  .toList()));
    }
    assertThatThrownBy(() -> maker.film(frames, WatchedSet.Asked.NOTHING))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("mark another frame");
    List<Film.Frame> backwards = new ArrayList<>(frames);
    Collections.reverse(backwards);
    assertThatThrownBy(() -> maker.film(backwards, WatchedSet.Asked.NOTHING))
        .hasMessageContaining("frames[1].timeS");
  }
}
