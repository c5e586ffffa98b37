package istmo.core.picture;

/**
 * One mark on a picture.
 *
 * @param xPx from the left edge to the right, pixels
 * @param yPx from the upper edge down, pixels
 */
public record Mark(Landmark landmark, double xPx, double yPx) {}
