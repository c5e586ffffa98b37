package istmo.core.validation;

import static istmo.core.validation.Measures.MAN;
import static istmo.core.validation.Measures.PRACTICE;
import static istmo.core.validation.Measures.adductors;
import static istmo.core.validation.Measures.gmax;
import static istmo.core.validation.Measures.hamstrings;
import static istmo.core.validation.Measures.hip;
import static istmo.core.validation.Measures.knee;
import static istmo.core.validation.Measures.lean;
import static istmo.core.validation.Measures.moment;
import static istmo.core.validation.Measures.stimulus;
import static istmo.core.validation.Measures.vasti;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Body;
import istmo.core.body.Intake;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Posture;
import java.util.List;
import java.util.Map;

/** What squats and their tracks do, against published findings and facts of the trade. */
final class SquatChecks {
  private SquatChecks() {}

  static void squats(List<Row> rows) {
    kneesHeldBack(rows);
    trunkLeans(rows);
    publishedMoments(rows);
    deepAgainstHalf(rows);
    stances(rows);
    feetPushedAway(rows);
    frontAgainstBack(rows);
  }

  private static void kneesHeldBack(List<Row> rows) {
    // load = body mass, as in the study
    Posture free =
        Bodies.posture(MAN, "squat", Map.of("kneeTravel", 0.95, "depth", 90.0), 1, MAN.massKg());
    Posture held =
        Bodies.posture(MAN, "squat", Map.of("kneeTravel", 0.35, "depth", 90.0), 1, MAN.massKg());
    String fry = "Fry et al. 2003, load = body mass";
    rows.add(
        Row.more(
            "C066",
            "knee moment, knees free against held back (N m, both legs)",
            fry,
            2 * knee(free, 80),
            2 * knee(held, 80)));
    rows.add(
        Row.more(
            "C067",
            "hip moment, knees held back against free",
            fry,
            2 * hip(held, 80),
            2 * hip(free, 80)));
    rows.add(
        Row.within(
            "C066",
            "knee moment, knees free (both legs; the study's pair does not add up to a balanced"
                + " posture with its hip moment)",
            fry,
            100,
            200,
            2 * knee(free, 80),
            "N m"));
  }

