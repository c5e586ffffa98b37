/** Posture and load to joint moments, load sharing, strength limit and simulated sets. */
@NullMarked
package istmo.core.mechanics;

import org.jspecify.annotations.NullMarked;
