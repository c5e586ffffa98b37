/** Studies and claims, and what they make of the mechanics. */
@NullMarked
package istmo.core.evidence;

import org.jspecify.annotations.NullMarked;
