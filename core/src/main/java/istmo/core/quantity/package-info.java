/** Vectors, allowed ranges and faults of input. */
@NullMarked
package istmo.core.quantity;

import org.jspecify.annotations.NullMarked;
