/** Set-ups as lines, circles and levers in metres, for any brush. */
@NullMarked
package istmo.core.drawing;

import org.jspecify.annotations.NullMarked;
