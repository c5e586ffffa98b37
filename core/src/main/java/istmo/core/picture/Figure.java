package istmo.core.picture;

/**
 * One thing read from a picture.
 *
 * @param value in rad or m
 * @param error standard deviation, same unit
 */
public record Figure(double value, double error) {}
