/** One class for each family of movement. */
@NullMarked
package istmo.core.movement.family;

import org.jspecify.annotations.NullMarked;
