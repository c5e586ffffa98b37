/** People in general: coordinates, segments, muscles, regions, curves. */
@NullMarked
package istmo.core.anatomy;

import org.jspecify.annotations.NullMarked;
