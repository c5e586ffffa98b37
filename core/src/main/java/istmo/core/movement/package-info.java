/** Set-ups and postures: what an exercise does to a body, before any muscle. */
@NullMarked
package istmo.core.movement;

import org.jspecify.annotations.NullMarked;