  private static void trunkLeans(List<Row> rows) {
    String statics = "Fuglsang et al. 2017; Sato et al. 2012; statics";
    Posture flat = Bodies.posture(MAN, "squat", Map.of("depth", 90.0), 1, 70);
    Posture wedge = Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "wedge", 10.0), 1, 70);
    rows.add(
        Row.more(
            "C102", "trunk lean, flat against heel wedge (°)", statics, lean(flat), lean(wedge)));
    rows.add(
        Row.more(
            "C102",
            "knee moment over hip moment, heel wedge against flat",
            statics,
            knee(wedge, 70) / hip(wedge, 70),
            knee(flat, 70) / hip(flat, 70)));
    Body longThigh = MAN.withThighFactor(Intake.Thigh.LONG.factor());
    Body shortThigh = MAN.withThighFactor(Intake.Thigh.SHORT.factor());
    Posture onLong = Bodies.posture(longThigh, "squat", Map.of("depth", 90.0), 1, 70);
    Posture onShort = Bodies.posture(shortThigh, "squat", Map.of("depth", 90.0), 1, 70);
    rows.add(
        Row.more(
            "C102",
            "trunk lean, long thigh against short (°)",
            statics,
            lean(onLong),
            lean(onShort)));
    Posture stiff =
        Bodies.posture(
            MAN.withDorsiflexionLimit(Intake.Ankle.STIFF.dorsiflexionRad()),
            "squat",
            Map.of("depth", 90.0),
            1,
            70);
    rows.add(
        Row.more(
            "C102", "trunk lean, stiff ankle against usual (°)", statics, lean(stiff), lean(flat)));
    Posture low = Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "bar", 1.0), 1, 70);
    rows.add(
        Row.more(
            "C102",
            "trunk lean, low bar against high (°; with the knee travel that lifters choose)",
            statics,
            lean(low),
            lean(flat)));
    rows.add(
        Row.alike(
            "",
            "knee moment, low bar against high at one load, with the shins that go with each",
            statics,
            knee(low, 70),
            knee(flat, 70)));
  }

  private static void publishedMoments(List<Row> rows) {
    Posture lifter = Bodies.posture(MAN, "squat", Map.of("depth", 95.0), 1, 0.65 * 150);
    rows.add(
        Row.within(
            "C068",
            "hip over knee moment, deep high-bar squat with a moderate load (230 over 191 N m in"
                + " the study)",
            "Wretenberg et al. 1996",
            1,
            1.5,
            hip(lifter, 0.65 * 150) / knee(lifter, 0.65 * 150),
            ""));
    Posture heavy =
        Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "stance", 0.35, "toeOut", 10.0), 1, 150);
    rows.add(
        Row.within(
            "C071",
            "plantarflexor moment of one ankle, narrow stance, heavy",
            "Escamilla et al. 2001",
            10,
            51,
            moment(heavy, Coordinate.ANKLE_DORSIFLEXION, 150),
            "N m"));
  }

  private static void deepAgainstHalf(List<Row> rows) {
    RegionValues deep = stimulus("squat", Map.of("depth", 95.0));
    RegionValues half = stimulus("squat", Map.of("depth", 62.0));
    String kubo = "Kubo et al. 2019, ten weeks, MRI";
    rows.add(
        Row.more("C101", "gluteus maximus, deep squat against half", kubo, gmax(deep), gmax(half)));
    rows.add(
        Row.more(
            "C101", "adductors, deep squat against half", kubo, adductors(deep), adductors(half)));
    rows.add(
        Row.alike("C101", "quadriceps, deep squat against half", kubo, vasti(deep), vasti(half)));
    rows.add(
        Row.within(
            "C101",
            "vasti over rectus femoris in the deep squat (the study saw no growth of rectus"
                + " femoris)",
            kubo,
            2,
            99,
            vasti(deep) / deep.get(Region.RF),
            ""));
    rows.add(
        Row.within(
            "C101",
            "vasti over hamstrings in the deep squat (the study saw no growth of hamstrings)",
            kubo,
            2,
            99,
            vasti(deep) / hamstrings(deep),
            ""));
  }

  private static void stances(List<Row> rows) {
    RegionValues narrow = stimulus("squat", Map.of("depth", 85.0, "stance", 0.32, "toeOut", 10.0));
    // shins stand more upright in a wide stance (Escamilla et al. 2001)
    RegionValues wide = stimulus("squat", Map.of("depth", 85.0, "stance", 0.58, "toeOut", 25.0));
    String paoli = "McCaw and Melrose 1999; Paoli et al. 2009 (EMG)";
    rows.add(
        Row.alike(
            "C100",
            "vastus lateralis over medialis, wide stance against narrow",
            paoli,
            wide.get(Region.VL) / wide.get(Region.VM),
            narrow.get(Region.VL) / narrow.get(Region.VM)));
    rows.add(
        Row.more(
            "C100",
            "adductor longus, wide stance against narrow (hangs on the sideways grip of the foot)",
            paoli,
            wide.get(Region.AL),
            narrow.get(Region.AL)));
    rows.add(
        Row.more(
            "C100",
            "gluteus maximus, wide stance against narrow",
            paoli,
            gmax(wide),
            gmax(narrow)));
    RegionValues spread = stimulus("squat", Map.of("depth", 85.0, "spread", 0.5));
    RegionValues squeezed = stimulus("squat", Map.of("depth", 85.0, "spread", -0.5));
    rows.add(
        Row.more(
            "T",
            "middle glute, the floor spread against the feet pulled together, half of the grip"
                + " each",
            PRACTICE,
            spread.get(Region.GMEDP),
            squeezed.get(Region.GMEDP)));
    rows.add(
        Row.more(
            "T",
            "adductor longus, the feet pulled together against the floor spread",
            PRACTICE,
            squeezed.get(Region.AL),
            spread.get(Region.AL)));
  }

  private static void feetPushedAway(List<Row> rows) {
    RegionValues away = stimulus("thrust", Map.of("away", 0.8));
    RegionValues in = stimulus("thrust", Map.of("away", -0.8));
    rows.add(
        Row.more(
            "T",
            "vasti in the hip thrust, feet pushed away against heels pulled in",
            PRACTICE,
            vasti(away),
            vasti(in)));
    rows.add(
        Row.more(
            "T",
            "hamstrings in the hip thrust, heels pulled in against feet pushed away",
            PRACTICE,
            hamstrings(in),
            hamstrings(away)));
  }

  private static void frontAgainstBack(List<Row> rows) {
    Posture front =
        Bodies.posture(MAN, "squat", Map.of("depth", 90.0, "bar", 2.0, "kneeTravel", 1.0), 1, 60);
    Posture back = Bodies.posture(MAN, "squat", Map.of("depth", 90.0), 1, 80);
    rows.add(
        Row.more(
            "C072",
            "knee moment, back squat against front at equal effort (front about three quarters of"
                + " the load)",
            "Gullett et al. 2009",
            knee(back, 80),
            knee(front, 60)));
  }

  static void tracks(List<Row> rows) {
    String statics = "free body of a bar on a track (statics)";
    Posture under = Bodies.posture(MAN, "guided-squat", Map.of("depth", 85.0, "lean", 36.0), 1, 70);
    Posture upright =
        Bodies.posture(
            MAN, "guided-squat", Map.of("depth", 85.0, "feetForward", 0.22, "lean", 12.0), 1, 70);
    Posture back =
        Bodies.posture(
            MAN, "guided-squat", Map.of("depth", 85.0, "feetForward", 0.22, "lean", 36.0), 1, 70);
    rows.add(
        Row.more(
            "C103",
            "knee moment, feet forward and trunk upright against feet under the bar",
            statics,
            knee(upright, 70),
            knee(under, 70)));
    rows.add(
        Row.more(
            "C103",
            "hip moment, feet under the bar against feet forward and trunk upright",
            statics,
            hip(under, 70),
            hip(upright, 70)));
    rows.add(
        Row.more(
            "C103",
            "hip moment, feet forward with the free squat's lean against feet under the bar",
            statics,
            hip(back, 70),
            hip(under, 70)));
  }
}
