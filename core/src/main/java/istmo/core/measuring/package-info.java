/** Gauges, still readings and pulls, and machines fitted to them. */
@NullMarked
package istmo.core.measuring;

import org.jspecify.annotations.NullMarked;
